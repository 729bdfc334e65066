import type { ChangeSet, Refusal } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import type { JournalEntry } from '../api/client';

/** An edit that was not stored, and waits to be asked about. */
export interface Aside {
  set: ChangeSet;
  /** why it does not fit what is stored; null: it builds on one that is asked about first, or see `said` */
  refusal: Refusal | null;
  /** what somebody stored meanwhile that it meets, where that is known */
  met?: JournalEntry;
  /** the server's sentence, where it will never take it */
  said?: string;
}

/** What a window that is closed, or another one, has kept in this browser; null: this one. */
export interface Kept {
  window: string | null;
  sets: readonly ChangeSet[];
}

/** What one window knows of the project that it shows. */
export interface Session {
  id: string | null;
  /** the past revision that is shown, to read only; null: the newest */
  past: number | null;
  /** waiting: the server does not answer; it is asked again */
  status: 'none' | 'loading' | 'waiting' | 'ready' | 'failed';
  /** why it could not be opened, or not yet */
  error: string | null;
  /** as it is stored at `revision` */
  base: Project | null;
  revision: number;
  /** as it is shown: `base`, with `ahead` and `pending` made on top */
  project: Project | null;
  /** own change sets that are stored behind others’ that are not here yet, in order */
  ahead: ChangeSet[];
  /**
   * stored by others and in `base`, but not in what is shown: an own edit of `ahead` does not fit in between, as where somebody
   * changed a field and changed it back. What is shown follows when that edit’s own revision is here.
   */
  held: JournalEntry[];
  /** made here and not yet acknowledged, in order */
  pending: ChangeSet[];
  /** the change set whose answer is awaited, or whose refusal is looked into; one at a time, so that order stays */
  asked: { id: string; refusal: Refusal | null } | null;
  /** away: the server does not answer; full: it cannot store anything just now */
  sending: 'idle' | 'sending' | 'away' | 'full';
  /** news are being fetched; `more`: others came meanwhile */
  fetching: 'no' | 'yes' | 'more';
  /** how often the same was tried in vain, so that the pauses grow */
  failures: number;
  /** refusals of one change set that could not be explained by news */
  vain: { id: string; times: number } | null;
  /** while opening: what is sent first */
  kept: Kept[];
  undo: ChangeSet[];
  redo: ChangeSet[];
  /** edits that meet another one, in order; the first is asked about */
  aside: Aside[];
  /** a sentence about the last edit: why it was kept as typed, or what was refused */
  notice: string | null;
}

export const NO_SESSION: Session = {
  id: null,
  past: null,
  status: 'none',
  error: null,
  base: null,
  revision: 0,
  project: null,
  ahead: [],
  held: [],
  pending: [],
  asked: null,
  sending: 'idle',
  fetching: 'no',
  failures: 0,
  vain: null,
  kept: [],
  undo: [],
  redo: [],
  aside: [],
  notice: null,
};
