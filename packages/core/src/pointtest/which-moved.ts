import { areaBit } from '../data/linear.js';
import type { Project } from '../model/project.js';
import { memoryOf } from '../place/memory.js';
import { readPlace } from '../place/read-place.js';
import { locate } from '../place/resolve.js';
import { read, type Read } from '../text/read.js';
import type { Point, PointEnd } from './point.js';
import { findPoint } from './points-of-lane.js';

/** A point that lies where something moved. */
export interface Moved {
  point: Point;
  /** the end of it that lies there */
  at: PointEnd;
}

/**
 * Somebody operated a thing and saw a place of a station move: the points that lie there, those of least bits first. Unread, with
 * what would be right, where the text names no place of that station.
 */
export function whichMoved(project: Project, points: readonly Point[], station: string, text: string): Read<Moved[]> {
  const place = readPlace(project, station, text);
  if (!place.ok) return place;
  const memory = memoryOf(project, place.value.area);
  const located = memory && locate(memory, place.value);
  if (!memory || !located) return read([]);
  const bit = areaBit(located.row, located.linear);
  const found: (Moved & { bits: number })[] = [];
  for (const point of points) {
    if (point.sort !== 'value' || (point.from.station !== station && point.to.station !== station)) continue;
    const known = findPoint(project, point);
    if (!known) continue;
    for (const which of ['source', 'sink'] as const) {
      const at = which === 'source' ? point.from : point.to;
      const { bits } = known.pair[which];
      const area = known.path[which].block.memory.area.id;
      if (at.station === station && area === memory.area.id && bits.includes(bit))
        found.push({ point, at, bits: bits.length });
    }
  }
  return read(found.sort((a, b) => a.bits - b.bits).map(({ point, at }) => ({ point, at })));
}
