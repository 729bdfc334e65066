import { IsOptional } from 'class-validator';
import type { AsTyped } from './as-typed.js';
import { Length, Place } from './claim.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Called, Names, Nested, PartOf } from './declared.js';

/**
 * Data that a station moves inside itself, bit for bit: a gateway that hands readings on to the block that its readers
 * ask for, or a status word to where somebody is meant to see it.
 */
@Called('copy', 'copies')
export class MemoryCopy {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('station') station!: string;
  @IsName() name!: string;
  @Nested(() => Place, { orTyped: true, nullable: true }) from!: Place | AsTyped | null;
  @Nested(() => Place, { orTyped: true, nullable: true }) to!: Place | AsTyped | null;
  @Nested(() => Length, { orTyped: true, nullable: true }) length!: Length | AsTyped | null;
  /** the station that is meant to read it there; null: not said */
  @IsOptional() @IsId() @Names('station') reader?: string | null;
  @IsText() comment?: string;
}
