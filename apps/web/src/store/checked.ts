import type { Finding } from '@dialoga/core/finding';
import { createSelector } from '@reduxjs/toolkit';
import { useDeferredValue } from 'react';
import type { FindingsState } from './findings-slice';
import { useStateOf } from './store';

/**
 * What the checks say, for what takes long to draw. While more is to come it follows a moment later and gives way to what
 * is typed; the verdict on a single edit is drawn at once.
 */
export function useChecked(): FindingsState {
  const now = useStateOf((s) => s.findings);
  const later = useDeferredValue(now);
  return now.left > 0 ? later : now;
}

/** The same list for all who ask, as long as neither findings nor their order change. */
const countingIn = createSelector(
  [({ byKey }: FindingsState) => byKey, ({ order }: FindingsState) => order],
  (byKey, order): Finding[] => order.flatMap((key) => byKey.get(key) ?? []),
);

/** The findings that count, in the order of the work: without the Doubts that somebody accepted. */
export const useCounting = (): Finding[] => countingIn(useChecked());
