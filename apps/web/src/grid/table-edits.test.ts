import { put, set } from '@dialoga/core/change';
import { newStation } from '@dialoga/core/create';
import { inOrder, orderAfter, Project } from '@dialoga/core/model';
import { pastedInto, typedInto } from './table-edits';
import type { GridColumn, GridRow } from './types';

let ids = 0;
const COLUMNS: GridColumn[] = ['Station', 'Comment', 'Count'].map((title) => ({ id: title, title, track: '1fr' }));
/** Stations with a comment of letters only. */
const editOf =
  (id: string): NonNullable<GridRow['edit']> =>
  (now, column, text) => {
    const station = now.get('station', id);
    if (!station || column > 1) return [];
    const field = column === 0 ? 'name' : 'comment';
    if (/\d/.test(text)) return [{ changes: [], problem: `“${text}” is not a valid ${field}` }];
    return [{ changes: [set('station', station, [field], text)], problem: null }];
  };
const begin: NonNullable<GridRow['begin']> = (now, _, text) => {
  const station = newStation(`s${++ids}`, orderAfter(inOrder(now, 'station')), text);
  const edits = [{ changes: [put('station', station)], problem: null }];
  return { label: `New ${text}`, edits, then: editOf(station.id) };
};
const rowsOf = (project: Project): GridRow[] => [
  ...inOrder(project, 'station').map(({ id, name, comment }): GridRow => ({
    id,
    height: 26,
    edit: editOf(id),
    cells: [{ text: name, editable: true }, { text: comment ?? '', editable: true }, { text: '7' }],
  })),
  { id: 'new', height: 26, tone: 'new', begin, cells: [{ text: '', editable: true }, null, null] },
];
const two = Project.of({ station: [newStation('a', 10, 'Press'), newStation('b', 20, 'Kiln')] });
const pasted = (text: string, row: string, column = 0) =>
  pastedInto(two, { rows: rowsOf(two), columns: COLUMNS }, { row, column }, text);

test('lines go into the rows that are there, and those beyond the last make new ones, in one step', () => {
  const { changes, problems, made, changed } = pasted('Oven\thot\nDryer\tcold\n', 'b');
  expect([changed, made, problems]).toEqual([1, 1, []]);
  expect(changes.map(({ id, path, after }) => [id, path.join('.'), path.length > 0 ? after : ''])).toEqual([
    ['b', 'name', 'Oven'],
    ['b', 'comment', 'hot'],
    [`s${ids}`, '', ''],
    [`s${ids}`, 'comment', 'cold'],
  ]);
});

test('a line of headings says where each cell goes; a column that the table has not is left out', () => {
  const { changes, made } = pasted('Comment\tDrawing\tStation\nhot\tE-17\tOven\ncold\tE-18\tDryer', 'new');
  expect(made).toBe(2);
  const words = changes.map(({ after }) => (typeof after === 'string' ? after : (after as { name: string }).name));
  expect(words).toEqual(['Oven', 'hot', 'Dryer', 'cold']);
});

test('one word that is a heading, or the same twice, is no line of headings', () => {
  expect(pasted('Station\thot\nOven\tdry', 'new').made).toBe(2);
  expect(pasted('Comment\tComment\nOven\tdry', 'new').made).toBe(2);
});

test('a row that reads a line as a whole is given all of its cells, whatever their order', () => {
  const seen: (readonly string[])[] = [];
  const rows = rowsOf(two).map((row): GridRow => {
    if (row.id !== 'new') return row;
    const line: GridRow['line'] = (now, cells) => {
      seen.push(cells);
      return begin(now, 0, cells.at(-1)!);
    };
    return { ...row, line };
  });
  const { made } = pastedInto(two, { rows, columns: COLUMNS }, { row: 'new', column: 0 }, 'hot\tOven\ncold\tDryer');
  // Where headings say which is which, the cells go to their columns.
  const named = pastedInto(
    two,
    { rows, columns: COLUMNS },
    { row: 'new', column: 0 },
    'Comment\tStation\nwarm\tKiln 2',
  );
  expect(
    named.changes.map(({ after }) => (typeof after === 'string' ? after : (after as { name: string }).name)),
  ).toEqual(['Kiln 2', 'warm']);
  expect([made, seen]).toEqual([
    2,
    [
      ['hot', 'Oven'],
      ['cold', 'Dryer'],
    ],
  ]);
});

test('what is not taken is said with its line and column, and the rest is taken', () => {
  const { problems, made } = pasted('Dryer\tx1\n\tdry\nFan\tok', 'new');
  expect(made).toBe(2);
  expect(problems).toEqual(['line 1, Comment: “x1” is not a valid comment', 'line 2: nothing in it begins a row']);
});

test('a cell that its spreadsheet quoted is one cell, with what stands in it', () => {
  const { changes, made } = pasted('"Oven ""north"""\t"hot\nand dry"', 'new');
  expect(made).toBe(1);
  expect(changes.map(({ after }) => (typeof after === 'string' ? after : (after as { name: string }).name))).toEqual([
    'Oven "north"',
    'hot and dry',
  ]);
});

test('cells that take nothing are passed over, and what stands there already is no change', () => {
  expect(pasted('Press\t\t9', 'a')).toMatchObject({ changes: [], problems: [], changed: 0 });
  expect(pasted('note', 'b', 1).changes).toMatchObject([{ id: 'b', path: ['comment'], after: 'note' }]);
});

test('a cell that the new row does not take begins nothing, and a block too long is refused whole', () => {
  const at = { rows: rowsOf(two), columns: COLUMNS };
  const { made, problems } = pastedInto(two, at, { row: 'new', column: 1 }, 'only a comment');
  expect([made, problems]).toEqual([0, ['line 1: nothing in it begins a row']]);
  const long = pastedInto(two, at, { row: 'a', column: 0 }, 'x\n'.repeat(2001));
  expect([long.changes, long.problems[0]]).toEqual([
    [],
    'the block has 2001 lines, and at most 2000 can be pasted at once',
  ]);
});

test('without a new row there is no room beyond the last', () => {
  const rows = rowsOf(two).slice(0, 2);
  const { problems, changed } = pastedInto(two, { rows, columns: COLUMNS }, { row: 'b', column: 0 }, 'X\nY');
  expect([changed, problems]).toEqual([1, ['line 2 and what follows: there is no row for it']]);
});

test('typed into a new row something begins; emptied, nothing', () => {
  const rows = rowsOf(two);
  const change = typedInto(two, rows, [{ row: 'new', column: 0, text: ' Fan ' }]);
  expect([change.made, change.label, change.changes.length]).toEqual([1, 'New Fan', 1]);
  expect(typedInto(two, rows, [{ row: 'new', column: 0, text: ' ' }]).changes).toEqual([]);
});

test('a place of its own is begun once: the next line goes into the row below', () => {
  const begun: string[] = [];
  const slots: GridRow[] = ['new 1', 'new 2'].map((id) => ({
    id,
    height: 22,
    once: true,
    begin: (now, column, text) => {
      begun.push(`${id}: ${text}`);
      return begin(now, column, text);
    },
    cells: [{ text: '', editable: true }],
  }));
  pastedInto(two, { rows: slots, columns: COLUMNS.slice(0, 1) }, { row: 'new 1', column: 0 }, 'In\nOut');
  expect(begun).toEqual(['new 1: In', 'new 2: Out']);
});
