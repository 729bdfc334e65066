import { overlapsPaths, type ChangeSet } from '@dialoga/core/change';
import { api, ApiError, AwayError, FullError } from '../api/client';
import { growingPause } from '../api/growing-pause';
import { openInChecker } from '../worker/checker';
import { findingsSlice } from './findings-slice';
import { keepEdits, keptEdits } from './kept-edits';
import { placeOf } from './place';
import { projectFromBytes } from '../api/opened';
import { projectSlice, type Aside } from './project-slice';
import type { Thunk } from './store';

let failures = 0;

const { opening, opened, openFailed, openWaits, noticed, setAside } = projectSlice.actions;
const { cleared, reopened } = findingsSlice.actions;

/**
 * Opens what an address names: a project, or one of its past revisions. First what is still unsent from before, then
 * the project, then its check. While the server does not answer it is asked again and again.
 */
export function openProject(address: string): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { id, revision } = placeOf(address);
    dispatch(opening({ id, past: revision }));
    dispatch(cleared());
    const stale = () => getState().project.id !== id || getState().project.past !== revision;
    try {
      const left = revision === null ? await sendKept(id) : { aside: [], refused: null };
      const bytes = revision === null ? await api.open(id) : await api.revision(id, revision);
      if (stale()) return;
      failures = 0;
      dispatch(opened(projectFromBytes(bytes)));
      if (left.aside.length > 0) dispatch(setAside(left.aside));
      if (left.refused) dispatch(noticed(left.refused));
      const checked = await openInChecker(bytes);
      if (!stale()) dispatch(reopened(checked));
    } catch (error) {
      if (stale()) return;
      const sentence = error instanceof Error ? error.message : String(error);
      if (!(error instanceof AwayError)) dispatch(openFailed(sentence));
      else {
        dispatch(openWaits(sentence));
        setTimeout(
          () => !stale() && getState().project.status === 'waiting' && dispatch(openProject(address)),
          growingPause(++failures),
        );
      }
    }
  };
}

/** Sends what windows have kept, in order. Sent twice counts once, so another open window's edits do no harm. */
async function sendKept(id: string): Promise<{ aside: Aside[]; refused: string | null }> {
  const aside: Aside[] = [];
  let refused: string | null = null;
  for (const { sets, forget } of keptEdits(id)) {
    let failed = false;
    for (const set of sets) {
      if (failed) break;
      if (aside.some((a) => overlapsPaths(set, a.set))) {
        aside.push({ set, refusal: null });
        continue;
      }
      try {
        await api.commit(id, set);
      } catch (error) {
        if (error instanceof FullError || (error instanceof ApiError && error.status >= 500)) {
          // Not for ever at the door: the project opens, and the edit stays where it is until the next time.
          failed = true;
          refused = `“${set.label}” could not be stored: ${error.message} The edit is kept in this browser.`;
          continue;
        }
        if (!(error instanceof ApiError) || error.status === 429) throw error;
        if (error.refusal) aside.push({ set, refusal: error.refusal });
        else refused = `“${set.label}” was refused: ${error.message}`;
      }
    }
    keepEdits(
      id,
      aside.map((a): ChangeSet => a.set),
    );
    if (!failed) forget();
  }
  return { aside, refused };
}
