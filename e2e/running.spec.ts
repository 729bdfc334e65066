import type { Page } from '@playwright/test';
import { cell, expect, expectDemo, expectStored, test, typeCells } from './app';
import { pick } from './picking';
import { typeEnds } from './typing';

const row = (page: Page, lane: string) => page.locator(`[role=row][data-id="lane:${lane}"]`);

test('a status that nobody sees: found, looked at in its copy, and moved to where its reader looks', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/meterhub`);
  await expectDemo(page);
  const to = cell(page, 'copy-status', 2);
  await to.click();
  await expect(to).toHaveText('G890');
  // Within the readings, which somebody else fills, is wrong otherwise; and the status has nothing put into it.
  await page.keyboard.type('G800');
  await page.keyboard.press('Enter');
  await expectDemo(page, 0, 1);
  await page.keyboard.press('Control+Z');
  await to.click();
  await page.keyboard.type('G880');
  await page.keyboard.press('Enter');
  await expectDemo(page, -1);
  // What cannot be read stays as it was typed.
  await cell(page, 'copy-readings', 1).click();
  await page.keyboard.type('G1oo');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'copy-readings', 1)).toHaveText('G1oo');
  await page.keyboard.press('Control+Z');
  await expectDemo(page, -1);
  await expectStored(page);
});

test('where a reading goes: through copy and swap, with its bytes at each hop, its age, and who is affected', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/meters`);
  await expectDemo(page);
  await pick(page, 'Station of the right page', 'Meter1');
  await row(page, 'meter1-readings').locator('[data-column="8"]').click();
  await page.keyboard.press('Control+J');
  const dialog = page.getByRole('dialog');
  const hops = dialog.getByRole('list').first().getByRole('listitem');
  await expect(hops.nth(0)).toContainText('E9 79 42 F6');
  await expect(hops.filter({ hasText: 'copied' })).toContainText('G800–G819');
  const plant = hops.filter({ hasText: 'PlantCtl' });
  await expect(plant).toContainText('registers swapped');
  await expect(plant).toContainText('42 F6 E9 79');
  // 200 (meter) + 250 + the request + 50 (gateway) + 50 (its copy) + 1000 + 8 (PlantCtl).
  await expect(plant).toContainText('at most 1657 ms');
  await expect(dialog.getByRole('list').last()).toContainText('ControlRoom');
  // An age that it may have at most is checked at once.
  await dialog.getByRole('textbox', { name: 'Most age allowed' }).fill('200 ms');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.locator('main')).toContainText('up to 599 ms old: scan of MeterHub');
  await expectStored(page);
});

test('a lane that differs: either end can give way, and what that changes is shown first', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/duty`);
  await expectDemo(page);
  await row(page, 'pressures').locator('[data-column="1"]').click();
  await page.keyboard.press('Control+G');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('region', { name: 'SkidCtl adapts' })).toContainText('6 words');
  await dialog.getByRole('button', { name: 'SkidCtl adapts' }).press('Enter');
  await expect(row(page, 'pressures')).toContainText('agreed');
  await expectDemo(page, -1);
  await page.keyboard.press('Control+Z');
  await expectDemo(page);
  await expectStored(page);
});

test('a generic connection from a manual: instances, elements of 32 bits, and what the controller has to reserve', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'New exchange' }).press('Enter');
  const dialog = page.getByRole('dialog');
  await typeEnds(dialog, 'PlantCtl', 'AisleSim');
  await pick(dialog, 'Kind', 'peer connection');
  await pick(dialog, 'Protocol', /^Common Industrial Protocol/);
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Weighing');
  await dialog.getByRole('button', { name: 'Create' }).press('Enter');
  const sheet = page.getByRole('grid', { name: 'Weighing, both ends' });
  await expect(sheet).toBeFocused();
  await page.getByRole('button', { name: 'How it runs' }).press('Enter');
  const references = page.getByRole('grid', { name: 'References' });
  const caller = references.getByRole('row', { name: /PlantCtl/ });
  const device = references.getByRole('row', { name: /AisleSim/ });
  await device.getByRole('gridcell').nth(1).click();
  await page.keyboard.type('70000');
  await page.keyboard.press('Enter');
  await expect(page.locator('body')).toContainText('an instance is a whole number from 0 to 65535');
  await page.keyboard.press('Escape');
  await typeCells(page, '100', '101', '', '32');
  await caller.getByRole('gridcell').nth(4).click();
  await page.keyboard.type('16');
  await page.keyboard.press('Enter');
  await expectDemo(page, 2);
  await caller.getByRole('gridcell').nth(4).click();
  await page.keyboard.type('32');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Both ends' }).press('Enter');
  // Four elements of 32 bits are 16 bytes, 8 words.
  await cell(page, 'newlane', 1).click();
  await page.keyboard.type('Weights');
  await page.keyboard.press('Tab');
  await typeCells(page, 'reads', '', '', '4');
  await expect(page.locator('[role=row][data-id^="lane:"]')).toContainText('4 double words');
  await page.getByRole('button', { name: 'How it runs' }).press('Enter');
  await expect(caller).toContainText('16 bytes, 8 words');
  await page.getByRole('button', { name: 'Tags that the connection creates at PlantCtl' }).press('Enter');
  await page.getByRole('link', { name: 'Both ends' }).press('Enter');
  await expect(page.locator('[role=row][data-id^="lane:"]')).toContainText('Weighing_In');
  await expect(page.locator('main')).toContainText('reads 8 words');
  await expectStored(page);
});

test('the start sequence asks for what a module waits for, and takes it over', async ({ page, app }) => {
  const id = await app.demo();
  await page.goto(`${app.url}/p/${id}/exchanges/duty/running`);
  await expectDemo(page);
  const steps = page.getByRole('grid', { name: 'Start sequence' });
  await expect(steps).toContainText('sets Listen at w1210, and holds it');
  await cell(page, 'duty start listen', 2).click();
  await page.keyboard.press('Control+Delete');
  await expectDemo(page, 0, 1);
  await page.getByRole('button', { name: 'Add them' }).press('Enter');
  await expectDemo(page);
  await expect(page.getByRole('region', { name: 'What each program calls' })).toContainText('first register 1240');
  await expect(page.getByRole('region', { name: 'Cyclic or requests' })).toContainText(
    'the partner is always the same',
  );
  await page.getByRole('button', { name: 'Copy the calls of PlantCtl' }).press('Enter');
  await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toContain('Permissives\tsend\taddress');
  await expectStored(page);
});

test('a structure: typed member by member, laid out at both ends, and the first member that lies elsewhere', async ({
  page,
  app,
}) => {
  const id = await app.demo();
  await page.goto(`${app.url}/p/${id}/structures`);
  await expectDemo(page);
  await page.keyboard.type('Pump');
  await page.keyboard.press('Enter');
  const grid = page.getByRole('grid', { name: 'Structures' });
  const fresh = grid.locator('[role=row][data-id^="new "] [data-column="0"]');
  for (const member of ['State BYTE', 'Speed INT', 'Hours DINT']) {
    await fresh.click();
    await page.keyboard.type(member);
    await page.keyboard.press('Enter');
  }
  await expect(grid.getByRole('row', { name: /^Hours/ })).toContainText('byte 3byte 4byte 4byte 4');
  await page.goto(`${app.url}/p/${id}/exchanges/docks`);
  await expectDemo(page);
  for (const column of [6, 13]) {
    await row(page, 'dock-permits').locator(`[data-column="${column}"]`).click();
    await page.keyboard.type('Pump');
    await page.keyboard.press('Enter');
  }
  await expect(row(page, 'dock-permits')).toContainText('Pump');
  await page.goto(`${app.url}/p/${id}/stations/dockctl`);
  await pick(page, 'longer values at', 'any byte');
  await page.goto(`${app.url}/p/${id}/exchanges/docks`);
  await expect(page.locator('main')).toContainText('Speed at byte 2 of 8 bytes');
  await expect(page.locator('main')).toContainText('Speed at byte 1 of 7 bytes');
  await expectStored(page);
});

test('the load of a network is asked about from the level that the project sets', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/wiring`);
  await expectDemo(page);
  const loads = page.getByRole('grid', { name: 'Ethernet load' });
  await loads
    .getByRole('row', { name: /Plant LAN/ })
    .getByRole('gridcell')
    .nth(1)
    .click();
  await page.keyboard.type('5');
  await page.keyboard.press('Enter');
  await expectDemo(page, 0, 1);
  const level = page.getByRole('textbox', { name: 'Load limit' });
  await level.fill('99');
  await level.press('Enter');
  await expectDemo(page);
  await expectStored(page);
});

test('the matrix from where data begins to where it ends, through the gateway and its copies', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/overview`);
  await expectDemo(page);
  const matrix = page.getByRole('region', { name: 'Exchange matrix' });
  await expect(matrix.getByRole('button', { name: /^Meter1 to MeterHub/ })).toBeVisible();
  await matrix.getByRole('button', { name: 'End to end' }).press('Enter');
  const whole = matrix.getByRole('button', { name: /^Meter1 to ControlRoom: 40 bytes/ });
  await whole.press('Enter');
  await expect(matrix.getByRole('region', { name: 'Meter1 to ControlRoom' })).toContainText('Meter readings');
  await expect(matrix.getByRole('button', { name: /^Meter1 to MeterHub/ })).toBeHidden();
});
