import { apply, type ChangeSet } from '@dialoga/core/change';
import { growingPause } from '../api/growing-pause';
import type { Effect, Step } from './happening';
import { begun } from './opening';
import { changesBetween, replay, type Replayed } from './replay';
import type { JournalEntry } from '../api/client';
import type { Aside, Session } from './session';

/** A revision that was heard of: taken in where it is the next one and came along, otherwise fetched. */
export function heard(session: Session, revision: number | null, entry: JournalEntry | null): Step {
  if (session.status !== 'ready' || session.past !== null) return [session, []];
  if (revision !== null && revision <= session.revision) return [session, []];
  if (entry !== null && entry.revision === session.revision + 1) return takeIn(session, [entry]);
  return fetchNews(session);
}

/** Asks for what was stored since; once more afterwards, where that is under way: its answer may be older than the news. */
export function fetchNews(session: Session): Step {
  if (session.fetching !== 'no') return [{ ...session, fetching: 'more' }, []];
  return [{ ...session, fetching: 'yes' }, [{ do: 'fetch', project: session.id!, since: session.revision }]];
}

export function fetched(session: Session, entries: readonly JournalEntry[]): Step {
  const more = session.fetching === 'more' || entries.length > 0;
  const sending = session.sending === 'away' ? 'idle' : session.sending;
  const [next, effects] = takeIn({ ...session, fetching: 'no', failures: 0, sending }, entries);
  if (next.status !== 'ready') return [next, effects];
  const [then, later] = more ? fetchNews(next) : judged(next);
  return [then, [...effects, ...later]];
}

export const notFetched = (session: Session): Step => {
  const failures = session.failures + 1;
  // What is on its way tells by itself whether the server is there.
  const sending = session.asked === null && session.sending === 'idle' ? 'away' : session.sending;
  return [{ ...session, fetching: 'no', failures, sending }, [{ do: 'wait', ms: growingPause(failures) }]];
};

/** Of one change set so many refusals are tried to be explained by news; then it is asked about as it is. */
const MOST_VAIN = 3;

/** All news are in: a refused edit that fits them is sent again; one that does not has been set aside by them. */
function judged(session: Session): Step {
  const { asked, pending, vain, base } = session;
  if (asked === null || asked.refusal === null || base === null) return [session, []];
  const set = pending.find(({ id }) => id === asked.id);
  const free: Session = { ...session, asked: null };
  if (!set) return [free, []];
  const times = (vain?.id === set.id ? vain.times : 0) + 1;
  if (times < MOST_VAIN) return [{ ...free, vain: { id: set.id, times } }, []];
  return without(free, { set, refusal: asked.refusal });
}

/** One of the edits that wait is asked about; those on its paths wait behind it. */
export function without(session: Session, out: Aside): Step {
  const pending = session.pending.filter((one) => one !== out.set);
  return remade({ ...session, vain: null }, { pending, aside: [...session.aside, out] }, session.pending);
}

/**
 * Takes in what was stored, in order, and makes the edits that wait here anew on top. One that no longer fits is set aside
 * to be asked about. Entries that are known are passed over; those behind a gap are left to be fetched.
 */
export function takeIn(session: Session, entries: readonly JournalEntry[]): Step {
  let { base, revision } = session;
  if (!base || session.status !== 'ready') return [session, []];
  let queue = [...session.ahead, ...session.pending];
  let others = false;
  const taken: JournalEntry[] = [];
  for (const entry of entries) {
    if (entry.revision <= revision) continue;
    if (entry.revision > revision + 1) break;
    const own = queue[0]?.id === entry.set.id;
    // The only own edit that waits, stored as it is shown: then what is shown is what is stored.
    if (own && queue.length === 1 && !others && session.project && session.held.length === 0) base = session.project;
    else {
      const applied = apply(base, entry.set);
      if (!applied.ok) return adrift(session);
      base = base.with(applied.entities);
    }
    if (!own) others = true;
    queue = queue.filter(({ id }) => id !== entry.set.id);
    revision = entry.revision;
    taken.push(entry);
  }
  if (taken.length === 0) return [session, []];
  const isTaken = new Set(taken.map(({ set }) => set.id));
  const stays = ({ id }: ChangeSet) => !isTaken.has(id);
  const next: Session = {
    ...session,
    base,
    revision,
    ahead: session.ahead.filter(stays),
    pending: session.pending.filter(stays),
  };
  const asides = session.aside.filter(({ set }) => stays(set));
  const held = [...session.held, ...taken];
  const keeps: Effect = { do: 'keep news', project: session.id!, entries: taken };
  if (!others && asides.length === session.aside.length && session.held.length === 0) return [next, [keeps]];
  const [made, effects] = remade({ ...next, held }, { pending: next.pending, aside: asides }, queue);
  return [made, [keeps, ...effects]];
}

/**
 * These edits made anew on top of what is stored. What the server has stored is never asked about: where it does not fit in
 * between, all stays as it is shown until its revision is here.
 */
export function remade(
  session: Session,
  { pending, aside }: Pick<Session, 'pending' | 'aside'>,
  touching: readonly ChangeSet[],
): Step {
  const { base, ahead, held } = session;
  const made = replay(base!, [...ahead, ...pending], aside, held);
  const stored = new Set(ahead.map(({ id }) => id));
  if (made.aside.some(({ set }) => stored.has(set.id))) return [{ ...session, pending, aside }, []];
  return settledWith({ ...session, held: [] }, made, [...touching, ...held.map(({ set }) => set)]);
}

/** The project here is not what the server’s entries were made to: everything begins anew, with what waits here first. */
function adrift({ id, aside, pending, undo, redo }: Session): Step {
  const sets = [...aside.map(({ set }) => set), ...pending];
  return begun({ id: id!, past: null, kept: [{ window: null, sets }], undo, redo });
}

/** The state after edits were made anew, and what is to be checked because of it. */
function settledWith(session: Session, made: Replayed, touching: readonly ChangeSet[]): Step {
  const next = settledAs(session, made);
  const changes = session.project ? changesBetween(session.project, made.project, touching) : [];
  const effects: Effect[] =
    changes.length > 0 ? [{ do: 'check', set: { id: '', label: '', changes }, edit: null }] : [];
  return [next, effects];
}

/** What is asked about cannot be undone meanwhile; what was asked about and goes on can be, again. */
function settledAs(session: Session, { project, fitting, aside }: Replayed): Session {
  const known = new Set([...session.ahead, ...session.pending].map(({ id }) => id));
  const ahead = new Set(session.ahead.map(({ id }) => id));
  const out = new Set([...session.aside, ...aside].map(({ set }) => set.id));
  const made = fitting.filter(({ id }) => !known.has(id));
  const inside = ({ id }: ChangeSet) => !out.has(id);
  return {
    ...session,
    project,
    pending: fitting.filter(({ id }) => !ahead.has(id)),
    aside,
    undo: [...session.undo.filter(inside), ...made],
    redo: session.redo.filter(inside),
  };
}
