import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { LONGEST_ROUTE } from './lengths.js';
import { Names, Nested, RecordOf } from './declared.js';
import { TRAFFICS, type Traffic } from './words.js';

/** One text of those that a program may build while it runs. */
export class PermittedText {
  @IsOrder() order!: number;
  @IsString() @AtMost(LONGEST_ROUTE) text!: string;
  /** the station that this text leads to; empty: the one that the route leads to */
  @IsOptional() @IsId() @Names('station') to?: string | null;
}

/** That the text is put together by a program while it runs. */
export class BuiltText {
  /** what it is built from, in words */
  @IsString() @AtMost(500) from!: string;
  /** whether the program takes no text but those permitted */
  @IsBoolean() checked!: boolean;
  @RecordOf(() => PermittedText) permitted!: Record<string, PermittedText>;
}

/** How a request travels from one station to another, and what somebody typed for it. */
export class Route {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** the station that asks */
  @IsId() @Names('station', 'it goes') from!: string;
  @IsId() @Names('station', 'it goes') to!: string;
  /** its own port that the first hop leaves by; null: any */
  @IsOptional() @IsId() @Names('port') port!: string | null;
  @IsIn(TRAFFICS) traffic!: Traffic;
  /** the slot of the CPU that is meant, where the rack has several; null: the first */
  @IsOptional() @IsInt() @Min(0) @Max(1000) slot?: number | null;
  /** the text as it was typed at the station that asks; empty: none yet */
  @IsString() @AtMost(LONGEST_ROUTE) stated!: string;
  @Nested(() => BuiltText, { nullable: true }) built?: BuiltText | null;
  @IsText() comment?: string;
}
