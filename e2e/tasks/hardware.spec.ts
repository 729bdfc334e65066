import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const HEAD = 'Station\tSlot\tOrder code\tDescription\tRevision\tIn\tOut\tOwner\tInput address\tOutput address';
/** A CPU or a head, five modules with inputs, four with outputs: ten rows a rack. */
const rack = (station: string, first: string, owner: string, from = '') => [
  `${station}\t0\t${first === 'CPU' ? 'CP-3' : 'IM-1'}\t${first}\t3.1`,
  ...Array.from(
    { length: 5 },
    (_, i) => `\t${i + 1}\tDI-16\tDigital input\t2.0\t2\t\t${owner}${from && `\t%IB${Number(from) + 2 * i}`}`,
  ),
  ...Array.from(
    { length: 4 },
    (_, i) => `\t${i + 6}\tDO-16\tDigital output\t2.0\t\t2\t${owner}${from && `\t\t%QB${Number(from) + 2 * i}`}`,
  ),
];

task(JOBS.hardware, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'PressCtl\tbyte memory\t10.8.4.11/24',
    'OvenCtl\tbyte memory\t10.8.4.12',
    '',
    HEAD,
    'PressCtl\t\tBR-12\tRack, 12 slots',
    ...rack('PressCtl', 'CPU', 'PressCtl'),
    ...rack('OvenCtl', 'CPU', 'OvenCtl'),
    ...rack('FarRack', 'Head', 'PressCtl', '64'),
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Stations');
  await doing.find('tags of PressCtl');
  await doing.focused('Tags of PressCtl');
  await doing.paste(['Door\tBOOL\t%IX4.0', 'Lamp\tBOOL\t%QX0.3']);
  await doing.sees(page.getByText(/2 tags/));
  // One more module before the third: what follows moves up a slot, its addresses and the tags at them with it.
  await doing.find('slots of PressCtl');
  await doing.focused('Slots of Rack');
  await doing.press('ArrowDown', 3);
  await doing.press('Alt+Insert');
  await expect(page.getByRole('dialog')).toBeVisible();
  await doing.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();

  const project = await expectAgreed(doing, 0);
  expect([project.count('station'), project.count('rack'), project.count('module')]).toEqual([3, 3, 31]);
  const door = inOrder(project, 'tag').find(({ name }) => name === 'Door');
  expect(door?.place).toMatchObject({ number: 6, bit: 0 });
});
