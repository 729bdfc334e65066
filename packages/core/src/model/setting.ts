import { IsIn, IsOptional, IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { PartOf } from './declared.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { LONGEST_TEXT } from './lengths.js';
import { SETTING_STATES, SETTING_WAYS, type SettingState, type SettingWay } from './words.js';

/**
 * What is known of getting one value of the model into the device that needs it. It points at the value and holds no
 * second planned one.
 */
export class Setting {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('station') station!: string;
  /** which: `port p1 address`, or `end e1` for all that an end holds */
  @IsString() @AtMost(LONGEST_TEXT) field!: string;
  /** what somebody found there */
  @IsText() found?: string;
  @IsOptional() @IsIn(SETTING_WAYS) how?: SettingWay;
  /** for which firmware that way holds, as a range */
  @IsText() firmware?: string;
  @IsIn(SETTING_STATES) state!: SettingState;
  /** what was sent; once the value is another one, it has changed since */
  @IsText() sent?: string;
  /** what stood there before and is to be set back when the work is done */
  @IsText() was?: string;
  /** of an adapter: the network that it was on before; empty: attached to nothing */
  @IsOptional() @IsString() @AtMost(64) wasOn?: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601; empty: nobody has said anything yet */
  @IsString() @AtMost(40) at!: string;
}
