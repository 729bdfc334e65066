import type { ChangeSet } from '@dialoga/core/change';
import { Project } from '@dialoga/core/model';
import type { JournalEntry } from '../api/client';
import type { Effect, Happening } from './happening';
import { NO_SESSION, type Session } from './session';
import { step } from './step';
import { station } from './testing/plant.testing';

const project = Project.of({
  project: [{ id: 'project', name: 'P' }],
  station: [station('a'), station('b')] as never,
});

/** The states and effects of a session that these things happen to. */
function after(...events: Happening[]): { session: Session; effects: Effect[] } {
  let session = NO_SESSION;
  let effects: readonly Effect[] = [];
  for (const event of events) [session, effects] = step(session, event);
  return { session, effects: [...effects] };
}

const BEGUN: Happening = { what: 'begun', id: 'p', past: null, kept: [], undo: [], redo: [] };
const open: Happening[] = [BEGUN, { what: 'opened', project, revision: 4 }];
const renamed = (id: string, of: string, before: string, name: string): ChangeSet => ({
  id,
  label: id,
  changes: [{ kind: 'station', id: of, path: ['name'], before, after: name }],
});
const typed = (set: ChangeSet): Happening => ({ what: 'typed', set });
const stored = (id: string, revision: number): Happening => ({ what: 'stored', id, revision });
const heard = (revision: number, set: ChangeSet | null): Happening => ({
  what: 'heard',
  revision,
  entry: set && { revision, author: 'Ada', set },
});
const fetched = (...entries: JournalEntry[]): Happening => ({ what: 'fetched', entries });
const ids = (sets: readonly ChangeSet[]) => sets.map((set) => set.id);
const name = (session: Session, id: string) => session.project!.get('station', id)?.name;
const done = (effects: readonly Effect[]) => effects.map((effect) => effect.do);

const first = renamed('e1', 'a', 'a', 'A1');
const second = renamed('e2', 'b', 'b', 'B1');
const theirs = renamed('t1', 'a', 'a', 'A of another');

test('an edit shows at once, is kept and checked, and sent one at a time in order', () => {
  const one = after(...open, typed(first));
  expect([name(one.session, 'a'), done(one.effects)]).toEqual(['A1', ['keep', 'check', 'send']]);
  const two = after(...open, typed(first), typed(second));
  expect([ids(two.session.pending), done(two.effects)]).toEqual([
    ['e1', 'e2'],
    ['keep', 'check'],
  ]);
  const acknowledged = after(...open, typed(first), typed(second), stored('e1', 5));
  expect([acknowledged.session.revision, ids(acknowledged.session.pending)]).toEqual([5, ['e2']]);
  expect(acknowledged.effects).toEqual([
    { do: 'keep', project: 'p', sets: [second] },
    { do: 'keep news', project: 'p', entries: [{ revision: 5, author: null, set: first }] },
    { do: 'send', project: 'p', set: second },
  ]);
});

test('what is typed as it stands already is no step; what the core refuses says why and leaves everything', () => {
  const same = after(...open, typed({ ...first, changes: [{ ...first.changes[0]!, after: 'a' }] }));
  expect([same.session.undo, same.effects]).toEqual([[], []]);
  const wrong = after(...open, typed(renamed('e1', 'a', 'other', 'A1')));
  expect([wrong.session.pending, name(wrong.session, 'a')]).toEqual([[], 'a']);
  expect(wrong.session.notice).toContain('is stored where');
});

test('an undo goes to redo, a redo back; a new edit ends redoing', () => {
  const undone = after(...open, typed(first), { what: 'undone', id: 'u1' });
  expect([ids(undone.session.undo), ids(undone.session.redo), name(undone.session, 'a')]).toEqual([[], ['u1'], 'a']);
  const redone = after(...open, typed(first), { what: 'undone', id: 'u1' }, { what: 'redone', id: 'r1' });
  expect([ids(redone.session.undo), name(redone.session, 'a')]).toEqual([['r1'], 'A1']);
  const other = after(...open, typed(first), { what: 'undone', id: 'u1' }, typed(second));
  expect(other.session.redo).toEqual([]);
});

test('a small change set that comes with the news needs no request; a larger one, or one behind a gap, is fetched', () => {
  const news = after(...open, heard(5, theirs));
  expect([name(news.session, 'a'), news.session.revision, done(news.effects)]).toEqual([
    'A of another',
    5,
    ['keep news', 'check'],
  ]);
  expect(after(...open, heard(6, theirs)).effects).toEqual([{ do: 'fetch', project: 'p', since: 4 }]);
  expect(after(...open, heard(5, null)).effects).toEqual([{ do: 'fetch', project: 'p', since: 4 }]);
  expect(after(...open, heard(4, theirs)).effects).toEqual([]);
});

test('an acknowledgement that comes before others’ revisions waits for them', () => {
  const waits = after(...open, typed(second), stored('e2', 6));
  expect([waits.session.revision, ids(waits.session.ahead), done(waits.effects)]).toEqual([
    4,
    ['e2'],
    ['keep', 'fetch'],
  ]);
  const caught = after(
    ...open,
    typed(second),
    stored('e2', 6),
    fetched({ revision: 5, author: null, set: theirs }, { revision: 6, author: null, set: second }),
  );
  expect([caught.session.revision, caught.session.ahead, name(caught.session, 'a'), name(caught.session, 'b')]).toEqual([
    6, [], 'A of another', 'B1',
  ]); // prettier-ignore
});

test('what meets another edit is asked about, with what it met; meanwhile it is no step to undo, and the rest goes on', () => {
  const { session } = after(...open, typed(first), typed(second), heard(5, theirs));
  expect(session.aside).toMatchObject([
    { set: first, refusal: { code: 'conflict' }, met: { author: 'Ada', set: theirs } },
  ]);
  expect([ids(session.pending), ids(session.undo), name(session, 'a'), name(session, 'b')]).toEqual([
    ['e2'], ['e2'], 'A of another', 'B1',
  ]); // prettier-ignore
  const kept = after(...open, typed(first), heard(5, theirs), { what: 'settled', choice: 'mine', id: 'e9' });
  expect([name(kept.session, 'a'), ids(kept.session.pending), ids(kept.session.undo)]).toEqual(['A1', ['e9'], ['e9']]);
  const dropped = after(...open, typed(first), heard(5, theirs), { what: 'settled', choice: 'theirs', id: 'e9' });
  expect([name(dropped.session, 'a'), dropped.session.pending, dropped.session.aside]).toEqual([
    'A of another',
    [],
    [],
  ]);
});

test('an edit that the server will never take is asked about, and no step to undo', () => {
  const { session } = after(...open, typed(first), typed(second), {
    what: 'refused',
    id: 'e1',
    refusal: null,
    sentence: 'Too long.',
  });
  expect(session.aside).toEqual([{ set: first, refusal: null, said: 'Too long.' }]);
  expect([ids(session.undo), ids(session.pending), name(session, 'a')]).toEqual([['e2'], ['e2'], 'a']);
});

test('while the server is away it is tried again under the same id, after growing pauses', () => {
  const away: Happening = { what: 'unanswered', id: 'e1', why: 'away', sentence: 'away' };
  const once = after(...open, typed(first), away);
  expect([once.session.sending, once.effects]).toEqual(['away', [{ do: 'wait', ms: 2000 }]]);
  const again = after(...open, typed(first), away, { what: 'again' });
  expect(again.effects).toEqual([{ do: 'send', project: 'p', set: first }]);
  const full = after(...open, typed(first), { ...away, why: 'full' } as Happening);
  expect(full.session.sending).toBe('full');
});

test('what windows have kept is sent before the project is opened; what meets another edit is asked about then', () => {
  const begun: Happening = { ...BEGUN, kept: [{ window: 'w', sets: [first, second] }] };
  expect(after(begun).effects).toEqual([{ do: 'send', project: 'p', set: first }]);
  const met: Happening = { what: 'refused', id: 'e1', refusal: { code: 'conflict' } as never, sentence: '' };
  const through = after(begun, met, stored('e2', 7));
  expect(through.effects).toEqual([
    { do: 'keep', project: 'p', sets: [first] },
    { do: 'forget', project: 'p', window: 'w' },
    { do: 'open', id: 'p', past: null },
  ]);
  const opened = after(begun, met, stored('e2', 7), { what: 'opened', project, revision: 7 });
  expect([opened.session.status, opened.session.aside.map(({ set }) => set.id)]).toEqual(['ready', ['e1']]);
  const failing: Happening = { what: 'unanswered', id: 'e1', why: 'failing', sentence: 'No room.' };
  expect(done(after(begun, failing).effects)).toEqual(['open']);
  expect(after(begun, failing).session.notice).toContain('kept in this browser');
  const away: Happening = { what: 'unanswered', id: 'e1', why: 'away', sentence: 'away' };
  expect(after(begun, away).session).toMatchObject({ status: 'waiting', error: 'away' });
  expect(done(after(begun, away, { what: 'again' }).effects)).toEqual(['send']);
});

test('while the server is away, what this browser has of a project is opened, with what waits on top; sent when it is back', () => {
  const begun: Happening = { ...BEGUN, kept: [{ window: 'w', sets: [first] }] };
  const away: Happening = { what: 'unanswered', id: 'e1', why: 'away', sentence: 'away' };
  const waits = after(begun, away);
  expect(done(waits.effects)).toEqual(['wait', 'open from here']);
  // Asked again in vain it is not opened a second time.
  expect(done(after(begun, away, { what: 'again' }, away).effects)).toEqual(['wait']);
  const stored5 = { revision: 5, author: 'Bo', set: second };
  const gap = { revision: 7, author: 'Bo', set: theirs };
  const here: Happening = { what: 'opened from here', project, revision: 4, entries: [stored5, gap] };
  const open = after(begun, away, here);
  expect([open.session.status, open.session.revision, open.session.sending]).toEqual(['ready', 5, 'away']);
  expect([name(open.session, 'a'), name(open.session, 'b'), ids(open.session.pending)]).toEqual(['A1', 'B1', ['e1']]);
  expect(done(open.effects)).toEqual(['keep', 'check', 'check', 'forget', 'wait']);
  expect(done(after(begun, away, here, { what: 'again' }).effects)).toEqual(['send']);
  // The server answered first: what is here is the older one.
  const newer = after({ ...BEGUN }, { what: 'opened', project, revision: 9 }, here);
  expect(newer.session.revision).toBe(9);
});

test('a past revision is only read, and another project begins anew', () => {
  const past = after({ ...BEGUN, past: 3 } as Happening, { what: 'opened', project, revision: 3 }, typed(first));
  expect([past.session.notice, past.session.pending, past.effects]).toEqual([
    expect.stringContaining('cannot be edited'), [], [],
  ]); // prettier-ignore
  const closed = after(...open, typed(first), { what: 'closed' });
  expect([closed.session, closed.effects]).toEqual([
    NO_SESSION,
    [{ do: 'remember', project: 'p', undo: [first], redo: [] }],
  ]);
  expect(after(BEGUN, { what: 'not opened', sentence: 'gone', away: false }).session).toMatchObject({
    status: 'failed',
    error: 'gone',
  });
});

test('news that do not fit what is here: everything begins anew, and what waits is sent first', () => {
  const strange = renamed('t1', 'b', 'nobody has this', 'x');
  const { session, effects } = after(...open, typed(first), heard(5, strange));
  expect([session.status, session.kept]).toEqual(['loading', [{ window: null, sets: [first] }]]);
  expect(done(effects)).toEqual(['send']);
});
