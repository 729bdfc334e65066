import type { Walked } from '@dialoga/core/rehearse';
import type { WalkAbout } from '../worker/walks';
import { plainSlice } from './plain-slice';

/** A walk that is over: what it was about, and what came of it. */
export interface LastWalk {
  project: string;
  about: WalkAbout;
  revision: number;
  walked: Omit<Walked, 'changes'>;
}

export interface WalkState {
  /** what is being walked, and how far */
  running: { about: WalkAbout; done: number; all: number } | null;
  last: LastWalk | null;
}

const initialState: WalkState = { running: null, last: null };

export const walkSlice = plainSlice('walk', initialState, {
  began: (state: WalkState, about: WalkAbout): WalkState => ({ ...state, running: { about, done: 0, all: 0 } }),
  went: (state: WalkState, { done, all }: { done: number; all: number }): WalkState =>
    state.running ? { ...state, running: { ...state.running, done, all } } : state,
  stopped: (state: WalkState): WalkState => ({ ...state, running: null }),
  ended: (_: WalkState, last: LastWalk): WalkState => ({ running: null, last }),
});
