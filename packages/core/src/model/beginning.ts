import { ArrayUnique, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { Nested, RecordOf } from './declared.js';
import { IsName, IsOrder } from './fields.js';
import { Zone } from './rack.js';
import {
  AREA_KINDS,
  MODULE_KINDS,
  NETWORK_KINDS,
  PURPOSES,
  ROLES,
  WORD_BITS,
  type AreaKind,
  type ModuleKind,
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

/** A module that stands in the rack of a station of a type from the start. */
export class FirstModule {
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsInt() @Min(0) @Max(1000) slot!: number;
  @IsIn(MODULE_KINDS) kind!: ModuleKind;
  /** the key of the port that is on it */
  @IsOptional() @IsString() @AtMost(60) port?: string;
}

/** The rack that a station of a type has from the start. */
export class FirstRack {
  @IsName() name!: string;
  @IsInt() @Min(1) @Max(1000) size!: number;
  @IsInt() @Min(0) @Max(1000) first!: number;
  @IsBoolean() gaps!: boolean;
  /** whether image addresses follow from the slots, module after module */
  @IsOptional() @IsBoolean() addressesFollow?: boolean;
  @RecordOf(() => Zone) zones!: Record<string, Zone>;
  @RecordOf(() => FirstModule, { onOneLine: true }) modules!: Record<string, FirstModule>;
}

/** What a station of a type begins with. */
export class Beginning {
  @IsArray() @ArrayUnique() @IsIn(ROLES, { each: true }) roles!: Role[];
  @RecordOf(() => FirstPort, { onOneLine: true }) ports!: Record<string, FirstPort>;
  @RecordOf(() => FirstArea, { onOneLine: true }) areas!: Record<string, FirstArea>;
  @Nested(() => FirstRack, { nullable: true }) rack?: FirstRack | null;
  /** keys of the blocks of the profile that are taken of its memory from the start */
  @IsOptional() @IsArray() @ArrayUnique() @IsString({ each: true }) @AtMost(60, { each: true }) blocks?: string[];
  @IsString() @AtMost(500) source!: string;
}
