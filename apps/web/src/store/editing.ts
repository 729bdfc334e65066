import { changesNothing, type Change } from '@dialoga/core/change';
import { newId } from '../api/new-id';
import type { Choice } from '../sync/happening';
import { happen } from './happen';
import type { Thunk } from './store';

/** One undoable step. Gives the sentence of the refusal where it is not taken; what changes nothing is taken as it is. */
export function edit(label: string, changes: readonly Change[]): Thunk<string | null> {
  return (dispatch, getState) => {
    const { pending } = getState().project;
    dispatch(happen({ what: 'typed', set: { id: newId(), label, changes } }));
    const now = getState().project;
    return now.pending !== pending || changes.every(changesNothing) ? null : now.notice;
  };
}

export const undo = () => happen({ what: 'undone', id: newId() });
export const redo = () => happen({ what: 'redone', id: newId() });

/** Settles the first edit that was set aside. */
export const settle = (choice: Choice) => happen({ what: 'settled', choice, id: newId() });
