import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const READINGS = Array.from(
  { length: 4 },
  (_, i) => `Level${i}\treads\t%MW${40 + i}\tINT\tLevel${i}\twrites\t4000${i + 1}\tINT`,
);
const METERS = Array.from(
  { length: 2 },
  (_, i) => `Sum${i}\treads\t%MW${60 + 2 * i}\tREAL\tSum${i}\twrites\t4001${1 + 2 * i}\tREAL`,
);

task(JOBS.telemetry, async (doing) => {
  await doing.paste([
    'PumpRtu\ttelemetry unit\tunit 11 on 9600 8E1, 10.8.6.50/24',
    'YardCtl\tword memory\tcalls on 9600 8E1, 10.8.6.1',
    'Laptop\tworkstation\t10.8.6.99',
    'YardCtl → PumpRtu, Modbus RTU',
    'YardCtl → PumpRtu, Modbus TCP',
    'Laptop → PumpRtu',
  ]);
  await doing.press('Control+Enter');
  for (const [i, list] of [READINGS, METERS].entries()) {
    if (i > 0) await doing.back();
    await doing.focused('Exchanges');
    await doing.press('ArrowDown', i);
    await doing.press('Enter');
    await doing.focused(/^YardCtl – PumpRtu.*, both ends$/);
    await doing.paste(list);
    await doing.sees(doing.page.getByText(`${list.length} lanes pasted.`));
  }
  await doing.back();
  await doing.focused('Exchanges');
  await doing.fixAll();

  const project = await expectAgreed(doing, 6, 'any');
  const told = inOrder(project, 'exchange').map(({ name, protocol, id }) => {
    const [caller] = childrenOf(project, 'end', id);
    return [name, protocol, ...Object.values(caller!.told).map(({ address, unit }) => [address, unit])];
  });
  expect(told).toEqual([
    ['YardCtl – PumpRtu', 'modbus-rtu', ['', '11']],
    ['YardCtl – PumpRtu, peer connection', 'modbus-tcp', ['10.8.6.50', '']],
    ['Laptop – PumpRtu', 'service-access', ['10.8.6.50', '']],
  ]);
});
