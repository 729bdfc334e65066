import { refused, sendNext, stored, unanswered } from './answers';
import type { Effect, Happening, Step } from './happening';
import { fetched, fetchNews, heard, notFetched } from './news';
import { begun, nextKept, notOpened, opened, openedFromHere } from './opening';
import { NO_SESSION, type Session } from './session';
import { settled } from './settling';
import { redone, typed, undone } from './typing';

/**
 * All that a window knows of its project, after something happened, and what is to be done outside because of it. The
 * same state and the same event always give the same; nothing here waits, asks or looks at a clock.
 */
export function step(session: Session, event: Happening): Step {
  const [next, effects] = answer(session, event);
  const [sending, sent] = sendNext(next);
  return [sending, [...keeping(session, next), ...effects, ...sent]];
}

function answer(session: Session, event: Happening): Step {
  switch (event.what) {
    case 'begun':
      return begun(event);
    case 'opened':
      return opened(session, event.project, event.revision);
    case 'opened from here':
      return openedFromHere(session, event);
    case 'not opened':
      return notOpened(session, event.sentence, event.away);
    case 'leaving':
      return [session, remembering(session)];
    case 'closed':
      return [NO_SESSION, remembering(session)];
    case 'typed':
      return typed(session, event.set);
    case 'undone':
      return undone(session, event.id);
    case 'redone':
      return redone(session, event.id);
    case 'stored':
      return stored(session, event.id, event.revision);
    case 'refused':
      return refused(session, event.id, event.refusal, event.sentence);
    case 'unanswered':
      return unanswered(session, event.id, event.why, event.sentence);
    case 'heard':
      return heard(session, event.revision, event.entry);
    case 'fetched':
      return fetched(session, event.entries);
    case 'not fetched':
      return notFetched(session);
    case 'settled':
      return settled(session, event.choice, event.id);
    case 'again':
      return again(session);
  }
}

/** What was tried in vain is tried once more. */
function again(session: Session): Step {
  if (session.status === 'waiting' && session.asked === null) return nextKept(session);
  if (session.status !== 'ready' || session.past !== null) return [session, []];
  const { sending } = session;
  // With an answer to what is sent it will be seen whether others stored something.
  const waits = sending === 'away' || sending === 'full';
  if (waits && session.pending.length > 0) return [{ ...session, sending: 'sending' }, []];
  return fetchNews(session);
}

/** All that is not stored is kept in the browser; again where it is something else than before. */
function keeping(before: Session, { id, status, past, ...next }: Session): Effect[] {
  if (id === null || status !== 'ready' || past !== null) return [];
  const [was, sets] = [unstored(before), unstored(next)];
  const same = was.length === sets.length && sets.every((set, i) => set === was[i]);
  return same ? [] : [{ do: 'keep', project: id, sets }];
}

const unstored = ({ aside, pending }: Pick<Session, 'aside' | 'pending'>) => [
  ...aside.map(({ set }) => set),
  ...pending,
];

const remembering = ({ id, past, undo, redo, status }: Session): Effect[] =>
  id === null || past !== null || status === 'none' ? [] : [{ do: 'remember', project: id, undo, redo }];
