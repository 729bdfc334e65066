import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsId, IsName, IsOrder } from './fields.js';
import { RecordOf } from './nested.js';
import { PURPOSES, type Purpose } from './words.js';

/** A TCP port that a station answers on for one protocol. */
export class Listening {
  @IsInt() @Min(1) @Max(65535) tcpPort!: number;
}

/** A station's connection to a network. */
export class Port {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsId() station!: string;
  @IsOptional() @IsId() network!: string | null;
  @IsBoolean() enabled!: boolean;
  @IsIn(PURPOSES) purpose!: Purpose;
  /** IPv4 address, mask and gateway as typed; empty means not yet set */
  @IsString() @MaxLength(60) address!: string;
  @IsString() @MaxLength(60) mask!: string;
  @IsString() @MaxLength(60) gateway!: string;
  /** addresses it once had, to recognise an old copy by */
  @IsArray() @ArrayMaxSize(50) @IsString({ each: true }) @MaxLength(60, { each: true }) former!: string[];
  /** keyed by protocol: the TCP port it answers on, where it is not the protocol's own */
  @RecordOf(() => Listening) listens!: Record<string, Listening>;
  /** unit address, where it answers to one only */
  @IsOptional() @IsInt() @Min(0) @Max(65535) unit!: number | null;
}
