import { IsIn, IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { Called } from './declared.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { LONGEST_TEXT } from './lengths.js';
import { WORK_STATES, type WorkState } from './words.js';

/** What became of one step of the order of work: by whom, when, and what was seen. Holds as long as what the step rests on. */
@Called('record of a step', 'records of steps')
export class WorkRecord {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** which step: `load plantctl` */
  @IsString() @AtMost(LONGEST_TEXT) step!: string;
  @IsIn(WORK_STATES) state!: WorkState;
  /** what the step rested on; once that is another, the step is open again */
  @IsString() @AtMost(40) basis!: string;
  /** why it was skipped, what was seen where it failed, or why it was done before its turn */
  @IsText() reason?: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601 */
  @IsString() @AtMost(40) at!: string;
}
