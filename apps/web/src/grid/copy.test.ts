import fc from 'fast-check';
import { splitBlock } from '@dialoga/core/sheet';
import { blockRows, blockText, rectangle } from './copy';
import type { GridRow } from './types';

const row = (id: string, texts: readonly string[], tone?: GridRow['tone']): GridRow => ({
  id,
  height: 22,
  ...(tone ? { tone } : {}),
  cells: texts.map((text) => ({ text })),
});

test('a block runs from either corner to the other', () => {
  const asked = { top: 1, bottom: 3, left: 0, right: 2 };
  expect(rectangle({ row: 3, column: 0 }, { row: 1, column: 2 })).toEqual(asked);
  expect(rectangle({ row: 1, column: 2 }, { row: 3, column: 0 })).toEqual(asked);
});

test('second lines and differences are no rows of a block, unless nothing but second lines is chosen', () => {
  const rows = [row('a', []), row('a told', [], 'second'), row('why', [], 'difference'), row('b', [])];
  expect(blockRows(rows, 0, 3).map(({ id }) => id)).toEqual(['a', 'b']);
  expect(blockRows(rows, 1, 2).map(({ id }) => id)).toEqual(['a told']);
});

test('a cell that is not there is an empty field', () => {
  const gap: GridRow = { id: 'new', height: 22, cells: [{ text: 'a' }, null, { text: 'c' }] };
  expect(blockText([gap], { row: 0, column: 0 }, { row: 0, column: 2 })).toBe('a\t\tc');
});

test('what was copied is read back as it stood, whatever its cells hold', () => {
  const cell = fc.oneof(fc.string(), fc.constantFrom('a\tb', 'two\nlines', 'said "no"', '"', '5" pipe', '\t', 'a\rb'));
  const table = fc
    .integer({ min: 1, max: 4 })
    .chain((width) => fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 5 }));
  fc.assert(
    fc.property(table, (texts) => {
      // A cell has one line and no blanks at its ends; blank lines at the end of a block are none.
      const known = texts.map((line) => line.map((text) => text.replace(/\s*[\r\n]\s*/g, ' ').trim()));
      fc.pre(known.at(-1)!.some((text) => text !== ''));
      const rows = texts.map((line, i) => row(String(i), line));
      const copied = blockText(rows, { row: 0, column: 0 }, { row: rows.length - 1, column: known[0]!.length - 1 });
      expect(splitBlock(copied)).toEqual(known);
    }),
  );
});
