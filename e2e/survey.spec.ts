import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, expectStored, pasteText, test } from './app';

const scan = readFileSync(join(import.meta.dirname, '../demo/site-scan.csv'), 'utf8');

test('found devices beside the plan: five things to decide, each with its reason, decided by keyboard', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/site`);
  await expect(page.getByRole('group', { name: 'Own computer' })).toContainText('Plant LAN by first adapter');
  await page.getByRole('button', { name: 'Bring in a list' }).press('Enter');
  await page.getByLabel('Rows of the list').focus();
  await page.keyboard.insertText(scan);
  await expect(page.getByRole('heading', { name: '12 new' })).toBeVisible();
  await page.keyboard.press('Control+Enter');

  const parts = page.getByRole('navigation', { name: 'Parts of the work on site' });
  await expect(parts).toContainText('5 to decide');
  const grid = page.getByRole('grid', { name: 'Found and planned' });
  await expect(grid).toBeFocused();
  await page.getByRole('textbox', { name: 'Your edits are signed' }).fill('R. Imhof');
  const state = (name: string) => grid.getByRole('row', { name }).first().getByRole('gridcell').nth(4);
  const below = async (times: number) => {
    for (let i = 0; i < times; i++) await page.keyboard.press('ArrowDown');
  };

  // The two that have each other's address are one thing; the reason stands under each.
  await expect(grid).toContainText('It and evap-head have each other’s address');
  await grid.focus();
  await page.keyboard.press('Control+Home');
  await below(3);
  await page.keyboard.press('c');
  await expect(parts).toContainText('4 to decide');
  await expect(state('quay-link')).toHaveText('to correct');
  await expect(state('evap-head')).toHaveText('to correct');
  await expect(grid).toContainText('Set address 10.48.10.40 in place of 10.48.10.45, says R. Imhof');

  // Another revision than ordered: the plan takes it over, and one undo gives it back.
  await expect(grid).toContainText('Revision 1.8, planned 2.4');
  await below(4);
  await page.keyboard.press('a');
  await expect(state('MeterHub')).toHaveText('adopted');
  await page.keyboard.press('Control+z');
  await expect(state('MeterHub')).toHaveText('to decide');
  await page.keyboard.press('Control+y');
  await expect(parts).toContainText('3 to decide');

  // The address of another job: somebody is asked.
  await expect(grid).toContainText('192.168.20.31 is in no network of this project; 10.48.10.31 is planned');
  await below(1);
  await page.keyboard.press('q');
  await page.getByLabel('Who is asked').fill('brine supplier');
  await page.getByLabel('Question').fill('May 192.168.20.31 go?');
  await page.keyboard.press('Enter');
  await expect(grid).toContainText('Brine supplier: May 192.168.20.31 go?, says R. Imhof');

  // One without an address has nothing to adopt: said, and nothing is changed.
  await below(2);
  await page.keyboard.press('a');
  await expect(page.getByText('It has nothing that BusBridge could take over')).toBeVisible();
  await page.keyboard.press('c');
  await expect(parts).toContainText('1 to decide');
  await grid.getByRole('gridcell', { name: 'Not ours: label-press' }).click();
  await expect(parts).toContainText('0 to decide');
  await expect(grid.getByRole('row', { name: /DockPanel/ })).toContainText('not seen');

  // What agrees told its hardware address; the plan takes them together.
  await page.getByRole('button', { name: /Add to the plan what was learnt of 6/ }).click();
  await expectStored(page);
  const file = await app.file(project);
  expect(file).toContain('"hardware": "02:00:5E:10:00:0B"');
  expect(file).toContain('"revision": "1.8"');
  // Another window has all of it.
  await page.reload();
  await expect(parts).toContainText('0 to decide');
});

test('what a command printed is pasted; a list of another plant is doubted; a station is named by hand', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/site/list`);
  await page.getByLabel('Rows of the list').focus();
  await pasteText(
    page,
    '10.48.10.11 dev eth0 lladdr 02:00:5e:10:00:0b REACHABLE\n10.48.10.61 dev eth0 lladdr 02:00:5e:10:00:3d STALE\n10.48.10.99 dev eth0  FAILED',
  );
  await expect(page.getByRole('heading', { name: '2 new' })).toBeVisible();
  await page.getByLabel('Rows of the list').fill('IP;Name\n172.30.0.1;x\n172.30.0.2;y\n172.30.0.3;z');
  await expect(page.getByText('is it the list of another plant?')).toBeVisible();
  await page.getByLabel('Rows of the list').fill('IP;Name;MAC\n10.48.10.61;;02:00:5e:10:00:3d\n10.48.10.62;;nonsense');
  await expect(page.getByText('“nonsense” is no hardware address')).toBeVisible();
  await page.keyboard.press('Control+Enter');
  const grid = page.getByRole('grid', { name: 'Found and planned' });
  await expect(grid).toContainText('Nothing that is planned is like it');
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.type('nobody');
  await page.keyboard.press('Enter');
  await expect(page.getByText('“nobody” names no station of this project.')).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('BusBridge');
  await page.keyboard.press('Enter');
  await expect(grid).toContainText('Address 10.48.10.61, planned 10.48.10.70');
});
