import { dropWithDependents, reachedBy, type Change, type Reached } from '@dialoga/core/change';
import type { RowRef } from '@dialoga/core/fields';
import type { Kind, Project } from '@dialoga/core/model';
import { edit } from './editing';
import { projectSlice } from './project-slice';
import type { Thunk } from './store';

/** A deletion that reaches other things: it is asked about first. */
export interface Dropping {
  label: string;
  ref: RowRef;
  reached: readonly Reached[];
}

/** What takes an entry out of a list is loaded when the first is taken out. */
const changesFor = async (project: Project, { kind, id, path }: RowRef): Promise<Change[]> =>
  path.length === 0
    ? dropWithDependents(project, kind, id)
    : (await import('./entry-with-what-rests')).dropEntryWithWhatRests(project, { kind, id, path });

/** Deletes an entity with its parts; where other things depend on it, they are shown first. */
export const drop = (label: string, kind: Kind, id: string): Thunk => dropRow(label, { kind, id, path: [] });

/** The same for a row of a table: an entity, or an entry of a list that it has. */
export function dropRow(label: string, ref: RowRef): Thunk {
  return (dispatch, getState) => {
    const { project, past } = getState().project;
    if (!project?.get(ref.kind, ref.id)) return;
    void changesFor(project, ref).then((changes) => {
      const reached = past === null ? reachedBy(project, ref.id, changes) : [];
      if (reached.length > 0) dispatch(projectSlice.actions.dropAsked({ label, ref, reached }));
      else dispatch(dropNow(label, ref));
    });
  };
}

/** Deletes it as things are now, in one step. */
export function dropNow(label: string, ref: RowRef): Thunk {
  return (dispatch, getState) => {
    const { project } = getState().project;
    dispatch(projectSlice.actions.dropAsked(null));
    if (project) void changesFor(project, ref).then((changes) => dispatch(edit(label, changes)));
  };
}
