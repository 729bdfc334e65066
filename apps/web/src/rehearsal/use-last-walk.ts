import type { LastWalk } from '../store/walk-slice';
import { useStateOf } from '../store/store';

/** What came of the last walk in this window, where it was of the project that is shown, and of that exchange or of all. */
export function useLastWalk(exchange?: string): LastWalk['walked'] | null {
  const id = useStateOf((s) => s.project.id);
  const project = useStateOf((s) => s.project.project);
  const last = useStateOf((s) => s.walk.last);
  if (!last || last.project !== id) return null;
  const { lane, exchange: of } = last.about;
  const walked = of ?? (lane === undefined ? undefined : project?.get('lane', lane)?.exchange);
  return walked === exchange ? last.walked : null;
}
