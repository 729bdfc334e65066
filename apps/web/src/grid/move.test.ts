import fc from 'fast-check';
import { blockRows, blockText, rectangle } from './copy';
import { edge, nearest, step, type At } from './move';
import type { GridCell, GridRow } from './types';

const cell = (text: string): GridCell => ({ text, editable: true });
const row = (id: string, cells: string, tone: GridRow['tone'] = 'main'): GridRow => ({
  id,
  height: 20,
  tone,
  // A dot is a place without a cell.
  cells: [...cells].map((c) => (c === '.' ? null : cell(c))),
});

const ROWS = [row('a', 'abcd'), row('b', '..x.', 'second'), row('c', 'e.fg'), row('d', '....'), row('e', 'hijk')];

describe('the cursor', () => {
  test('passes over places without a cell', () => {
    expect(step(ROWS, { row: 0, column: 2 }, 1, 0)).toEqual({ row: 1, column: 2 });
    expect(step(ROWS, { row: 0, column: 0 }, 1, 0)).toEqual({ row: 2, column: 0 });
    expect(step(ROWS, { row: 2, column: 0 }, 0, 1)).toEqual({ row: 2, column: 2 });
    expect(step(ROWS, { row: 2, column: 3 }, 1, 0)).toEqual({ row: 4, column: 3 });
  });

  test('stays where there is nothing further', () => {
    const from = { row: 0, column: 3 };
    expect(step(ROWS, from, 0, 1)).toBe(from);
    expect(step(ROWS, { row: 4, column: 1 }, 1, 0)).toEqual({ row: 4, column: 1 });
  });

  test('finds the first and last cell of a row', () => {
    expect(edge(ROWS, 1, false)).toEqual({ row: 1, column: 2 });
    expect(edge(ROWS, 2, true)).toEqual({ row: 2, column: 3 });
  });

  const grid = fc.array(fc.stringMatching(/^[.x]{4}$/), { minLength: 1, maxLength: 6 });
  test('a step ends on a cell or where it was, and a step back never goes past the start', () => {
    fc.assert(
      fc.property(
        grid,
        fc.nat(5),
        fc.nat(3),
        fc.constantFrom([0, 1], [0, -1], [1, 0], [-1, 0]),
        (lines, r, column, [dr, dc]) => {
          const rows = lines.map((l, i) => row(String(i), l));
          const from: At = { row: r % rows.length, column };
          const to = step(rows, from, dr!, dc!);
          const moved = to.row !== from.row || to.column !== from.column;
          if (moved) expect(rows[to.row]!.cells[to.column]).not.toBeNull();
          const near = nearest(rows, from);
          if (near) expect(rows[near.row]!.cells[near.column]).not.toBeNull();
          else expect(lines.every((l) => !l.includes('x'))).toBe(true);
        },
      ),
    );
  });

  test('nearest keeps to the place where there is a cell', () => {
    expect(nearest(ROWS, { row: 0, column: 1 })).toEqual({ row: 0, column: 1 });
    expect(nearest(ROWS, { row: 2, column: 1 })).toEqual({ row: 2, column: 0 });
    expect(nearest([], { row: 0, column: 0 })).toBeNull();
  });
});

describe('a block as text', () => {
  test('is the rectangle between two corners, whichever way it was drawn', () => {
    expect(rectangle({ row: 3, column: 1 }, { row: 0, column: 2 })).toEqual({ top: 0, bottom: 3, left: 1, right: 2 });
    expect(blockText(ROWS, { row: 2, column: 3 }, { row: 0, column: 2 })).toBe('c\td\nf\tg');
  });

  test('leaves second lines and difference rows out, unless nothing else is chosen', () => {
    expect(blockText(ROWS, { row: 1, column: 2 }, { row: 1, column: 2 })).toBe('x');
    const rows = [row('a', 'ab'), row('d', 'zz', 'difference'), row('b', 'cd')];
    expect(blockRows(rows, 0, 2).map((r) => r.id)).toEqual(['a', 'b']);
  });

  test('quotes what would break it, as spreadsheets do', () => {
    const rows: GridRow[] = [{ id: 'q', height: 1, cells: [cell('a\tb'), cell('say "hi"'), cell('plain')] }];
    expect(blockText(rows, { row: 0, column: 0 }, { row: 0, column: 2 })).toBe('"a\tb"\t"say ""hi"""\tplain');
  });
});
