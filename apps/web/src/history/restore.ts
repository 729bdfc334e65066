import { diff } from '@dialoga/core/change';
import { api } from '../api/client';
import { edit } from '../store/editing';
import { projectFromBytes } from '../api/opened';
import { projectSlice } from '../store/project-slice';
import type { Thunk } from '../store/store';

/** Makes the project again what it was at a revision: one step, a new revision, which can be undone. */
export function restoreRevision(revision: number): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { id } = getState().project;
    if (!id) return;
    const { project: past } = projectFromBytes(await api.revision(id, revision));
    const { project } = getState().project;
    if (!project || getState().project.id !== id) return;
    const changes = diff(project, past);
    if (changes.length > 0) dispatch(edit(`Restore revision ${revision}`, changes));
    else
      dispatch(projectSlice.actions.noticed(`The project is as it was at revision ${revision}; nothing to restore.`));
  };
}
