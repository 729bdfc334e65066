import { apply } from '@dialoga/core';
import { api } from '../api/client';
import { check } from './checking';
import { projectSlice } from './project-slice';
import { rebase } from './rebasing';
import type { Thunk } from './store';

const { received } = projectSlice.actions;

let following: Promise<void> | null = null;

/** Takes in what others stored meanwhile, in order. What does not fit beside an edit that waits here is asked about. */
export function catchUp(): Thunk<Promise<void>> {
  return (dispatch) => {
    following ??= dispatch(follow())
      .catch(() => undefined)
      .finally(() => (following = null));
    return following;
  };
}

function follow(): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    for (;;) {
      const { id, revision, status, past } = getState().project;
      if (!id || status !== 'ready' || past !== null) return;
      const entries = await api.since(id, revision);
      if (entries.length === 0) return;
      for (const entry of entries) {
        const state = getState().project;
        if (state.id !== id || !state.project) return;
        if (entry.revision <= state.revision) continue;
        const own = state.pending.some((p) => p.id === entry.set.id) || state.ahead.includes(entry.set.id);
        if (own) {
          dispatch(received({ id: entry.set.id, revision: entry.revision, project: null }));
          continue;
        }
        const applied = apply(state.project, entry.set);
        if (!applied.ok) return await dispatch(rebase({}));
        const project = state.project.with(applied.entities);
        dispatch(received({ id: entry.set.id, revision: entry.revision, project }));
        dispatch(check(entry.set));
      }
    }
  };
}
