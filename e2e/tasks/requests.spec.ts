import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const LEFT = Array.from(
  { length: 10 },
  (_, i) => `${i < 6 ? 'Set' : 'Is'}${i}\t${i < 6 ? 'writes' : 'reads'}\t%MW${200 + 4 * i}\tREAL`,
);
const RIGHT = Array.from(
  { length: 10 },
  (_, i) => `${i < 6 ? 'sp' : 'pv'}_${i}\t${i < 6 ? 'reads' : 'writes'}\tw${300 + 2 * i}\tREAL`,
);

task(JOBS.requests, async (doing) => {
  await doing.paste(['CutterCtl, byte memory, 10.8.2.11/24', 'BakeCtl, registers, 10.8.2.12', 'CutterCtl → BakeCtl']);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('CutterCtl – BakeCtl, both ends');
  await doing.paste(LEFT);
  await doing.sees(doing.page.getByText('10 lanes pasted.'));
  await doing.press('Control+ArrowRight');
  await doing.paste(RIGHT);
  await doing.fixAll();
  await expect(doing.page.getByRole('gridcell', { name: 'agreed' })).toHaveCount(10);

  const project = await expectAgreed(doing, 10, 'any');
  const [exchange] = inOrder(project, 'exchange');
  expect(exchange).toMatchObject({ kind: 'peer connection', protocol: 'modbus-tcp', transfer: 'requests' });
  const addresses = inOrder(project, 'port').map(({ address, mask }) => `${address} ${mask}`);
  expect(addresses.sort()).toEqual(['10.8.2.11 255.255.255.0', '10.8.2.12 255.255.255.0']);
  const [caller] = childrenOf(project, 'end', exchange!.id);
  expect(Object.values(caller!.told)).toMatchObject([{ address: '10.8.2.12' }]);
});
