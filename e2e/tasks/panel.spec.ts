import { inOrder } from '@dialoga/core/model';
import writeWorkbook from 'write-excel-file/node';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task, type Task } from './task';

/** Forty words and twenty REALs, from %MW500 on. */
const POINTS = [
  ...Array.from({ length: 40 }, (_, i) => ({ name: `State_${i + 1}`, type: 'INT', at: 500 + i })),
  ...Array.from({ length: 20 }, (_, i) => ({ name: `Level_${i + 1}`, type: 'REAL', at: 600 + 2 * i })),
];
/** Every tenth is set from the panel; one that is only read is an entry field all the same. */
const CSV = [
  'Variablenname;Datentyp;Adresse;Zugriff;Bedienelement',
  ...POINTS.map(({ name, type, at }, i) => {
    const set = i % 10 === 9;
    return `P_${name};${type};%MW${at};${set ? 'Lesen/Schreiben' : 'Lesen'};${set || i === 3 ? 'number entry' : 'number shown'}`;
  }),
].join('\n');

async function workbook(): Promise<Buffer> {
  const cells = [['Name', 'Type', 'Address'], ...POINTS.map(({ name, type, at }) => [name, type, `%MW${at}`])];
  const rows = cells.map((row) => row.map((value) => ({ type: String, value })));
  return writeWorkbook(rows, { sheet: 'Registers' }).toBuffer();
}

async function importFile(doing: Task, station: string, file: Parameters<Task['choose']>[1]): Promise<void> {
  await doing.find(`import tags of ${station}`);
  const choose = doing.page.getByRole('button', { name: 'Choose a file …' });
  await expect(choose).toBeFocused();
  await doing.choose(choose, file);
  await doing.sees(doing.page.getByRole('heading', { name: /60 added/ }));
  await doing.press('Control+Enter');
  await doing.sees(doing.page.getByText(/^60 tags/));
}

task(JOBS.panel, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'MillCtl\tword memory\t10.8.8.1/24',
    'MillPanel\toperator panel\t10.8.8.9',
    'MillPanel → MillCtl',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await importFile(doing, 'MillPanel', { name: 'panel.csv', mimeType: 'text/csv', buffer: Buffer.from(CSV) });
  const sheets = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
  await importFile(doing, 'MillCtl', { name: 'mill.xlsx', mimeType: sheets, buffer: await workbook() });
  await doing.find('match tags of MillPanel');
  await doing.sees(page.getByRole('button', { name: 'Accept 60' }));
  await doing.press('Control+Enter');
  await doing.sees(page.getByText(/60 bound, 0 matched, 0 nearly/));
  // The entry field on a tag that is only read is found, and no other.
  const { engine, project: bound } = await doing.outcome();
  const locked = [...engine.findings.values()].filter(({ code }) => code === 'DIR 2');
  expect(locked.map(({ params }) => params.aName ?? params.tag)).toEqual(['P_State_4']);
  expect(bound.count('lane')).toBe(60);
  await doing.fixAll();

  const project = await expectAgreed(doing, 60);
  expect(inOrder(project, 'exchange')).toMatchObject([{ kind: 'tag map', binding: 'by address' }]);
});
