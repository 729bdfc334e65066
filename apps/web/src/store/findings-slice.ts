import type { Accepted, Finding, LaneResult } from '@dialoga/core';
import type { Checked } from '../worker/checker.worker';
import { plainSlice } from './plain-slice';

export interface FindingsState {
  /** false until the first full check is through */
  ready: boolean;
  byKey: Readonly<Record<string, Finding>>;
  order: readonly string[];
  /** how much still waits to be checked after an edit that touches much */
  left: number;
  lanes: Readonly<Record<string, LaneResult>>;
  accepted: Readonly<Record<string, Accepted>>;
  /** the finding that the finding line shows */
  current: string | null;
}

const initialState: FindingsState = {
  ready: false,
  byKey: {},
  order: [],
  left: 0,
  lanes: {},
  accepted: {},
  current: null,
};

function merged<T>(
  known: Readonly<Record<string, T>>,
  changes: readonly [string, T | null][],
): Readonly<Record<string, T>> {
  if (changes.length === 0) return known;
  const next = { ...known };
  for (const [key, value] of changes) {
    if (value === null) delete next[key];
    else next[key] = value;
  }
  return next;
}

export const findingsSlice = plainSlice('findings', initialState, {
  cleared: () => initialState,
  checked: (state: FindingsState, told: Checked): FindingsState => {
    const gone = state.current !== null && !told.order.includes(state.current);
    const at = gone ? state.order.indexOf(state.current!) : -1;
    return {
      ready: true,
      byKey: merged(state.byKey, told.findings),
      lanes: merged(state.lanes, told.lanes),
      order: told.order,
      left: told.left,
      accepted: Object.fromEntries(told.accepted),
      current: gone ? (told.order[Math.min(at, told.order.length - 1)] ?? null) : state.current,
    };
  },
  reopened: (_: FindingsState, told: Checked): FindingsState => ({
    ready: true,
    byKey: merged({}, told.findings),
    lanes: merged({}, told.lanes),
    order: told.order,
    left: told.left,
    accepted: Object.fromEntries(told.accepted),
    current: null,
  }),
  gaveUp: (state: FindingsState): FindingsState => ({ ...state, left: 0 }),
  chosen: (state: FindingsState, current: string): FindingsState => ({ ...state, current }),
});
