import { IsIn, IsInt, IsOptional, IsString, Matches, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import type { AsTyped } from './as-typed.js';
import { IsId, IsName, IsText } from './fields.js';
import { LayoutRule } from './layout-rule.js';
import { Names, Nested, PartOf, RecordOf } from './declared.js';
import { OneOfOrTyped } from './one-of.js';
import {
  OPENNESS,
  UNITS,
  SWAPS,
  DIRECTIONS,
  TRIGGERS,
  type Trigger,
  type Openness,
  type Unit,
  type Swap,
  type Direction,
} from './words.js';

/** The view of a place that is named by a tag: its `area` is then the tag, its number the element. */
export const IN_TAG = 'tag';

/** Where a claim's data is. Stored is what was typed: view and number, width and bit where the notation has them. */
export class Place {
  @IsId() @Names(({ view }) => (view === IN_TAG ? 'tag' : 'area'), 'whole emptied') area!: string;
  @IsId() view!: string;
  @IsInt() @Min(0) @Max(1e9) number!: number;
  /** bits of the element that was named, where the notation names one (`%MD10`: 32) */
  @IsOptional() @IsIn(UNITS) width?: Unit;
  @IsOptional() @IsInt() @Min(0) @Max(63) bit?: number;
}

/** A length as typed: a count of units, a unit given by its bits. */
export class Length {
  @IsInt() @Min(1) @Max(1e9) count!: number;
  @IsIn(UNITS) unit!: Unit;
}

/** An elementary type of IEC 61131-3, or a structure (base STRUCT), or an array of one. */
export class TypeRef {
  @IsString() @Matches(/^[A-Z]+$/) base!: string;
  @IsInt() @Min(1) @Max(1_000_000) count!: number;
  /** characters, for a STRING */
  @IsOptional() @IsInt() @Min(1) @Max(65_535) capacity?: number;
  /** first and last subscript of each dimension, where an array does not count from 0 in one: `1..3`, `0..1,1..4` */
  @IsOptional() @IsString() @Matches(/^-?\d{1,9}\.\.-?\d{1,9}(,-?\d{1,9}\.\.-?\d{1,9}){0,5}$/) bounds?: string;
  /** which structure, where the base is STRUCT */
  @IsOptional() @IsId() @Names('structure', 'whole emptied') structure?: string;
}

/**
 * Where a value begins, from the start of the payload along the row of the claim's own view: whole units or bytes in
 * bits, and where a bit of a unit was named, its significance in that unit.
 */
export class Offset {
  @IsInt() @Min(0) @Max(1e9) bits!: number;
  @IsOptional() @IsInt() @Min(0) @Max(63) bit?: number;
}

/** One value as this end knows it. */
export class ClaimItem {
  @IsName() name!: string;
  @Nested(() => TypeRef, { orTyped: true, nullable: true }) type!: TypeRef | AsTyped | null;
  @Nested(() => Offset, { orTyped: true, nullable: true }) offset!: Offset | AsTyped | null;
  /** what its number counts: `bar`, `0.1 °C` */
  @IsText() unit?: string;
}

/** What one end says of a lane. */
export class Claim {
  @IsId() id!: string;
  @IsId() @PartOf('lane') lane!: string;
  @IsId() @Names('end', 'it goes') end!: string;
  @IsName() name!: string;
  @OneOfOrTyped(DIRECTIONS) direction!: Direction | AsTyped | null;
  @Nested(() => Place, { orTyped: true, nullable: true }) place!: Place | AsTyped | null;
  @Nested(() => Length, { orTyped: true, nullable: true }) length!: Length | AsTyped | null;
  /** bits before the payload; counted in the length */
  @IsOptional() @IsInt() @Min(0) @Max(1e6) header?: number;
  /** of the whole block, where no items say more */
  @Nested(() => TypeRef, { orTyped: true, nullable: true }) type!: TypeRef | AsTyped | null;
  /** in place of the end's own; null takes the end's */
  @IsOptional() @IsIn(SWAPS) swap!: Swap | null;
  @RecordOf(() => ClaimItem) items!: Record<string, ClaimItem>;
  /** the other end's place as it was typed here; null where nothing was */
  @IsOptional() @IsString() @AtMost(200) toldPlace!: string | null;
  /** the station that this row asks, where its tool repeats it in every row: address, TCP port and unit in one text */
  @IsOptional() @IsString() @AtMost(200) toldStation?: string | null;
  /** the slot of the coupler on this end's side */
  @IsOptional() @IsInt() @Min(0) @Max(1000) slot?: number | null;
  /** in place of the exchange's cadence */
  @IsOptional() @IsIn(TRIGGERS) trigger?: Trigger | null;
  /** of data that is offered by name: whether others may use it; empty: not said */
  @IsOptional() @IsIn(OPENNESS) open?: Openness | null;
  @Nested(() => LayoutRule, { nullable: true }) layout?: LayoutRule | null;
}
