import type { PointRecord } from '../model/point-record.js';
import type { Point } from './point.js';
import { standingOf } from './point-states.js';

/** Lanes of which every point was seen, at the device and in the tool, on what it rests on now. */
export function observedLanes(
  points: readonly Point[],
  records: ReadonlyMap<string, readonly PointRecord[]>,
): ReadonlySet<string> {
  if (records.size === 0) return new Set();
  const lanes = new Map<string, boolean>();
  for (const point of points) {
    if (point.sort !== 'value' || lanes.get(point.lane) === false) continue;
    const known = records.get(point.key);
    lanes.set(point.lane, known !== undefined && standingOf(point, known).state === 'seen');
  }
  return new Set([...lanes].flatMap(([lane, seen]) => (seen ? [lane] : [])));
}
