import { findingsSlice } from './findings-slice';
import { happen } from './happen';
import { keptEdits, rememberedSteps } from './kept-edits';
import { placeOf } from './place';
import type { Thunk } from './store';

/** Opens what an address names: a project, or one of its past revisions. */
export function openProject(address: string): Thunk {
  return (dispatch) => {
    const { id, revision: past } = placeOf(address);
    dispatch(findingsSlice.actions.cleared());
    dispatch(happen({ what: 'begun', id, past, kept: keptEdits(id), ...rememberedSteps(id) }));
  };
}
