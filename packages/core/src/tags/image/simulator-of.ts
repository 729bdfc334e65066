import type { Use } from '../../lane/occupancy.js';
import type { Reader } from '../../model/project.js';
import type { Station } from '../../model/station.js';

/** The simulator at the other end of the lane by which a claim uses an area; null where none is. */
export function simulatorOf(reader: Reader, use: Pick<Use, 'of' | 'id'>): Station | null {
  const claim = use.of === 'claim' ? reader.get('claim', use.id) : undefined;
  if (!claim) return null;
  for (const id of reader.referrers('claim', claim.lane)) {
    const other = id === claim.id ? undefined : reader.get('claim', id);
    const end = other && reader.get('end', other.end);
    const station = end && reader.get('station', end.station);
    if (station?.roles.includes('simulator')) return station;
  }
  return null;
}
