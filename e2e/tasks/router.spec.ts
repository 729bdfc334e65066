import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

task(JOBS.router, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'ServiceLaptop\tworkstation\t10.8.4.200/24, 192.168.7.2/24',
    'BusBridge\trouter\t10.8.4.70, node 5 on 500 kbit/s',
    'FrostCtl\tlarge tags by name\tnode 9',
    'route ServiceLaptop → FrostCtl, program transfer',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Routes');
  // The way, through the bridge and over the bus.
  await doing.sees(page.getByRole('gridcell', { name: /BusBridge/ }).first());
  await doing.fixAll();

  const project = await expectAgreed(doing, 0, 'any');
  const [route] = inOrder(project, 'route');
  expect(project.get('port', route!.port!)).toMatchObject({ address: '10.8.4.200' });
  expect(inOrder(project, 'helper')).toMatchObject([{ drawnAs: 'router', address: '5', presence: 'planned' }]);
});
