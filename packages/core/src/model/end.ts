import { IsBoolean, IsIn, IsOptional, IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { Names, Nested, PartOf, RecordOf } from './declared.js';
import { CALLING, ELEMENT_BITS, SWAPS, type Calling, type ElementBits, type Swap } from './words.js';

/** What an end was told about another end: typed by people, stored as typed; empty takes the protocol's default. */
export class Told {
  @IsString() @AtMost(200) address!: string;
  @IsString() @AtMost(60) tcpPort!: string;
  @IsString() @AtMost(60) unit!: string;
  @IsText() node?: string;
  @IsText() telemetry?: string;
  /** the name that the device is found by */
  @IsText() name?: string;
  /** the slot of the CPU */
  @IsText() slot?: string;
  /** the partner's type as it was entered, a deliberate 'acts as' included */
  @IsText() type?: string;
  /** the other's references: connection number or selector, instances */
  @IsText() connection?: string;
  @IsText() input?: string;
  @IsText() output?: string;
  @IsText() configuration?: string;
}

/** What an end's own connection is called by: its number or selector, and its instances, as typed. */
export class References {
  @IsText() connection?: string;
  @IsText() input?: string;
  @IsText() output?: string;
  @IsText() configuration?: string;
}

/** One station's side of an exchange. */
export class End {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('exchange') exchange!: string;
  @IsId() @Names('station', 'it goes') station!: string;
  @IsOptional() @IsId() @Names('port') port!: string | null;
  /** who starts: calls, or listens; null is not yet decided */
  @IsOptional() @IsIn(CALLING) calling!: Calling | null;
  /** the protocol of its side, where the two sides of a coupler have different ones */
  @IsOptional() @IsString() @AtMost(60) protocol?: string | null;
  @Nested(() => References, { nullable: true }) references?: References | null;
  /** bits of the elements that its sizes are counted in; empty: bytes */
  @IsOptional() @IsIn(ELEMENT_BITS) elementBits?: ElementBits | null;
  /** one of several that the caller chooses from while it runs */
  @IsOptional() @IsBoolean() permitted?: boolean;
  /** for everything that leaves or arrives here, unless a claim says otherwise */
  @IsIn(SWAPS) swap!: Swap;
  /** keyed by the other end */
  @RecordOf(() => Told, { keyedBy: 'end' }) told!: Record<string, Told>;
  /** an outside end's word that this is so */
  @IsOptional() @IsBoolean() confirmed?: boolean;
}
