import fc from 'fast-check';
import Papa from 'papaparse';
import type { Project } from '../../model/project.js';
import { smallPlant } from '../../testing/random-edits.testing.js';
import { applied, codesOf, edited } from '../../testing/two-stations.testing.js';
import { recogniseColumns } from './columns.js';
import { listRows, numberIn } from './list-rows.js';
import { planList } from './plan-list.js';
import { readTable } from '../../formats/text-table.js';

const rowsOf = (text: string) => {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.found);
  const found = recogniseColumns(table.value)!;
  return listRows(table.value, found.heading, found.columns);
};
let next = 0;
const planOf = (project: Project, text: string) => planList(project, rowsOf(text), 'list of May', () => `n${next++}`);
const plant = () => edited(smallPlant(), ['rack', 'rack', 'size', 10], ['rack', 'rack', 'gaps', true]);
const faults = (text: string) => planOf(plant(), text).faults.map((f) => `${f.row.line}: ${f.sentence}`);

const HEAD = 'Station;Slot;Qty;Order code;Description;Rev';

test('columns are recognised in any order, with any separator, after lines of a letterhead', () => {
  for (const separator of ['\t', ';', ',', '|']) {
    const text = [
      ['Coldside', 'offer 12', '', '', '', ''],
      ['Rev', 'Bezeichnung', 'Bestellnummer', 'Menge', 'Pos', 'Station'],
      ['4.6', 'Digital output', 'DO-16', '1', '1', 'D'],
    ]
      .map((line) => line.join(separator))
      .join('\r\n');
    expect(rowsOf(text)).toMatchObject([
      { line: 3, station: 'D', slot: 1, quantity: 1, orderCode: 'DO-16', revision: '4.6', kind: 'digital output' },
    ]);
  }
});

test('rails, cables and supplies are set aside with the reason, and nothing else', () => {
  const text = `${HEAD}\nD;;1;R-1;DIN rail 480 mm;\nD;;2;C-3;Patch cable 2 m;\nD;;1;P-5;Power supply 24 V;\nD;3;1;DI-8;Digital input 8;1.0`;
  const plan = planOf(plant(), text);
  expect(plan.aside.map((row) => [row.line, row.aside])).toEqual([
    [2, 'a rail'],
    [3, 'a cable'],
    [4, 'a power supply'],
  ]);
  expect(plan.modules.map((m) => m.module.name)).toEqual(['Digital input 8']);
});

test('quantity 3 makes three modules, in slots that follow each other', () => {
  const plan = planOf(plant(), `${HEAD}\nD;4;3;DI-8;Digital input;1.0`);
  expect(plan.modules.map((m) => [m.what, m.module.slot])).toEqual([
    ['added', 4],
    ['added', 5],
    ['added', 6],
  ]);
  const after = applied(plant(), { id: 'l', label: '', changes: plan.changes });
  expect(after.count('module')).toBe(6);
});

test('decimal commas and points, thousands apart', () => {
  expect(['3', '3,0', '3.0', '1.234,5', '1,234.5', '1 234', ''].map(numberIn)).toEqual([
    3,
    3,
    3,
    1234.5,
    1234.5,
    1234,
    null,
  ]);
  expect(numberIn('three')).toBe('none');
});

test('what the list has beside the plan is kept beside it: another order code is found, the plan stays', () => {
  const text = `${HEAD}\nD;1;1;DO-32;Digital output;4.6\nD;2;1;DO-16;Digital output;4.6`;
  const plan = planOf(plant(), text);
  expect(plan.modules.map((m) => [m.what, m.differs[0]])).toEqual([
    ['changed', 'planned DO-16, listed DO-32'],
    ['changed', 'listed revision 4.6'],
  ]);
  expect(plan.dropped.map((d) => d.module.id)).toEqual(['m1']);
  const after = applied(plant(), { id: 'l', label: '', changes: plan.changes });
  expect(after.get('module', 'm2')).toMatchObject({ orderCode: 'DO-16', listed: { orderCode: 'DO-32' } });
  expect(codesOf(after)).toEqual(['HWS 7']);
  // The same list again changes nothing.
  expect(planList(after, rowsOf(text), 'list of May', () => 'x').changes).toEqual([]);
});

test('a row without a slot is the next planned module of its order code', () => {
  const plan = planOf(plant(), `${HEAD}\nD;;2;DO-16;Digital output;4.6`);
  expect(plan.modules.map((m) => m.module.id)).toEqual(['m1', 'm2']);
});

test('a station’s name that stands in its first row only, as merged cells leave it', () => {
  expect(rowsOf(`${HEAD}\nD;1;1;DO-16;x;\n;2;1;DO-16;y;`).map((r) => r.station)).toEqual(['D', 'D']);
});

test('each fault is told at its row', () => {
  expect(faults(`${HEAD}\nD;40;1;X;Digital input;`)).toEqual([
    '2: slot 40 does not exist: the rack of D has slots 0 to 9',
  ]);
  expect(faults(`${HEAD}\nD;4;1;X;Digital input;\nD;4;1;Y;Digital input;`)).toEqual([
    '3: slot 4 of D is given to row 2, too',
  ]);
  expect(faults(`${HEAD}\nD;4;2,5;X;Digital input;`)).toEqual([
    '2: quantity 2,5 cannot be; write a whole number from 1 to 1000',
  ]);
  expect(faults(`${HEAD}\nD;x;1;X;Digital input;`)).toEqual(['2: slot “x” is not a valid slot; write a whole number']);
  expect(faults(`${HEAD}\n;1;1;X;Digital input;`)[0]).toContain('2: no station is named');
  expect(faults(`${HEAD}\nD;8;3;X;Digital input;`)).toEqual([
    '2: slot 10 does not exist: the rack of D has slots 0 to 9',
  ]);
});

test('what is no list at all is refused in a sentence', () => {
  const found = (text: string) => {
    const table = readTable(text);
    return table.ok ? recogniseColumns(table.value) : table.found;
  };
  expect(found('')).toBe('the list is empty');
  expect(found('\n \n')).toBe('the list is empty');
  expect(found('PK\u0003\u0004\u0000\u0000')).toContain('null bytes');
  expect(found('Station;Slot\nD;"1')).toContain('a quotation mark is not closed');
  expect(found('just some words\nand more')).toBeNull();
});

// Quotes and separators inside cells as RFC 4180 has them, written by another library. [library: papaparse]
test('any cells written as CSV are read back as they were', () => {
  const cell = fc.string({ unit: fc.constantFrom('a', 'Ä', ';', ',', '"', '\n', ' ', '1') }).map((s) => s.trim());
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 2, maxLength: 6 }), (rows) => {
      const filled = rows.map(([a, b, c], i) => [`r${i}`, a, b, c]);
      const table = readTable(Papa.unparse(filled, { delimiter: ';', quotes: true }));
      expect(table.ok && table.value.rows).toEqual(filled);
    }),
  );
});
