import { IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsOrder } from './fields.js';
import { LONGEST_TEXT } from './lengths.js';

/** Somebody has typed, or looked up, a value where it has to stand. Holds as long as that is the value. */
export class Tick {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** which copy: `end ea told.eb.address` */
  @IsString() @AtMost(LONGEST_TEXT) copy!: string;
  @IsString() @AtMost(LONGEST_TEXT) value!: string;
  @IsString() @AtMost(200) name!: string;
  /** when, as ISO 8601 */
  @IsString() @AtMost(40) at!: string;
}
