import type { ChangeSet, Refusal } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import type { JournalEntry } from '../api/client';
import type { Kept, Session } from './session';

export type Choice = 'theirs' | 'mine' | 'both' | 'put back';

/** What is known when a project begins to be opened: its place, and what this browser has kept of it. */
export interface Beginning {
  id: string;
  past: number | null;
  kept: readonly Kept[];
  undo: ChangeSet[];
  redo: ChangeSet[];
}

/** What can happen to a session. Ids come from outside, so that the same events always lead to the same state. */
export type Happening =
  | ({ what: 'begun' } & Beginning)
  /** the page goes, perhaps for a reload; `closed`: another project, or none, is shown */
  | { what: 'leaving' | 'closed' }
  | { what: 'opened'; project: Project; revision: number }
  /** the server is away, and this browser has the project as it was, with what was stored since */
  | { what: 'opened from here'; project: Project; revision: number; entries: readonly JournalEntry[] }
  | { what: 'not opened'; sentence: string; away: boolean }
  | { what: 'typed'; set: ChangeSet }
  | { what: 'undone' | 'redone'; id: string }
  | { what: 'stored'; id: string; revision: number }
  | { what: 'refused'; id: string; refusal: Refusal | null; sentence: string }
  /** away: no answer came; failing: the server answered that it cannot just now; full: nor for a while */
  | { what: 'unanswered'; id: string; why: 'away' | 'failing' | 'full'; sentence: string }
  /** a revision that was heard of, with what it stored where that is small; null: there may be some */
  | { what: 'heard'; revision: number | null; entry: JournalEntry | null }
  | { what: 'fetched'; entries: readonly JournalEntry[] }
  | { what: 'not fetched' }
  | { what: 'settled'; choice: Choice; id: string }
  /** a pause is over, or the network is back */
  | { what: 'again' };

/** What is to be done outside for it; what comes of it happens later. */
export type Effect =
  /** opens the project; its checks begin anew */
  | { do: 'open'; id: string; past: number | null }
  /** opens what this browser has of the project, where it has it */
  | { do: 'open from here'; id: string }
  /** stored on the server: this browser keeps it beside what it has of the project */
  | { do: 'keep news'; project: string; entries: readonly JournalEntry[] }
  | { do: 'send'; project: string; set: ChangeSet }
  | { do: 'fetch'; project: string; since: number }
  /** keeps these, and nothing else, for this window until they are stored */
  | { do: 'keep'; project: string; sets: readonly ChangeSet[] }
  /** what another window kept is dealt with */
  | { do: 'forget'; project: string; window: string }
  /** what can be undone and redone outlives the page */
  | { do: 'remember'; project: string; undo: readonly ChangeSet[]; redo: readonly ChangeSet[] }
  /** the project that is shown has changed by this; `edit`: the own edit that it was, if it was one */
  | { do: 'check'; set: ChangeSet; edit: string | null }
  /** then it is tried again; of several pauses only the last counts */
  | { do: 'wait'; ms: number };

/** The next state, and what is to be done outside. */
export type Step = readonly [Session, readonly Effect[]];
