import { IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsOrder } from './fields.js';
import { LONGEST_TEXT } from './lengths.js';

/** Somebody's word that a Doubt is all right. It falls away when what the finding rests on changes. */
export class Acceptance {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** the finding's key */
  @IsString() @AtMost(LONGEST_TEXT) finding!: string;
  /** what the finding rested on, see `restsOn` */
  @IsString() @AtMost(64) rests!: string;
  @IsString() @AtMost(LONGEST_TEXT) reason!: string;
  /** who accepted it */
  @IsString() @AtMost(200) name!: string;
  /** when, as ISO 8601 */
  @IsString() @AtMost(40) at!: string;
}
