import type { Change } from '@dialoga/core/change';
import type { PointView } from '@dialoga/core/model';
import {
  notRunning,
  pointName,
  recordPoint,
  recordsByPoint,
  seeRunning,
  type Point,
  type SaidOfPoint,
} from '@dialoga/core/pointtest';
import { currentAuthor } from '../api/author';
import { newId } from '../api/new-id';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import type { Thunk } from '../store/store';

/** Where the tester looks: both at once are two records. */
export type Looks = PointView | 'both';

export type Saying = Pick<SaidOfPoint, 'result'> & Partial<Pick<SaidOfPoint, 'set' | 'saw' | 'reason' | 'good'>>;

const now = () => ({ by: currentAuthor(), at: new Date().toISOString() });

/** Says what was seen of a point, as one step to undo; whether it was taken. */
export function sayOfPoint(point: Point, looks: Looks, saying: Saying): Thunk<boolean> {
  return (dispatch, getState) => {
    const { project, revision } = getState().project;
    if (!project) return false;
    const known = recordsByPoint(project).get(point.key);
    const views: PointView[] = looks === 'both' ? ['tool', 'device'] : [looks];
    const changes: Change[] = [];
    for (const view of views) {
      const said = recordPoint(project, point, known, { ...saying, ...now(), view, revision }, newId);
      if (said.ok) changes.push(...said.changes);
      else if (looks !== 'both' || views.indexOf(view) === views.length - 1) {
        if (changes.length > 0) break;
        dispatch(projectSlice.actions.noticed(said.sentence));
        return false;
      }
    }
    const word = saying.result === 'seen' ? 'Seen' : saying.result === 'not seen' ? 'Not seen' : 'Skipped';
    dispatch(edit(`${word}: ${pointName(point)}`, changes));
    return true;
  };
}

/** Whoever tests sees that the stations of a point run. */
export function sayRunning(point: Point): Thunk<void> {
  return (dispatch, getState) => {
    const { project } = getState().project;
    const idle = project && notRunning(project, point);
    if (!idle) return;
    const names = idle.stations.map(({ name }) => name).join(' and ');
    dispatch(edit(`Seen running: ${names}`, seeRunning(idle.stations, now())));
  };
}
