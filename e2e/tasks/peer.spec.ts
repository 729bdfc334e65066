import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const STATIONS = [
  'SawCtl\tregisters\t10.9.1.10/24, node 2 on 500 kbit/s',
  'KilnCtl\tregisters\t10.9.1.11, node 3',
  'SortCtl\tregisters\t10.9.1.12, node 4',
  'StackCtl\tregisters\t10.9.1.13, node 5',
  'WrapCtl\tregisters\t10.9.1.14, node 6',
  'LiftCtl\tregisters\t10.9.1.15, node 7',
  'GateCtl\tregisters\t10.9.1.16, node',
];
const PARTNERS = ['KilnCtl', 'SortCtl', 'StackCtl', 'WrapCtl', 'LiftCtl', 'GateCtl'];
/** Both pages as they stand in the list of references: name, who writes, reference, type; six in all. */
const BOTH = Array.from({ length: 6 }, (_, i) => {
  const [left, right] = i < 3 ? ['writes', 'reads'] : ['reads', 'writes'];
  return `Board${i}\t${left}\t4${`${101 + i}`.padStart(5, '0')}\tINT\tboard_${i}\t${right}\t4${`${201 + i}`.padStart(5, '0')}\tINT`;
});

task(JOBS.peer, async (doing) => {
  await doing.paste([...STATIONS, ...PARTNERS.map((name) => `SawCtl → ${name}`)]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('SawCtl – KilnCtl, both ends');
  // Six of the eight connections that its type allows are taken, as the sheet says.
  await doing.sees(doing.page.getByText('6 of 8 connections'));
  await doing.paste(BOTH);
  await doing.sees(doing.page.getByText('6 lanes pasted.'));
  await doing.back();
  await doing.focused('Exchanges');
  await doing.fixAll();

  const project = await expectAgreed(doing, 6);
  expect(inOrder(project, 'exchange')).toHaveLength(6);
});
