import type { Exchange } from '../model/exchange.js';
import type { NetworkKind, Transfer, Carried, Places, Calling, ToldFieldName } from '../model/words.js';

/** A field that an end is told about another, and what it is where nothing was typed. */
export interface ToldField {
  field: ToldFieldName;
  /** shown as 'default'; null: there is none, so empty means 'not told' */
  fallback: string | null;
  /** asked for only where the other end's port is on one of these; everywhere where nothing is said */
  on?: readonly NetworkKind[];
  /** can be left out; compared where something was typed */
  optional?: boolean;
}

/** What a protocol says. One file each, of this shape; the catalogue lists them. */
export interface Protocol {
  id: string;
  name: string;
  source: string;
  media: readonly NetworkKind[];
  /** how a message is framed on a serial line; only where there is one way */
  framing?: 'RTU';
  /** every type takes part in it; profiles need not say so */
  spokenByAll?: true;
  transfers: readonly Transfer[];
  carries(transfer: Transfer): Carried;
  /** how places are compared */
  places(transfer: Transfer): Places;
  /** the TCP port that an answering end listens on unless its port says otherwise */
  tcpPort: number | null;
  /** what a role is told about the other end, and so what can drift */
  told: Record<Calling, readonly ToldField[]>;
  /** most bits of one transfer that the calling end reads or writes; null: no limit known */
  limit: { reads: number; writes: number } | null;
}

/** The exchange names a protocol that is not in the catalogue, or `other` without its facts. */
export type ProtocolOf = (exchange: Exchange) => Protocol | null;
