import { IsIn, IsOptional, IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { Called, Names } from './declared.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { TEMPORARY_SORTS, type TemporarySort } from './words.js';

/** Something that was put in for the time of the work, and has to be gone again before anything is handed over. */
@Called('temporary thing')
export class TemporaryThing {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsIn(TEMPORARY_SORTS) sort!: TemporarySort;
  /** what it is, in words */
  @IsName() what!: string;
  @IsOptional() @IsId() @Names('station') station?: string | null;
  /** how it is undone, in words */
  @IsText() undo?: string;
  /** of a value that is held in a rehearsal: its link, and the key of the value */
  @IsText() link?: string;
  @IsText() value?: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601 */
  @IsString() @AtMost(40) at!: string;
}
