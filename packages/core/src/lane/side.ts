import { formatRange } from '../address/format-address.js';
import { lengthBits } from '../address/length.js';
import { layoutFor, memoryOf, type Memory } from '../address/memory.js';
import { bitOf, locate, spansOf, type Located, type Span } from '../address/resolve.js';
import type { Frame } from '../data/layout.js';
import type { ChainSide } from '../data/chain.js';
import { isTyped, readable } from '../model/as-typed.js';
import type { Claim, Place } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { realPlace } from '../tags/tag-place.js';
import { protocolOf } from '../protocol/catalogue.js';

export type ClaimField = 'direction' | 'place' | 'length' | 'type';

/** Where a claim's block lies, worked out once per claim. */
export interface Block {
  memory: Memory;
  place: Place;
  located: Located;
  /** header included */
  lengthBits: number;
  /** what is left of the length after the header: what travels */
  payloadBits: number;
  spans: Span[];
  /** significance of the bit at which it begins, where a bit was named */
  startBit: number | undefined;
  chain: ChainSide;
  /** equal texts: equal frame and swap, so that values between them need no chain to be worked out */
  frameKey: string;
}

/** One end of a lane as far as it is filled in. */
export interface Side {
  claim: Claim;
  end: End;
  station: Station;
  block: Block | null;
  /** fields with nothing in them, and fields whose text could not be read */
  missing: ClaimField[];
  unread: ClaimField[];
}

interface CachedBlock {
  memory: Memory;
  end: End;
  exchange: Exchange;
  block: Block | null;
}
const blocks = new WeakMap<Claim, CachedBlock>();

/** The block of a claim, or null where place or length are missing; cached by what it was worked out from. */
export function blockOf(reader: Reader, claim: Claim, end: End, exchange: Exchange): Block | null {
  const typed = readable(claim.place);
  const place = typed && realPlace(reader, typed);
  const length = readable(claim.length);
  const memory = place && memoryOf(reader, place.area);
  if (!place || !length || !memory) return null;
  const known = blocks.get(claim);
  if (
    known &&
    known.memory === memory &&
    (known.block?.place === place || typed === place) &&
    known.end === end &&
    known.exchange === exchange
  )
    return known.block;
  const layout = layoutFor(memory, claim.layout);
  const located = locate(memory, place, layout);
  let block: Block | null = null;
  if (located) {
    const bits = lengthBits(length);
    const { unit, wordBits, highFirst, fromBottom } = located.row;
    const payloadBits = Math.max(0, bits - (claim.header ?? 0));
    const frame: Frame = { unit, wordBits, highFirst, layout, fromBottom };
    const carries = protocolOf(exchange).carries(exchange.transfer);
    const swap = claim.swap ?? end.swap;
    block = {
      memory,
      place,
      located,
      lengthBits: bits,
      payloadBits,
      spans: spansOf(located.row, located.linear, bits),
      startBit: bitOf(located, place),
      chain: { frame, swap, carries, payloadBits },
      frameKey: [
        unit,
        wordBits,
        highFirst,
        layout.registerOrder,
        layout.boolPacking,
        layout.boolNumbering,
        layout.stringHeader,
        layout.characters,
        unit === 1 && !fromBottom,
        carries,
        swap,
      ].join(),
    };
  }
  blocks.set(claim, { memory, end, exchange, block });
  return block;
}

/** A claim with its end, station and block; null where end or station are gone. */
export function sideOf(reader: Reader, claim: Claim, exchange: Exchange): Side | null {
  const end = reader.get('end', claim.end);
  const station = end && reader.get('station', end.station);
  if (!end || !station) return null;
  const missing: ClaimField[] = [];
  const unread: ClaimField[] = [];
  if (!claim.direction) missing.push('direction');
  else if (isTyped(claim.direction)) unread.push('direction');
  const { place } = claim;
  if (!place) missing.push('place');
  else if (isTyped(place)) unread.push('place');
  if (!claim.length) missing.push('length');
  else if (isTyped(claim.length)) unread.push('length');
  if (Object.keys(claim.items).length === 0) {
    if (!claim.type) missing.push('type');
    else if (isTyped(claim.type)) unread.push('type');
  }
  const block = blockOf(reader, claim, end, exchange);
  if (!block && readable(place) && readable(claim.length)) unread.push('place');
  return { claim, end, station, block, missing, unread };
}

/**
 * Whether the payload begins inside a unit of what the protocol carries, so that which carried word or byte a value is in
 * is not known.
 */
export function startsInside(block: Block): boolean {
  const { carries, frame } = block.chain;
  const unit = carries === 'words' ? (frame.wordBits === 8 ? 8 : frame.wordBits) : carries === 'bytes' ? 8 : 1;
  return (block.located.linear + block.lengthBits - block.payloadBits) % unit !== 0;
}

/** `%MW324–%MW329` of a side, in its own notation. */
export function rangeOf(block: Block): string {
  return formatRange(block.memory, block.place, block.lengthBits);
}
