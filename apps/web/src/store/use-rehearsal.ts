import { useState } from 'react';
import { api, type RehearsalState, type RehearsalView } from '../api/client';
import { lists, listErrorOf, useRehearsalQuery } from '../api/lists';
import { keepHeld } from './keep-held';
import { projectSlice } from './project-slice';
import { useAppDispatch, useStateOf } from './store';

/** ms between two looks at how a plant runs, and whether somebody let it run */
const LOOK_MS = 500;
const RARE_MS = 5000;

const NONE: RehearsalState = { running: null, elsewhere: null };

/** How the rehearsal of the project shown runs, and what can be done to it; what is refused is said in the notice line. */
export function useRehearsal() {
  const dispatch = useAppDispatch();
  const id = useStateOf((s) => s.project.id) ?? '';
  const [often, setOften] = useState(false);
  const { data = NONE } = useRehearsalQuery(id, {
    skip: id === '',
    pollingInterval: often ? LOOK_MS : RARE_MS,
    refetchOnMountOrArgChange: true,
  });
  const { running: view, elsewhere } = data;
  if (often !== (view !== null)) setOften(view !== null);
  const known = (running: RehearsalView | null) => {
    void dispatch(lists.util.upsertQueryData('rehearsal', id, { running, elsewhere: null }));
  };
  const said = (error: unknown) => void dispatch(projectSlice.actions.noticed(listErrorOf(error).message));
  return {
    view,
    elsewhere,
    start: () =>
      void api
        .startRehearsal(id)
        .then((now) => {
          known(now);
          dispatch(keepHeld(now));
        })
        .catch(said),
    end: () =>
      void api
        .endRehearsal(id)
        .then(() => {
          known(null);
          dispatch(keepHeld(null));
        })
        .catch(said),
    act: (what: Parameters<typeof api.inRehearsal>[1]) =>
      void api
        .inRehearsal(id, what)
        .then((now) => {
          known(now);
          dispatch(keepHeld(now));
        })
        .catch(said),
  };
}
