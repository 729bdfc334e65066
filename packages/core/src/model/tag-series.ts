import { IsBoolean, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import type { AsTyped } from './as-typed.js';
import { Place, TypeRef } from './claim.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Called, Nested, PartOf } from './declared.js';
import { ACCESSES, type Access } from './words.js';

/** Tags made by pattern: a sample whose last digits count on, and how many. */
@Called('series of tags', 'series of tags')
export class TagSeries {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('station') station!: string;
  /** the name of the first: `Aisle_See_01` */
  @IsName() sample!: string;
  @IsInt() @Min(1) @Max(100_000) count!: number;
  @Nested(() => TypeRef, { orTyped: true, nullable: true }) type!: TypeRef | AsTyped | null;
  /** of the first; the others follow without a gap. Null: they have none */
  @Nested(() => Place, { orTyped: true, nullable: true }) place!: Place | AsTyped | null;
  @IsOptional() @IsIn(ACCESSES) access?: Access | null;
  @IsOptional() @IsBoolean() internal?: boolean;
  @IsText() comment?: string;
}
