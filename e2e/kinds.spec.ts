import type { Page } from '@playwright/test';
import { expect, expectDemo, expectStored, test } from './app';
import { pick } from './picking';
import { typeEnds } from './typing';

const row = (page: Page, lane: string) => page.locator(`[role=row][data-id="lane:${lane}"]`);
const second = (page: Page, lane: string, column: number) =>
  page.locator(`[role=row][data-id="second:${lane}"] [role=gridcell][data-column="${column}"]`);

test('a coupler: out on both sides is seen and settled by a key; a slot that is another there is named', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/docks`);
  await expectDemo(page);
  await expect(page.getByText('coupler area through QuayLink')).toBeVisible();
  const plant = page.getByRole('region', { name: 'PlantCtl, left page' });
  await expect(plant).toContainText('entered for QuayLink: address');
  await expect(row(page, 'door-releases')).toContainText('both write');
  await expect(row(page, 'door-times')).toContainText('12 and 14 bytes');
  await page.getByRole('gridcell', { name: /^Fix DIR 1/ }).click();
  await expect(row(page, 'door-releases')).toContainText('agreed');
  await expectDemo(page, -1);
  await second(page, 'dock-permits', 1).click();
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toContainText('slot 2 ≠ 1');
  await page.keyboard.press('Control+Z');
  await expectDemo(page, -1);
  await expectStored(page);
});

test('one variable to many: who declares less, and which is closed; opened by typing', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/temperatures`);
  await expectDemo(page);
  await expect(row(page, 'store-temperatures')).toContainText('×12 and ×10');
  await expect(page.locator('main')).toContainText('ControlRoom, on neither page: DoorCounts: reads');
  await second(page, 'door-counts', 2).click();
  await page.keyboard.type('may read');
  await page.keyboard.press('Enter');
  await expectDemo(page, -1);
  // Another taker on the right page: it takes the temperatures, and says nothing of the doors.
  await pick(page, 'Station of the right page', 'AisleSim');
  await expect(row(page, 'store-temperatures')).toContainText('StoreTemperatures');
  await expect(row(page, 'door-counts')).toContainText('not filled in');
  await expectStored(page);
});

test('what happens on a lost link is asked for, and answered in the settings', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/evaporators`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'Settings' }).press('Enter');
  const loss = page.getByRole('group', { name: 'On a lost link' });
  await pick(loss, 'the sinks', 'go to zero');
  await pick(loss, 'the source', 'is told by a status');
  // Each of the three is asked for.
  await expectDemo(page);
  await pick(loss, 'outputs on reconnection', 'come back by themselves');
  await expectDemo(page);
  await pick(loss, 'outputs on reconnection', 'wait for a release');
  await expectDemo(page, 0, -1);
  await expectStored(page);
});

test('remote I/O from nothing: its lanes follow the landings, and follow again when these change', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'New exchange' }).press('Enter');
  const dialog = page.getByRole('dialog');
  await typeEnds(dialog, 'PlantCtl', 'EvapHead');
  await pick(dialog, 'Kind', 'remote I/O');
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Own modules');
  await dialog.getByRole('button', { name: 'Create' }).press('Enter');
  await expect(page.getByRole('grid', { name: 'Own modules, both ends' })).toBeFocused();
  // Four inputs, and the outputs that PlantCtl says it owns: Fans, Valves and Heaters.
  await expect(page.locator('[role=row][data-id^="lane:"]')).toHaveCount(7);
  await expect(page.locator('main')).toContainText('%QB6');
  await expect(page.getByRole('button', { name: 'Lanes from the module assignments' })).toBeHidden();
  await expectStored(page);
});

test('an input module put before others: the lanes that are bound to the ranges are named first', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectDemo(page);
  const slots = page.getByRole('grid', { name: /^Slots of/ });
  await slots.locator('[role=row][data-id="evap-1"] [role=gridcell][data-column="2"]').click();
  await page.keyboard.press('Alt+Insert');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Evaporator I/O');
  await expect(dialog).toContainText('%IB22–%IB23');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expectDemo(page);
});

test('where a meter’s reading goes, and what a point of the SCADA station comes from: one key', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/meters`);
  await expectDemo(page);
  await row(page, 'meter1-readings').locator('[data-column="1"]').click();
  await page.keyboard.press('Control+J');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Signal path: Meter1Readings of MeterHub');
  await expect(dialog.getByRole('list').first()).toContainText('ControlRoom, MeterReadings');
  await expect(dialog.getByRole('list').last()).toContainText('Meter1, Meter1Readings');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.goto(page.url().replace('meters', 'readings'));
  await expectDemo(page);
  await pick(page, 'Station of the right page', 'ControlRoom');
  await row(page, 'all-readings').locator('[data-column="8"]').click();
  await page.keyboard.press('Control+J');
  await expect(dialog.getByRole('list').last()).toContainText('WaterMeter');
  await page.keyboard.press('Escape');
});
