import type { Project } from '@dialoga/core/model';
import { lanesThatMove, type StandingCount } from '@dialoga/core/overview';
import { observedLanes, PointList, recordsByPoint, standingOf, type PointState } from '@dialoga/core/pointtest';
import { Standings } from '@dialoga/core/rehearse';

/** How far a project is beyond its plan: its lanes, and its points. */
export interface Standing extends StandingCount {
  /** how many there are of each state; null: nothing was recorded yet */
  points: Readonly<Partial<Record<PointState, number>>> | null;
}

/** Of a large plan the points take seconds: they are made only where one was recorded. */
export function standingOfProject(project: Project): Standing {
  const records = recordsByPoint(project);
  const { points } = records.size > 0 ? new PointList(project).all() : { points: [] };
  const states: Partial<Record<PointState, number>> = {};
  for (const point of points) {
    const { state } = standingOf(point, records.get(point.key));
    states[state] = (states[state] ?? 0) + 1;
  }
  return {
    planned: lanesThatMove(project),
    rehearsed: new Standings(project).rehearsed.length,
    observed: observedLanes(points, records).size,
    points: records.size > 0 ? states : null,
  };
}

/** In lines for people; none where nothing was rehearsed or seen yet. */
export function standingLines({ planned, rehearsed, observed, points }: Standing): string[] {
  const lanes = `${rehearsed} rehearsed on this plan, ${observed} observed, of ${planned} that move`;
  const states = Object.entries(points ?? {}).map(([state, count]) => `${count} ${state}`);
  return [...(rehearsed > 0 || points ? [lanes] : []), ...(points ? [`points: ${states.join(', ')}`] : [])];
}
