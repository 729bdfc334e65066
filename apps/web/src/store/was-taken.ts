import { useStore } from 'react-redux';
import { projectSlice } from './project-slice';
import type { State } from './store';

/** Runs an edit; false where it changed nothing and a sentence says why. */
export function useWasTaken(): (run: () => void) => boolean {
  const store = useStore<State>();
  return (run) => {
    const { project, notice } = store.getState().project;
    if (notice !== null) store.dispatch(projectSlice.actions.noticed(null));
    run();
    const now = store.getState().project;
    return now.project !== project || now.notice === null;
  };
}
