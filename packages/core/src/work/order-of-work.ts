import type { Project } from '../model/project.js';
import type { WorkRecord } from '../model/work-record.js';
import { ORDER_RULES, STEP_SOURCES } from './catalogue.js';
import { workContext, type WorkContext } from './context.js';
import { inOrderOf, type Closed, type Reason } from './in-order-of.js';
import { KeptWork } from './kept-work.js';
import { Steps } from './order-rule.js';
import type { Step } from './step.js';

/** open: nobody did it · changed since: done or skipped before what it rests on was changed */
export type StepState = 'open' | 'done' | 'skipped' | 'failed' | 'changed since';

/** A step in its place. */
export interface PlacedStep extends Step {
  number: number;
  /** steps of one layer wait for none of each other: they can be done at the same time */
  layer: number;
  /** which it waits for, the last first */
  after: readonly Reason[];
  state: StepState;
  record: WorkRecord | null;
  /** nothing that it waits for is left to do */
  ready: boolean;
}

export interface OrderOfWork {
  steps: readonly PlacedStep[];
  /** orders that close on themselves, with what closes each; its last wait was left out */
  closed: readonly Closed[];
  left: number;
}

export const isSettled = ({ state }: Pick<PlacedStep, 'state'>): boolean => state === 'done' || state === 'skipped';

/**
 * Every step that follows from the plan and from what was found, in an order in which each can be done.
 * @param kept what has to be set at the stations of this project, where that is known from before an edit
 */
export function orderOfWork(project: Project, kept = new KeptWork(project)): OrderOfWork {
  const context = workContext(project, kept);
  const steps = new Steps(STEP_SOURCES.flatMap((source) => source(context)));
  const { order, closed } = inOrderOf(
    steps.all.map(({ key }) => key),
    ORDER_RULES.map((rule) => ({ why: rule.why, edges: rule.edges(steps, context) })),
  );
  const byKey = new Map(steps.all.map((step) => [step.key, step]));
  const records = new Map([...project.all('work')].map((record) => [record.step, record]));
  const inForce = fieldsInForce(context);
  const placed = new Map<string, PlacedStep>();
  for (const [i, { key, after, layer }] of order.entries()) {
    const step = byKey.get(key)!;
    const basis = kept.digestOf(step);
    const record = records.get(key) ?? null;
    const state = stateOf(step, basis, record, inForce);
    const waits = after.filter((one) => !isSettled(placed.get(one.key)!));
    placed.set(key, {
      ...step,
      basis,
      number: i + 1,
      layer,
      after: [...after].reverse(),
      state,
      record,
      ready: waits.length === 0,
    });
  }
  const all = [...placed.values()];
  return { steps: all, closed, left: all.filter((step) => !isSettled(step)).length };
}

/** The same order with what was said meanwhile, without working it out anew; for as long as nothing but records was changed. */
export function withRecords(work: OrderOfWork, project: Project): OrderOfWork {
  const records = new Map([...project.all('work')].map((record) => [record.step, record]));
  const placed = new Map<string, PlacedStep>();
  for (const step of work.steps) {
    const record = records.get(step.key) ?? null;
    const gone: StepState = step.record ? 'open' : step.state;
    const state = record ? (record.basis === step.basis ? record.state : 'changed since') : gone;
    const ready = step.after.every(({ key }) => isSettled(placed.get(key)!));
    placed.set(step.key, { ...step, record, state, ready });
  }
  const steps = [...placed.values()];
  return { ...work, steps, left: steps.filter((step) => !isSettled(step)).length };
}

function stateOf({ fields }: Step, basis: string, record: WorkRecord | null, inForce: ReadonlySet<string>): StepState {
  if (record) return record.basis === basis ? record.state : 'changed since';
  // Somebody said of every value that it is there: that is as good as a record.
  return fields.length > 0 && fields.every((field) => inForce.has(field)) ? 'done' : 'open';
}

const fieldsInForce = ({ fields }: WorkContext): ReadonlySet<string> =>
  new Set([...fields.values()].flat().flatMap(({ field, state }) => (state === 'in force' ? [field] : [])));
