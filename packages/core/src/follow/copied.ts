import { lengthBits } from '../place/length.js';
import { areaBit, linearBit } from '../data/linear.js';
import { memoryOf, type Memory } from '../place/memory.js';
import { joined, locate, type Located, type Span } from '../place/resolve.js';
import { readable } from '../model/as-typed.js';
import type { Place } from '../model/claim.js';
import type { MemoryCopy } from '../model/memory-copy.js';
import type { Reader } from '../model/project.js';
import { realPlace } from '../place/tag-place.js';

/** One of the two places of a copy. */
export interface CopyPlace {
  memory: Memory;
  place: Place;
  located: Located;
}

/** Where a copy takes from and puts to, and how many bits; null where something of it is not known. */
export function copyPlaces(reader: Reader, copy: MemoryCopy): { from: CopyPlace; to: CopyPlace; bits: number } | null {
  const length = readable(copy.length);
  const [from, to] = [copyPlace(reader, copy.from), copyPlace(reader, copy.to)];
  return length && from && to ? { from, to, bits: lengthBits(length) } : null;
}

function copyPlace(reader: Reader, typed: MemoryCopy['from']): CopyPlace | null {
  const named = readable(typed);
  const place = named && realPlace(reader, named);
  const memory = place && memoryOf(reader, place.area);
  const located = memory && locate(memory, place);
  return place && memory && located ? { memory, place, located } : null;
}

/** Where a bit of the one place of a copy is in the other; null where the copy does not move it. */
export function copiedBit(from: CopyPlace, to: CopyPlace, bits: number, bit: number): number | null {
  const along = linearBit(from.located.row, bit) - from.located.linear;
  return along < 0 || along >= bits ? null : areaBit(to.located.row, to.located.linear + along);
}

/**
 * Where these bits of the one area of a copy are in the other: `forward` from its source to its target, `back` the other
 * way; `area` is the one that they are in, where a copy may have nothing to do with it. Bit n along the row of the one place
 * is bit n along that of the other. Empty where the copy moves none of them.
 */
export function copied(
  reader: Reader,
  copy: MemoryCopy,
  spans: readonly Span[],
  way: 'forward' | 'back',
  area?: string,
): Span[] {
  const places = copyPlaces(reader, copy);
  if (!places) return [];
  const [a, b] = way === 'forward' ? [places.from, places.to] : [places.to, places.from];
  if (area !== undefined && a.place.area !== area) return [];
  const bitwise = a.located.row.unit === 1 || b.located.row.unit === 1;
  const moved: Span[] = [];
  for (const { start, end } of spans) {
    const step = bitwise || start % 8 !== 0 || end % 8 !== 0 ? 1 : 8;
    for (let bit = start; bit < end; bit += step) {
      const at = copiedBit(a, b, places.bits, bit);
      if (at !== null) moved.push({ start: at, end: at + step });
    }
  }
  return joined(moved);
}
