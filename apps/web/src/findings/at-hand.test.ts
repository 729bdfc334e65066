import type { Finding } from '@dialoga/core/finding';
import { Table } from '@dialoga/core/model';
import { findingAtHand } from './at-hand';

const at = (order: string[], current: string | null, there = order) =>
  findingAtHand({
    byKey: Table.from(there.map((key) => [key, { key } as Finding])),
    order,
    current,
  })?.key;

test('the chosen one, else the first; none where there is none', () => {
  expect([at(['a', 'b'], 'b'), at(['a', 'b'], null), at([], null), at([], 'gone')]).toEqual([
    'b',
    'a',
    undefined,
    undefined,
  ]);
});

test('a mended one that the order still names is passed by, on to the next, at the end to the first', () => {
  expect(at(['a', 'b', 'c'], 'b', ['a', 'c'])).toBe('c');
  expect(at(['a', 'b', 'c'], 'c', ['a', 'b'])).toBe('a');
  expect(at(['a', 'b'], null, ['b'])).toBe('b');
});
