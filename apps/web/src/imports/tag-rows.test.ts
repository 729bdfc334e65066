import { readTable, TAG_LIST, type TagList } from '@dialoga/core/formats';
import { Project } from '@dialoga/core/model';
import { newStation } from '@dialoga/core/create';
import { planImport } from '@dialoga/core/tags';
import { IMPORT_COLUMNS, importRows, planWords } from './tag-rows';

let ids = 0;
function listOf(text: string): TagList {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.found);
  const { heading, columns } = TAG_LIST.understand(table.value, true)!;
  const list = TAG_LIST.read(table.value, heading, columns, 'point');
  if (!list.ok) throw new Error(list.found);
  return list.value;
}
const tag = (id: string, name: string, base: string) => ({
  id,
  order: Number(id.slice(1)),
  station: 'panel',
  name,
  type: { base, count: 1 },
  place: null,
  import: 'earlier',
});
const project = Project.of({
  station: [newStation('panel', 1, 'DockPanel')],
  tag: [tag('t1', 'Door', 'BOOL'), tag('t2', 'Level', 'INT'), tag('t3', 'Gone', 'INT')] as never,
});
const list = listOf('Name;Type\nDoor;BOOL\nLevel;REAL\nFresh;INT\nDoor;INT\n');
const plan = planImport(project, 'panel', list, () => `i${++ids}`);
const all = { without: new Set<number>(), drop: true };
const column = (id: string) => IMPORT_COLUMNS.findIndex((c) => c.id === id);
const toggled: number[] = [];
const rows = (chosen = all) => importRows(project, 'panel', list, plan, chosen, (line) => toggled.push(line));
const texts = (id: string, chosen = all) => rows(chosen).map((row) => row.cells[column(id)]?.text);

test('rows come in the order of the work: refused, going, changed, new, unchanged', () => {
  expect(texts('what')).toEqual(['not taken', 'dropped', 'changed', 'added', 'unchanged']);
  expect(texts('name')).toEqual(['Door', 'Gone', 'Level', 'Fresh', 'Door']);
});

test('what a row changes, or why it is not taken, stands at its end', () => {
  const [twice, gone, changed] = texts('why');
  expect(twice).toBe('it has the name of row 2');
  expect(gone).toBe('the file no longer has it');
  expect(changed).toBe('type: REAL, was INT');
});

test('the sentence counts what will be, with what is left out', () => {
  expect(planWords(list, plan, all)).toBe('1 added, 1 changed, 1 dropped, 1 unchanged, 1 cannot be taken');
  const level = list.lines[1]!;
  expect(planWords(list, plan, { without: new Set([level]), drop: false })).toBe(
    '1 added, 0 changed, 0 dropped, 1 unchanged, 1 left out, 1 cannot be taken',
  );
});

test('a row that is left out says so, and takes itself in again', () => {
  const level = list.lines[1]!;
  const chosen = { without: new Set([level]), drop: false };
  const row = rows(chosen).find(({ id }) => id === `row ${level}`)!;
  expect(row.cells[column('what')]?.text).toBe('left out');
  const { action } = row.cells[column('take')]!;
  expect(action?.label).toBe('Take Level');
  action?.run();
  expect(toggled).toEqual([level]);
  expect(texts('what', chosen)).toContain('stays');
});
