import { IsString, MaxLength } from 'class-validator';
import { IsId, IsOrder } from './fields.js';
import { LONGEST_TEXT } from './longest.js';

/** Somebody's word that a Doubt is all right. It falls away when what the finding rests on changes. */
export class Acceptance {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** the finding's key */
  @IsString() @MaxLength(LONGEST_TEXT) finding!: string;
  /** what the finding rested on, see `restsOn` */
  @IsString() @MaxLength(64) rests!: string;
  @IsString() @MaxLength(LONGEST_TEXT) reason!: string;
  /** who accepted it */
  @IsString() @MaxLength(200) name!: string;
  /** when, as ISO 8601 */
  @IsString() @MaxLength(40) at!: string;
}
