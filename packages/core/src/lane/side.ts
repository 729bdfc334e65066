import { formatRange } from '../place/format-address.js';
import { lengthBits } from '../place/length.js';
import { layoutFor, memoryOf, type Memory } from '../place/memory.js';
import { placeInUnit } from '../data/bit-in-unit.js';
import { areaBit } from '../data/linear.js';
import { bitOf, joined, locate, spansOf, type Located, type Span } from '../place/resolve.js';
import { bitNumber, bitPosition } from '../data/bit-order.js';
import { numberingUnit, type Frame } from '../data/layout.js';
import type { ChainSide } from '../data/chain.js';
import { isTyped, readable } from '../model/as-typed.js';
import type { Claim, Place } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Carried } from '../model/words.js';
import type { FullLayout } from '../model/layout-defaults.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { realPlace } from '../place/tag-place.js';
import { protocolOf } from '../protocol/catalogue.js';

export type ClaimField = 'direction' | 'place' | 'length' | 'type';

/** Where a claim's block lies, worked out once per claim. */
export interface Block {
  memory: Memory;
  place: Place;
  located: Located;
  /** linear index along the row from which positions of the payload's values are counted: a whole unit */
  origin: number;
  /** so many single bits, which travel one by one */
  single: boolean;
  /** header included */
  lengthBits: number;
  /** what is left of the length after the header: what travels */
  payloadBits: number;
  spans: Span[];
  /** significance of the bit at which it begins, where a bit was named */
  startBit: number | undefined;
  chain: ChainSide;
  /** how the protocol carries blocks as a rule, which single bits of a register are no exception from */
  usual: Carried;
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
  const block = located && blockAt(memory, place, located, claim, lengthBits(length), layout, end, exchange);
  blocks.set(claim, { memory, end, exchange, block });
  return block;
}

function blockAt(
  memory: Memory,
  place: Place,
  located: Located,
  claim: Claim,
  bits: number,
  ownLayout: FullLayout,
  end: End,
  exchange: Exchange,
): Block {
  const { unit, wordBits, highFirst, fromBottom } = located.row;
  const header = Math.min(bits, claim.header ?? 0);
  const payloadBits = bits - header;
  const carries = protocolOf(exchange).carries(exchange.transfer);
  const inUnit = unit === 1 ? 1 : Math.min(unit, wordBits);
  // Where bits travel or are counted, half a word is its first bits; where bytes or words are, a byte is one of two.
  const inBits = carries === 'bits' || readable(claim.length)?.unit === 1;
  const part = unit === 1 ? wordBits : inBits ? inUnit : 8;
  const single = (unit > 1 || carries !== 'bits') && isSingle(place, part, located.linear, header, payloadBits, unit);
  // What lies bit by bit is packed one BOOL a bit, whatever whole words are packed like.
  const layout = single && unit > 1 ? { ...ownLayout, boolPacking: 'bit' as const } : ownLayout;
  const frame: Frame = { unit, wordBits, highFirst, layout, fromBottom };
  const payload = located.linear + header;
  const whole = Math.max(inUnit, carries === 'words' ? (wordBits === 8 ? 8 : wordBits) : 8, unit === 1 ? wordBits : 0);
  const origin = Math.floor(payload / whole) * whole;
  const named = place.bit === undefined ? located.linear - origin : bitNumber(frame, located.linear - origin);
  const first = single ? named + header : payload - origin;
  const start = single ? bitPosition(frame, first) : payload - origin;
  const startBit = bitOf(located, place);
  const chain: ChainSide = { frame, swap: claim.swap ?? end.swap, carries, payloadBits, start, first, counted: false };
  return {
    memory,
    place,
    located,
    origin,
    single,
    lengthBits: bits,
    payloadBits,
    spans:
      single && unit > 1
        ? countedSpans(located, frame, origin, named, bits)
        : spansOf(located.row, located.linear, bits),
    startBit: single && startBit !== undefined ? significanceAt(frame, start) : startBit,
    chain,
    usual: carries,
    frameKey: frameKey(chain),
  };
}

/**
 * Whether a block is so many single bits: it begins at a named bit or inside a unit, or does not end with a whole byte.
 * Such bits travel one by one.
 */
function isSingle(place: Place, part: number, linear: number, header: number, payload: number, unit: number): boolean {
  if (unit > 1) return place.bit !== undefined || header % part !== 0 || payload % part !== 0;
  return (linear + header) % part !== 0 || payload % part !== 0;
}

/** The bits of the area that a block of single bits takes. */
function countedSpans(located: Located, frame: Frame, origin: number, first: number, bits: number): Span[] {
  const at = Array.from({ length: bits }, (_, n) => areaBit(located.row, origin + bitPosition(frame, first + n)));
  return joined(at.map((bit) => ({ start: bit, end: bit + 1 })));
}

const significanceAt = (frame: Frame, position: number): number => {
  const unit = numberingUnit(frame);
  return placeInUnit(frame, unit, position % unit);
};

/** Equal texts: equal frame, swap and way to travel. */
const frameKey = ({ frame, carries, swap, start, first, counted }: ChainSide): string =>
  [
    frame.unit,
    frame.wordBits,
    frame.highFirst,
    frame.layout.registerOrder,
    frame.layout.boolPacking,
    frame.layout.boolNumbering,
    frame.layout.stringHeader,
    frame.layout.characters,
    frame.unit === 1 && !frame.fromBottom,
    carries,
    swap,
    start,
    first,
    counted,
  ].join();

/** The block as it travels in its lane: other than the protocol's usual way, and with or without the end's swap. */
export function travelling(block: Block, as: Pick<ChainSide, 'carries' | 'counted' | 'swap'>): Block {
  const { chain } = block;
  if (chain.carries === as.carries && chain.counted === as.counted && chain.swap === as.swap) return block;
  const known = variants.get(block) ?? variants.set(block, new Map()).get(block)!;
  const key = `${as.carries},${as.counted},${as.swap}`;
  let made = known.get(key);
  if (!made) {
    const next = { ...chain, ...as };
    known.set(key, (made = { ...block, chain: next, frameKey: frameKey(next) }));
  }
  return made;
}
const variants = new WeakMap<Block, Map<string, Block>>();

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

/** `%MW324–%MW329` of a side, in its own notation. */
export function rangeOf(block: Block): string {
  return formatRange(block.memory, block.place, block.lengthBits);
}
