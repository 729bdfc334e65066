import fc from 'fast-check';
import type { Change, Json } from './change.js';
import { changesNothing } from './changes-nothing.js';

const change = (before: unknown, after: unknown, path: readonly string[] = ['field']): Change => ({
  kind: 'station',
  id: 's',
  path,
  ...(before === undefined ? {} : { before: before as Json }),
  ...(after === undefined ? {} : { after: after as Json }),
});

test.each([
  ['a word', 'a word'],
  ['', null],
  [null, undefined],
  [undefined, ''],
  [
    { from: 1, to: null },
    { to: '', from: 1 },
  ],
  [
    [1, 2],
    [1, 2],
  ],
])('%j and %j say the same', (before, after) => {
  expect(changesNothing(change(before, after))).toBe(true);
  expect(changesNothing(change(after, before))).toBe(true);
});

test.each([
  ['a word', 'a Word'],
  [0, null],
  [false, undefined],
  [0, false],
  ['1', 1],
  [
    [1, 2],
    [2, 1],
  ],
  [[1], [1, null]],
  [{ 0: 1 }, [1]],
  [{}, null],
])('%j and %j do not', (before, after) => {
  expect(changesNothing(change(before, after))).toBe(false);
  expect(changesNothing(change(after, before))).toBe(false);
});

test('an entity that is put or dropped is always something', () => {
  expect(changesNothing(change(undefined, undefined, []))).toBe(false);
});

test('any value is what it is, and no other one that is written otherwise', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
      expect(changesNothing(change(a, structuredClone(a)))).toBe(true);
      // Blank fields aside, values that are alike are written alike, whatever the order of their fields.
      const plain = (value: unknown): string =>
        JSON.stringify(value, (_, v: unknown) =>
          v !== null && typeof v === 'object' && !Array.isArray(v)
            ? Object.fromEntries(
                Object.entries(v)
                  .filter(([, field]) => field !== null && field !== '')
                  .sort(([x], [y]) => (x < y ? -1 : 1)),
              )
            : v === ''
              ? null
              : v,
        ).replaceAll('-0', '0');
      if (changesNothing(change(a, b))) expect(plain(a)).toBe(plain(b));
    }),
  );
});
