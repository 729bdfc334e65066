import { apply, overlapsPaths, type ChangeSet, type Refusal } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import type { JournalEntry } from '../api/client';
import { growingPause } from '../api/growing-pause';
import type { Beginning, Effect, Happening, Step } from './happening';
import { replay } from './replay';
import { NO_SESSION, type Aside, type Session } from './session';

/** Opens a project: first what is still unsent from before, then the project as it is stored then. */
export function begun({ id, past, kept, undo, redo }: Beginning): Step {
  const session: Session = { ...NO_SESSION, id, past, status: 'loading' };
  return nextKept(past === null ? { ...session, kept: [...kept], undo, redo } : session);
}

/**
 * Sends what windows have kept, one after the other. Sent twice counts once, so another open window's edits do no harm.
 */
export function nextKept(session: Session): Step {
  const effects: Effect[] = [];
  let now = session;
  for (;;) {
    const [first, ...others] = now.kept;
    if (!first) return [now, [...effects, { do: 'open', id: now.id!, past: now.past }]];
    const [set] = first.sets;
    if (!set) {
      effects.push({ do: 'keep', project: now.id!, sets: now.aside.map((one) => one.set) });
      if (first.window !== null) effects.push({ do: 'forget', project: now.id!, window: first.window });
      now = { ...now, kept: others };
    } else if (now.aside.some((one) => overlapsPaths(set, one.set))) {
      now = dealtWith({ ...now, aside: [...now.aside, { set, refusal: null }] });
    } else {
      const asked = { id: set.id, refusal: null };
      return [{ ...now, asked }, [...effects, { do: 'send', project: now.id!, set }]];
    }
  }
}

/** The first of what was kept needs no more sending. */
const dealtWith = (session: Session): Session => {
  const [first, ...others] = session.kept;
  return { ...session, asked: null, kept: [{ ...first!, sets: first!.sets.slice(1) }, ...others] };
};

export const keptStored = (session: Session): Step => nextKept({ ...dealtWith(session), failures: 0 });

export function keptRefused(session: Session, refusal: Refusal | null, sentence: string): Step {
  const set = session.kept[0]!.sets[0]!;
  const aside: Aside = refusal ? { set, refusal } : { set, refusal: null, said: sentence };
  return nextKept(dealtWith({ ...session, aside: [...session.aside, aside] }));
}

/** Not for ever at the door: where the server cannot store it just now, the project opens, and the edit stays where it is. */
export function keptUnanswered(session: Session, why: 'away' | 'failing' | 'full', sentence: string): Step {
  if (why === 'away') return waiting({ ...session, asked: null }, sentence);
  const [first, ...others] = session.kept;
  const notice = `“${first!.sets[0]!.label}” could not be stored: ${sentence} The edit is kept in this browser.`;
  return nextKept({ ...session, asked: null, kept: others, notice });
}

export const opened = (session: Session, project: Project, revision: number): Step => {
  if (session.status !== 'loading' && session.status !== 'waiting') return [session, []];
  const out = new Set(session.aside.map(({ set }) => set.id));
  const steps = (list: Session['undo']) => list.filter(({ id }) => !out.has(id));
  const ready: Session = { ...session, status: 'ready', error: null, failures: 0, base: project, project, revision };
  return [{ ...ready, undo: steps(session.undo), redo: steps(session.redo) }, []];
};

export function notOpened(session: Session, sentence: string, away: boolean): Step {
  if (session.status !== 'loading' && session.status !== 'waiting') return [session, []];
  return away ? waiting(session, sentence) : [{ ...session, status: 'failed', error: sentence }, []];
}

/** The server is asked again after a while; meanwhile what this browser has of the project is opened, where it has it. */
function waiting(session: Session, error: string): Step {
  const failures = session.failures + 1;
  const effects: Effect[] = [{ do: 'wait', ms: growingPause(failures) }];
  if (session.status === 'loading' && session.past === null) effects.push({ do: 'open from here', id: session.id! });
  return [{ ...session, status: 'waiting', error, failures }, effects];
}

/** What this browser has of the project, with all that was typed and not stored on top; it is sent when the server is back. */
export function openedFromHere(
  session: Session,
  { project, revision, entries }: Extract<Happening, { what: 'opened from here' }>,
): Step {
  if (session.status !== 'waiting') return [session, []];
  const known = newest(project, revision, entries);
  const { base, taken } = known;
  const made = replay(
    base,
    session.kept.flatMap(({ sets }) => sets),
    session.aside,
  );
  const ready: Session = {
    ...session,
    base,
    revision: known.revision,
    status: 'ready',
    error: null,
    asked: null,
    sending: 'away',
    kept: [],
    project: made.project,
    pending: made.fitting,
    aside: made.aside,
  };
  const checks = [...taken, ...made.fitting].map((set): Effect => ({ do: 'check', set, edit: null }));
  const windows = session.kept.flatMap(({ window }): Effect[] =>
    window === null ? [] : [{ do: 'forget', project: session.id!, window }],
  );
  return [ready, [...checks, ...windows, { do: 'wait', ms: growingPause(session.failures) }]];
}

/** Entries in order on top of a project, up to the first that does not follow. */
function newest(project: Project, from: number, entries: readonly JournalEntry[]) {
  let [base, revision] = [project, from];
  const taken: ChangeSet[] = [];
  for (const entry of entries) {
    if (entry.revision <= revision) continue;
    const applied = entry.revision === revision + 1 ? apply(base, entry.set) : null;
    if (!applied?.ok) break;
    base = base.with(applied.entities);
    revision = entry.revision;
    taken.push(entry.set);
  }
  return { base, revision, taken };
}
