import { NO_SESSION, type Session } from '../sync/session';
import type { Dropping } from './dropping';
import { plainSlice } from './plain-slice';

/** The session of the project that is shown, and a question that only this window has. */
export interface ProjectState extends Session {
  /** a deletion that reaches other things, and waits to be said yes to */
  dropping: Dropping | null;
}

const nothing: ProjectState = { ...NO_SESSION, dropping: null };

export const projectSlice = plainSlice('project', nothing, {
  /** what `step` made of the session */
  stepped: (state: ProjectState, session: Session): ProjectState =>
    session === NO_SESSION ? nothing : { ...state, ...session },
  dropAsked: (state: ProjectState, dropping: Dropping | null): ProjectState => ({ ...state, dropping }),
  noticed: (state: ProjectState, notice: string | null): ProjectState => ({ ...state, notice }),
});
