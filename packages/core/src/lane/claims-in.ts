import type { MemoryCopy } from '../model/memory-copy.js';
import { byOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Claim } from '../model/claim.js';

/** Claims that lie in an area, by its addresses or by tags that have an address there. */
export function claimsIn(reader: Reader, area: string): Claim[] {
  const byTag = reader.referrers('tag', area).flatMap((tag) => reader.referrers('claim', tag));
  return [...reader.referrers('claim', area), ...byTag].flatMap((id) => reader.get('claim', id) ?? []);
}

/** Copies from or to an area, by its addresses or by tags that have an address there; in order, each once. */
export function copiesIn(reader: Reader, area: string): MemoryCopy[] {
  const byTag = reader.referrers('tag', area).flatMap((tag) => reader.referrers('copy', tag));
  const ids = new Set([...reader.referrers('copy', area), ...byTag]);
  return [...ids].flatMap((id) => reader.get('copy', id) ?? []).sort(byOrder);
}
