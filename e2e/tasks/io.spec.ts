import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

/** Discrete outputs and inputs, analogue values and counters, set points: all four tables of the block. */
const BOTH = [
  ...Array.from({ length: 4 }, (_, i) => `Valve${i}\twrites\t%MX40.${i}\tBOOL\tDO${i}\treads\t0000${i + 1}\tBOOL`),
  ...Array.from({ length: 4 }, (_, i) => `Limit${i}\treads\t%MX42.${i}\tBOOL\tDI${i}\twrites\t1000${i + 1}\tBOOL`),
  ...Array.from({ length: 2 }, (_, i) => `Level${i}\treads\t%MW${44 + 2 * i}\tINT\tAI${i}\twrites\t3000${i + 1}\tINT`),
  ...Array.from(
    { length: 2 },
    (_, i) => `Count${i}\treads\t%MD${48 + 4 * i}\tDWORD\tCT${i}\twrites\t3001${1 + 2 * i}\tDWORD`,
  ),
  ...Array.from({ length: 2 }, (_, i) => `Rate${i}\twrites\t%MW${56 + 2 * i}\tINT\tAO${i}\treads\t4000${i + 1}\tINT`),
];

task(JOBS.io, async (doing) => {
  await doing.paste(['DockCtl\tbyte memory\t10.8.2.1/24', 'Block\tI/O block\t10.8.2.57', 'DockCtl → Block']);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('DockCtl – Block, both ends');
  await doing.paste(BOTH);
  await doing.sees(doing.page.getByText('14 lanes pasted.'));
  await doing.fixAll();

  const project = await expectAgreed(doing, 14);
  const [exchange] = inOrder(project, 'exchange');
  const [caller] = childrenOf(project, 'end', exchange!.id);
  // The unit is by custom the last part of the address, and the block’s other port is for programming.
  expect(Object.values(caller!.told)).toMatchObject([{ address: '10.8.2.57', unit: '57' }]);
  const block = inOrder(project, 'station')[1]!;
  expect(childrenOf(project, 'port', block.id).map(({ purpose, unit }) => [purpose, unit])).toEqual([
    ['I/O', 57],
    ['programming', null],
  ]);
});
