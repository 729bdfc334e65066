import type { Step, StepKind } from './step.js';
import type { WorkContext } from './context.js';

/** One step that another one has to wait for. */
export interface Edge {
  before: string;
  after: string;
}

/** All steps, by what rules ask for. */
export class Steps {
  private readonly kinds = new Map<StepKind, Step[]>();

  constructor(readonly all: readonly Step[]) {
    for (const step of all) {
      const known = this.kinds.get(step.kind);
      if (known) known.push(step);
      else this.kinds.set(step.kind, [step]);
    }
  }

  of(...kinds: readonly StepKind[]): Step[] {
    return kinds.flatMap((kind) => this.kinds.get(kind) ?? []);
  }

  at(station: string, ...kinds: readonly StepKind[]): Step[] {
    return this.of(...kinds).filter((step) => step.station === station);
  }
}

/** Why some steps come after others; one file each. */
export interface OrderRule {
  /** as a reason: `it is reached by this address` */
  why: string;
  source: string;
  edges: (steps: Steps, context: WorkContext) => Edge[];
}

/** Each of these before each of those, but none before itself. */
export const eachBefore = (before: readonly Step[], after: readonly Step[]): Edge[] =>
  before.flatMap((a) => after.flatMap((b) => (a.key === b.key ? [] : [{ before: a.key, after: b.key }])));

/** The same, station by station. */
export const atEach = (steps: Steps, before: readonly StepKind[], after: readonly StepKind[]): Edge[] => {
  const stations = new Set(steps.all.map(({ station }) => station));
  return [...stations].flatMap((station) => eachBefore(steps.at(station, ...before), steps.at(station, ...after)));
};
