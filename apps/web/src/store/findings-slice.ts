import type { Accepted, LaneResult } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import { Table } from '@dialoga/core/model';
import type { Checked } from '../worker/checker.worker';
import { orderedBy } from '../worker/order-change';
import { plainSlice } from './plain-slice';

export interface FindingsState {
  /** false until the first full check is through */
  ready: boolean;
  byKey: Table<Finding>;
  /** keys of those that count, in the order of the work; while more is to come it may be a moment behind */
  order: readonly string[];
  /** how much still waits to be checked after an edit that touches much */
  left: number;
  lanes: Table<LaneResult>;
  accepted: Readonly<Record<string, Accepted>>;
  /** lanes whose walk passed, and that were not changed since */
  rehearsed: ReadonlySet<string>;
  /** lanes of which every point was seen on site */
  observed: ReadonlySet<string>;
  /** of what was found since the project was opened: the last own edit before it was, by key */
  since: ReadonlyMap<string, string>;
  /** the finding that the finding line shows */
  current: string | null;
}

const initialState: FindingsState = {
  ready: false,
  byKey: Table.empty(),
  order: [],
  left: 0,
  lanes: Table.empty(),
  accepted: {},
  rehearsed: new Set(),
  observed: new Set(),
  since: new Map(),
  current: null,
};

function merged<T>(known: Table<T>, changes: readonly [string, T | null][]): Table<T> {
  if (changes.length === 0) return known;
  return known.with(changes.map(([key, value]) => [key, value ?? undefined]));
}

function withAccepted(known: FindingsState['accepted'], changes: Checked['accepted']): FindingsState['accepted'] {
  if (changes.length === 0) return known;
  const next = new Map(Object.entries(known));
  for (const [key, one] of changes)
    if (one) next.set(key, one);
    else next.delete(key);
  return Object.fromEntries(next);
}

function foundSince(
  { byKey, since }: FindingsState,
  changes: Checked['findings'],
  edit: string | undefined,
): FindingsState['since'] {
  const next = new Map(since);
  for (const [key, finding] of changes) {
    if (!finding) next.delete(key);
    else if (edit !== undefined && !byKey.get(key)) next.set(key, edit);
  }
  return next;
}

export const findingsSlice = plainSlice('findings', initialState, {
  cleared: () => initialState,
  checked: (state: FindingsState, told: Checked & { edit?: string | undefined }): FindingsState => {
    const order = told.order ? orderedBy(state.order, told.order) : state.order;
    const gone = state.current !== null && !order.includes(state.current);
    const at = gone ? state.order.indexOf(state.current!) : -1;
    return {
      ready: true,
      byKey: merged(state.byKey, told.findings),
      lanes: merged(state.lanes, told.lanes),
      order,
      left: told.left,
      accepted: withAccepted(state.accepted, told.accepted),
      rehearsed: told.rehearsed ? new Set(told.rehearsed) : state.rehearsed,
      observed: Array.isArray(told.observed) ? new Set(told.observed) : state.observed,
      since: foundSince(state, told.findings, told.edit),
      current: gone ? (order[Math.min(at, order.length - 1)] ?? null) : state.current,
    };
  },
  reopened: (_: FindingsState, told: Checked): FindingsState => ({
    ready: true,
    byKey: merged(Table.empty(), told.findings),
    lanes: merged(Table.empty(), told.lanes),
    order: told.order ? orderedBy([], told.order) : [],
    left: told.left,
    accepted: withAccepted({}, told.accepted),
    rehearsed: new Set(told.rehearsed),
    observed: new Set(),
    since: new Map(),
    current: null,
  }),
  observed: (state: FindingsState, lanes: readonly string[]): FindingsState => ({ ...state, observed: new Set(lanes) }),
  gaveUp: (state: FindingsState): FindingsState => ({ ...state, left: 0 }),
  chosen: (state: FindingsState, current: string): FindingsState => ({ ...state, current }),
});
