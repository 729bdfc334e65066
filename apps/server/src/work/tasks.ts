import type { MessagePort } from 'node:worker_threads';
import type { Outcome } from './outcome.js';

/** A piece of work of another thread: what it is given, and what it gives. */
type Task<Given, Gives> = (given: Given) => Promise<Outcome<Gives>>;

/** All that is done in other threads, by name; `thread.ts` does it. */
export interface Tasks {
  /** Sends the sections of a project, compressed, through a port as they are read. */
  openProject: Task<{ project: string; port: MessagePort }, void>;
  /** A project file, compressed, with the project's name. */
  exportFile: Task<{ project: string }, { name: string; file: Uint8Array }>;
  /** Change sets after a revision as the text of a list, compressed. */
  readJournal: Task<{ project: string; since: number }, { list: Uint8Array }>;
  /** Commits a change set that is given as the body of a request. */
  commitLarge: Task<{ project: string; body: Uint8Array }, { revision: number }>;
  /** The sections of a project as it was at a revision, compressed. */
  pastRevision: Task<{ project: string; revision: number }, { sections: Uint8Array }>;
  /** Counts a project's findings, and stores the counts. */
  countFindings: Task<{ project: string }, void>;
  storeDemo: Task<{ demo: string }, { project: string }>;
  /** A project from a project file; null where it was cancelled meanwhile. */
  importFile: Task<{ job: string; file: Uint8Array }, { project: string | null }>;
  copyProject: Task<{ job: string; project: string; name: string }, { project: string | null }>;
}
