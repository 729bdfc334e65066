import type { Exchange } from '../model/exchange.js';
import type { NetworkKind, Transfer, Carried, Places, Calling } from '../model/words.js';

/** A field that an end is told about another, and what it is where nothing was typed. */
export interface ToldField {
  field: 'address' | 'tcpPort' | 'unit';
  /** shown as 'default'; null: there is none, so empty means 'not told' */
  fallback: string | null;
}

/** What a protocol says. One file each, of this shape; the catalogue lists them. */
export interface Protocol {
  id: string;
  name: string;
  source: string;
  media: readonly NetworkKind[];
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
