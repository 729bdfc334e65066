import { areaBit, linearBit } from '../data/linear.js';
import { valuePositions } from '../data/layout.js';
import { elementary } from '../data/types.js';
import { bitsToValue, formatValue, sampleOf, valueToBits } from '../data/values.js';
import { valuesOf } from '../lane/compare-items.js';
import type { Side } from '../lane/side.js';
import { sidesOf } from '../lane/sides-of.js';
import type { Value } from '../lane/difference.js';
import type { Reader } from '../model/project.js';
import { carriedOn } from './carried-on.js';
import { copied, copyPlaces } from './copied.js';
import type { Hop } from './follow.js';

/** What a telling value looks like at a hop: the bytes of its place, and what its type makes of them. */
export interface HopSample {
  /** in hexadecimal, as they lie in memory */
  bytes: string;
  /** what is read there; empty where nobody says of which type it is */
  value: string;
}

/** Bits of a memory, each by its index in its area. */
type Memory = Map<number, number>;

/**
 * A telling value of the first hop's type, and what becomes of it at each further hop: carried bit by bit through swaps,
 * protocols and copies. Null for a hop that is not reached, or where the place of the value is not known.
 */
export function hopSamples(reader: Reader, hops: readonly Hop[]): (HopSample | null)[] {
  const [first] = hops;
  const start = first && sideAt(reader, first);
  const value = start && valueAt(start, first.item);
  const type = value && elementary(value.type.base);
  if (!first || !start?.block || !value || !type || type.bits < 8) return hops.map(() => null);
  const single: Value = { ...value, type: { ...value.type, count: 1 } };
  const { origin, located } = start.block;
  const { row } = located;
  const bits = valueToBits(type.name, sampleOf(type.name));
  const memories: (Memory | null)[] = [];
  const sent: Memory = new Map();
  valuePositions(single, start.block.chain.frame).forEach((position, i) => {
    sent.set(areaBit(row, origin + position), bits[i]!);
  });
  memories.push(sent);
  for (const [i, hop] of hops.entries()) {
    if (i === 0) continue;
    // The hop that this one comes from: the last before it that lies one less deep, or this depth at the same station.
    const from = lastBefore(hops, i);
    memories.push(from === null ? null : moved(reader, hops[from]!, memories[from] ?? null, hop));
  }
  return hops.map((hop, i) => sampleAt(reader, hop, memories[i] ?? null));
}

const sideAt = (reader: Reader, hop: Hop): Side | null => {
  const claim = hop.holder.kind === 'claim' ? reader.get('claim', hop.holder.id) : undefined;
  const exchange = claim && hop.exchange ? reader.get('exchange', hop.exchange) : undefined;
  const lane = claim && reader.get('lane', claim.lane);
  return lane && exchange ? (sidesOf(reader, lane, exchange).find((s) => s.claim.id === claim.id) ?? null) : null;
};

const valueAt = (side: Side, item: string | null): Value | null => {
  const values = valuesOf(side);
  return values?.get(item ?? '') ?? [...(values?.values() ?? [])][0] ?? null;
};

function lastBefore(hops: readonly Hop[], i: number): number | null {
  for (let j = i - 1; j >= 0; j--) {
    const [before, here] = [hops[j]!, hops[i]!];
    if (before.depth < here.depth || (before.depth === here.depth && before.station === here.station)) return j;
  }
  return null;
}

/** The bits of the next hop's memory, from those of the hop before. */
function moved(reader: Reader, from: Hop, memory: Memory | null, to: Hop): Memory | null {
  if (!memory) return null;
  if (to.holder.kind === 'copy') {
    const copy = reader.get('copy', to.holder.id);
    if (!copy || !copyPlaces(reader, copy)) return null;
    const next: Memory = new Map();
    for (const [at, bit] of memory) {
      const [span] = copied(reader, copy, [{ start: at & ~7, end: (at & ~7) + 8 }], 'forward');
      if (span) next.set(span.start + (at & 7), bit);
    }
    return next;
  }
  const [source, sink] = [sideAt(reader, from), sideAt(reader, to)];
  if (!source?.block || !sink?.block) return sink && source === null ? memory : null;
  // Another claim of the same memory: the same bits.
  if (from.lane !== to.lane) return memory;
  return carriedOn(source, sink, memory);
}

function sampleAt(reader: Reader, hop: Hop, memory: Memory | null): HopSample | null {
  if (!memory || memory.size === 0) return null;
  const side = sideAt(reader, hop);
  const place = side?.block ?? (hop.holder.kind === 'copy' ? copyTarget(reader, hop.holder.id) : null);
  if (!place) return null;
  const { row } = place.located;
  const along = new Map([...memory].map(([at, bit]) => [linearBit(row, at), bit]));
  const [low, high] = [Math.min(...along.keys()), Math.max(...along.keys())];
  const bytes: string[] = [];
  for (let byte = low & ~7; byte <= high; byte += 8) {
    let value = 0;
    for (let bit = 0; bit < 8; bit++) value |= (along.get(byte + bit) ?? 0) << bit;
    bytes.push(value.toString(16).toUpperCase().padStart(2, '0'));
  }
  const value = side && valueAt(side, hop.item);
  const type = value && elementary(value.type.base);
  if (!side?.block || !value || !type || type.bits < 8) return { bytes: bytes.join(' '), value: '' };
  const { origin } = side.block;
  const positions = valuePositions(value, side.block.chain.frame);
  // Of several elements, the one that the value lies in: a window may hold more than what comes through here.
  for (let first = 0; first < positions.length; first += type.bits) {
    const element = positions.subarray(first, first + type.bits);
    if (!element.every((p) => along.has(origin + p))) continue;
    const bits = Uint8Array.from(element, (p) => along.get(origin + p)!);
    return { bytes: bytes.join(' '), value: formatValue(type.name, bitsToValue(type.name, bits)) };
  }
  return { bytes: bytes.join(' '), value: '' };
}

function copyTarget(reader: Reader, id: string) {
  const copy = reader.get('copy', id);
  return copy ? (copyPlaces(reader, copy)?.to ?? null) : null;
}
