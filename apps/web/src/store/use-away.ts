import { useEffect, useState } from 'react';
import { useStateOf } from './store';

/** Since when the server does not answer (ms since 1970); null: it does, or nobody asked it. */
export function useAway(): number | null {
  const away = useStateOf((s) => s.project.sending === 'away' || s.project.status === 'waiting');
  const [since, setSince] = useState<number | null>(null);
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the clock is outside
    setSince(away ? Date.now() : null);
  }, [away]);
  return since;
}
