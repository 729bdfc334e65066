import type { Overview } from '@dialoga/core';
import { useEffect, useState } from 'react';
import { useStateOf } from '../store/store';
import { checker } from '../worker/checker';

/** The overview as the worker makes it, anew after each check. */
export function useOverview(): Overview | null {
  const { ready, order, lanes } = useStateOf((s) => s.findings);
  const [overview, setOverview] = useState<Overview | null>(null);
  useEffect(() => {
    if (!ready) return;
    let open = true;
    void checker()
      .overview()
      .then((made) => open && setOverview(made));
    return () => {
      open = false;
    };
  }, [ready, order, lanes]);
  return overview;
}
