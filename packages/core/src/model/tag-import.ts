import { IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Nested, PartOf } from './declared.js';

/** What became of the tags of a file. */
export class Became {
  @IsInt() @Min(0) @Max(1e7) added!: number;
  @IsInt() @Min(0) @Max(1e7) changed!: number;
  @IsInt() @Min(0) @Max(1e7) dropped!: number;
  @IsInt() @Min(0) @Max(1e7) unchanged!: number;
}

/** A file of tags that was brought into a station. */
export class TagImport {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('station') station!: string;
  @IsName() file!: string;
  /** the name of its format */
  @IsString() @AtMost(60) format!: string;
  /** when it was brought in, ISO 8601 */
  @IsString() @AtMost(40) at!: string;
  /** when the file was last saved, as its computer says, ISO 8601 */
  @IsOptional() @IsString() @AtMost(40) saved?: string | null;
  /** when its source was last changed, where somebody has said so, ISO 8601 */
  @IsOptional() @IsString() @AtMost(40) source?: string | null;
  @Nested(() => Became) became!: Became;
  /** how its columns were understood: `name: Variablenname`, line by line; remembered for the next file with the same headings */
  @IsText() understood?: string;
}
