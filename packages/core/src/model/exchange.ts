import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Nested } from './nested.js';
import {
  EXCHANGE_KINDS,
  TRANSFERS,
  CARRIED,
  PLACES,
  type ExchangeKind,
  type Transfer,
  type Carried,
  type Places,
} from './words.js';

/** For the protocol `other`: everything that a protocol file would say. */
export class OwnFacts {
  @IsString() @MaxLength(120) name!: string;
  @IsIn(CARRIED) carries!: Carried;
  @IsIn(PLACES) places!: Places;
  @IsOptional() @IsInt() @Min(1) @Max(65535) tcpPort!: number | null;
  @IsBoolean() unitTold!: boolean;
}

/** An agreement between ends. What each end says of it stands in its End and Claims. */
export class Exchange {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsIn(EXCHANGE_KINDS) kind!: ExchangeKind;
  /** a protocol's id of the catalogue */
  @IsString() @MaxLength(60) protocol!: string;
  @IsIn(TRANSFERS) transfer!: Transfer;
  @Nested(() => OwnFacts, { nullable: true }) facts?: OwnFacts | null;
  /** ms */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) cadence!: number | null;
  /** ms */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) timeout?: number | null;
  @IsText() comment?: string;
}
