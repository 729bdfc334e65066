import { apply } from '@dialoga/core/change';
import { api } from '../api/client';
import { growingPause } from '../api/growing-pause';
import { check } from './checking';
import { projectSlice } from './project-slice';
import { rebase } from './rebasing';
import type { Dispatch, Thunk } from './store';

const { received } = projectSlice.actions;

let failures = 0;

let following: Promise<void> | null = null;
/** News that came while an answer was under way: it may be older than the news, so it is asked for once more. */
let more = false;
let retry: ReturnType<typeof setTimeout> | undefined;

/** Takes in what others stored meanwhile, in order. What does not fit beside an edit that waits here is asked about. */
export function catchUp(): Thunk<Promise<void>> {
  return (dispatch) => {
    more = true;
    following ??= followAll(dispatch);
    return following;
  };
}

/** Ends in the same step in which it finds that nothing more was heard; otherwise the last news could be lost. */
async function followAll(dispatch: Dispatch): Promise<void> {
  clearTimeout(retry);
  try {
    while (more) {
      more = false;
      await dispatch(follow());
    }
    failures = 0;
  } catch {
    retry = setTimeout(() => void dispatch(catchUp()), growingPause(++failures));
  } finally {
    following = null;
  }
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
        dispatch(check(entry.set, 'another’s'));
      }
    }
  };
}
