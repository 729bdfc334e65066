import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { LayoutRule } from './layout-rule.js';
import { Names, Nested, RecordOf } from './declared.js';
import {
  FROM_OUTSIDE,
  GUARDS,
  PARTIES,
  ROLES,
  RUN_STATES,
  type FromOutside,
  type Guard,
  type Party,
  type Role,
  type RunState,
} from './words.js';

/** The firmware of one part of a station, where CPU and I/O have their own. */
export class Firmware {
  @IsOrder() order!: number;
  @IsName() part!: string;
  /** as typed; compared part by part, so that 12.10 is above 12.9 */
  @IsString() @AtMost(60) version!: string;
}

/** What somebody saw it do. */
export class Observed {
  @IsIn(RUN_STATES) state!: RunState;
  @IsText() code?: string;
  @IsText() modeSwitch?: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601 */
  @IsString() @AtMost(40) at!: string;
}

/** A station of another project, and the revision of that project from which it was taken over. */
export class TakenFrom {
  @IsName() project!: string;
  @IsName() station!: string;
  @IsString() @AtMost(60) revision!: string;
  /** the newest that is known to be there */
  @IsOptional() @IsString() @AtMost(60) newest?: string | null;
}

/** A name by which a tag server groups what it asks of one station. */
export class TagGroup {
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsOptional() @IsId() @Names('station') station?: string | null;
}

/** Anything that takes part in an exchange. */
export class Station {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsArray() @ArrayMaxSize(ROLES.length) @ArrayUnique() @IsIn(ROLES, { each: true }) roles!: Role[];
  /** the profile's id, or null where nothing is known of its type */
  @IsOptional() @IsId() @Names('profile') profile!: string | null;
  /** own; outside: only described, its words count as said on paper; or of another project */
  @IsIn(PARTIES) party!: Party;
  @Nested(() => TakenFrom, { nullable: true }) takenFrom?: TakenFrom | null;
  @IsText() typeText?: string;
  /** types that it can be entered as besides its own, separated by commas */
  @IsText() actsAs?: string;
  @IsText() orderCode?: string;
  @IsText() revision?: string;
  /** the version of the description by which others know it */
  @IsText() description?: string;
  /** the version of the tool with which it is set */
  @IsText() tool?: string;
  @RecordOf(() => Firmware, { nullable: true }) firmware?: Record<string, Firmware> | null;
  /** ms from one pass of its program to the next */
  @IsOptional() @IsInt() @Min(0) @Max(3_600_000) scan?: number | null;
  /** the station that hosts this software: its addresses are then the host's */
  @IsOptional() @IsId() @Names('station') runsOn?: string | null;
  @Nested(() => Observed, { nullable: true }) observed?: Observed | null;
  @IsOptional() @IsIn(GUARDS) guard?: Guard | null;
  /** what it lets others do with its data; empty: not said */
  @IsOptional() @IsIn(FROM_OUTSIDE) fromOutside?: FromOutside | null;
  /** of a tag server: its groups, each of one station */
  @RecordOf(() => TagGroup, { nullable: true, onOneLine: true }) groups?: Record<string, TagGroup> | null;
  /** who answers for it */
  @IsText() supplier?: string;
  @Nested(() => LayoutRule, { nullable: true }) layout?: LayoutRule | null;
  @IsText() comment?: string;
}
