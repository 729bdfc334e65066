import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

/** Six slots as they are listed for one side; the last of them goes both ways. */
const SLOTS = [
  'Slot\tTag\tDirection\tAddress\tType',
  '1\tOpen\twrites\t%QB0\tBYTE x4',
  '2\tShut\treads\t%IB0\tBYTE x2',
  '3\tMode\twrites\t%QB4\tBYTE',
  '4\tState\treads\t%IB2\tBYTE x8',
  '5\tRecipe\twrites\t%QB8\tBYTE x16',
  '6\tAsk\twrites\t%QB24\tBYTE x4',
  '6\tAnswer\treads\t%IB10\tBYTE x4',
];

task(JOBS.coupler, async (doing) => {
  await doing.paste([
    'PressCtl\tbyte memory\t10.1.0.1/24',
    'KilnCtl\tbyte memory\t10.2.0.1/24',
    'Link\tcoupler\t10.1.0.9, 10.2.0.9',
    'PressCtl → KilnCtl',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('PressCtl – KilnCtl, both ends');
  await doing.paste(SLOTS);
  await doing.sees(doing.page.getByText('7 lanes pasted.'));
  await doing.press('Alt+Shift+M');
  await expect(doing.page.getByRole('dialog').getByRole('button', { name: 'Mirror' })).toBeFocused();
  await doing.press('Enter');
  await doing.fixAll();

  const project = await expectAgreed(doing, 7);
  expect(inOrder(project, 'exchange')).toMatchObject([{ kind: 'coupler area', protocol: 'cyclic-ethernet-io' }]);
  const slots = inOrder(project, 'lane').map((lane) =>
    [...project.all('claim')].filter((claim) => claim.lane === lane.id).map(({ slot }) => slot),
  );
  expect(slots).toEqual([1, 2, 3, 4, 5, 6, 6].map((slot) => [slot, slot]));
});
