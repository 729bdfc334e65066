import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

/** Both pages: a block each way, and under one of them the button that is bit 19 of its first element. */
const BOTH = [
  'Buttons\treads\tButtons[0]\tDINT x2\tButtons\twrites\tOut[0]\tDINT x2',
  'Start\t\tButtons[0].19\tBOOL\tStart\t\tOut[0].19\tBOOL',
  'Lamps\twrites\tLamps[0]\tDINT x2\tLamps\treads\tIn[0]\tDINT x2',
];

task(JOBS.cyclic, async (doing) => {
  await doing.paste([
    'PackCtl\tlarge tags by name\t10.8.3.1/24',
    'PackPanel\toperator panel\t10.8.3.2',
    'PackCtl → PackPanel, peer connection, CIP, cyclic, every 50 ms, input 101, output 102, configuration 1, 32-bit elements',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('PackCtl – PackPanel, both ends');
  await doing.paste(BOTH);
  await doing.sees(doing.page.getByText('2 lanes pasted. 4 tags were made for names that were not there.'));
  await doing.fixAll();

  const project = await expectAgreed(doing, 2);
  const [exchange] = inOrder(project, 'exchange');
  expect(exchange).toMatchObject({ protocol: 'cip', transfer: 'cyclic blocks', cadence: 50 });
  const [controller, panel] = childrenOf(project, 'end', exchange!.id);
  expect([controller!.elementBits, panel!.elementBits]).toEqual([32, 32]);
  expect(panel!.references).toEqual({ input: '101', output: '102', configuration: '1' });
  // Bit 19 of a double word is bit 3 of its second 16 bits, wherever each end keeps those.
  const [buttons] = childrenOf(project, 'lane', exchange!.id);
  const [key] = Object.keys(buttons!.items);
  const claims = childrenOf(project, 'claim', buttons!.id);
  const offsets = [controller, panel].map((end) => claims.find((one) => one.end === end!.id)?.items[key!]?.offset);
  expect(offsets).toEqual([
    { bits: 16, bit: 3 },
    { bits: 0, bit: 3 },
  ]);
});
