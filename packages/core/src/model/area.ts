import { ArrayUnique, IsArray, IsBoolean, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { BlockMember } from './block-member.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { LayoutRule } from './layout-rule.js';
import { Nested, PartOf, RecordOf } from './declared.js';
import { View } from './view.js';
import { AREA_KINDS, WORD_BITS, OWN_WRITERS, type AreaKind, type WordBits, type OwnWriter } from './words.js';

/** Part of an area that something else takes. Start and length in bits of the area. */
export class Reservation {
  @IsOrder() order!: number;
  @IsInt() @Min(0) start!: number;
  @IsInt() @Min(1) length!: number;
  @IsName() owner!: string;
  @IsText() reason?: string;
  /** the owner puts data there of itself; exchanges may then send it on, but put nothing there */
  @IsOptional() @IsBoolean() puts?: boolean;
  /** the first and the last place at which it may start, in bits of the area, and how far it is from one to the next */
  @IsOptional() @IsInt() @Min(0) firstStart?: number | null;
  @IsOptional() @IsInt() @Min(0) lastStart?: number | null;
  @IsOptional() @IsInt() @Min(1) startStep?: number | null;
  @RecordOf(() => BlockMember, { nullable: true }) members?: Record<string, BlockMember> | null;
}

/** A region of one station's memory: a row of words. Bit index = word × bits per word + significance. */
export class Area {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsId() @PartOf('station') station!: string;
  @IsIn(AREA_KINDS) kind!: AreaKind;
  @IsIn(WORD_BITS) wordBits!: WordBits;
  /** in words */
  @IsInt() @Min(1) @Max(100_000_000) words!: number;
  /** empty: only exchanges move data here, nothing inside the station puts or uses any */
  @IsArray() @ArrayUnique() @IsIn(OWN_WRITERS, { each: true }) writers!: OwnWriter[];
  @RecordOf(() => View) views!: Record<string, View>;
  @RecordOf(() => Reservation) reservations!: Record<string, Reservation>;
  /** of several that set values here on request: whose stands */
  @IsText() lastWord?: string;
  @Nested(() => LayoutRule, { nullable: true }) layout?: LayoutRule | null;
}
