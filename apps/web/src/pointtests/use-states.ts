import {
  recordsByPoint,
  standingOf,
  type Point,
  type Points,
  type PointStanding,
  type PointState,
} from '@dialoga/core/pointtest';
import type { PointRecord } from '@dialoga/core/model';
import { useMemo } from 'react';
import { useStateOf } from '../store/store';

export interface PointStates {
  records: ReadonlyMap<string, readonly PointRecord[]>;
  of: (point: Point) => PointStanding;
  /** points that were seen, and those that were in one view only */
  seen: number;
  inOne: number;
}

/** What became of each point by the project that is shown: what was just said stands there at once. */
export function useStates(points: Points | null): PointStates {
  const project = useStateOf((s) => s.project.project);
  return useMemo(() => {
    const records = project ? recordsByPoint(project) : new Map<string, readonly PointRecord[]>();
    const of = (point: Point) => standingOf(point, records.get(point.key));
    const tested = points?.points.filter(({ key }) => records.has(key)) ?? [];
    const states = tested.map((point) => of(point).state);
    const count = (state: PointState) => states.filter((one) => one === state).length;
    return { records, of, seen: count('seen'), inOne: count('in one view') };
  }, [project, points]);
}
