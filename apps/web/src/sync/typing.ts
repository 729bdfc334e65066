import { apply, changesNothing, invert, tooLong, type ChangeSet } from '@dialoga/core/change';
import type { Step } from './happening';
import type { Session } from './session';

const MOST_UNDO = 500;

/**
 * One undoable step; what the core refuses leaves everything as it is, and a sentence says why. What was typed as it
 * already stands is no step: there is nothing to undo, and nobody is told of it.
 */
export function typed(session: Session, set: ChangeSet): Step {
  const changes = set.changes.filter((change) => !changesNothing(change));
  if (changes.length === 0) return [session, []];
  // The server would refuse it: said here, the text is still in its cell.
  const long = changes.map(tooLong).find((sentence) => sentence !== null);
  if (long && session.past === null) return [{ ...session, notice: long }, []];
  const own = changes.length === set.changes.length ? set : { ...set, changes };
  return made(session, own, (next) => ({ undo: [...next.undo, own].slice(-MOST_UNDO), redo: [] }));
}

export function undone(session: Session, id: string): Step {
  const last = session.undo.at(-1);
  if (!last) return [session, []];
  const back = invert(last, id);
  return made(session, back, (next) => ({ undo: next.undo.slice(0, -1), redo: [...next.redo, back] }));
}

export function redone(session: Session, id: string): Step {
  const last = session.redo.at(-1);
  if (!last) return [session, []];
  const again = invert(last, id);
  return made(session, again, (next) => ({ undo: [...next.undo, again], redo: next.redo.slice(0, -1) }));
}

function made(session: Session, set: ChangeSet, steps: (next: Session) => Pick<Session, 'undo' | 'redo'>): Step {
  const { project, past } = session;
  if (!project) return [session, []];
  if (past !== null) {
    const notice = `This is revision ${past} as it was: it cannot be edited. Restore it, or go to the newest.`;
    return [{ ...session, notice }, []];
  }
  const applied = apply(project, set);
  if (!applied.ok) return [{ ...session, notice: applied.refusal.sentence }, []];
  const next: Session = {
    ...session,
    ...steps(session),
    project: project.with(applied.entities),
    pending: [...session.pending, set],
    notice: null,
  };
  return [next, [{ do: 'check', set, edit: next.undo.at(-1)?.id ?? null }]];
}
