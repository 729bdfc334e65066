import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import writeWorkbook from 'write-excel-file/node';
import { expect, expectStored, expectDemo, expectTally, test } from './app';
import { pick } from './picking';

const slots = (page: Page) => page.getByRole('grid', { name: /^Slots of/ });
const at = (page: Page, row: string, column: number) =>
  slots(page).locator(`[role=row][data-id="${row}"] [role=gridcell][data-column="${column}"]`);

test('an input module put before two others: what moves is shown first; then slots, ranges and landings follow', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectDemo(page);
  await expect(at(page, 'evap-2', 9)).toContainText('PlantCtl owner, %IB22–%IB23');
  await at(page, 'evap-1', 2).click();
  await page.keyboard.press('Alt+Insert');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('In 1slot 1 to slot 2');
  await expect(dialog).toContainText('Air temperaturesslot 7 to slot 8');
  await expect(dialog).toContainText('%IB22–%IB23 to %IB24–%IB25');
  await expect(dialog).toContainText('In 2 of Evaporator I/O at %IB22–%IB23; there In 1 writes afterwards');
  await dialog.getByRole('button', { name: 'Move module' }).press('Enter');
  await expect(dialog).toBeHidden();
  await expect(at(page, 'evap-2', 1)).toHaveText('3');
  await expect(at(page, 'evap-2', 9)).toContainText('PlantCtl owner, %IB24–%IB25');
  // The head’s own image has moved, too: its lanes are to follow, which is asked for.
  await expectDemo(page, 0, 1);
  await page.keyboard.press('Control+Z');
  await expect(at(page, 'evap-2', 1)).toHaveText('2');
  await expectStored(page);
});

test('a module is moved by keyboard; a slot outside, a gap and a zone for others are told', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectDemo(page);
  await at(page, 'evap-7', 2).click();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(at(page, 'evap-7', 1)).toHaveText('6');
  await expect(at(page, 'evap-6', 1)).toHaveText('7');
  await page.keyboard.press('Control+Z');
  await expect(at(page, 'evap-7', 1)).toHaveText('7');
  await at(page, 'evap-7', 1).click();
  await page.keyboard.type('40');
  await page.keyboard.press('Enter');
  // Said at the cell while it is typed, and in the notice line once it is refused.
  await expect(page.getByRole('status').getByText('the rack has slots 0 to 9').first()).toBeVisible();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('9');
  await page.keyboard.press('Enter');
  await expectDemo(page, 3);
  await page.keyboard.press('Control+Z');
  await expectDemo(page);
});

test('a module is typed into a free slot, claimed by a controller, and its revision compared', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations/evaphead`);
  await expectDemo(page);
  await at(page, 'new 8', 2).click();
  await page.keyboard.type('Digital output, spare');
  await page.keyboard.press('Enter');
  const spare = slots(page).locator('[role=row]').filter({ hasText: 'Digital output, spare' });
  await expect(spare.locator('[data-column="3"]')).toHaveText('digital output');
  await spare.locator('[data-column="5"]').click();
  await page.keyboard.type('4.6');
  await page.keyboard.press('Enter');

  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  const landings = page.getByRole('grid', { name: 'Module assignments' });
  await landings.locator('[data-id="new"] [data-column="0"]').click();
  await page.keyboard.type('EvapHead 9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').getByText('slot 9 of EvapHead is empty')).toBeVisible();
  await page.keyboard.press('Backspace');
  await page.keyboard.type('8');
  await page.keyboard.press('Enter');
  const claimed = landings.locator('[role=row]').filter({ hasText: 'EvapHead slot 8' });
  await expect(claimed.locator('[data-column="4"]')).toHaveText('4.6');
  await claimed.locator('[data-column="4"]').click();
  await page.keyboard.type('5.2');
  await page.keyboard.press('Enter');
  await expectDemo(page, 1);
  await claimed.locator('[data-column="4"]').click();
  await page.keyboard.type('any');
  await page.keyboard.press('Enter');
  await expectDemo(page, 0, 1);
});

const hardwareList = readFileSync(join(import.meta.dirname, '../demo/hardware-list.csv'), 'utf8');
const preview = (page: Page) => page.getByRole('grid', { name: 'What becomes of each row' });

test('a hardware list is pasted, compared with the plan, taken in as one step, and its difference found', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  const start = await app.file(project);
  await page.goto(`${app.url}/p/${project}/hardware-list`);
  await expectDemo(page);
  await expect(page.getByRole('button', { name: 'Choose a file …' })).toBeFocused();
  await page.evaluate((t) => navigator.clipboard.writeText(t), hardwareList);
  await page.keyboard.press('Control+V');
  await expect(page.getByRole('heading', { name: '0 added, 14 changed, 0 unchanged' })).toBeVisible();
  await expect(page.getByText('6 rows are no modules and are set aside')).toBeVisible();
  await expect(preview(page).locator('[role=row]').filter({ hasText: 'In 2' })).toContainText(
    'planned DI-16, listed DI-32',
  );

  // Without its column of slots the list goes by order codes; then it is corrected again.
  await pick(page.getByRole('group', { name: 'Columns of the file' }), 'slot', 'not in the file');
  await expect(page.getByRole('heading', { name: /1 added, 13 changed/ })).toBeVisible();
  await pick(page.getByRole('group', { name: 'Columns of the file' }), 'slot', 'Pos: 0');
  await expect(page.getByRole('heading', { name: /0 added, 14 changed/ })).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).press('Enter');
  await expect(page.getByRole('grid', { name: 'Stations' })).toBeVisible();
  await expectDemo(page, 1);
  await expectStored(page);
  await page.keyboard.press('Control+Z');
  await expectDemo(page);
  await expectStored(page);
  expect(await app.file(project)).toBe(start);
});

test('rows with faults hold the list back until they are left out; each is told at its row', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/hardware-list`);
  await expectDemo(page);
  await page
    .getByLabel('Rows of the list')
    .fill(
      [
        'Station;Slot;Qty;Order code;Description',
        'EvapHead;8;1;DI-16;Digital input',
        'EvapHead;40;1;DI-16;Digital input',
        'EvapHead;8;1;DI-16;Digital input',
        'Nowhere;1;1;DI-16;Digital input',
      ].join('\n'),
    );
  await expect(preview(page)).toContainText('slot 40 does not exist: the rack of EvapHead has slots 0 to 9');
  await expect(preview(page)).toContainText('slot 8 of EvapHead is given to row 2, too');
  // A station that is not there yet is made, and that is said where it is meant.
  await expect(preview(page).getByRole('row', { name: /Nowhere/ })).toContainText('Nowhere is a new station');
  await expect(page.getByRole('button', { name: 'Import', exact: true })).toBeDisabled();
  await page.getByLabel('leave out the 2 rows that cannot be taken').press('Space');
  await page.getByRole('button', { name: 'Import', exact: true }).press('Enter');
  await expect(
    page.getByRole('status').getByText('Imported: 2 added, 0 changed, 0 unchanged, 1 new station'),
  ).toBeVisible();
});

test('files: a workbook by its sheets, a list of an older office, an empty file, and one that is none', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/hardware-list`);
  await expectDemo(page);
  const bring = async (name: string, buffer: Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: /^(Choose a|Another) file …$/ }).click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'application/octet-stream', buffer });
  };
  const cells = [
    ['Station', 'Slot', 'Quantity', 'Order code', 'Description'],
    ['EvapHead', 8, 2, 'DI-16', 'Digital input'],
  ].map((row) => row.map((value) => ({ value })));
  const workbook = await writeWorkbook([
    { sheet: 'Modules', data: cells },
    { sheet: 'Notes', data: [[{ value: 'notes' }]] },
  ]).toBuffer();
  await bring('list.xlsx', workbook);
  await expect(page.getByRole('heading', { name: /^2 added/ })).toBeVisible();
  await pick(page, 'sheet', 'Notes');
  await expect(page.getByRole('alert')).toContainText('no row of headings in the first ten rows');

  const windows = Buffer.from(
    'Ger\xe4t;Pos;Menge;Artikel;Bezeichnung\nEvapHead;8;1;DI-16;Eing\xe4nge, digital in\n',
    'latin1',
  );
  await bring('list.csv', windows);
  await expect(preview(page)).toContainText('Eingänge, digital in');
  await bring('empty.csv', Buffer.alloc(0));
  await expect(page.getByRole('alert')).toContainText('empty.csv is empty');
  await bring('picture.csv', Buffer.from([0x89, 0x50, 0, 0, 1, 2, 3]));
  await expect(page.getByRole('alert')).toContainText('null bytes');
  await bring('broken.xlsx', Buffer.from('PK\u0003\u0004 and then nothing of the kind'));
  await expect(page.getByRole('alert')).toContainText('a workbook that cannot be read');
});

test('another type for a station shows first what is written otherwise and what is lost', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.agreed()}/stations/plantctl`);
  await expectTally(page, 0, 0);
  const profile = page.getByRole('textbox', { name: 'Profile' });
  await profile.fill('Operator panel');
  await profile.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Lost, for the new type has no way to write them');
  await expect(dialog).toContainText('Permissives at %MW300');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expectTally(page, 0, 0);
  await profile.fill('Controller with registers, low register first');
  await profile.press('Enter');
  await expect(dialog).toContainText('32-bit values: high first → low first');
  await expect(dialog).toContainText('%MW300');
  await dialog.getByRole('button', { name: 'Change profile' }).press('Enter');
  await expect(dialog).toBeHidden();
  await page.keyboard.press('Control+Z');
  await expectTally(page, 0, 0);
});

test('a setting card has the dials, and where each module then lies; a profile’s figure is edited with its source', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations/roofa/card`);
  const card = page.getByRole('table');
  await expect(card).toContainText('then it lies at 30013–30016 of RoofBase');
  await page.goto(`${app.url}/p/${project}/profiles`);
  await expectDemo(page);
  const figure = page.locator('[role=row][data-id="profile-plant limits.connections"]');
  await figure.locator('[data-column="2"]').click();
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await expectDemo(page, 1);
  await figure.locator('[data-column="3"]').click();
  await page.keyboard.type('data sheet, 7');
  await page.keyboard.press('Enter');
  await expect(figure).toContainText('data sheet, 7');
  await expectStored(page);
});

test('a value that was sent and then changed is a Doubt until it is sent again', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/skidctl`);
  await expectDemo(page);
  const settings = page.getByRole('grid', { name: 'Settings' });
  const state = (what: string) => settings.getByRole('row').filter({ hasText: what }).locator('[data-column="3"]');
  const say = async (what: string, word: string) => {
    await state(what).click();
    await page.keyboard.type(word);
    await page.keyboard.press('Enter');
  };
  await say('Ethernet, mask', 'in force');
  await expect(state('Ethernet, mask')).toHaveText('in force');
  await say('its end of Compressor duty', 'sent');
  await expectDemo(page, 0, 1);
  await say('its end of Compressor duty', 'in force');
  // The exact word: `in force` alone is also the start of another.
  await expectDemo(page);
  const ports = page.getByRole('grid', { name: 'Ports' });
  await ports.locator('[data-id="port-skidctl"] [data-column="3"]').click();
  await page.keyboard.type('255.255.0.0');
  await page.keyboard.press('Enter');
  await expect(state('Ethernet, mask')).toHaveText('changed since sent');
  await page.keyboard.press('Control+Z');
  await expect(state('Ethernet, mask')).toHaveText('in force');
  await expectDemo(page);
  await expectStored(page);
});

test('the owner map names the module with two owners, and Enter goes to its rack', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/owner-map`);
  await expectDemo(page);
  const grid = page.getByRole('grid', { name: 'Owner map' });
  await expect(grid.locator('[data-id="evap-4"]')).toContainText('2 owners of its outputs');
  await expect(grid.locator('[data-id="roofa-1"]')).toContainText('mirrored into RoofBase, 30013–30016');
  await grid.locator('[data-id="evap-4"] [role=gridcell]').first().click();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/stations\/evaphead/);
});

test('a rack is divided into zones; what does not belong into one is found', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'Divide it into zones' }).press('Enter');
  const zones = page.getByRole('grid', { name: /^Zones of/ });
  await zones.locator('[role=row][data-id]').first().locator('[data-column="3"]').click();
  await page.keyboard.type('head, digital input, digital output');
  await page.keyboard.press('Enter');
  await expectDemo(page, 2);
  await page.keyboard.press('Control+Z');
  await expectDemo(page);
  await expectStored(page);
});
