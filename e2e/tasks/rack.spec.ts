import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const LIST = [
  'Station\tSlot\tOrder code\tDescription\tRevision\tIn\tOut\tOwner\tAccepts',
  'FarRack\t\tBR-10\tRack, 10 slots',
  '\t0\tIM-1\tHead\t3.1',
  '\t1\tDI-16\tDigital input\t2.0\t2\t\tLineCtl\t2.x',
  '\t2\tDI-16\tDigital input\t2.0\t2\t\tLineCtl\t2.x',
  '\t3\tDO-16\tDigital output\t1.4\t\t2\tLineCtl\t1.x',
  '\t4\tDO-16\tDigital output\t1.4\t\t2\tLineCtl\t1.x',
  '\t5\tAI-4\tAnalogue input\t5.2\t8\t\tLineCtl\t5.x',
];

task(JOBS.rack, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'LineCtl\tbyte memory\t10.8.3.1/24',
    'FarRack\tremote I/O head\t10.8.3.9',
    '',
    ...LIST,
    '',
    'LineCtl → FarRack, every 8 ms, hold the last value, is told by a status, wait for a release',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.find('tags of LineCtl');
  await doing.focused('Tags of LineCtl');
  await doing.paste(['Door_Shut\tBOOL\t%IX0.0', 'Lamp\tBOOL\t%QX0.3', 'Level\tINT\t%IW4']);
  await doing.sees(page.getByText(/3 tags/));
  await doing.back();
  await doing.focused('Exchanges');
  await doing.fixAll();

  const project = await expectAgreed(doing, 5);
  const [exchange] = inOrder(project, 'exchange');
  expect(exchange).toMatchObject({
    kind: 'remote I/O',
    onLoss: { sinks: 'hold the last value', source: 'is told by a status', back: 'wait for a release' },
  });
  const tags = inOrder(project, 'tag').map(({ name, place }) => [name, place]);
  expect(tags).toMatchObject([
    ['Door_Shut', { number: 0, bit: 0 }],
    ['Lamp', { number: 0, bit: 3 }],
    ['Level', { number: 4 }],
  ]);
  const [rack] = inOrder(project, 'rack');
  expect(rack).toMatchObject({ size: 10, addressesFollow: true });
  const landed = childrenOf(project, 'module', rack!.id).flatMap(({ id }) => childrenOf(project, 'landing', id));
  // One module after the other, inputs and outputs each in their image; two bytes each, then eight.
  expect(
    landed.map(({ slot, accepted, inputsAt, outputsAt }) => [slot, accepted, inputsAt ?? outputsAt]),
  ).toMatchObject([
    [1, '2.x', { number: 0 }],
    [2, '2.x', { number: 2 }],
    [3, '1.x', { number: 0 }],
    [4, '1.x', { number: 2 }],
    [5, '5.x', { number: 4 }],
  ]);
});
