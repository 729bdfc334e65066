import type { Step, StepKind } from './step.js';
import type { WorkContext } from './context.js';

/** One step that another one has to wait for. */
export interface Edge {
  before: string;
  after: string;
}

/** All steps, by what rules ask for. */
export class Steps {
  private readonly by = new Map<string, Step[]>();
  readonly stations: readonly string[];

  constructor(readonly all: readonly Step[]) {
    for (const step of all) {
      this.file(step.kind, step);
      this.file(`${step.kind} at ${step.station}`, step);
      this.file(`${step.kind} about ${step.about ?? ''}`, step);
    }
    this.stations = [...new Set(all.map(({ station }) => station))];
  }

  private file(key: string, step: Step): void {
    const known = this.by.get(key);
    if (known) known.push(step);
    else this.by.set(key, [step]);
  }

  of(...kinds: readonly StepKind[]): Step[] {
    return kinds.flatMap((kind) => this.by.get(kind) ?? []);
  }

  at(station: string, ...kinds: readonly StepKind[]): Step[] {
    return kinds.flatMap((kind) => this.by.get(`${kind} at ${station}`) ?? []);
  }

  /** Those about a network or an exchange. */
  about(id: string | null, ...kinds: readonly StepKind[]): Step[] {
    return kinds.flatMap((kind) => this.by.get(`${kind} about ${id ?? ''}`) ?? []);
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
export const atEach = (steps: Steps, before: readonly StepKind[], after: readonly StepKind[]): Edge[] =>
  steps.stations.flatMap((station) => eachBefore(steps.at(station, ...before), steps.at(station, ...after)));
