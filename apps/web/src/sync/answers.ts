import type { ChangeSet, Refusal } from '@dialoga/core/change';
import { growingPause } from '../api/growing-pause';
import type { Effect, Step } from './happening';
import { fetchNews, remade, takeIn, without } from './news';
import { keptRefused, keptStored, keptUnanswered } from './opening';
import type { Session } from './session';

const isOpening = ({ status, kept, asked }: Session, id: string) =>
  (status === 'loading' || status === 'waiting') && asked?.id === id && kept[0]?.sets[0]?.id === id;

/** It answers: what waits here is sent. */
const reached = ({ sending }: Session): Session['sending'] => (sending === 'away' ? 'idle' : sending);

const freed = ({ asked }: Session, id: string) => (asked?.id === id ? null : asked);

/** The server has stored it under this revision, now or when it was sent before. */
export function stored(before: Session, id: string, revision: number): Step {
  if (isOpening(before, id)) return keptStored(before);
  if (before.status !== 'ready') return [before, []];
  const session: Session = { ...before, sending: reached(before) };
  const set = session.pending.find((one) => one.id === id);
  const answered: Session = { ...session, asked: freed(session, id), failures: 0, vain: null };
  if (revision <= session.revision) return storedBefore(answered, set);
  if (set && revision === session.revision + 1) return takeIn(answered, [{ revision, author: null, set }]);
  const pending = answered.pending.filter((one) => one !== set);
  return fetchNews(set ? { ...answered, pending, ahead: [...session.ahead, set] } : answered);
}

/** It is in `base` already: it was heard of before the answer came, or another window had sent it before this one was opened. */
function storedBefore(session: Session, set: ChangeSet | undefined): Step {
  const { base, pending, aside } = session;
  if (!set || !base) return [session, []];
  return remade(session, { pending: pending.filter((one) => one !== set), aside }, pending);
}

/** One that meets another one’s is looked into by what that one stored; what will never be taken is asked about at once. */
export function refused(before: Session, id: string, refusal: Refusal | null, sentence: string): Step {
  if (isOpening(before, id)) return keptRefused(before, refusal, sentence);
  if (before.status !== 'ready') return [before, []];
  const session: Session = { ...before, sending: reached(before) };
  const set = session.pending.find((one) => one.id === id);
  if (!set) return [{ ...session, asked: freed(session, id) }, []];
  if (refusal) return fetchNews({ ...session, asked: { id, refusal } });
  return without({ ...session, asked: freed(session, id) }, { set, refusal: null, said: sentence });
}

/** Nobody knows whether it was stored: it is sent again after a pause, under the same id. */
export function unanswered(session: Session, id: string, why: 'away' | 'failing' | 'full', sentence: string): Step {
  if (isOpening(session, id)) return keptUnanswered(session, why, sentence);
  if (session.status !== 'ready' || session.asked?.id !== id) return [session, []];
  const failures = session.failures + 1;
  const sending = why === 'full' ? 'full' : 'away';
  return [{ ...session, asked: null, sending, failures }, [{ do: 'wait', ms: growingPause(failures) }]];
}

/** Sends the first of what is pending, where nothing is under way. */
export function sendNext(session: Session): Step {
  const { id, past, status, asked, sending, pending } = session;
  const [set] = pending;
  if (id === null || past !== null || status !== 'ready' || asked !== null) return [session, []];
  if (sending === 'away' || sending === 'full') return [session, []];
  if (!set) return [sending === 'idle' ? session : { ...session, sending: 'idle' }, []];
  const effects: Effect[] = [{ do: 'send', project: id, set }];
  return [{ ...session, sending: 'sending', asked: { id: set.id, refusal: null } }, effects];
}
