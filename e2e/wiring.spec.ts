import type { Page } from '@playwright/test';
import { expect, expectStored, expectDemo, test } from './app';

const table = (page: Page) => page.getByRole('grid', { name: 'Attachments' });
const at = (page: Page, row: string, column: number) =>
  table(page).locator(`[role=row][data-id="${row}"] [role=gridcell][data-column="${column}"]`);
const type = async (page: Page, row: string, column: number, text: string) => {
  await at(page, row, column).click();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
};

test('a free address is proposed and taken; the copies that still hold the old one are shown, ticked and followed up', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  await at(page, 'skidctl', 1).click();
  const addresses = page.getByRole('region', { name: 'Addresses' });
  await expect(addresses).toContainText('10 of 254 in use; next free .201');
  await expect(addresses).toContainText('twice: EvapHead, DockPanel');
  const copies = page.getByRole('region', { name: 'Also typed in' });
  await expect(copies).toContainText('1 of 5 differs');

  // Another address: what was so until now is an old value everywhere.
  await page.keyboard.type('free');
  await page.keyboard.press('Enter');
  await expect(at(page, 'skidctl', 1)).toContainText('.201');
  await at(page, 'skidctl', 1).click();
  await expect(copies).toContainText('3 of 5 differ');
  await expect(addresses).toContainText('free, formerly SkidCtl');
  // What was told of it elsewhere, and the text of a route that a program may build.
  await expectDemo(page, 2);

  // Ticked without a name: asked for it, nothing stored. Then with one.
  const tick = copies.getByRole('checkbox', { name: 'TCP port typed in at PlantCtl, Skid start-up' });
  await tick.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('A tick needs a name')).toBeVisible();
  await copies.getByLabel('Who ticks').fill('R. Vale');
  await tick.focus();
  await page.keyboard.press('Space');
  await expect(tick).toBeChecked();
  await expect(copies).toContainText('R. Vale, ');

  for (const where of [
    'Compressor duty, where 10.48.10.14',
    'Skid start-up, where 10.48.10.12',
    'to SkidCtl, where 10.48.10.12',
  ]) {
    await copies.getByRole('button', { name: `Type 10.48.10.201 at PlantCtl, ${where} stands` }).press('Enter');
  }
  await expect(copies).toContainText('none is old');
  await expectDemo(page, -1);
  // Who goes through that port, and so is affected: nothing else is.
  const affected = page.getByRole('region', { name: 'Who is affected' });
  await expect(affected.getByRole('listitem')).toHaveText([
    /^Compressor duty/,
    /^Skid start-up/,
    /^Store temperatures/,
    /^PlantCtl → SkidCtlrequests, hop 2/,
  ]);
  await affected.getByRole('link', { name: 'PlantCtl → SkidCtl' }).click();
  await expect(page.getByRole('row', { name: /^may be built 1,1,2,10\.48\.10\.201/ })).toContainText(
    'it is the right one',
  );
  await expectStored(page);
});

test('a meter is added to the line: next unit and the line’s settings are proposed; the odd one is found and mended', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  await type(page, 'brinertu', 3, 'free');
  await expect(at(page, 'brinertu', 3)).toContainText('14');
  await expect(at(page, 'brinertu', 3)).toContainText('unit, answers');
  await at(page, 'brinertu', 3).click();
  const settings = page.getByRole('grid', { name: 'Settings on Meter line' });
  const last = settings.locator('[role=row]').filter({ hasText: 'BrineRtu' }).locator('[data-column="3"]');
  await expect(last).toHaveText('9600 8E1');
  await last.click();
  await page.keyboard.type('9600,8,N,1');
  await page.keyboard.press('Enter');
  await expect(last).toHaveText('9600 8N1');
  // Besides, the standard asks for characters of 11 bits: a Hint.
  await expectDemo(page, 1, 0, 1);
  await page.getByRole('button', { name: 'Apply 9600 8E1 to BrineRtu' }).press('Enter');
  await expect(last).toHaveText('9600 8E1');
  await expectDemo(page);
});

test('bad addresses are told in a sentence where they were typed, and nothing else changes', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  const notice = page.getByRole('status');
  await type(page, 'busbridge', 6, '127');
  await expect(
    notice.getByText('127 is for all nodes at once; a node address is a whole number from 0 to 125'),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(at(page, 'busbridge', 6)).toContainText('5');
  await type(page, 'skidctl', 1, '.300');
  await expect(notice.getByText('300 is no part of an address')).toBeVisible();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('10.48.10.12/255.0.255.0');
  await page.keyboard.press('Enter');
  await expect(notice.getByText('255.0.255.0')).toBeVisible();
  await page.keyboard.press('Escape');
  await expectDemo(page);
  // An address that is none is kept as typed, and is a Blocker.
  await type(page, 'skidctl', 1, '10.48.10.300');
  await expect(at(page, 'skidctl', 1)).toContainText('10.48.10.300');
  await page.getByRole('link', { name: /^Findings:/ }).click();
  const finding = page.getByRole('article').filter({ hasText: 'ADR 2' });
  await expect(finding).toContainText('10.48.10.300');
  // What others were told of it is no finding of its own as long as nobody knows what is true.
  await expect(page.getByRole('article').filter({ hasText: 'ADR 13' }).filter({ hasText: 'SkidCtl' })).toHaveCount(0);
});

test('a port not connected is shown, given a network by typing, and taken off again', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  await expect(table(page)).toContainText('not connected');
  await type(page, 'port port-servicelaptop-loose', 1, '192.168.7.2/24');
  await expectDemo(page, 0, -1);
  await type(page, 'meter1', 1, '.77 general');
  await expect(at(page, 'meter1', 1)).toContainText('.77');
  await at(page, 'meter1', 1).click();
  await page.keyboard.press('Delete');
  await expect(table(page).locator('[role=row]').filter({ hasText: '10.48.10.77/24' })).toContainText('not connected');
});

test('a link to a finding on a line opens the table at the port', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/findings`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'By rule' }).click();
  await page.getByRole('region', { name: 'ADR 8' }).getByRole('button', { name: 'Show' }).press('Enter');
  await expect(table(page)).toBeVisible();
  await expect(at(page, 'meter3', 3)).toHaveAttribute('aria-selected', 'true');
});

test('what an engineer’s tool was told is seen in one table, and mended in it', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/service`);
  await expectDemo(page);
  const grid = page.getByRole('grid', { name: 'Service visits, what is entered' });
  const cell = (other: string, column: number) =>
    grid.locator(`[role=row][data-id="service-servicelaptop ${other}"] [role=gridcell][data-column="${column}"]`);
  await expect(cell('service-brinertu', 8)).toHaveText('0, is 31');
  await cell('service-brinertu', 8).click();
  await page.keyboard.type('31');
  await page.keyboard.press('Enter');
  await expectDemo(page, -1);
  // The partner's type may be left out; once typed it is compared.
  await cell('service-plantctl', 11).click();
  await page.keyboard.type('toaster');
  await page.keyboard.press('Enter');
  await expect(cell('service-plantctl', 11)).toHaveText('toaster, is rack controller, 8 slots');
  await expectDemo(page);
  await page.keyboard.press('Control+Z');
  // By which adapter the tool goes out, and at which port it reaches the other, are chosen by name or address.
  await expect(cell('service-plantctl', 1)).toHaveText('first adapter');
  await cell('service-plantctl', 1).click();
  await page.keyboard.type('no such');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').getByText('there is no port “no such”')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(cell('service-brinertu', 3)).toContainText('Plant LAN');
  // One more station: its address is not told yet.
  await grid.locator('[data-id="new"] [data-column="2"]').click();
  await page.keyboard.type('MeterHub');
  await page.keyboard.press('Enter');
  await expect(grid).toContainText('MeterHub');
  await expect(grid).toContainText('not set');
  await expectStored(page);
});

test('an engineer’s adapter: what it had before is kept until it is set back', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/servicelaptop`);
  await expectDemo(page);
  const own = page.getByRole('region', { name: 'Adapter to use' });
  await expect(own).toContainText('Not second adapter: its subnet 10.48.8.0/21 overlaps that of Plant LAN');
  await own.getByRole('button', { name: 'Use this address' }).press('Enter');
  await expect(own).toContainText('To set back when the work is done: second adapter had 10.48.8.2 255.255.248.0');
  // It is a temporary thing, which DOC 6 names until it is undone.
  await expectDemo(page, 0, -1, 1);
  await own.getByRole('button', { name: 'Restore address' }).press('Enter');
  await expect(own).not.toContainText('To set back');
  await expectDemo(page);
  await expectStored(page);
});

test('the base is set up for two units: the planned number is typed where it belongs', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  const planned = page.getByRole('grid', { name: 'Units planned by radio' });
  await planned.locator('[data-id="roof-radio"] [data-column="2"]').click();
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expectDemo(page, -1);
  await planned.locator('[data-id="roof-radio"] [data-column="3"]').click();
  await page.keyboard.type('3, 7–9');
  await page.keyboard.press('Enter');
  await expectStored(page);
});

test('a new network takes a subnet that is free', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  const networks = page.getByRole('grid', { name: 'Networks' });
  await networks.locator('[data-id="new"] [data-column="0"]').click();
  await page.keyboard.type('Cabin LAN');
  await page.keyboard.press('Enter');
  const row = networks.getByRole('row').filter({ hasText: 'Cabin LAN' });
  await row.locator('[data-column="2"]').click();
  await page.keyboard.type('new');
  await page.keyboard.press('Enter');
  // 10.48.8.0/21 is taken by the laptop’s second adapter, up to 10.48.15.255.
  await expect(row).toContainText('10.48.16.0/24');
  await expectDemo(page);
  await expectStored(page);
});
