import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CheckEngine, fixesOf, ruleOf } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import { childrenOf, Table, type Project } from '@dialoga/core/model';
import { SHEET_COLUMNS } from '@dialoga/core/sheet';
import { readProject } from '@dialoga/core/entry';
import { readCellText } from '../findings/cell-text';
import { linkToCell } from '../findings/link';
import { pasteWords } from './paste-words';
import { COLUMN_COUNT, DIFFERENCE_COLUMN, LEFT_START, RIGHT_START, sheetCellAt } from './sheet-cell';
import { sheetGridRows } from './sheet-grid-rows';
import { gridPlace, laneOfCell, linkAt } from './sheet-places';

const read = readProject(readFileSync(join(__dirname, '../../../../e2e/projects/two-suppliers.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the project of the browser tests cannot be read');
const project: Project = read.project;
const engine = new CheckEngine(project);
const [left, right] = childrenOf(project, 'end', 'duty');
const fixes = new Map(
  [...engine.findings.values()].flatMap((finding) => {
    const [first] = fixesOf(finding, project);
    return first ? [[finding.key, first.label] as const] : [];
  }),
);
const rows = (open: string[] = []) =>
  sheetGridRows({
    project,
    exchange: project.get('exchange', 'duty')!,
    left: left!,
    right: right!,
    open: new Set(open),
    lanes: Table.from(engine.laneResults),
    rehearsed: new Set(),
    observed: new Set(),
    findings: [...engine.findings.values()],
    toggle: () => undefined,
    fixes,
    fix: () => undefined,
  });
const claimAt = (lane: string, end: string) => childrenOf(project, 'claim', lane).find((c) => c.end === end);
const pages = { left: left!, right: right!, kind: 'peer connection' as const };

test('what the address bar names is where its link leads: every cell of every row', () => {
  const all = rows(['pressures', 'setpoints']);
  let checked = 0;
  for (const row of all) {
    row.cells.forEach((cell, column) => {
      const at = cell && sheetCellAt(all, { row: row.id, column }, pages);
      const link = at && linkAt(at, claimAt);
      if (!link) return;
      const place = gridPlace(readCellText(link)!, left!, right!, (id) => project.get('claim', id));
      // Area and address share one field: its link leads to the address.
      const name = SHEET_COLUMNS[column < DIFFERENCE_COLUMN ? column - LEFT_START : column - RIGHT_START];
      const shared = name === 'area' || (row.id.startsWith('item') && name === 'length');
      if (!shared) expect(place).toEqual({ row: row.id, column });
      checked++;
    });
  }
  expect(checked).toBeGreaterThan(60);
});

test('every finding’s first cell is a place on the sheet, and its address names the exchange', () => {
  const onSheet = [...engine.findings.values()].filter((f) => f.cells[0]?.kind === 'claim');
  expect(onSheet.length).toBe(2);
  for (const finding of onSheet) {
    const cell = finding.cells[0]!;
    const lane = laneOfCell(project, cell)!;
    const place = gridPlace(cell, left!, right!, (id) => project.get('claim', id))!;
    const row = rows([lane]).find((r) => r.id === place.row);
    expect(row?.cells[place.column]?.differs).toBe(true);
    expect(linkToCell(project, 'p1', cell)).toMatch(/^\/p\/p1\/exchanges\/duty\?at=claim/);
  }
});

test('under a lane that differs stands what each end says, and the fix between', () => {
  const difference = rows().filter((r) => r.tone === 'difference');
  expect(difference.map((r) => [r.cells[LEFT_START]?.text, r.cells[RIGHT_START]?.text])).toEqual([
    ['Set-points: writes REAL, high register first, no swap', 'Setp: reads it, low register first, no swap'],
    ['Pressures: reads 6 words, %MW324–%MW329', 'Press: writes 5 words, w1264–w1268'],
  ]);
  expect(difference.map((r) => r.cells[DIFFERENCE_COLUMN]?.action?.label)).toEqual([
    'Fix TYP 5: PlantCtl: registers swapped',
    'Fix SIZ 1: SkidCtl: 5 words → 6 words',
  ]);
});

test('every row has a place for each column, and the values of a lane only where it is open', () => {
  for (const row of rows(['pressures'])) expect(row.cells).toHaveLength(COLUMN_COUNT);
  const items = (list: ReturnType<typeof rows>) => list.filter((r) => r.id.startsWith('item:')).length;
  expect([items(rows()), items(rows(['pressures']))]).toEqual([0, 3]);
});

test('a value that is cut off is marked at both ends, though its own finding yields to the lane’s', () => {
  const row = rows(['pressures']).find((r) => r.id === 'item:pressures:pressures-c')!;
  expect(row.cells[DIFFERENCE_COLUMN]?.text).toBe('cut off');
  expect([row.cells[LEFT_START + 4]?.differs, row.cells[RIGHT_START + 4]?.differs]).toEqual([true, true]);
});

test('a fix is offered by the rule that found it', () => {
  const finding: Finding = [...engine.findings.values()].find((f) => f.code === 'ADR 13')!;
  expect(ruleOf(finding.code).fixes?.(finding, project)[0]?.label).toBe(
    'PlantCtl has entered: 10.48.10.14 → 10.48.10.12',
  );
});

test('what became of a pasted block is said', () => {
  const understood = { columns: ['name', null] as ('name' | null)[], rows: [], headed: true };
  const words = pasteWords({ changes: [], count: 2, tags: 0, problems: ['a', 'b', 'c', 'd'], understood }, 'values', [
    ['Symbol', 'Remark'],
  ]);
  expect(words).toBe(
    '2 values pasted. The first line was taken as headings. Left out, with no place here: column “Remark”. Kept as typed: a; b; c and 1 more.',
  );
});

test('a slot stands under the name, and whether others may use it under the direction', () => {
  const at = (field: string) =>
    gridPlace({ kind: 'claim', id: 'c', path: [field] }, left!, right!, () => ({ lane: 'l', end: right!.id }));
  expect([at('slot'), at('open')]).toEqual([
    { row: 'second:l', column: RIGHT_START },
    { row: 'second:l', column: RIGHT_START + 1 },
  ]);
});
