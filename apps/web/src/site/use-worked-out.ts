import { useEffect, useEffectEvent, useState } from 'react';
import { useStateOf } from '../store/store';

/** Something that the worker makes of the project, anew after each edit and each turn. Null: it is not known yet. */
export function useWorkedOut<T>(ask: () => Promise<T | null>, turn = 0): T | null {
  const ready = useStateOf((s) => s.findings.ready);
  const project = useStateOf((s) => s.project.project);
  const [made, setMade] = useState<T | null>(null);
  const asks = useEffectEvent(ask);
  useEffect(() => {
    if (!ready) return;
    let open = true;
    void asks().then((answer) => open && setMade(answer));
    return () => {
      open = false;
    };
  }, [ready, project, turn]);
  return made;
}
