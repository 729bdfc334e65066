import type { ChangeSet } from '@dialoga/core/change';
import { MemoryStorage } from './storage.testing';

const local = new MemoryStorage();
const session = new MemoryStorage();
Object.assign(globalThis, { localStorage: local, sessionStorage: session });
beforeEach(() => {
  local.clear();
  session.clear();
});

/** A window of the browser: the file has a name of its own in each. */
async function openWindow() {
  jest.resetModules();
  return import('./kept-edits');
}
const set = (id: string, label = id): ChangeSet => ({ id, label, changes: [] });
const ids = (sets: readonly ChangeSet[]) => sets.map(({ id }) => id);

test('what a window keeps is there for the one opened next, and gone once it is forgotten', async () => {
  const first = await openWindow();
  expect(first.keepEdits('p', [set('a'), set('b')])).toBe(true);
  const next = await openWindow();
  const [kept] = next.keptEdits('p');
  expect(ids(kept!.sets)).toEqual(['a', 'b']);
  next.forgetKept('p', kept!.window!);
  expect(next.keptEdits('p')).toEqual([]);
});

test('two windows keep apart, and each project has its own', async () => {
  const one = await openWindow();
  const two = await openWindow();
  one.keepEdits('p', [set('of one')]);
  two.keepEdits('p', [set('of two')]);
  two.keepEdits('q', [set('elsewhere')]);
  const third = await openWindow();
  expect(
    third
      .keptEdits('p')
      .map(({ sets }) => ids(sets))
      .sort(),
  ).toEqual([['of one'], ['of two']]);
  expect(third.keptEdits('q').map(({ sets }) => ids(sets))).toEqual([['elsewhere']]);
});

test('what a window has kept since it was read is not forgotten', async () => {
  const writer = await openWindow();
  writer.keepEdits('p', [set('a')]);
  const reader = await openWindow();
  const [kept] = reader.keptEdits('p');
  writer.keepEdits('p', [set('a'), set('b')]);
  reader.forgetKept('p', kept!.window!);
  expect(reader.keptEdits('p').map(({ sets }) => ids(sets))).toEqual([['a', 'b']]);
});

test('a window does not forget its own edits: they go when none is left', async () => {
  const window = await openWindow();
  window.keepEdits('p', [set('a')]);
  const [kept] = window.keptEdits('p');
  window.forgetKept('p', kept!.window!);
  expect(window.keptEdits('p')).toHaveLength(1);
  window.keepEdits('p', []);
  expect(local).toHaveLength(0);
});

test('what is no list of edits is dropped, and the others are read', async () => {
  local.setItem('dialoga.pending.p.broken', '[{"id":');
  const writer = await openWindow();
  writer.keepEdits('p', [set('a')]);
  const window = await openWindow();
  expect(window.keptEdits('p').map(({ sets }) => ids(sets))).toEqual([['a']]);
  expect(local.getItem('dialoga.pending.p.broken')).toBeNull();
});

test('a full store is said, and holds what it held before', async () => {
  const window = await openWindow();
  window.keepEdits('p', [set('a')]);
  local.room = 200;
  expect(window.keepEdits('p', [set('a'), set('b', 'x'.repeat(300))])).toBe(false);
  expect(window.keptEdits('p').map(({ sets }) => ids(sets))).toEqual([['a']]);
  local.room = Infinity;
});

test('steps that can be undone and redone outlive the page, in their order', async () => {
  const before = await openWindow();
  before.rememberSteps('p', { undo: [set('a'), set('b')], redo: [set('c')] });
  const after = await openWindow();
  const { undo, redo } = after.rememberedSteps('p');
  expect([ids(undo), ids(redo)]).toEqual([['a', 'b'], ['c']]);
  expect(after.rememberedSteps('q')).toEqual({ undo: [], redo: [] });
  after.rememberSteps('p', { undo: [], redo: [] });
  expect(session).toHaveLength(0);
});

test('of more than a million characters the oldest steps go', async () => {
  const window = await openWindow();
  const large = ['a', 'b', 'c', 'd'].map((id) => set(id, 'x'.repeat(300_000)));
  window.rememberSteps('p', { undo: large, redo: [] });
  expect(ids(window.rememberedSteps('p').undo)).toEqual(['b', 'c', 'd']);
});

test('steps for which there is no room are none: half of them would undo the wrong thing', async () => {
  const window = await openWindow();
  window.rememberSteps('p', { undo: [set('a')], redo: [] });
  session.room = 100;
  window.rememberSteps('p', { undo: [set('a'), set('b', 'x'.repeat(200))], redo: [] });
  session.room = Infinity;
  expect(window.rememberedSteps('p')).toEqual({ undo: [], redo: [] });
});
