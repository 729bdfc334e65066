import { newArea, newView, writersOf } from './new-entities.js';
import type { Area } from '../model/area.js';
import { entriesInOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';

/**
 * A new area of a station: what a gateway has is gateway memory without a writer of its own; one that its profile numbers
 * in bytes is kept in bytes, so that its addresses are its order; one for which the profile has no view gets one of its own.
 */
export function newAreaOf(
  reader: Reader,
  stationId: string,
  id: string,
  order: number,
  name: string,
  viewId: string,
): Area {
  const area = newArea(id, order, stationId, name);
  const station = reader.get('station', stationId);
  if (station) area.writers = writersOf(station);
  if (station?.roles.includes('gateway') && area.writers.length === 0) area.kind = 'gateway memory';
  const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
  const [view] = entriesInOrder(profile?.views ?? {}).flatMap(([, one]) => (one.areaKind === area.kind ? [one] : []));
  if (!view) return { ...area, views: { [viewId]: newView(10, 'iec elements') } };
  return view.unit === 8 ? { ...area, wordBits: 8, words: area.words * 2 } : area;
}
