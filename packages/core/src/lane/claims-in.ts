import type { Claim } from '../model/claim.js';
import type { Reader } from '../model/project.js';

/** Claims that lie in an area, by its addresses or by tags that have an address there. */
export function claimsIn(reader: Reader, area: string): Claim[] {
  const byTag = reader.referrers('tag', area).flatMap((tag) => reader.referrers('claim', tag));
  return [...reader.referrers('claim', area), ...byTag].flatMap((id) => reader.get('claim', id) ?? []);
}
