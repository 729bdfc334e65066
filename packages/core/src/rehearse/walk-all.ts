import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Lane, Rehearsed } from '../model/lane.js';
import type { Project } from '../model/project.js';
import { walkDigest } from './standing.js';
import { walkLane, type LaneWalk } from './walk-lane.js';

/** What a walk was about, and what came of it. */
export interface Walked {
  walks: LaneWalk[];
  passed: number;
  failed: number;
  notWalked: number;
  /** bits that were set and cleared, each alone */
  bits: number;
  /** values that were set */
  values: number;
  /** the marks that the walk leaves: `rehearsed` where a lane passed, taken off where it did not */
  changes: Change[];
}

/** By whom and when a walk is made, and on which revision. */
export type Mark = Pick<Rehearsed, 'by' | 'at' | 'revision'>;

/** The lanes that a walk goes through, in order: one, those of an exchange, or all. */
export function lanesToWalk(project: Project, about: { lane?: string; exchange?: string }): Lane[] {
  if (about.lane !== undefined) return [project.get('lane', about.lane)].flatMap((lane) => lane ?? []);
  if (about.exchange !== undefined) return childrenOf(project, 'lane', about.exchange);
  return inOrder(project, 'exchange').flatMap(({ id }) => childrenOf(project, 'lane', id));
}

/** A walk lane by lane: after each it yields how many are done, so that others come to their turn. */
export function* walking(project: Project, lanes: readonly Lane[], mark: Mark): Generator<number, Walked> {
  const walked: Walked = { walks: [], passed: 0, failed: 0, notWalked: 0, bits: 0, values: 0, changes: [] };
  for (const lane of lanes) {
    const exchange = project.get('exchange', lane.exchange);
    // Of service visits nothing moves in the plant.
    if (!exchange || exchange.kind === 'service link') continue;
    const walk = walkLane(project, exchange, lane);
    walked.walks.push(walk);
    for (const { bits, values } of walk.paths) {
      walked.bits += bits;
      walked.values += values.length;
    }
    walked[walk.result === 'passed' ? 'passed' : walk.result === 'failed' ? 'failed' : 'notWalked'] += 1;
    if (walk.result === 'passed') {
      const rehearsed = { ...mark, digest: walkDigest(project, exchange, lane) };
      walked.changes.push(set('lane', lane, ['rehearsed'], rehearsed));
    } else if (lane.rehearsed) walked.changes.push(set('lane', lane, ['rehearsed'], null));
    yield walked.walks.length;
  }
  return walked;
}

/** The same at once. */
export function walkAll(project: Project, about: { lane?: string; exchange?: string }, mark: Mark): Walked {
  const steps = walking(project, lanesToWalk(project, about), mark);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
