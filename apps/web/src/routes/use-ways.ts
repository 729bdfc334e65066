import type { Ways } from '@dialoga/core/route';
import { useEffect, useState } from 'react';
import { useStateOf } from '../store/store';
import { checker } from '../worker/checker';

/** All ways of the project as the worker finds them, anew after each edit; null until the first have come. */
export function useWays(): Ways | null {
  const ready = useStateOf((s) => s.findings.ready);
  const project = useStateOf((s) => s.project.project);
  const [ways, setWays] = useState<Ways | null>(null);
  useEffect(() => {
    if (!ready) return;
    let open = true;
    void checker()
      .ways()
      .then((made) => open && setWays(made));
    return () => {
      open = false;
    };
  }, [ready, project]);
  return ways;
}
