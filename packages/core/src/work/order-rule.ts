import type { Step, StepKind } from './step.js';
import type { WorkContext } from './context.js';

/** One step that another one has to wait for. */
export interface Edge {
  before: string;
  after: string;
}

/** All steps, by what rules ask for. */
export class Steps {
  private readonly byKind = new Map<StepKind, Step[]>();
  private readonly byStation = new Map<string, Map<StepKind, Step[]>>();
  private readonly byAbout = new Map<string, Map<StepKind, Step[]>>();

  constructor(readonly all: readonly Step[]) {
    for (const step of all) {
      file(this.byKind, step);
      file(within(this.byStation, step.station), step);
      if (step.about !== null) file(within(this.byAbout, step.about), step);
    }
  }

  get stations(): Iterable<string> {
    return this.byStation.keys();
  }

  of(...kinds: readonly StepKind[]): Step[] {
    return found(this.byKind, kinds);
  }

  at(station: string, ...kinds: readonly StepKind[]): Step[] {
    return found(this.byStation.get(station), kinds);
  }

  /** Those about a network or an exchange. */
  about(id: string | null, ...kinds: readonly StepKind[]): Step[] {
    return found(this.byAbout.get(id ?? ''), kinds);
  }
}

function file(by: Map<StepKind, Step[]>, step: Step): void {
  const known = by.get(step.kind);
  if (known) known.push(step);
  else by.set(step.kind, [step]);
}

function within(by: Map<string, Map<StepKind, Step[]>>, key: string): Map<StepKind, Step[]> {
  const known = by.get(key) ?? new Map<StepKind, Step[]>();
  by.set(key, known);
  return known;
}

const found = (by: ReadonlyMap<StepKind, Step[]> | undefined, kinds: readonly StepKind[]): Step[] =>
  by ? kinds.flatMap((kind) => by.get(kind) ?? []) : [];

/** Why some steps come after others; one file each. */
export interface OrderRule {
  /** as a reason: `it is reached by this address` */
  why: string;
  source: string;
  edges: (steps: Steps, context: WorkContext) => Edge[];
}

/** Each of these before each of those, but none before itself. */
export function eachBefore(before: readonly Step[], after: readonly Step[]): Edge[] {
  const edges: Edge[] = [];
  for (const a of before) for (const b of after) if (a.key !== b.key) edges.push({ before: a.key, after: b.key });
  return edges;
}

/** The same, station by station. */
export const atEach = (steps: Steps, before: readonly StepKind[], after: readonly StepKind[]): Edge[] =>
  [...steps.stations].flatMap((station) => eachBefore(steps.at(station, ...before), steps.at(station, ...after)));
