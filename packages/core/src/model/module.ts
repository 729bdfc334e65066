import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Nested, PartOf } from './declared.js';
import { MODULE_KINDS, type ModuleKind } from './words.js';

/** A module as a list or a look at the real thing has it. */
export class SeenModule {
  @IsString() @AtMost(100) orderCode!: string;
  @IsString() @AtMost(60) revision!: string;
  /** which list, or who looked and when */
  @IsText() source?: string;
}

/** What is plugged into a slot. It knows no owner: owners say so themselves, in a landing. */
export class Module {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsId() @PartOf('rack') rack!: string;
  /** as its rack counts; null: not placed yet */
  @IsOptional() @IsInt() @Min(0) @Max(1000) slot!: number | null;
  @IsIn(MODULE_KINDS) kind!: ModuleKind;
  @IsString() @AtMost(100) orderCode!: string;
  /** bytes that it puts into and takes out of images */
  @IsInt() @Min(0) @Max(100_000) inputs!: number;
  @IsInt() @Min(0) @Max(100_000) outputs!: number;
  /** by the hardware list */
  @Nested(() => SeenModule, { nullable: true }) listed?: SeenModule | null;
  /** as found in the rack */
  @Nested(() => SeenModule, { nullable: true }) found?: SeenModule | null;
  /** what its dial or switches are to be set to, and whether they were read in afterwards */
  @IsText() dial?: string;
  @IsOptional() @IsBoolean() dialRead?: boolean;
  /** the version of its description file */
  @IsText() description?: string;
  @IsText() comment?: string;
}
