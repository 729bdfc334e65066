import { readIecText, writeIecText } from '../../formats/iec-text.js';
import { readPlcopen } from '../../formats/plcopen-xml.js';
import { writePlcopen } from '../../formats/write-plcopen.js';
import { tableTags, tagRows, understandTable, writeCsv } from '../../formats/csv-tags.js';
import { readTable } from '../../formats/text-table.js';
import type { TagList } from '../../formats/tag-list.js';
import type { Project } from '../../model/project.js';
import { childrenOf } from '../../model/order.js';
import { smallPlant } from '../../testing/random-edits.testing.js';
import { applied, edited, type FieldEdit } from '../../testing/two-stations.testing.js';
import { exportTags } from './export-tags.js';
import { importChanges, type Chosen } from './import-changes.js';
import { plannedTag, planImport } from './plan-import.js';

let next = 0;
const newId = () => `i${++next}`;
const SOURCE = { file: 'panel.csv', format: 'CSV' as const, at: '2026-05-01T08:00:00Z', saved: null, understood: '' };

const csv = (text: string): TagList => {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.found);
  const found = understandTable(table.value);
  const list = tableTags(table.value, found, found.columns);
  if (!list.ok) throw new Error(list.found);
  return list.value;
};
const plan = (project: Project, list: TagList, station = 'sa') => {
  const made = planImport(project, station, list, newId);
  return { ...made, rows: list.rows.map((_, i) => plannedTag(list, made, i)) };
};
function taken(project: Project, list: TagList, chosen: Partial<Chosen> = {}, station = 'sa'): Project {
  const all = { without: new Set<number>(), drop: true, ...chosen };
  const changes = importChanges(project, station, list, plan(project, list, station), SOURCE, all, newId);
  return applied(project, { id: newId(), label: 'Import', changes });
}
const names = (project: Project, station = 'sa') => childrenOf(project, 'tag', station).map((t) => t.name);

const FIRST = 'Name;Type;Address;Access;Comment\nDoor;BOOL;a10.3;read;left\nLevel;REAL;a12;rw;\nText;STRING[10];;;\n';

test('tags are added with what the file says of them, as one change set, with the import kept', () => {
  const after = taken(smallPlant(), csv(FIRST));
  const tags = childrenOf(after, 'tag', 'sa').filter((t) => t.import);
  expect(tags.map((t) => [t.name, t.type, t.place, t.access ?? null, t.comment ?? null])).toEqual([
    [
      'Door',
      { base: 'BOOL', count: 1 },
      expect.objectContaining({ area: 'areaa', number: 10, bit: 3 }),
      'read',
      'left',
    ],
    ['Level', { base: 'REAL', count: 1 }, expect.objectContaining({ number: 12 }), 'read and set', null],
    ['Text', { base: 'STRING', count: 1, capacity: 10 }, null, null, null],
  ]);
  const [entry] = childrenOf(after, 'import', 'sa');
  expect(entry).toMatchObject({ file: 'panel.csv', became: { added: 3, changed: 0, dropped: 0, unchanged: 0 } });
});

test('the newer file: what changed, what went, what is new; what is bound to it is named; the rest is not touched', () => {
  const first = taken(smallPlant(), csv(FIRST));
  const level = childrenOf(first, 'tag', 'sa').find((t) => t.name === 'Level')!;
  const bound = edited(first, ['claim', 'ca', 'place', { area: level.id, view: 'tag', number: 0 }]);
  const newer = csv('Type;Name;Address;Comment\nBOOL;Door;a10.3;left\nDINT;level;a14;\nINT;Fresh;a20;\n');
  const made = plan(bound, newer);
  expect(made.rows.map((r) => [r.name, r.what, r.differs, r.bound.length])).toEqual([
    ['Door', 'unchanged', [], 0],
    ['level', 'changed', ['name: level, was Level', 'type: DINT, was REAL', 'address: a14, was a12'], 1],
    ['Fresh', 'added', [], 0],
  ]);
  expect(made.gone.map((g) => [g.tag.name, g.bound])).toEqual([['Text', []]]);
  const after = taken(bound, newer);
  // The file has no column for the access: it stays.
  expect(after.get('tag', level.id)).toMatchObject({ name: 'level', access: 'read and set', type: { base: 'DINT' } });
  expect(names(after)).not.toContain('Text');
  expect(names(taken(bound, newer, { drop: false }))).toContain('Text');
  expect(names(taken(bound, newer, { without: new Set([4]) }))).not.toContain('Fresh');
});

const WRONG = 'Name;Type;Address;Access\n;INT;;\nA;INT;;\na;INT;;\nB;NUMBER;q7;often\n';

test('what is wrong stands at its row: no name, twice, no such word; what cannot be read is kept as typed', () => {
  const made = plan(smallPlant(), csv(WRONG));
  expect(made.rows.map((r) => [r.line, r.what, r.problem])).toEqual([
    [2, 'not taken', 'it has no name'],
    [3, 'added', null],
    [4, 'not taken', 'it has the name of row 3'],
    [5, 'added', expect.stringContaining('“often” is not a valid access') as string],
  ]);
  const kept = childrenOf(taken(smallPlant(), csv(WRONG)), 'tag', 'sa').find((tag) => tag.name === 'B');
  expect(kept).toMatchObject({ type: { typed: 'NUMBER' }, place: { typed: 'q7' } });
  expect(kept).not.toHaveProperty('access');
});

test('upper and lower case are two tags where the type of the station tells them apart', () => {
  const project = edited(smallPlant(), ['profile', 'pa', 'nameRule.caseMatters', true]);
  expect(plan(project, csv('Name\nAb\naB\n')).rows.map((r) => r.what)).toEqual(['added', 'added']);
});

test('what was brought out and is brought in again changes nothing, in every format', () => {
  const text =
    'TYPE Pump : STRUCT a : INT; b : ARRAY[0..1] OF REAL; END_STRUCT; END_TYPE VAR_GLOBAL P AT %MW1 : Pump; Q : ARRAY[0..3] OF Pump; END_VAR';
  const full: FieldEdit[] = [];
  const project = edited(taken(taken(smallPlant(), csv(FIRST)), readIecText(text), { drop: false }), ...full);
  const list = exportTags(project, 'sa');
  expect(list.structures.map((s) => s.name)).toEqual(['Pump']);
  const xml = readPlcopen(writePlcopen(list, 'A', '2026-01-01T00:00:00'));
  if (!xml.ok) throw new Error(xml.found);
  for (const again of [csv(writeCsv(tagRows(list.tags), ',')), readIecText(writeIecText(list)), xml.value]) {
    const made = plan(project, again);
    expect(made.rows.filter((r) => r.what !== 'unchanged')).toEqual([]);
    expect([made.gone, made.structures, made.rows.length]).toEqual([[], [], list.tags.length]);
  }
});

test('a name is one within its group: a list with groups brings the same name once for each partner, and finds it again', () => {
  const list = csv('Name;Group;Type\nSpeed;Press;INT\nSpeed;Kiln;REAL\nspeed;kiln;REAL\nSpeed;;INT\n');
  const made = plan(smallPlant(), list);
  expect(made.rows.map((r) => [r.what, r.problem])).toEqual([
    ['added', null],
    ['added', null],
    ['not taken', 'it has the name of row 3'],
    ['added', null],
  ]);
  const project = taken(smallPlant(), list);
  const newer = csv('Name;Group;Type\nSpeed;Kiln;DINT\nSpeed;Press;INT\n');
  expect(plan(project, newer).rows.map((r) => [r.what, r.differs])).toEqual([
    ['changed', ['type: DINT, was REAL']],
    ['unchanged', []],
  ]);
});

test('structures of a file come with it; a type that nobody defined is told and kept as typed', () => {
  const text = 'TYPE Pump : STRUCT a : Nothing; END_STRUCT; END_TYPE VAR_GLOBAL P : Pump; END_VAR';
  const list = readIecText(text);
  const made = plan(smallPlant(), list);
  expect(made.structures[0]).toMatchObject({ name: 'Pump' });
  expect(made.faults[0]!.found).toContain('Pump.a: “Nothing” is not a type known here');
  const changes = importChanges(smallPlant(), 'sa', list, made, SOURCE, { without: new Set(), drop: false }, newId);
  const after = applied(smallPlant(), { id: newId(), label: '', changes });
  const tag = childrenOf(after, 'tag', 'sa').find((t) => t.name === 'P')!;
  expect(tag.type).toEqual({ base: 'STRUCT', count: 1, structure: made.structures[0]!.id });
});
