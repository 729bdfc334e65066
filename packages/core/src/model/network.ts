import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Nested } from './declared.js';
import { NETWORK_KINDS, WIRINGS, type NetworkKind, type Wiring } from './words.js';

/** What all units of one radio network have in common, as typed. */
export class RadioSettings {
  /** the network's own identification, by which its units know each other */
  @IsText() id?: string;
  @IsText() band?: string;
  @IsText() rate?: string;
  @IsText() mode?: string;
  @IsText() topology?: string;
  /** channels that are not to be used */
  @IsText() blocked?: string;
  /** how many repeaters and end units the base is set up for */
  @IsOptional() @IsInt() @Min(0) @Max(10_000) repeaters?: number;
  @IsOptional() @IsInt() @Min(0) @Max(10_000) endUnits?: number;
}

/** What ports attach to. */
export class Network {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsIn(NETWORK_KINDS) kind!: NetworkKind;
  /** IPv4 subnet as typed, `10.48.10.0/24` */
  @IsText() subnet?: string;
  /** of an Ethernet network, Mbit/s */
  @IsOptional() @IsInt() @Min(1) @Max(400_000) linkRate?: number | null;
  /** of a serial line */
  @IsOptional() @IsIn(WIRINGS) wiring?: Wiring;
  /** of a token bus, as typed: rate, the name of its set of times, and the highest address that is asked for */
  @IsText() busRate?: string;
  @IsText() busProfile?: string;
  @IsText() highestAddress?: string;
  @Nested(() => RadioSettings, { nullable: true }) radio?: RadioSettings | null;
  @IsText() comment?: string;
}
