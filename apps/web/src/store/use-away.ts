import { useEffect, useState } from 'react';
import { useStateOf } from './store';

/**
 * Since when the server does not answer (ms since 1970); null: it does, or nobody asked it. While it is tried again nothing is known
 * yet, and it counts as away.
 */
export function useAway(): number | null {
  const { sending, status } = useStateOf((s) => s.project);
  const away = sending === 'away' || status === 'waiting';
  const there = sending === 'idle' && status === 'ready';
  const [since, setSince] = useState<number | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => {
      if (away) setSince((known) => known ?? Date.now());
      else if (there) setSince(null);
    });
    return () => clearTimeout(timer);
  }, [away, there]);
  return since;
}
