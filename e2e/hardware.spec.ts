import type { Page } from '@playwright/test';
import { expect, expectStored, expectTally, test } from './app';

const slots = (page: Page) => page.getByRole('grid', { name: /^Slots of/ });
const at = (page: Page, row: string, column: number) =>
  slots(page).locator(`[role=row][data-id="${row}"] [role=gridcell][data-column="${column}"]`);

test('an input module put before two others: what moves is shown first; then slots, ranges and landings follow', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectTally(page, 8, 1);
  await expect(at(page, 'evap-2', 9)).toContainText('PlantCtl owner, %IB22–%IB23');
  await at(page, 'evap-1', 2).click();
  await page.keyboard.press('Alt+Insert');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('In 1slot 1 to slot 2');
  await expect(dialog).toContainText('Air temperaturesslot 7 to slot 8');
  await expect(dialog).toContainText('%IB22–%IB23 to %IB24–%IB25');
  await expect(dialog).toContainText('Nothing is bound to the ranges that move');
  await dialog.getByRole('button', { name: 'Do it' }).press('Enter');
  await expect(dialog).toBeHidden();
  await expect(at(page, 'evap-2', 1)).toHaveText('3');
  await expect(at(page, 'evap-2', 9)).toContainText('PlantCtl owner, %IB24–%IB25');
  await expectTally(page, 8, 1);
  await page.keyboard.press('Control+Z');
  await expect(at(page, 'evap-2', 1)).toHaveText('2');
  await expectStored(page);
});

test('a module is moved by keyboard; a slot outside, a gap and a zone for others are told', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectTally(page, 8, 1);
  await at(page, 'evap-7', 2).click();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(at(page, 'evap-7', 1)).toHaveText('6');
  await expect(at(page, 'evap-6', 1)).toHaveText('7');
  await page.keyboard.press('Control+Z');
  await expect(at(page, 'evap-7', 1)).toHaveText('7');
  await at(page, 'evap-7', 1).click();
  await page.keyboard.type('40');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').getByText('the rack has slots 0 to 9')).toBeVisible();
  await at(page, 'evap-7', 1).click();
  await page.keyboard.type('9');
  await page.keyboard.press('Enter');
  await expectTally(page, 11, 1);
  await page.keyboard.press('Control+Z');
  await expectTally(page, 8, 1);
});

test('a module is typed into a free slot, claimed by a controller, and its revision compared', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations/evaphead`);
  await expectTally(page, 8, 1);
  await at(page, 'new 8', 2).click();
  await page.keyboard.type('Digital output, spare');
  await page.keyboard.press('Enter');
  const spare = slots(page).locator('[role=row]').filter({ hasText: 'Digital output, spare' });
  await expect(spare.locator('[data-column="3"]')).toHaveText('digital output');
  await spare.locator('[data-column="5"]').click();
  await page.keyboard.type('4.6');
  await page.keyboard.press('Enter');

  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  const landings = page.getByRole('grid', { name: 'Landings' });
  await landings.locator('[data-id="new"] [data-column="0"]').click();
  await page.keyboard.type('EvapHead 9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').getByText('slot 9 of EvapHead is empty')).toBeVisible();
  await landings.locator('[data-id="new"] [data-column="0"]').click();
  await page.keyboard.type('EvapHead 8');
  await page.keyboard.press('Enter');
  const claimed = landings.locator('[role=row]').filter({ hasText: 'EvapHead slot 8' });
  await expect(claimed.locator('[data-column="4"]')).toHaveText('4.6');
  await claimed.locator('[data-column="4"]').click();
  await page.keyboard.type('5.2');
  await page.keyboard.press('Enter');
  await expectTally(page, 9, 1);
  await claimed.locator('[data-column="4"]').click();
  await page.keyboard.type('any');
  await page.keyboard.press('Enter');
  await expectTally(page, 8, 2);
});
