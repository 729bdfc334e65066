import { formatType, parseType } from './types.js';

test.each([
  ['real', { base: 'REAL', count: 1 }, 'REAL'],
  ['REAL x3', { base: 'REAL', count: 3 }, 'REAL ×3'],
  ['REAL*3', { base: 'REAL', count: 3 }, 'REAL ×3'],
  ['INT[12]', { base: 'INT', count: 12 }, 'INT ×12'],
  ['ARRAY [0..11] OF INT', { base: 'INT', count: 12 }, 'INT ×12'],
  ['array[1..2] of STRING[30]', { base: 'STRING', count: 2, capacity: 30 }, 'STRING[30] ×2'],
  ['STRING(16)', { base: 'STRING', count: 1, capacity: 16 }, 'STRING[16]'],
] as const)('%s', (text, type, shown) => {
  const read = parseType(text);
  expect(read).toEqual({ ok: true, value: type });
  expect(read.ok && formatType(read.value)).toBe(shown);
  expect(parseType(shown)).toEqual(read);
});

test.each([
  ['REAL x1000001', '1000001 elements'],
  ['ARRAY [0..999] OF INT[2000]', '2000000 elements'],
  ['STRING[65536]', 'a text of 65536 characters'],
])('%s is more than a type takes', (text, found) => {
  expect(parseType(text)).toMatchObject({ ok: false, found: expect.stringContaining(found) as unknown });
});

test.each(['RAEL', '', 'INT[0]', 'INT ×0', 'ARRAY [5..2] OF INT', 'ARRAY [0..3] OF FOO', '3 REAL', 'REAL,3'])(
  '%s is refused',
  (text) => {
    expect(parseType(text).ok).toBe(false);
  },
);
