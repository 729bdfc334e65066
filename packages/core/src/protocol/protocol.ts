import type { Exchange } from '../model/exchange.js';
import type { NetworkKind, Transfer, Carried, Places, Calling, ReferenceField, ToldFieldName } from '../model/words.js';

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
  /**
   * References by which each end knows its connection, and how they pair: `equal`, the same at both; `mirrored`, what one
   * calls input is the other's output; `crossed`, each end has its own and is told the other's.
   */
  references?: { fields: readonly ReferenceField[]; pairing: 'equal' | 'mirrored' | 'crossed' };
  /** cadences that it can keep, in ms, and how they are said; any where nothing is stated */
  cadences?: { has(ms: number): boolean; nearest(ms: number): number; words: string };
  /** bytes that each message takes on Ethernet besides the data, from the Ethernet header's end on */
  overhead?: number;
  /** what an answering end declares before others can ask it for anything */
  declares?: string;
  /** most bits of one transfer that the calling end reads or writes; null: no limit known */
  limit: { reads: number; writes: number } | null;
}

/** The exchange names a protocol that is not in the catalogue, or `other` without its facts. */
export type ProtocolOf = (exchange: Exchange) => Protocol | null;
