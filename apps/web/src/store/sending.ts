import type { ChangeSet } from '@dialoga/core/change';
import { api, ApiError, AwayError, FullError } from '../api/client';
import { growingPause } from '../api/growing-pause';
import { keep } from './editing';
import { catchUp } from './following';
import { projectSlice } from './project-slice';
import { rebase } from './rebasing';
import type { Thunk } from './store';

const { acknowledged, dropped, noticed, sending } = projectSlice.actions;

let failures = 0;
let retry: ReturnType<typeof setTimeout> | undefined;

/**
 * Sends what is pending, in order; waits and tries again while the server is away. An edit that meets another one is
 * set aside with those that build on it, and the rest goes on.
 */
export function send(): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    if (getState().project.sending === 'sending') return;
    clearTimeout(retry);
    dispatch(sending('sending'));
    for (;;) {
      const { id, pending } = getState().project;
      const set = pending[0];
      if (!id || !set) break;
      try {
        const { revision } = await api.commit(id, set);
        failures = 0;
        if (getState().project.id !== id) break;
        dispatch(acknowledged({ id: set.id, revision }));
        dispatch(keep());
        if (getState().project.ahead.length > 0) void dispatch(catchUp());
      } catch (error) {
        if (isAway(error)) return wait(error);
        try {
          await dispatch(refused(set, error as Error));
        } catch (again) {
          if (isAway(again)) return wait(again);
          dispatch(sending('idle'));
          dispatch(noticed(`“${set.label}” could not be sent: ${(again as Error).message}`));
          return;
        }
      }
    }
    dispatch(sending('idle'));

    function wait(error: unknown) {
      failures += 1;
      dispatch(sending(error instanceof FullError ? 'full' : 'away'));
      retry = setTimeout(() => void dispatch(send()), growingPause(failures));
    }
  };
}

const isAway = (error: unknown): boolean =>
  error instanceof AwayError || (error instanceof ApiError && (error.status >= 500 || error.status === 429));

/** An edit that the server did not take: one that meets another is asked about, bad input is taken back with the reason. */
function refused(set: ChangeSet, error: Error): Thunk<Promise<void>> {
  return async (dispatch) => {
    const refusal = error instanceof ApiError ? error.refusal : null;
    if (refusal) return dispatch(rebase({ aside: [{ set, refusal }] }));
    await dispatch(rebase({ without: set.id }));
    dispatch(dropped(set.id));
    dispatch(noticed(`“${set.label}” was refused: ${error.message}`));
  };
}
