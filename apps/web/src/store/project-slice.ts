import type { ChangeSet, Refusal } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import type { JournalEntry } from '../api/client';
import type { Dropping } from './dropping';
import { plainSlice } from './plain-slice';

/** An edit that meets another one and waits to be asked about. */
export interface Aside {
  set: ChangeSet;
  /** null: it builds on one that is asked about first */
  refusal: Refusal | null;
  /** what somebody stored meanwhile that it meets, where that is known */
  met?: JournalEntry;
}

export interface ProjectState {
  id: string | null;
  /** the past revision that is shown, to read only; null: the newest */
  past: number | null;
  /** waiting: the server does not answer; it is asked again */
  status: 'none' | 'loading' | 'waiting' | 'ready' | 'failed';
  /** why it could not be opened, or not yet */
  error: string | null;
  /** immutable; changed through the core's apply only */
  project: Project | null;
  /** everything up to this revision is in the project here */
  revision: number;
  /** own change sets that are stored under a later revision than that */
  ahead: string[];
  /** made here and not yet acknowledged, in order */
  pending: ChangeSet[];
  /** full: the server cannot store anything just now */
  sending: 'idle' | 'sending' | 'away' | 'full';
  undo: ChangeSet[];
  redo: ChangeSet[];
  /** edits that meet another one, in order; the first is asked about */
  aside: Aside[];
  /** a deletion that reaches other things, and waits to be said yes to */
  dropping: Dropping | null;
  /** a sentence about the last edit: why it was kept as typed, or what was refused */
  notice: string | null;
}

const initialState: ProjectState = {
  id: null,
  past: null,
  status: 'none',
  error: null,
  project: null,
  revision: 0,
  ahead: [],
  pending: [],
  sending: 'idle',
  undo: [],
  redo: [],
  aside: [],
  dropping: null,
  notice: null,
};

const MOST_UNDO = 500;

interface Edited {
  project: Project;
  set: ChangeSet;
  as: 'edit' | 'undo' | 'redo';
}

interface Settled {
  project: Project;
  revision: number;
  pending: ChangeSet[];
  aside: Aside[];
}

export const projectSlice = plainSlice('project', initialState, {
  opening: (state: ProjectState, place: { id: string; past: number | null }): ProjectState => ({
    ...initialState,
    ...place,
    ...(state.status === 'waiting' ? { status: 'waiting', error: state.error } : { status: 'loading' }),
  }),
  opened: (state: ProjectState, { project, revision }: { project: Project; revision: number }): ProjectState => ({
    ...state,
    status: 'ready',
    error: null,
    project,
    revision,
  }),
  openFailed: (state: ProjectState, error: string): ProjectState => ({ ...state, status: 'failed', error }),
  openWaits: (state: ProjectState, error: string): ProjectState => ({ ...state, status: 'waiting', error }),
  closed: () => initialState,
  edited: (state: ProjectState, { project, set, as }: Edited): ProjectState => {
    const next: ProjectState = { ...state, project, notice: null, pending: [...state.pending, set] };
    if (as === 'edit') return { ...next, undo: [...state.undo, set].slice(-MOST_UNDO), redo: [] };
    if (as === 'undo') return { ...next, undo: state.undo.slice(0, -1), redo: [...state.redo, set] };
    return { ...next, undo: [...state.undo, set], redo: state.redo.slice(0, -1) };
  },
  sending: (state: ProjectState, sending: ProjectState['sending']): ProjectState => ({ ...state, sending }),
  acknowledged: (state: ProjectState, { id, revision }: { id: string; revision: number }): ProjectState => {
    const next = revision === state.revision + 1;
    const known = revision <= state.revision;
    return {
      ...state,
      revision: next ? revision : state.revision,
      ahead: next || known ? state.ahead : [...state.ahead, id],
      pending: state.pending.filter((set) => set.id !== id),
    };
  },
  /** somebody else's change set, or an own one in its turn: then the project has it already */
  received: (
    state: ProjectState,
    { id, revision, project }: { id: string; revision: number; project: Project | null },
  ): ProjectState => ({
    ...state,
    revision,
    project: project ?? state.project,
    ahead: state.ahead.filter((known) => known !== id),
  }),
  dropAsked: (state: ProjectState, dropping: Dropping | null): ProjectState => ({ ...state, dropping }),
  setAside: (state: ProjectState, aside: Aside[]): ProjectState => ({ ...state, aside }),
  /** an edit that the server will never take */
  dropped: (state: ProjectState, id: string): ProjectState => {
    const others = (set: ChangeSet) => set.id !== id;
    return { ...state, undo: state.undo.filter(others), redo: state.redo.filter(others) };
  },
  /** the server's project with the edits that go on, and those that are asked about; they cannot be undone meanwhile */
  settled: (state: ProjectState, settled: Settled): ProjectState => {
    const out = new Set([...state.aside, ...settled.aside].map((a) => a.set.id));
    const made = settled.pending.filter((set) => !state.pending.some((known) => known.id === set.id));
    const inside = (set: ChangeSet) => !out.has(set.id);
    return {
      ...state,
      ...settled,
      ahead: [],
      undo: [...state.undo.filter(inside), ...made],
      redo: state.redo.filter(inside),
    };
  },
  noticed: (state: ProjectState, notice: string | null): ProjectState => ({ ...state, notice }),
});
