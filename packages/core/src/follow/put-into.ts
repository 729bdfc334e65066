import type { Span } from '../place/resolve.js';
import { claimsIn, copiesIn } from '../lane/claims-in.js';
import { elementsIn, sideOfClaim, type Element } from '../lane/memory-values.js';
import type { Use } from '../lane/occupancy.js';
import type { Side } from '../lane/side.js';
import { holderOf } from '../lane/uses.js';
import type { Reader } from '../model/project.js';
import { copied, copiedBit, copyPlaces } from './copied.js';

/** Values that a claim put into memory, with the bits where they lie now: also after copies have moved them. */
export interface PutValues {
  side: Side;
  elements: Element[];
}

const MOST_COPIES = 20;

/**
 * What lies in these bits of an area through one use of it: of a claim what it puts there; of a copy what others have put
 * at its source, moved on. What a program, a module or firmware puts there has no type here.
 */
export function putInto(reader: Reader, use: Use, { start, end }: Span, taken: readonly Element[]): PutValues[] {
  if (use.of === 'claim') {
    const side = sideOfClaim(reader, use.id);
    return side ? [{ side, elements: elementsIn(side, start, Math.max(end, lastBit(taken) + 1)) }] : [];
  }
  return use.of === 'copy' ? throughCopy(reader, holderOf(use), use.area, taken, 0) : [];
}

const lastBit = (elements: readonly Element[]): number =>
  elements.reduce((last, { bits }) => bits.reduce((a, b) => Math.max(a, b), last), -1);

function throughCopy(reader: Reader, id: string, into: string, taken: readonly Element[], depth: number): PutValues[] {
  const copy = reader.get('copy', id);
  if (!copy || depth > MOST_COPIES) return [];
  const wanted = taken.flatMap(({ bits }) => Array.from(bits, (bit) => ({ start: bit, end: bit + 1 })));
  const sources = copied(reader, copy, wanted, 'back', into);
  const area = sourceArea(reader, id);
  if (sources.length === 0 || area === null) return [];
  const [first, last] = [sources[0]!.start, sources.at(-1)!.end];
  const found: PutValues[] = claimsIn(reader, area).flatMap((claim): PutValues[] => {
    const side = claim.direction === 'writes' ? null : sideOfClaim(reader, claim.id);
    if (!side || side.block?.place.area !== area) return [];
    const elements = elementsIn(side, first, last).flatMap((element) => movedOn(reader, id, element));
    return elements.length > 0 ? [{ side, elements }] : [];
  });
  for (const before of copiesIn(reader, area)) {
    if (before.id === id) continue;
    const there = sources.map((s) => ({
      ...taken[0]!,
      bits: Int32Array.from({ length: s.end - s.start }, (_, i) => s.start + i),
    }));
    for (const { side, elements } of throughCopy(reader, before.id, area, there, depth + 1)) {
      const on = elements.flatMap((element) => movedOn(reader, id, element));
      if (on.length > 0) found.push({ side, elements: on });
    }
  }
  return found;
}

function sourceArea(reader: Reader, id: string): string | null {
  const copy = reader.get('copy', id);
  const places = copy && copyPlaces(reader, copy);
  return places ? places.from.place.area : null;
}

/** The element where the copy puts it; a bit that the copy does not take is nowhere. */
function movedOn(reader: Reader, id: string, element: Element): Element[] {
  const copy = reader.get('copy', id);
  const places = copy && copyPlaces(reader, copy);
  if (!places) return [];
  const bits = element.bits.map((bit) => copiedBit(places.from, places.to, places.bits, bit) ?? -1);
  return bits.some((bit) => bit >= 0) ? [{ ...element, bits }] : [];
}
