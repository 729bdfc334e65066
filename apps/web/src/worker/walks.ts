import type { Project } from '@dialoga/core/model';
import { lanesToWalk, walking, type LaneWalk, type Mark, type Walked } from '@dialoga/core/rehearse';

/** What a walk goes through: one lane, an exchange, or all. */
export interface WalkAbout {
  lane?: string;
  exchange?: string;
}

/** ms of one slice: between two of them the worker answers others */
const SLICE_MS = 40;
/** Of more lanes than this, those that passed are only counted: the page need not be handed all their values. */
const ALL_VALUES = 300;

let current = 0;

/** No more lane is walked of what is being walked. */
export function stopWalking(): void {
  current += 1;
}

/** Walks in slices; null: it was stopped, or another walk began. */
export async function walkInSlices(
  project: Project,
  about: WalkAbout,
  mark: Mark,
  progress: (done: number, all: number) => void,
): Promise<Walked | null> {
  const own = (current += 1);
  const lanes = lanesToWalk(project, about);
  const steps = walking(project, lanes, mark);
  for (;;) {
    const until = performance.now() + SLICE_MS;
    while (performance.now() < until) {
      const step = steps.next();
      if (step.done) return { ...step.value, walks: step.value.walks.map((walk) => slim(walk, lanes.length)) };
      if (performance.now() >= until) progress(step.value, lanes.length);
    }
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (own !== current) return null;
  }
}

const slim = (walk: LaneWalk, lanes: number): LaneWalk =>
  lanes > ALL_VALUES && walk.result === 'passed' ? { ...walk, paths: [] } : walk;
