import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Max,
  Min,
} from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { PartOf, RecordOf } from './declared.js';
import { MODULE_KINDS, type ModuleKind } from './words.js';

/** Neighbouring slots that take only some kinds of module. */
export class Zone {
  @IsOrder() order!: number;
  @IsName() name!: string;
  /** the rack's slot that it begins with */
  @IsInt() @Min(0) @Max(1000) slot!: number;
  @IsInt() @Min(1) @Max(1000) size!: number;
  @IsArray() @ArrayUnique() @IsIn(MODULE_KINDS, { each: true }) kinds!: ModuleKind[];
  /** what its first slot is called, where it counts for itself */
  @IsOptional() @IsInt() @Min(0) @Max(1000) first?: number;
  @IsOptional() @IsBoolean() gaps?: boolean;
}

/** A row of slots. */
export class Rack {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsId() @PartOf('station') station!: string;
  @IsInt() @Min(1) @Max(1000) size!: number;
  /** how many slots were seen, where somebody looked */
  @IsOptional() @IsInt() @Min(1) @Max(1000) found?: number | null;
  @IsInt() @Min(0) @Max(1000) first!: number;
  /** whether an empty slot may lie between two modules */
  @IsBoolean() gaps!: boolean;
  /** whether image addresses follow from the slots, module after module */
  @IsOptional() @IsBoolean() addressesFollow?: boolean;
  @RecordOf(() => Zone) zones!: Record<string, Zone>;
  /** order codes of the modules that its base takes; empty: any */
  @IsArray() @ArrayMaxSize(500) @IsString({ each: true }) @AtMost(100, { each: true }) takes!: string[];
  @IsText() comment?: string;
}
