import { typedNumber } from '@dialoga/core/lab';
import { useRunningLinksQuery } from '../api/lists';
import { projectSlice } from './project-slice';
import { useAppDispatch, useStateOf } from './store';
import { useRehearsal } from './use-rehearsal';

/** ms between two looks at the values */
const LOOK_MS = 200;

/** The values of an exchange while it runs on stand-ins, and how one is set; null: it does not run. */
export function useRunningExchange(exchange: string) {
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.id) ?? '';
  const { view, act } = useRehearsal();
  const { data: links = null } = useRunningLinksQuery(
    { project, exchange },
    { skip: project === '' || view === null, pollingInterval: LOOK_MS, refetchOnMountOrArgChange: true },
  );
  /** Sets a value at its source and holds it there; what cannot be set is said. */
  const set = (link: string, key: string, text: string) => {
    const typed = typedNumber(text);
    if (typed) act({ what: 'set', id: link, key, value: Number(typed.value) });
    else {
      const right = 'a number is set: 12.5, −3, 0x1234; of a bit 1 or 0';
      dispatch(projectSlice.actions.noticed(`“${text}” cannot be set; ${right}.`));
    }
  };
  return { view, links: view === null ? null : links, set, act };
}
