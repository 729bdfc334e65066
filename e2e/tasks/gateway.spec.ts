import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

/** What each of the three lists: its own side, then the memory of the gateway, in words. */
const MIX = [
  'Flow\twrites\tw100\tREAL\tFlow\treads\t%MW0\tREAL',
  'Mode\twrites\tw102\tWORD\tMode\treads\t%MW2\tWORD',
  'Level\treads\tw110\tREAL\tLevel\twrites\t%MW20\tREAL',
  'State\treads\tw112\tWORD\tState\twrites\t%MW22\tWORD',
  'Link\treads\tw113\tWORD\tLink\twrites\t%MW23\tWORD',
];
const DRY = [
  'Flow\treads\t%MD200\tREAL\tFlow\twrites\t%MW0\tREAL',
  'Mode\treads\t%MW204\tWORD\tMode\twrites\t%MW2\tWORD',
  'Level\twrites\t%MD220\tREAL\tLevel\treads\t%MW20\tREAL',
  'State\twrites\t%MW224\tWORD\tState\treads\t%MW22\tWORD',
];
const HALL = [
  'Level\treads\t%MW300\tREAL\tLevel\twrites\t%MW20\tREAL',
  'Flow\treads\t%MW302\tREAL\tFlow\twrites\t%MW0\tREAL',
];
/** The gateway’s own status word, to the first place that is free in the window that MixCtl reads. */
const COPY = ['status of the lines\t%MW4000\t%MW23\t1 word'];

task(JOBS.gateway, async (doing) => {
  await doing.paste([
    'MixCtl\tregisters\t10.8.4.1/24',
    'DryCtl\tbyte memory\t10.8.4.2',
    'HallCtl\tword memory\t10.8.4.3',
    'Gate\tmemory gateway\t10.8.4.9',
    'MixCtl → Gate',
    'DryCtl → Gate',
    'HallCtl → Gate',
  ]);
  await doing.press('Control+Enter');
  for (const [i, list] of [MIX, DRY, HALL].entries()) {
    if (i > 0) await doing.back();
    await doing.focused('Exchanges');
    await doing.press('ArrowDown', i);
    await doing.press('Enter');
    await doing.focused(/ – Gate, both ends$/);
    await doing.paste(list);
    await doing.sees(doing.page.getByText(`${list.length} lanes pasted.`));
  }
  await doing.sees(doing.page.getByText('3 of 6 connections'));
  await doing.find('copies of Gate');
  await doing.focused('Copies');
  await doing.paste(COPY);
  await doing.sees(doing.page.getByText('Pasted: 1 row made'));
  await doing.fixAll();

  const project = await expectAgreed(doing, 11, 'any');
  // Registers low first on one side, high first on the other: each REAL is swapped once, where that was proposed.
  const swapped = [...project.all('claim')].filter(({ swap }) => swap !== null);
  expect(swapped.map(({ name, swap }) => `${name}: ${swap}`).sort()).toEqual(['Flow: words', 'Level: words']);
  const gate = inOrder(project, 'station').find(({ name }) => name === 'Gate')!;
  expect(childrenOf(project, 'copy', gate.id)).toMatchObject([{ from: { number: 4000 }, to: { number: 23 } }]);
});
