import type { Matrix, Overview } from '@dialoga/core/overview';
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

/** The matrix from first sources to last sinks, made anew after each check as long as it is asked for. */
export function useEndToEnd(asked: boolean): Matrix | null {
  const { ready, order, lanes } = useStateOf((s) => s.findings);
  const [matrix, setMatrix] = useState<Matrix | null>(null);
  useEffect(() => {
    if (!ready || !asked) return;
    let open = true;
    void checker()
      .endToEnd()
      .then((made) => open && setMatrix(made));
    return () => {
      open = false;
    };
  }, [ready, asked, order, lanes]);
  return asked ? matrix : null;
}
