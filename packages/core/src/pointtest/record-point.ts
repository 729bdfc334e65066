import type { Change } from '../change/change.js';
import { put } from '../change/make.js';
import type { PointRecord } from '../model/point-record.js';
import type { Project } from '../model/project.js';
import { pointName, type Point } from './point.js';
import { notRunning } from './seen-running.js';
import { standingOf } from './point-states.js';

/** What is said of a point. */
export type SaidOfPoint = Pick<
  PointRecord,
  'result' | 'view' | 'set' | 'saw' | 'reason' | 'good' | 'revision' | 'by' | 'at'
>;

type Recorded = { ok: true; changes: Change[] } | { ok: false; sentence: string };
const no = (sentence: string): Recorded => ({ ok: false, sentence });

/**
 * The changes of saying what was seen of a point. Refused, with a sentence, where a station of it is not seen running, where it is
 * skipped without a reason, and where the same person said the same already. Nothing that was said before is overwritten.
 */
export function recordPoint(
  project: Project,
  point: Point,
  known: readonly PointRecord[] | undefined,
  said: SaidOfPoint,
  newId: () => string,
): Recorded {
  const { result, view, by, reason = '', saw = '' } = said;
  if (result === 'skipped' && reason.trim() === '') return no('A point is skipped with a reason.');
  if (result !== 'skipped') {
    const idle = notRunning(project, point);
    if (idle) return no(idle.sentence);
  }
  const last = standingOf(point, known).last[view];
  if (last && last.by === by && last.result === result && (last.saw ?? '') === saw && (last.reason ?? '') === reason)
    return no(`${pointName(point)} was ${result} already, said ${by || 'somebody'}.`);
  const order = Math.max(0, ...(known ?? []).map((record) => record.order)) + 10;
  const { key, basis } = point;
  return {
    ok: true,
    changes: [put('point', { id: newId(), order, point: key, name: pointName(point), basis, ...said })],
  };
}
