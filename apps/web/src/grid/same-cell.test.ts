import { sameLook } from './same-cell';
import type { GridCell } from './types';

const cell: GridCell = { text: '6 words', editable: true, right: true };

test('cells with the same fields look alike, whatever object they are', () => {
  expect(sameLook(cell, { ...cell })).toBe(true);
  const run = () => undefined;
  expect(
    sameLook({ ...cell, action: { label: 'Open', run } }, { ...cell, action: { label: 'Open', run: () => 1 } }),
  ).toBe(true);
});

test.each<Partial<GridCell>>([
  { text: '5 words' },
  { differs: true },
  { unread: true },
  { muted: true },
  { show: 'six words' },
  { action: { label: 'Open', run: () => undefined } },
  { through: 5 },
])('%j does not', (more) => {
  expect(sameLook(cell, { ...cell, ...more })).toBe(false);
});

test('where what is shown is more than text, its look says whether it is the same', () => {
  expect(sameLook({ ...cell, show: ['a'], look: 'agreed' }, { ...cell, show: ['b'], look: 'agreed' })).toBe(true);
  expect(sameLook({ ...cell, show: ['a'], look: 'agreed' }, { ...cell, show: ['a'], look: 'differs' })).toBe(false);
  expect(sameLook({ ...cell, show: ['a'] }, { ...cell, show: ['a'] })).toBe(false);
});
