import type { PointRecord } from '../model/point-record.js';
import type { Project } from '../model/project.js';
import { byOrder } from '../model/order.js';
import { POINT_VIEWS, type PointView } from '../model/words.js';
import type { Point } from './point.js';

/**
 * to test: nobody did · in one view: seen in the tool or at the device, and one alone proves nothing · before the change: what was
 * said rests on what was changed since
 */
export type PointState = 'to test' | 'in one view' | 'seen' | 'not seen' | 'skipped' | 'before the change';

/** What became of one point. */
export interface PointStanding {
  state: PointState;
  /** those that count, the last of each view */
  last: Partial<Record<PointView, PointRecord>>;
  /** every one, the newest first */
  records: readonly PointRecord[];
  /** two said otherwise without knowing of each other; empty: no */
  quarrel: string;
}

const NOTHING: PointStanding = { state: 'to test', last: {}, records: [], quarrel: '' };

/** The records of a project by their points, each the oldest first. */
export function recordsByPoint(project: Project): ReadonlyMap<string, readonly PointRecord[]> {
  const byPoint = new Map<string, PointRecord[]>();
  for (const record of project.all('point')) {
    const known = byPoint.get(record.point);
    if (known) known.push(record);
    else byPoint.set(record.point, [record]);
  }
  for (const list of byPoint.values()) if (list.length > 1) list.sort(byOrder);
  return byPoint;
}

/** What became of a point by its records: those on what it rests on now count, the last of each view. */
export function standingOf({ basis }: Point, records: readonly PointRecord[] | undefined): PointStanding {
  if (!records || records.length === 0) return NOTHING;
  const newest = [...records].reverse();
  const now = records.filter((record) => record.basis === basis);
  if (now.length === 0) return { state: 'before the change', last: {}, records: newest, quarrel: '' };
  const last: Partial<Record<PointView, PointRecord>> = {};
  for (const record of now) last[record.view] = record;
  const quarrel = quarrelIn(now, last);
  return { state: quarrel ? 'not seen' : stateBy(last), last, records: newest, quarrel };
}

function stateBy(last: PointStanding['last']): PointState {
  const results = POINT_VIEWS.flatMap((view) => last[view]?.result ?? []);
  if (results.includes('not seen')) return 'not seen';
  if (results.includes('skipped')) return 'skipped';
  return results.length === POINT_VIEWS.length ? 'seen' : 'in one view';
}

/** Records made after the same others, by two windows that did not know of each other, that say otherwise. */
function quarrelIn(records: readonly PointRecord[], last: PointStanding['last']): string {
  for (const view of POINT_VIEWS) {
    const one = last[view];
    const other = records.find(
      (record) =>
        record !== one && one && record.view === view && record.order === one.order && record.result !== one.result,
    );
    if (one && other)
      return `${other.by || 'somebody'} says ${other.result}, ${one.by || 'somebody'} says ${one.result}: test it again`;
  }
  return '';
}

/** Records of points that are not in the plan any more, the newest first; nothing of them is lost. */
export function recordsOfGone(project: Project, points: readonly Point[]): PointRecord[] {
  const there = new Set(points.map(({ key }) => key));
  return [...project.all('point')]
    .filter(({ point }) => !there.has(point))
    .sort(byOrder)
    .reverse();
}
