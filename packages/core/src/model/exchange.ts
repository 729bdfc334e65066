import {
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  Min,
} from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Names, Nested, RecordOf } from './declared.js';
import {
  BINDINGS,
  EXCHANGE_KINDS,
  type Binding,
  NETWORK_KINDS,
  type NetworkKind,
  TRANSFERS,
  CARRIED,
  ON_RETURN,
  PLACES,
  SINKS_ON_LOSS,
  SOURCE_ON_LOSS,
  type ExchangeKind,
  type Transfer,
  type Carried,
  type OnReturn,
  type Places,
  type SinksOnLoss,
  type SourceOnLoss,
} from './words.js';

/** For the protocol `other`: everything that a protocol file would say. */
export class OwnFacts {
  @IsString() @AtMost(120) name!: string;
  @IsIn(CARRIED) carries!: Carried;
  @IsIn(PLACES) places!: Places;
  @IsOptional() @IsInt() @Min(1) @Max(65535) tcpPort!: number | null;
  @IsBoolean() unitTold!: boolean;
  /** networks that it runs on; empty: Ethernet */
  @IsOptional() @IsArray() @ArrayUnique() @IsIn(NETWORK_KINDS, { each: true }) media?: NetworkKind[];
  /** bytes of one transfer at most; empty: not known */
  @IsOptional() @IsInt() @Min(1) @Max(1e9) limit?: number | null;
}

/** What was decided for the time when the link is gone, and for its return. Empty: not decided yet. */
export class OnLoss {
  @IsOptional() @IsIn(SINKS_ON_LOSS) sinks?: SinksOnLoss;
  @IsOptional() @IsIn(SOURCE_ON_LOSS) source?: SourceOnLoss;
  @IsOptional() @IsIn(ON_RETURN) back?: OnReturn;
  /** what is not sent again after the link is back */
  @IsText() notRepeated?: string;
}

/** One step by which an exchange comes to run: what the program of one end sets, or waits to see. */
export class StartStep {
  @IsOrder() order!: number;
  /** whose program; empty where the end is gone */
  @IsOptional() @IsId() @Names('end') end?: string | null;
  @IsName() does!: string;
  /** the part of a reserved block that it sets or sees: `area reservation member` */
  @IsText() member?: string;
}

/** An agreement between ends. What each end says of it stands in its End and Claims. */
export class Exchange {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsIn(EXCHANGE_KINDS) kind!: ExchangeKind;
  /** a protocol's id of the catalogue */
  @IsString() @AtMost(60) protocol!: string;
  @IsIn(TRANSFERS) transfer!: Transfer;
  @Nested(() => OwnFacts, { nullable: true }) facts?: OwnFacts | null;
  /** ms */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) cadence!: number | null;
  /** ms */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) timeout?: number | null;
  /** ms from the end of a request to the beginning of its answer, at most */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) responseDelay?: number | null;
  /** of a tag map: by what the two ends find each other's data, unless a lane says otherwise */
  @IsOptional() @IsIn(BINDINGS) binding?: Binding | null;
  /** of a coupler area: the station that couples */
  @IsOptional() @IsId() @Names('station') via?: string | null;
  @RecordOf(() => StartStep, { nullable: true }) start?: Record<string, StartStep> | null;
  /** the lane, or `lane value`, by which each end sees that the other is there */
  @IsText() watchedBy?: string;
  /** ms: an idle connection is asked after this long whether it still stands */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) keepAlive?: number | null;
  /** ms: the answering end closes a connection that was quiet for so long */
  @IsOptional() @IsNumber() @Min(0) @Max(1e12) inactivity?: number | null;
  @Nested(() => OnLoss, { nullable: true }) onLoss?: OnLoss | null;
  @IsText() comment?: string;
}
