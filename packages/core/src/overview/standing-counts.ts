import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';

/** How far the lanes of one exchange, or of all, are. */
export interface StandingCount {
  /** of service visits nothing moves in the plant: they are not counted */
  planned: number;
  /** their walk passed on this plan */
  rehearsed: number;
  /** every point of them was seen on site */
  observed: number;
}

/** How many lanes move data in the plant. */
export function lanesThatMove(project: Project): number {
  let count = 0;
  for (const { id, kind } of project.all('exchange'))
    if (kind !== 'service link') count += project.referrers('lane', id).length;
  return count;
}

/** By exchange, in order; those without lanes are left out. */
export function standingByExchange(
  project: Project,
  rehearsed: ReadonlySet<string>,
  observed: ReadonlySet<string>,
): { exchange: string; name: string; count: StandingCount }[] {
  return inOrder(project, 'exchange').flatMap(({ id, name, kind }) => {
    const lanes = kind === 'service link' ? [] : childrenOf(project, 'lane', id);
    if (lanes.length === 0) return [];
    const among = (set: ReadonlySet<string>) => lanes.filter((lane) => set.has(lane.id)).length;
    return [
      { exchange: id, name, count: { planned: lanes.length, rehearsed: among(rehearsed), observed: among(observed) } },
    ];
  });
}
