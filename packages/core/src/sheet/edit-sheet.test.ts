import fc from 'fast-check';
import { applied, codesOf, edited, twoStations, without } from '../testing/two-stations.testing.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { dropItem, editSheet, type SheetEdit } from './edit-sheet.js';
import { sheetRows } from './sheet.js';
import { SHEET_COLUMNS, type SheetColumn } from './sheet-fields.js';

const counter = () => {
  let n = 0;
  return () => `new${n++}`;
};
const end = (project: Project, id: 'ea' | 'eb') => project.get('end', id)!;
const type = (project: Project, ...edits: (Omit<SheetEdit, 'end'> & { at: 'ea' | 'eb' })[]) => {
  const result = editSheet(
    project,
    edits.map(({ at, ...rest }) => ({ ...rest, end: end(project, at) })),
    counter(),
  );
  return { ...result, project: applied(project, { id: 's', label: '', changes: result.changes }) };
};
const claimOf = (project: Project, lane: string, at: string) =>
  childrenOf(project, 'claim', lane).find((c) => c.end === at)!;

test('typing into the empty row makes a lane with a claim at that end only', () => {
  const { project, lane } = type(twoStations(), { at: 'ea', lane: null, column: 'name', text: 'Valves' });
  expect(claimOf(project, lane!, 'ea').name).toBe('Valves');
  expect(claimOf(project, lane!, 'eb')).toBeUndefined();
});

test.each([
  ['length', '6', { length: { count: 6, unit: 16 } }],
  ['length', '12 bytes', { length: { count: 12, unit: 8 } }],
  ['direction', 'r', { direction: 'reads' }],
  ['direction', 'Reads', { direction: 'reads' }],
  ['type', 'ARRAY [1..4] OF INT', { type: { base: 'INT', count: 4 } }],
  ['address', 'A120', { place: { area: 'areaa', view: 'va', number: 120 } }],
  ['told', ' b7 ', { toldPlace: 'b7' }],
  ['swap', 'registers swapped', { swap: 'words' }],
  ['address', '', { place: null }],
] as const)('%s “%s”', (column, text, expected) => {
  const { project, problems } = type(twoStations(), { at: 'ea', lane: 'lane', column, text });
  expect(claimOf(project, 'lane', 'ea')).toMatchObject(expected);
  expect(problems).toEqual([]);
});

test.each([
  ['length', '4,5', 'with a comma'],
  ['length', '0', 'a length of 0'],
  ['type', 'RAEL', 'is not a type known here'],
  ['address', 'b7', 'an address here looks like a100'],
  ['address', '=1+1', 'is not an address of this station'],
  ['direction', 'inout', 'write writes, reads or both'],
] as const)('%s “%s” is kept as typed, with why', (column, text, words) => {
  const { project, problems } = type(twoStations(), { at: 'ea', lane: 'lane', column, text });
  expect(problems.join()).toContain(words);
  const field = column === 'address' ? 'place' : column;
  expect(claimOf(project, 'lane', 'ea')[field]).toEqual({ typed: text });
});

test('the area follows from the address: its own name changes nothing, another moves the block', () => {
  const two = edited(twoStations(), [
    'area',
    'areaa',
    'views',
    { r: { order: 5, name: 'r', notation: 'reference 6', unit: 16, first: 1 } },
  ]);
  const project = edited(two, ['claim', 'ca', 'place', { area: 'areaa', view: 'r', number: 7 }]);
  expect(type(project, { at: 'ea', lane: 'lane', column: 'area', text: 'memory' }).changes).toEqual([]);
  const empty = edited(project, ['claim', 'ca', 'place', null]);
  const { changes, problems } = type(empty, { at: 'ea', lane: 'lane', column: 'area', text: 'Memory' });
  expect([changes, problems]).toEqual([[], ['the area follows from the address; type one like 400101']]);
  expect(type(project, { at: 'ea', lane: 'lane', column: 'area', text: 'Attic' }).problems.join()).toContain(
    'its areas: Memory',
  );
});

test('an own word of the profile is taken for a direction', () => {
  const project = edited(twoStations(), ['profile', 'pa', 'words', { reads: { word: 'receive' } }]);
  const { project: after } = type(project, { at: 'ea', lane: 'lane', column: 'direction', text: 'receive' });
  expect(claimOf(after, 'lane', 'ea').direction).toBe('reads');
});

test('a value is typed by name, address and type; its address becomes an offset', () => {
  const first = type(twoStations(), { at: 'ea', lane: 'lane', key: null, column: 'name', text: 'Level' });
  const key = first.key!;
  const second = type(
    first.project,
    { at: 'ea', lane: 'lane', key, column: 'address', text: 'a102' },
    { at: 'ea', lane: 'lane', key, column: 'type', text: 'REAL' },
  );
  expect(claimOf(second.project, 'lane', 'ea').items[key]).toEqual({
    name: 'Level',
    type: { base: 'REAL', count: 1 },
    offset: { bits: 32 },
  });
  const before = type(second.project, { at: 'ea', lane: 'lane', key, column: 'address', text: 'a99' });
  expect(before.problems.join()).toContain('lies before its lane');
  const [left, right] = childrenOf(before.project, 'end', 'x');
  const rows = sheetRows(before.project, before.project.get('exchange', 'x')!, left!, right!, new Set(['lane']));
  expect(rows[1]!.left!.address).toEqual({ text: 'a99', unread: true });
});

test('a value goes at all ends', () => {
  const one = type(twoStations(), { at: 'ea', lane: 'lane', key: null, column: 'name', text: 'Level' });
  const two = type(one.project, { at: 'eb', lane: 'lane', key: one.key, column: 'name', text: 'Lvl' });
  const changes = dropItem(two.project, two.project.get('lane', 'lane')!, one.key!);
  const after = applied(two.project, { id: 'd', label: '', changes });
  expect(claimOf(after, 'lane', 'eb').items).toEqual({});
  expect(codesOf(after)).toEqual([]);
});

test('what a cell shows, typed again, changes nothing', () => {
  const project = twoStations();
  const [left, right] = childrenOf(project, 'end', 'x');
  const [row] = sheetRows(project, project.get('exchange', 'x')!, left!, right!, new Set());
  for (const column of SHEET_COLUMNS.filter((c) => c !== 'area')) {
    const { changes } = editSheet(
      project,
      [{ end: left!, lane: 'lane', column, text: row!.left![column].text }],
      counter(),
    );
    expect(changes).toEqual([]);
  }
});

test('any text in any cell is taken or kept, never an exception, and the file can be written', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<SheetColumn | 'told' | 'swap'>(...SHEET_COLUMNS, 'told', 'swap'),
      fc.string({ unit: 'grapheme' }),
      (column, text) => {
        const { project } = type(twoStations(), { at: 'ea', lane: 'lane', column, text });
        expect(codesOf(project)).toBeDefined();
      },
    ),
  );
});

test('a cell of a missing end that is emptied, or whose text is refused, makes no claim of nothing', () => {
  const bare = without(twoStations(), 'claim', 'cb');
  for (const text of [' ', '']) {
    expect(type(bare, { at: 'eb', lane: 'lane', column: 'name', text }).changes).toEqual([]);
    expect(type(bare, { at: 'eb', lane: null, column: 'name', text })).toMatchObject({ changes: [], lane: null });
  }
  const refused = type(bare, { at: 'eb', lane: 'lane', column: 'area', text: 'Nowhere' });
  expect(refused.changes).toEqual([]);
  expect(refused.problems).toEqual(['“Nowhere” names no area of this station; its areas: Memory']);
  expect(type(bare, { at: 'eb', lane: null, column: 'area', text: 'Nowhere' }).changes).toEqual([]);
});

test('where an end counts in elements, `6 elements` is a length; elsewhere it is refused and kept', () => {
  const typed = (project: Project) => type(project, { at: 'ea', lane: 'lane', column: 'length', text: '6 elements' });
  const wide = typed(edited(twoStations(), ['end', 'ea', 'elementBits', 32])).project;
  expect(claimOf(wide, 'lane', 'ea').length).toEqual({ count: 6, unit: 32 });
  expect(claimOf(typed(twoStations()).project, 'lane', 'ea').length).toEqual({ typed: '6 elements' });
});
