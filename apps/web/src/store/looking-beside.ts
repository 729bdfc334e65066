import { api } from '../api/client';
import { checker } from '../worker/checker';
import { checkRest } from './checking';
import { findingsSlice } from './findings-slice';
import type { Thunk } from './store';

const { checked } = findingsSlice.actions;

/**
 * Tells the check which revision each other project of this server is at: a station that was taken over from an older one
 * is then found, whatever anybody typed. Where the server does not answer, what was known before stands.
 */
export function lookBeside(): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { id } = getState().project;
    if (!id || !getState().findings.ready) return;
    try {
      const others = (await api.list()).filter((other) => other.id !== id);
      const found = await checker().lookBeside(others.map(({ name, revision }) => ({ name, revision })));
      if (!found || getState().project.id !== id) return;
      dispatch(checked(found));
      dispatch(checkRest());
    } catch {
      // The next look tells.
    }
  };
}
