import { childrenOf } from '../model/order.js';
import { readable } from '../model/as-typed.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { Tag } from '../model/tag.js';
import { tagsOf } from './tag-place.js';

/** The points of a station that asks others for its tags, sorted by what became of them. Internal tags are none. */
export interface Points {
  all: number;
  bound: Tag[];
  notUsed: Tag[];
  open: Tag[];
}

/** Whether a station asks others for its tags in some tag map. */
export function asksForTags(reader: Reader, station: Station): boolean {
  return childrenOf(reader, 'end', station.id).some(
    (end) => end.calling === 'calls' && reader.get('exchange', end.exchange)?.kind === 'tag map',
  );
}

/** Bound is what a claim or a copy names. */
export function pointsOf(reader: Reader, station: Station): Points {
  const points: Points = { all: 0, bound: [], notUsed: [], open: [] };
  for (const tag of tagsOf(reader, station.id)) {
    if (tag.internal) continue;
    points.all++;
    if (isBound(reader, tag)) points.bound.push(tag);
    else if (tag.notUsed) points.notUsed.push(tag);
    else points.open.push(tag);
  }
  return points;
}

export const isBound = (reader: Reader, tag: Tag): boolean =>
  reader.referrers('claim', tag.id).length > 0 || reader.referrers('copy', tag.id).length > 0;

/** Of a station that asks for its tags, those that are neither bound nor declared not used. */
export function unboundTags(reader: Reader, station: Station): { all: number; open: Tag[] } {
  if (reader.referrers('tag', station.id).length === 0 || !asksForTags(reader, station)) return { all: 0, open: [] };
  const { all, open } = pointsOf(reader, station);
  if (open.length === 0) return { all, open };
  // A row that lacks its place is asked for it, and is not counted again as a point without a row.
  const rows = childrenOf(reader, 'end', station.id).flatMap((end) => childrenOf(reader, 'claim', end.id));
  const incomplete = new Set(rows.flatMap(({ name, place }) => (readable(place) ? [] : [name])));
  return { all, open: open.filter(({ name }) => !incomplete.has(name)) };
}
