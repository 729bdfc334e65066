import fc from 'fast-check';
import { edited, twoStations } from '../testing/two-stations.testing.js';
import { apply } from './apply.js';
import type { Change, ChangeSet, Json } from './change.js';
import { mergeAdditions, withBoth, withStoredBefore } from './merge.js';
import { overlapsPaths } from './overlap.js';

const former = (before: Json, after: Json): Change => ({ kind: 'port', id: 'porta', path: ['former'], before, after });

test('what both added to a list stands in it, theirs first', () => {
  expect(mergeAdditions(former(['a'], ['a', 'mine']), ['a', 'theirs'])).toEqual(['a', 'theirs', 'mine']);
  expect(mergeAdditions(former([], ['same']), ['same'])).toEqual(['same']);
});

test('where one took an entry out, or changed one, there is no both', () => {
  expect(mergeAdditions(former(['a', 'b'], ['a', 'b', 'c']), ['a'])).toBeNull();
  expect(mergeAdditions(former(['a'], ['c']), ['a', 'b'])).toBeNull();
  expect(mergeAdditions(former('10.0.0.1', '10.0.0.2'), '10.0.0.3')).toBeNull();
});

test('lists keyed by id', () => {
  const change = { kind: 'area', id: 'a', path: ['views'], before: { v: 1 }, after: { v: 1, mine: 2 } } as const;
  expect(mergeAdditions(change, { v: 1, theirs: 3 })).toEqual({ v: 1, theirs: 3, mine: 2 });
  expect(mergeAdditions(change, { v: 9 })).toBeNull();
  expect(mergeAdditions(change, { v: 1, mine: 7 })).toBeNull();
});

test('both keeps every entry of either, whatever the lists', () => {
  const list = fc.uniqueArray(fc.string({ maxLength: 3 }), { maxLength: 5 });
  fc.assert(
    fc.property(list, list, list, (base, mine, theirs) => {
      const both = mergeAdditions(former(base, [...base, ...mine]), [...base, ...theirs]) as string[];
      expect(new Set(both)).toEqual(new Set([...base, ...mine, ...theirs]));
    }),
  );
});

const addFormer: ChangeSet = { id: 'c', label: 'Former address', changes: [former([], ['10.0.0.9'])] };
const met = edited(twoStations(), ['port', 'porta', 'former', ['10.0.0.8']]);

test('a change set that meets an addition goes on as both, or as mine', () => {
  expect(apply(met, addFormer).ok).toBe(false);
  const both = withBoth(met, addFormer, 'd')!;
  expect(both.changes[0]!.after).toEqual(['10.0.0.8', '10.0.0.9']);
  expect(apply(met, both).ok).toBe(true);
  const mine = withStoredBefore(met, addFormer, 'e')!;
  expect(mine.changes[0]!).toMatchObject({ before: ['10.0.0.8'], after: ['10.0.0.9'] });
  expect(apply(met, mine).ok).toBe(true);
});

test('what edits something that is gone can be neither', () => {
  const gone: ChangeSet = { id: 'g', label: '', changes: [{ kind: 'port', id: 'nobody', path: ['name'], after: 'x' }] };
  expect(withBoth(met, gone, 'd')).toBeNull();
  expect(withStoredBefore(met, gone, 'd')).toBeNull();
});

test('paths overlap where one leads into the other', () => {
  const set = (...path: string[]): ChangeSet => ({ id: 's', label: '', changes: [{ kind: 'claim', id: 'ca', path }] });
  expect(overlapsPaths(set('length', 'count'), set('length'))).toBe(true);
  expect(overlapsPaths(set(), set('name'))).toBe(true);
  expect(overlapsPaths(set('name'), set('length'))).toBe(false);
  expect(overlapsPaths({ ...set('name'), changes: [{ kind: 'claim', id: 'cb', path: ['name'] }] }, set('name'))).toBe(
    false,
  );
});
