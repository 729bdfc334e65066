import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

const two = (n: number) => String(n).padStart(2, '0');
const names = (name: string, count: number) => Array.from({ length: count }, (_, i) => `${name}_${two(i + 1)}`);
/** The controller’s list: doors and limits, of which three that the simulator has are not there. */
const LIST = [
  'Name;Type;Address',
  ...names('Door', 20).map((name, i) => `${name};BOOL;%MX${600 + Math.floor(i / 8)}.${i % 8}`),
  ...names('Limit', 17).map((name, i) => `${name};BOOL;%MX${610 + Math.floor(i / 8)}.${i % 8}`),
].join('\n');

task(JOBS.simulator, async (doing) => {
  const { page } = doing;
  // Its physical inputs begin at %IX0.0; what the simulator sets lies beside them, from %MX600.0 on.
  await doing.paste([
    'LineCtl\tbyte memory\t10.8.7.1/24',
    'LineSim\tsimulator\t10.8.7.9',
    'LineSim → LineCtl',
    '',
    'Station\tSlot\tOrder code\tDescription\tIn\tOwner',
    'LineCtl\t1\tDI-32\tDigital input\t4\tLineCtl',
    '\t2\tDI-32\tDigital input\t4\tLineCtl',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.find('import tags of LineCtl');
  await expect(page.getByRole('button', { name: 'Choose a file …' })).toBeFocused();
  await doing.choose(page.getByRole('button', { name: 'Choose a file …' }), {
    name: 'line-list.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(LIST),
  });
  await doing.sees(page.getByRole('heading', { name: /37 added/ }));
  await doing.press('Control+Enter');
  await doing.sees(page.getByText('37 tags'));
  await doing.find('tags of LineSim');
  await doing.focused('Tags of LineSim');
  await doing.paste(['Door_01 × 20, BOOL', 'Limit_01 × 20, BOOL']);
  await doing.sees(page.getByText(/40 tags/));
  await doing.find('match tags of LineSim');
  await doing.sees(page.getByRole('button', { name: 'Accept 37' }));
  await doing.press('Control+Enter');
  // Three are in no list of the controller, and the page says so.
  await doing.sees(page.getByText(/37 bound, 0 matched, 0 nearly, 3 unmatched at LineSim/));
  await doing.fixAll();

  const project = await expectAgreed(doing, 37);
  expect(inOrder(project, 'exchange')).toMatchObject([{ kind: 'tag map', binding: 'by name' }]);
});
