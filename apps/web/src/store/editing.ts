import { apply, changesNothing, invert, tooLong, type Change, type ChangeSet } from '@dialoga/core/change';
import { check } from './checking';
import { keepEdits } from './kept-edits';
import { newId } from '../api/new-id';
import { projectSlice } from './project-slice';
import { send } from './sending';
import type { Thunk } from './store';

const { edited, noticed } = projectSlice.actions;

/**
 * One undoable step. Gives the sentence of the refusal where the core refuses it. What was typed as it already stands is
 * no step: there is nothing to undo, and nobody is told of it.
 */
export function edit(label: string, all: readonly Change[]): Thunk<string | null> {
  return (dispatch) => {
    const changes = all.filter((change) => !changesNothing(change));
    return changes.length === 0 ? null : dispatch(commit({ id: newId(), label, changes }, 'edit'));
  };
}

export function undo(): Thunk {
  return (dispatch, getState) => {
    const last = getState().project.undo.at(-1);
    if (last) dispatch(commit(invert(last, newId(), last.label), 'undo'));
  };
}

export function redo(): Thunk {
  return (dispatch, getState) => {
    const last = getState().project.redo.at(-1);
    if (last) dispatch(commit(invert(last, newId(), last.label), 'redo'));
  };
}

function commit(set: ChangeSet, as: 'edit' | 'undo' | 'redo'): Thunk<string | null> {
  return (dispatch, getState) => {
    const { project, id, past } = getState().project;
    if (!project || !id) return null;
    const refuse = (sentence: string) => {
      dispatch(noticed(sentence));
      return sentence;
    };
    if (past !== null) {
      return refuse(`This is revision ${past} as it was: it cannot be edited. Restore it, or go to the newest.`);
    }
    // The server would refuse it: said here, the text is still in its cell.
    const long = as === 'edit' ? set.changes.map(tooLong).find((sentence) => sentence !== null) : null;
    if (long) return refuse(long);
    const applied = apply(project, set);
    if (!applied.ok) return refuse(applied.refusal.sentence);
    dispatch(edited({ project: project.with(applied.entities), set, as }));
    dispatch(keep());
    dispatch(check(set, 'own'));
    // In a task of its own, so that what was typed is drawn first; until then the edit is kept here.
    setTimeout(() => void dispatch(send()));
    return null;
  };
}

/** Keeps in the browser what the server has not acknowledged. */
export function keep(): Thunk {
  return (dispatch, getState) => {
    const { id, aside, pending } = getState().project;
    if (!id || keepEdits(id, [...aside.map((a) => a.set), ...pending])) return;
    dispatch(
      noticed('The browser has no room to keep this edit over a reload; leave the window open until it is sent.'),
    );
  };
}
