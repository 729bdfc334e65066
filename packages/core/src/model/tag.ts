import { IsBoolean, IsIn, IsOptional } from 'class-validator';
import type { AsTyped } from './as-typed.js';
import { Place, TypeRef } from './claim.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Nested } from './nested.js';
import { ACCESSES, OPENNESS, type Access, type Openness } from './words.js';

/** A named variable of one station. Without an address it is a memory of its own. */
export class Tag {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() station!: string;
  @IsName() name!: string;
  @Nested(() => TypeRef, { orTyped: true, nullable: true }) type!: TypeRef | AsTyped | null;
  @Nested(() => Place, { orTyped: true, nullable: true }) place!: Place | AsTyped | null;
  @IsOptional() @IsIn(ACCESSES) access?: Access | null;
  /** the program that it is local to, and then hidden from outside; empty: global */
  @IsText() program?: string;
  /** whether others may use it by name; empty: not said */
  @IsOptional() @IsIn(OPENNESS) open?: Openness | null;
  /** of its value: bar, °C */
  @IsText() unit?: string;
  /** never meant to be used from outside */
  @IsOptional() @IsBoolean() internal?: boolean;
  /** what it was made by: `end e1 input` */
  @IsText() madeBy?: string;
  @IsText() comment?: string;
}
