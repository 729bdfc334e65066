import type { ChangeSet } from '@dialoga/core/change';
import { checker } from '../worker/checker';
import { findingsSlice } from './findings-slice';
import { projectSlice } from './project-slice';
import type { Thunk } from './store';

const { checked, gaveUp, observed } = findingsSlice.actions;
const { noticed } = projectSlice.actions;

/** The last own edit before what is being checked; none where somebody else made that. */
let before: string | undefined;

/** Has changes checked, and takes in what that changes: slice by slice where it is much. `own`: the own edit that it was. */
export function check(set: ChangeSet, own: string | null): Thunk {
  return (dispatch, getState) => {
    const { id } = getState().project;
    before = own ?? undefined;
    const edit = before;
    void checker()
      .edit(set, own !== null)
      .then((first) => {
        if (getState().project.id !== id) return;
        dispatch(checked({ ...first, edit }));
        dispatch(checkRest());
        if (first.observed === 'ask') dispatch(askObserved());
      })
      .catch((error: unknown) => dispatch(failed(error)));
  };
}

/** Asks how far the lanes are on site, once what was found is there. */
export function askObserved(): Thunk {
  return (dispatch, getState) => {
    const { id } = getState().project;
    void checker()
      .observed()
      .then((lanes) => lanes && getState().project.id === id && dispatch(observed(lanes)))
      .catch((error: unknown) => dispatch(failed(error)));
  };
}

let asking = false;

/** Asks for what still waits, one slice after the other, so that the page is free between them. */
export function checkRest(): Thunk {
  return (dispatch, getState) => {
    if (asking || getState().findings.left === 0) return;
    asking = true;
    const { id } = getState().project;
    void checker()
      .more()
      .finally(() => (asking = false))
      .then((next) => {
        if (next && getState().project.id === id) dispatch(checked({ ...next, edit: before }));
        dispatch(checkRest());
      })
      .catch((error: unknown) => dispatch(failed(error)));
  };
}

/** A fault of our own: said, and what was found until then stays. Opening the project again checks it anew. */
function failed(error: unknown): Thunk {
  return (dispatch) => {
    dispatch(gaveUp());
    const why = error instanceof Error ? error.message : String(error);
    dispatch(noticed(`The check could not go on (${why}). Reload the page to check everything anew.`));
  };
}
