import { useStore } from 'react-redux';
import { projectSlice } from './project-slice';
import type { State } from './store';

/** Runs an edit; the sentence that says why, where it changed nothing, or null. */
export function useRefusal(): (run: () => void) => string | null {
  const store = useStore<State>();
  return (run) => {
    const { project, notice } = store.getState().project;
    if (notice !== null) store.dispatch(projectSlice.actions.noticed(null));
    run();
    const now = store.getState().project;
    return now.project === project ? now.notice : null;
  };
}
