import { IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { Nested, PartOf, RecordOf } from './declared.js';
import { BINDINGS, POLARITIES, type Binding, type Polarity } from './words.js';

/** A value that the lane is meant to carry. That two claims mean the same value is said by the key. */
export class LaneItem {
  @IsOrder() order!: number;
}

/** That a walk of a lane passed: on which revision, by whom, and what it depended on. */
export class Rehearsed {
  @IsInt() @Min(0) revision!: number;
  /** of everything that the walk went by; another one means that something was changed since */
  @IsString() @AtMost(40) digest!: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601 */
  @IsString() @AtMost(40) at!: string;
}

/** One block that is meant to be the same data at all its ends. */
export class Lane {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('exchange') exchange!: string;
  /** what it follows from, where it was made: `landing l1 inputs` */
  @IsText() madeBy?: string;
  /** in place of the exchange's */
  @IsOptional() @IsIn(BINDINGS) binding?: Binding | null;
  /** of a signal that a contact of the plant gives: what it is at rest */
  @IsOptional() @IsIn(POLARITIES) contact?: Polarity | null;
  /** ms that a value may be old where it is used, at most */
  @IsOptional() @IsInt() @Min(1) @Max(1e9) mostAge?: number | null;
  /** ms of the shortest signal that must not be missed */
  @IsOptional() @IsInt() @Min(1) @Max(1e9) shortest?: number | null;
  @Nested(() => Rehearsed, { nullable: true }) rehearsed?: Rehearsed | null;
  @RecordOf(() => LaneItem) items!: Record<string, LaneItem>;
}
