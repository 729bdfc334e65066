import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import type { Project } from '../model/project.js';
import type { Setting } from '../model/setting.js';
import type { WorkState } from '../model/words.js';
import { childrenOf, orderAfter } from '../model/order.js';
import { fieldsToSet } from '../setting/fields-to-set.js';
import { isSettled, type OrderOfWork, type PlacedStep } from './order-of-work.js';

/** What is said of a step. */
export interface Said {
  state: WorkState;
  /** why it was skipped, what was seen where it failed; of one before its turn, why */
  reason: string;
  by: string;
  /** ISO 8601 */
  at: string;
  /** it is taken although what it waits for is not done */
  before?: boolean;
}

type Ticked = { ok: true; changes: Change[] } | { ok: false; sentence: string; early: boolean };
const no = (sentence: string, early = false): Ticked => ({ ok: false, sentence, early });

/**
 * The changes of saying that a step was done, skipped or failed. Refused, with the reason, where a step that it waits for is still to
 * do; somebody with a name can take it all the same. What a done step brings into a station is in force there from then on.
 */
export function tickStep(
  project: Project,
  { steps }: OrderOfWork,
  key: string,
  said: Said,
  newId: () => string,
): Ticked {
  const step = steps.find((one) => one.key === key);
  if (!step) return no('That step is not there any more: the plan was changed.');
  const { state, reason, by, at } = said;
  if (step.state === state && step.record)
    return no(`Step ${step.number} was ${state} already, says ${step.record.by || 'somebody'}.`);
  if (state !== 'done' && reason.trim() === '')
    return no(state === 'failed' ? 'A step that failed says what was seen.' : 'A step is skipped with a reason.');
  if (state === 'done' && !said.before) {
    const open = firstOpen(step, steps);
    if (open) {
      const [first, why] = open;
      return no(`Step ${step.number} comes after step ${first.number}, “${first.what}”: ${why}.`, true);
    }
  }
  if (said.before && by.trim() === '') return no('A step before its turn is taken with a name.', true);
  const fields = { state, basis: step.basis, reason: reason.trim(), by, at };
  const record: Change[] = step.record
    ? Object.entries(fields).flatMap(([field, value]) =>
        step.record![field as 'by'] === value ? [] : [set('work', step.record!, [field], value)],
      )
    : [put('work', { id: newId(), order: orderAfter(project.all('work')), step: key, ...fields })];
  return { ok: true, changes: [...record, ...(state === 'done' ? brought(project, step, said, newId) : [])] };
}

/** Nothing is said of it any more. */
export const untick = (step: PlacedStep): Change[] =>
  step.record ? [{ kind: 'work', id: step.record.id, path: [], before: { ...step.record } as never }] : [];

/** The first step that is still to do of those that this one waits for, and why it waits. */
function firstOpen(step: PlacedStep, steps: readonly PlacedStep[]): [PlacedStep, string] | null {
  const byKey = new Map(steps.map((one) => [one.key, one]));
  for (const { key, why } of [...step.after].reverse()) {
    const before = byKey.get(key);
    if (before && !isSettled(before)) return [before, why];
  }
  return null;
}

function brought(project: Project, step: PlacedStep, { by, at }: Said, newId: () => string): Change[] {
  const station = project.get('station', step.station);
  if (!station || step.fields.length === 0) return [];
  const wanted = new Set(step.fields);
  let order = orderAfter(childrenOf(project, 'setting', station.id));
  return fieldsToSet(project, station).flatMap(({ field, value, setting, state }) => {
    if (!wanted.has(field) || state === 'in force') return [];
    const next = { state: 'in force', sent: value, by, at } as const;
    if (setting)
      return Object.entries(next).flatMap(([name, now]) =>
        setting[name as keyof Setting] === now ? [] : [set('setting', setting, [name], now)],
      );
    const made: Setting = { id: newId(), order, station: station.id, field, ...next };
    order += 10;
    return [put('setting', made)];
  });
}
