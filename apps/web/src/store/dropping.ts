import { dropWithDependents, reachedBy, type Reached } from '@dialoga/core/change';
import type { Kind } from '@dialoga/core/model';
import { edit } from './editing';
import { projectSlice } from './project-slice';
import type { Thunk } from './store';

/** A deletion that reaches other things: it is asked about first. */
export interface Dropping {
  label: string;
  kind: Kind;
  id: string;
  reached: readonly Reached[];
}

/** Deletes an entity with its parts; where other things depend on it, they are shown first. */
export function drop(label: string, kind: Kind, id: string): Thunk {
  return (dispatch, getState) => {
    const { project, past } = getState().project;
    if (!project?.get(kind, id)) return;
    const reached = past === null ? reachedBy(project, id, dropWithDependents(project, kind, id)) : [];
    if (reached.length > 0) dispatch(projectSlice.actions.dropAsked({ label, kind, id, reached }));
    else dispatch(dropNow(label, kind, id));
  };
}

/** Deletes it as things are now, in one step. */
export function dropNow(label: string, kind: Kind, id: string): Thunk {
  return (dispatch, getState) => {
    const { project } = getState().project;
    dispatch(projectSlice.actions.dropAsked(null));
    if (project) dispatch(edit(label, dropWithDependents(project, kind, id)));
  };
}
