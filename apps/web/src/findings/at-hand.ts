import type { Finding } from '@dialoga/core/finding';
import type { FindingsState } from '../store/findings-slice';

/**
 * The finding that the finding line shows: the chosen one, else the first. While the answer to an edit comes in
 * slices, the order is still the one before; what is mended already is passed by, so that *no findings* is never
 * said while there is one.
 */
export function findingAtHand({
  byKey,
  order,
  current,
}: Pick<FindingsState, 'byKey' | 'order' | 'current'>): Finding | undefined {
  const chosen = current === null ? undefined : byKey.get(current);
  if (chosen) return chosen;
  const from = current === null ? 0 : Math.max(order.indexOf(current), 0);
  for (let i = 0; i < order.length; i++) {
    const next = byKey.get(order[(from + i) % order.length]!);
    if (next) return next;
  }
  return undefined;
}
