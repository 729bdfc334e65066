import { useRunningLinksQuery } from '../api/lists';
import { useStateOf } from './store';
import { useRehearsal } from './use-rehearsal';

/** ms between two looks at the values */
const LOOK_MS = 100;

/** The values of an exchange while it runs on stand-ins, and how one is set; null: it does not run. */
export function useRunningExchange(exchange: string) {
  const project = useStateOf((s) => s.project.id) ?? '';
  const { view, act } = useRehearsal();
  const { data: links = null } = useRunningLinksQuery(
    { project, exchange },
    { skip: project === '' || view === null, pollingInterval: LOOK_MS, refetchOnMountOrArgChange: true },
  );
  /** Sets a value at its source and holds it there; what cannot be set is said. */
  const set = (link: string, key: string, text: string) => act({ what: 'set', id: link, key, text });
  return { view, links: view === null ? null : links, set, act };
}
