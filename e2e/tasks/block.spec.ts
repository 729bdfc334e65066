import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const LANES = ['Level\treads\t%MW40\tREAL\tLevel\twrites\tR0\tREAL', 'Pump\twrites\t%MW42\tINT\tPump\treads\tR2\tINT'];

task(JOBS.block, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'TankCtl\tcommunication module\t10.8.4.11/24',
    'MainCtl\tword memory\t10.8.4.10',
    'Laptop\tworkstation\t10.8.4.99',
    'MainCtl → TankCtl',
    'Laptop → TankCtl',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('MainCtl – TankCtl, both ends');
  await doing.paste(LANES);
  await doing.sees(page.getByText('2 lanes pasted.'));
  await doing.find('parts of blocks of TankCtl');
  await doing.focused('Parts of their blocks');
  await doing.press('ArrowUp', 2);
  await doing.paste(['Part\tContents at start', 'Partner address\t10.8.4.10', 'Own name\t‘TankCtl’']);
  await doing.sees(page.getByText('10.8.4.10 = 0A 08 04 0A'));
  await doing.back();
  await doing.back();
  await doing.focused('Exchanges');
  await doing.fixAll();

  const project = await expectAgreed(doing, 2, 'any');
  const [exchange, service] = inOrder(project, 'exchange');
  expect(Object.values(exchange!.start ?? {}).map(({ does }) => does)).toEqual([
    'sets Listen at R200, and holds it',
    'sees Ready at R201',
  ]);
  expect(service).toMatchObject({ kind: 'service link' });
  const [reserved] = inOrder(project, 'area').flatMap(({ reservations }) => Object.values(reservations));
  expect(reserved).toMatchObject({ start: 200 * 16, length: 32 * 8 });
});
