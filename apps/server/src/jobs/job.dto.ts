import type { Problem } from '@dialoga/core';
import type { JobState } from '../database/tables.js';

/** Long work as its starter follows it. */
export interface JobView {
  id: string;
  kind: string;
  state: JobState;
  /** what it is doing, in words, and how many of how many */
  step: string;
  done: number;
  total: number;
  /** the project that it made */
  project: string | null;
  /** why it ended without one, and what is wrong with what it was given */
  message: string | null;
  problems: Problem[];
}

/** What starting long work answers. */
export interface JobStarted {
  job: string;
}
