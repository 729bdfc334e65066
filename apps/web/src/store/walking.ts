import { walkWords, type LaneWalk } from '@dialoga/core/rehearse';
import { proxy } from 'comlink';
import { currentAuthor } from '../api/author';
import { checker } from '../worker/checker';
import type { WalkAbout } from '../worker/walks';
import { edit } from './editing';
import { projectSlice } from './project-slice';
import type { Thunk } from './store';
import { walkSlice } from './walk-slice';

const { began, went, stopped, ended } = walkSlice.actions;

/** Walks lanes off the page, and marks those that passed as rehearsed: one step, which others see. */
export function walk(about: WalkAbout, name: string): Thunk {
  return (dispatch, getState) => {
    const { id, revision, past } = getState().project;
    if (!id || getState().walk.running) return;
    dispatch(began(about));
    const mark = { by: currentAuthor(), at: new Date().toISOString(), revision };
    const progress = proxy((done: number, all: number) => void dispatch(went({ done, all })));
    void checker()
      .walk(about, mark, progress)
      .then((walked) => {
        if (!walked || getState().project.id !== id) return dispatch(stopped());
        const { changes, ...rest } = walked;
        dispatch(ended({ project: id, about, revision, walked: rest }));
        if (past === null && changes.length > 0) dispatch(edit(`Walk ${name}`, changes));
        const [only] = about.lane === undefined ? [] : rest.walks;
        if (only && only.result !== 'passed') dispatch(projectSlice.actions.noticed(outcomeOf(name, only)));
      })
      .catch((error: unknown) => {
        dispatch(stopped());
        const why = error instanceof Error ? error.message : String(error);
        dispatch(projectSlice.actions.noticed(`The walk could not go on (${why}). Reload the page and walk again.`));
      });
  };
}

/** What a walk of one lane that did not pass says, where only the sheet is there to say it. */
function outcomeOf(name: string, walk: LaneWalk): string {
  const words = walkWords(walk);
  const [more, result] = [words.length - 2, walk.result === 'failed' ? 'does not come through' : 'could not be walked'];
  return `${name} ${result}: ${words.slice(0, 2).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`;
}

/** No further lane is walked; nothing of this walk is kept. */
export function stopWalk(): Thunk {
  return (dispatch) => {
    void checker().stopWalking();
    dispatch(stopped());
  };
}
