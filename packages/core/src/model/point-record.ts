import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { Called } from './declared.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { LONGEST_TEXT } from './lengths.js';
import { POINT_RESULTS, POINT_VIEWS, type PointResult, type PointView } from './words.js';

/** That somebody tested a point on site: what was set, what was seen, where, by whom and on which revision. */
@Called('record of a point test', 'records of point tests')
export class PointRecord {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** which point: `value LANE ITEM SOURCE SINK`, or `reach EXPECTATION` */
  @IsString() @AtMost(LONGEST_TEXT) point!: string;
  /** what it was called then, so that it can be told once the point is gone */
  @IsString() @AtMost(LONGEST_TEXT) name!: string;
  @IsIn(POINT_RESULTS) result!: PointResult;
  /** where it was seen: one alone proves nothing */
  @IsIn(POINT_VIEWS) view!: PointView;
  /** what was set, and what was seen in place of what was expected */
  @IsText() set?: string;
  @IsText() saw?: string;
  /** why it was skipped, or a remark */
  @IsText() reason?: string;
  /** whether its quality was good, where somebody looked at that */
  @IsOptional() @IsBoolean() good?: boolean | null;
  /** the revision of the project that was loaded then */
  @IsInt() @Min(0) @Max(1e9) revision!: number;
  /** of everything that the point rests on; another one means that it was changed since */
  @IsString() @AtMost(40) basis!: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601, by the clock of whoever saw it */
  @IsString() @AtMost(40) at!: string;
}
