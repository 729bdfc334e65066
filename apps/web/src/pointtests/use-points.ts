import type { Points } from '@dialoga/core/pointtest';
import { useEffect, useState } from 'react';
import { useStateOf } from '../store/store';
import { checker } from '../worker/checker';

interface Known {
  turn: number;
  points: Points;
}

/** Every point of the plan, from the worker; what only says something of one changes nothing of it. Null: not known yet. */
export function usePoints(): Points | null {
  const ready = useStateOf((s) => s.findings.ready);
  const project = useStateOf((s) => s.project.project);
  const [known, setKnown] = useState<Known | null>(null);
  const turn = known?.turn ?? -1;
  useEffect(() => {
    if (!ready) return;
    let open = true;
    void checker()
      .points(turn)
      .then((answer) => open && answer && setKnown(answer));
    return () => {
      open = false;
    };
  }, [ready, project, turn]);
  return known?.points ?? null;
}
