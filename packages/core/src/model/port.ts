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
import { Names, Nested, PartOf, RecordOf } from './declared.js';
import {
  ADDRESS_SOURCES,
  CALLING,
  ELECTRICAL,
  LINE_ROLES,
  PURPOSES,
  RADIO_SORTS,
  TRAFFICS,
  type AddressSource,
  type Calling,
  type Electrical,
  type LineRole,
  type Purpose,
  type RadioSort,
  type Traffic,
} from './words.js';

/** A TCP port that a station answers on for one protocol. */
export class Listening {
  @IsInt() @Min(1) @Max(65535) tcpPort!: number;
}

/** Roles of one protocol that are switched off at a port. */
export class SwitchedOff {
  @IsArray() @ArrayUnique() @IsIn(CALLING, { each: true }) roles!: Calling[];
}

/** Another IPv4 address of the same port, as typed. */
export class FurtherAddress {
  @IsOrder() order!: number;
  @IsString() @AtMost(60) address!: string;
  @IsString() @AtMost(60) mask!: string;
  @IsIn(ADDRESS_SOURCES) how!: AddressSource;
}

/** What is set at one radio unit, as typed. */
export class RadioUnit {
  @IsIn(RADIO_SORTS) sort!: RadioSort;
  /** its number in the network */
  @IsText() number?: string;
  @IsText() id?: string;
  @IsText() band?: string;
  @IsText() rate?: string;
  @IsText() mode?: string;
}

/** A station's connection to a network. */
export class Port {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsId() @PartOf('station') station!: string;
  @IsOptional() @IsId() @Names('network') network!: string | null;
  @IsBoolean() enabled!: boolean;
  @IsIn(PURPOSES) purpose!: Purpose;
  /** IPv4 address, mask and gateway as typed; empty means not yet set */
  @IsString() @AtMost(60) address!: string;
  @IsString() @AtMost(60) mask!: string;
  @IsString() @AtMost(60) gateway!: string;
  /** addresses it once had, to recognise an old copy by */
  @IsArray() @ArrayMaxSize(50) @IsString({ each: true }) @AtMost(60, { each: true }) former!: string[];
  /** keyed by protocol: the TCP port it answers on, where it is not the protocol's own */
  @RecordOf(() => Listening) listens!: Record<string, Listening>;
  /** keyed by protocol: what of it is not enabled here; all else that the type speaks is */
  @RecordOf(() => SwitchedOff, { nullable: true, onOneLine: true }) off?: Record<string, SwitchedOff> | null;
  /** unit address, where it answers to one only */
  @IsOptional() @IsInt() @Min(0) @Max(65535) unit!: number | null;
  /** the module that it is on, where it is on one */
  @IsOptional() @IsId() @Names('module') module?: string | null;
  /** how it gets its address; by hand where nothing is said */
  @IsOptional() @IsIn(ADDRESS_SOURCES) how?: AddressSource;
  @RecordOf(() => FurtherAddress, { nullable: true }) further?: Record<string, FurtherAddress> | null;
  /** the name that cyclic Ethernet I/O finds it by */
  @IsText() deviceName?: string;
  /** its hardware (MAC) address, as typed */
  @IsText() hardware?: string;
  /** on a serial line */
  @IsOptional() @IsIn(LINE_ROLES) lineRole?: LineRole;
  @IsOptional() @IsIn(ELECTRICAL) electrical?: Electrical;
  /** rate and character, as typed: `9600 8E1` */
  @IsText() serial?: string;
  /** on a token bus, as typed */
  @IsText() node?: string;
  @IsText() busRate?: string;
  @IsText() busProfile?: string;
  /** whether it takes the token itself; one that only answers does not */
  @IsOptional() @IsBoolean() busActive?: boolean;
  /** telemetry address, as typed */
  @IsText() telemetry?: string;
  @Nested(() => RadioUnit, { nullable: true }) radio?: RadioUnit | null;
  /** of an adapter of a virtual machine: the host's adapter that it is bridged to */
  @IsOptional() @IsId() @Names('port') bridgedTo?: string | null;
  /** which kinds of service traffic it takes; any where nothing is said */
  @IsOptional() @IsArray() @ArrayUnique() @IsIn(TRAFFICS, { each: true }) takes?: Traffic[] | null;
  /** service traffic comes in by a tunnel, with addresses of this pool, as typed; empty: the pool is not known yet */
  @IsOptional() @IsString() @AtMost(100) tunnel?: string | null;
  /** how it can be told from others of the same computer */
  @IsText() recognised?: string;
}
