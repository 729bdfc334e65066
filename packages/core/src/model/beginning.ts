import { ArrayUnique, IsArray, IsIn, IsInt, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { RecordOf } from './declared.js';
import { IsName, IsOrder } from './fields.js';
import {
  AREA_KINDS,
  NETWORK_KINDS,
  PURPOSES,
  ROLES,
  WORD_BITS,
  type AreaKind,
  type NetworkKind,
  type Purpose,
  type Role,
  type WordBits,
} from './words.js';

/** A port that a station of a type has from the start. */
export class FirstPort {
  @IsOrder() order!: number;
  @IsName() name!: string;
  /** what it can be attached to */
  @IsIn(NETWORK_KINDS) medium!: NetworkKind;
  @IsIn(PURPOSES) purpose!: Purpose;
}

/** An area that a station of a type has from the start; its notations are the views of the profile for this kind. */
export class FirstArea {
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsIn(AREA_KINDS) kind!: AreaKind;
  @IsIn(WORD_BITS) wordBits!: WordBits;
  @IsInt() @Min(1) @Max(100_000_000) words!: number;
}

/** What a station of a type begins with. */
export class Beginning {
  @IsArray() @ArrayUnique() @IsIn(ROLES, { each: true }) roles!: Role[];
  @RecordOf(() => FirstPort, { onOneLine: true }) ports!: Record<string, FirstPort>;
  @RecordOf(() => FirstArea, { onOneLine: true }) areas!: Record<string, FirstArea>;
  @IsString() @AtMost(500) source!: string;
}
