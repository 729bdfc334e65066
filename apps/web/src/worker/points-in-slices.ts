import type { EntityChange, Project } from '@dialoga/core/model';
import { PointList, type Points } from '@dialoga/core/pointtest';

/** ms of one slice: between two of them the worker answers others */
const SLICE_MS = 40;

/** Begun at the first need: only whoever is on site asks for them. */
let list: PointList | null = null;
/** Another one whenever the points are other ones. */
let turn = 0;

/** Another project is open. */
export function forgetPoints(): void {
  list = null;
}

/** Takes in edits; whether anything is another than before. */
export function editPoints(project: Project, edits: readonly EntityChange[]): boolean {
  const moved = list?.edit(project, edits) ?? false;
  if (moved) turn++;
  return moved;
}

/** Every point of the open project, made in slices where they are not there yet; null: another one was opened meanwhile. */
export async function pointsInSlices(project: Project): Promise<{ turn: number; points: Points } | null> {
  if (!list) {
    list = new PointList(project);
    turn++;
  }
  const own = list;
  for (;;) {
    const until = performance.now() + SLICE_MS;
    if (own.advance(() => performance.now() >= until)) return { turn, points: own.all() };
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (own !== list) return null;
  }
}

/** The points as far as nothing of them has to be made first; null: they are not there yet. */
export const pointsAtHand = (): { turn: number; points: Points } | null =>
  list && list.waiting === 0 ? { turn, points: list.all() } : null;
