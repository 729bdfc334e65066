import { elementNamed, formatType, parseType, subscriptOf } from './types.js';

test.each([
  ['real', { base: 'REAL', count: 1 }, 'REAL'],
  ['REAL x3', { base: 'REAL', count: 3 }, 'REAL ×3'],
  ['REAL*3', { base: 'REAL', count: 3 }, 'REAL ×3'],
  ['INT[12]', { base: 'INT', count: 12 }, 'INT ×12'],
  ['ARRAY [0..11] OF INT', { base: 'INT', count: 12 }, 'INT ×12'],
  ['array[0..1] of STRING[30]', { base: 'STRING', count: 2, capacity: 30 }, 'STRING[30] ×2'],
  [
    'array[1..2] of STRING[30]',
    { base: 'STRING', count: 2, capacity: 30, bounds: '1..2' },
    'ARRAY[1..2] OF STRING[30]',
  ],
  ['ARRAY[-1..1, 1..4] OF INT', { base: 'INT', count: 12, bounds: '-1..1,1..4' }, 'ARRAY[-1..1,1..4] OF INT'],
  ['ARRAY[1..2] OF ARRAY[0..3] OF BOOL', { base: 'BOOL', count: 8, bounds: '1..2,0..3' }, 'ARRAY[1..2,0..3] OF BOOL'],
  ['Time_Of_Day', { base: 'TOD', count: 1 }, 'TOD'],
  ['LDATE_AND_TIME', { base: 'LDT', count: 1 }, 'LDT'],
  ['WSTRING[12]', { base: 'WSTRING', count: 1, capacity: 12 }, 'WSTRING[12]'],
  ['WCHAR ×4', { base: 'WCHAR', count: 4 }, 'WCHAR ×4'],
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

test('an element is named by its subscripts, the last counting fastest [published: IEC 61131-3, array types] [from memory]', () => {
  const type = { base: 'INT', count: 12, bounds: '-1..1,1..4' };
  expect(elementNamed(type, '-1,1')).toBe(0);
  expect(elementNamed(type, '-1, 2')).toBe(1);
  expect(elementNamed(type, '0,1')).toBe(4);
  expect(elementNamed(type, '1,4')).toBe(11);
  for (const beyond of ['2,1', '0,0', '0', '0,1,1']) expect(elementNamed(type, beyond)).toBeNull();
  for (let i = 0; i < 12; i++) expect(elementNamed(type, subscriptOf(type, i))).toBe(i);
});
