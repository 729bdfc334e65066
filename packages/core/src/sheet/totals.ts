import { spanAddresses } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import { lengthBits } from '../place/length.js';
import type { Span } from '../place/resolve.js';
import { readable } from '../model/as-typed.js';
import type { End } from '../model/end.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { claimsIn, copiesIn } from '../lane/claims-in.js';
import { nextFree } from '../lane/occupancy.js';
import { blockOf } from '../lane/side.js';
import { usesOfCopy, usesOfLanding } from '../lane/uses.js';

/** What one end writes and reads over all lanes, in bits, and where in the area of its first lane there is room. */
export interface PageTotals {
  writes: number;
  reads: number;
  /** an address, or null where nothing is placed yet or the area is full */
  nextFree: string | null;
}

export function pageTotals(reader: Reader, end: End): PageTotals {
  const totals: PageTotals = { writes: 0, reads: 0, nextFree: null };
  let area: string | null = null;
  for (const lane of childrenOf(reader, 'lane', end.exchange)) {
    const claim = childrenOf(reader, 'claim', lane.id).find((c) => c.end === end.id);
    const length = readable(claim?.length);
    const direction = readable(claim?.direction);
    area ??= readable(claim?.place)?.area ?? null;
    if (!length || !direction) continue;
    if (direction !== 'reads') totals.writes += lengthBits(length);
    if (direction !== 'writes') totals.reads += lengthBits(length);
  }
  totals.nextFree = area === null ? null : nextFreeIn(reader, area);
  return totals;
}

/** The address after everything that an exchange, a copy or a module uses in an area, as the area writes it. */
export function nextFreeIn(reader: Reader, area: string): string | null {
  const memory = memoryOf(reader, area);
  if (!memory) return null;
  const used: Span[] = [];
  for (const claim of claimsIn(reader, area)) {
    const end = reader.get('end', claim.end);
    const exchange = end && reader.get('exchange', end.exchange);
    const block = end && exchange ? blockOf(reader, claim, end, exchange) : null;
    if (block) used.push(...block.spans);
  }
  const moved = copiesIn(reader, area).flatMap((copy) => usesOfCopy(reader, copy));
  const landed = childrenOf(reader, 'landing', area).flatMap((landing) => usesOfLanding(reader, landing));
  for (const use of [...moved, ...landed]) if (use.area === area) used.push(...use.spans);
  const bit = nextFree(memory.area, used);
  return bit === null ? null : spanAddresses(memory, { start: bit, end: bit + memory.wordBits }).first;
}
