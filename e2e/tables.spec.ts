import type { Page } from '@playwright/test';
import { expect, expectStored, expectTally, pasteText, test, typeCells } from './app';
import { beginProject, openStation } from './typing';

const WORDS = 'Controller with byte images and word memory';
const grid = (page: Page, name: string) => page.getByRole('grid', { name, exact: true });
const newCell = (page: Page, name: string, column = 0) =>
  grid(page, name).locator(`[role=row][data-id="new"] [role=gridcell][data-column="${column}"]`);
/** A line of a table as its cells read, from the first on. */
const lineOf = (page: Page, name: string, row: string) =>
  grid(page, name)
    .getByRole('row')
    .filter({ has: page.getByRole('gridcell', { name: row, exact: true }) });

test('Tab goes on in the row that is made, Enter begins the next; a block makes rows, in one undo step', async ({
  page,
  app,
}) => {
  await beginProject(page, app.url, 'Tables');
  await page.getByRole('link', { name: 'Stations', exact: true }).press('Enter');
  await newCell(page, 'Stations', 1).click();
  await typeCells(page, 'Press', WORDS);
  await expect(lineOf(page, 'Stations', 'Press')).toContainText(WORDS);
  await newCell(page, 'Stations', 1).click();
  await page.keyboard.type('Kiln');
  await page.keyboard.press('Tab');
  await page.keyboard.type(WORDS);
  await page.keyboard.press('Enter');
  // Back in the first column of the new row.
  await page.keyboard.type('Oven');
  await page.keyboard.press('Enter');
  await expect(grid(page, 'Stations').getByRole('row')).toHaveCount(5);

  await newCell(page, 'Stations', 1).click();
  await pasteText(page, `Fan\t${WORDS}\nPanel\toperator panel\nMixer\tmixer\t10.1.2.3/99`);
  await expect(lineOf(page, 'Stations', 'Fan')).toContainText(WORDS);
  await expect(lineOf(page, 'Stations', 'Panel')).toContainText('operator panel');
  await expect(page.getByRole('status').getByText('Pasted: 3 rows made')).toBeVisible();
  await expect(page.getByRole('status').getByText('line 3: ')).toBeVisible();
  await page.keyboard.press('Control+Z');
  await expect(grid(page, 'Stations').getByRole('row')).toHaveCount(5);

  await openStation(page, 'Press');
  await newCell(page, 'Areas').click();
  await pasteText(page, 'Data\tmemory\t16\t500\nIn\tinput image\t16\t32\nOut\toutput image\t16\t32');
  await expect(lineOf(page, 'Areas', 'Out')).toContainText('%QB0');
  await newCell(page, 'Copies').click();
  await pasteText(page, 'One\t%MW10\t%MW20\t4\nTwo\t%MW30\t%MW40\t4');
  await expect(lineOf(page, 'Copies', 'Two')).toContainText('%MW40');
  await newCell(page, 'Reserved ranges').click();
  await pasteText(page, 'Data\t%MW100\t10\tmodule\nData\t%MW200\t10\tmodule');
  await expect(grid(page, 'Reserved ranges').getByRole('row')).toHaveCount(4);
  await newCell(page, 'Ports').click();
  await pasteText(page, 'Second\tLAN\t10.1.0.1/24\nThird\tOther\t10.2.0.1/24');
  await expect(lineOf(page, 'Ports', 'Third')).toContainText('10.2.0.1');

  await page.getByRole('link', { name: 'Wiring' }).press('Enter');
  await newCell(page, 'Networks').click();
  await pasteText(page, 'Line 1\tserial line\nLine 2\tserial line');
  await expect(lineOf(page, 'Networks', 'Line 2')).toContainText('serial line');
  await page.getByRole('link', { name: 'Routes' }).press('Enter');
  await newCell(page, 'Routes').click();
  await pasteText(page, 'Press → Kiln\nKiln → Oven');
  await expect(grid(page, 'Routes').getByRole('row')).toHaveCount(4);
  await expectStored(page);
});

test('a block of modules goes slot by slot; a text that a cell refuses stays in it, with its reason', async ({
  page,
  app,
}) => {
  await beginProject(page, app.url, 'Slots');
  await page.getByRole('link', { name: 'Stations', exact: true }).press('Enter');
  await newCell(page, 'Stations', 1).click();
  await typeCells(page, 'Head', 'remote I/O head');
  await openStation(page, 'Head');
  await page.getByRole('button', { name: /^Add a rack/ }).press('Enter');
  const slots = grid(page, 'Slots of Rack');
  await slots.locator('[data-id="new 1"] [data-column="2"]').click();
  await pasteText(page, 'Digital input\tdigital input\t\t\t2\nDigital output\tdigital output\t\t\t\t2\nCounter');
  await expect(lineOf(page, 'Slots of Rack', 'Digital output')).toContainText('2 bytes');
  await expect(lineOf(page, 'Slots of Rack', 'Counter')).toContainText('3');
  await newCell(page, 'Areas').click();
  await page.keyboard.type('Data');
  await page.keyboard.press('Tab');
  await page.keyboard.type('memry');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').getByText('memry')).toBeVisible();
  await expect(grid(page, 'Areas').getByRole('combobox')).toHaveValue('memry');
  await page.keyboard.press('Escape');
  await expectTally(page, 0, 0);
});
