import type { Finding } from '@dialoga/core/finding';
import { useDeferredValue, useMemo } from 'react';
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

/** The findings that count, in the order of the work: without the Doubts that somebody accepted. */
export function useCounting(): Finding[] {
  const { byKey, order } = useChecked();
  return useMemo(() => order.flatMap((key) => byKey.get(key) ?? []), [byKey, order]);
}
