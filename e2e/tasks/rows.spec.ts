import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

/** As the SCADA station’s own list has them: the station in each row, table and number apart; one row asks the wrong port. */
const row = (name: string, told: string, type: string, port = 502) =>
  `${name}\treads\t10.8.9.57:${port}/57\t${told}\t${type}`;
const ROWS = [
  'Name\tDirection\tStation\tTold\tType',
  ...Array.from({ length: 6 }, (_, i) => row(`Gate_${i + 1}`, `0:${i + 1}`, 'BOOL', i === 3 ? 503 : 502)),
  ...Array.from({ length: 4 }, (_, i) => row(`Level_${i + 1}`, `4:${i + 1}`, 'INT')),
];

task(JOBS.rows, async (doing) => {
  const { page } = doing;
  await doing.paste(['ViewStation\tSCADA\t10.8.9.5/24', 'YardIo\tI/O block\t10.8.9.57', 'ViewStation → YardIo']);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('ViewStation – YardIo, both ends');
  await doing.paste(ROWS);
  await doing.sees(page.getByText('10 lanes pasted. 10 tags were made for names that were not there.'));
  await doing.press('Alt+Shift+M');
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Mirror' })).toBeFocused();
  await doing.press('Enter');
  await doing.sees(page.getByText(/TCP port 503 is 502/).first());
  await doing.fixAll();

  const project = await expectAgreed(doing, 10, 'any');
  const asked = inOrder(project, 'claim').flatMap(({ toldStation }) => toldStation ?? []);
  expect(new Set(asked)).toEqual(new Set(['10.8.9.57:502/57']));
  expect(asked).toHaveLength(10);
  const device = inOrder(project, 'station')[1]!;
  const tables = childrenOf(project, 'area', device.id).map(({ id, kind }) => [
    kind,
    project.referrers('claim', id).length,
  ]);
  expect(Object.fromEntries(tables)).toMatchObject({ coils: 6, 'holding registers': 4 });
});
