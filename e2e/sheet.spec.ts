import { cell, expect, expectStored, expectTally, pasteText, test, typeCells } from './app';

const DIFFERENCE = 7;

test.beforeEach(async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.agreed()}/exchanges/duty`);
  await expectTally(page, 0, 0);
});

test('a verdict follows an edit, with both values and the fix between the pages', async ({ page }) => {
  await cell(page, 'lane:status', 12).click();
  await page.keyboard.type('5 words');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'lane:status', DIFFERENCE)).toContainText('4 and 5 words');
  const row = page.locator('[role=row][data-id^="difference:SIZ 1"]');
  await expect(row).toContainText('Skid status: reads 4 words, %MW320–%MW323');
  await expect(row).toContainText('Stat: writes 5 words, w1260–w1264');
  await row.getByRole('gridcell', { name: /^Fix SIZ 1/ }).click();
  await expect(cell(page, 'lane:status', DIFFERENCE)).toHaveText('agreed');
  // What was typed last gives way.
  await expect(cell(page, 'lane:status', 12)).toHaveText('4 words');
  await expect(cell(page, 'lane:status', 5)).toHaveText('4 words');
});

test('what was typed last is put back by the first fix, in the words of its end; the rule’s own fix comes after it', async ({
  page,
}) => {
  await cell(page, 'lane:status', 11).click();
  await page.keyboard.type('w1270');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'lane:status', DIFFERENCE)).toHaveText('another place');
  await page.keyboard.press('Alt+PageDown');
  await page.keyboard.press('Alt+Enter');
  await expect(cell(page, 'lane:status', 11)).toHaveText('w1260');
  await expectTally(page, 0, 0);
  await page.keyboard.press('Control+Z');
  await expect(cell(page, 'lane:status', 11)).toHaveText('w1270');
  await page.getByRole('link', { name: /^Findings:/ }).click();
  await expect(page.getByRole('button', { name: /^Fix POS 1/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Fix POS 1: PlantCtl asks for w1270' }).click();
  await expectTally(page, 0, 0);
  // After a reload nobody knows what was typed last: the rule’s own fix stands alone.
  await page.keyboard.press('Control+Z');
  await expectTally(page, 1, 0);
  await expectStored(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Fix POS 1/ })).toHaveCount(1);
});

test('what cannot be read is kept as typed, with the reason; undo brings the address back', async ({ page }) => {
  await cell(page, 'lane:status', 4).click();
  await page.keyboard.type('w320');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'lane:status', 4)).toHaveText('w320');
  await expect(
    page.getByText('“w320” is not an address of this station; an address here looks like %MW100 or %IB100 or %QB100'),
  ).toBeVisible();
  await expect(cell(page, 'lane:status', DIFFERENCE)).toHaveText('unchecked');
  await expectTally(page, 1, 0);
  await page.keyboard.press('Control+Z');
  await expect(cell(page, 'lane:status', 4)).toHaveText('%MW320');
  await expectTally(page, 0, 0);
});

test('arrows, Tab, F2, Escape, Delete; the cursor passes over places without a cell', async ({ page }) => {
  await cell(page, 'lane:status', 4).click();
  await page.keyboard.press('ArrowDown');
  await expect(cell(page, 'second:status', 4)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Tab');
  await expect(cell(page, 'lane:status', 5)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('F2');
  await page.keyboard.type('99');
  await page.keyboard.press('Escape');
  await expect(cell(page, 'lane:status', 5)).toHaveText('4 words');
  await page.keyboard.press('Delete');
  await expect(cell(page, 'lane:status', 5)).toHaveText('');
  await expectTally(page, 1, 0);
  await page.keyboard.press('Control+Z');
  await expectTally(page, 0, 0);
});

test('a block of lanes from a spreadsheet is one undo step; copied out and pasted back it changes nothing', async ({
  page,
  app,
}) => {
  const project = /\/p\/(\w+)\//.exec(page.url())![1]!;
  await cell(page, 'newlane', 1).click();
  const rows = Array.from({ length: 200 }, (_, i) => `Block ${i}\twrites\tMemory\t%MW${1000 + i * 2}\t2 words\tREAL`);
  await pasteText(page, rows.join('\n'));
  await expect(page.getByText('200 lanes pasted.')).toBeVisible();
  await expectTally(page, 0, 200);
  await expectStored(page);
  const pasted = await app.file(project);

  await page.keyboard.press('Control+Home');
  const row = (await page.locator('[role=row][data-id^="lane:"]', { hasText: 'Block 0' }).getAttribute('data-id'))!;
  await cell(page, row, 1).click();
  await cell(page, row, 6).click({ modifiers: ['Shift'] });
  await page.keyboard.press('Control+C');
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied).toBe('Block 0\twrites\tMemory\t%MW1000\t2 words\tREAL');
  await cell(page, row, 1).click();
  await page.keyboard.press('Control+V');
  await expect(page.getByText('1 lane pasted.')).toBeVisible();
  await expectStored(page);
  expect(await app.file(project)).toBe(pasted);

  await page.keyboard.press('Control+Z');
  await expectTally(page, 0, 0);
});

test('a link to a value opens it, in another browser', async ({ page, browser }) => {
  await cell(page, 'lane:pressures', 1).click();
  await page.keyboard.press('Space');
  await cell(page, 'item:pressures:pressures-b', 8).click();
  await expect(page).toHaveURL(/pressures-skid/);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await expect(cell(other, 'item:pressures:pressures-b', 8)).toHaveText('DiscP');
  await expect(cell(other, 'item:pressures:pressures-b', 8)).toHaveAttribute('aria-selected', 'true');
  await other.context().close();
});

test('a told address that is not true is underlined, named as former, and mended in place', async ({ page }) => {
  const told = page.getByLabel('Address entered at PlantCtl');
  await told.fill('10.48.10.14');
  await told.press('Enter');
  await expect(page.getByText('its former address; now 10.48.10.12')).toBeVisible();
  await expectTally(page, 1, 0);
  await told.fill('10.48.10.12');
  await told.press('Enter');
  await expectTally(page, 0, 0);
});

test('a new lane typed on both pages agrees', async ({ page }) => {
  await cell(page, 'newlane', 1).click();
  await typeCells(page, 'Mode', 'writes', '', '%MW400', '1', 'INT');
  const lane = (await page.locator('[role=row][data-id^="lane:"]').last().getAttribute('data-id'))!.slice(5);
  await cell(page, `second:${lane}`, 4).click();
  await page.keyboard.type('w1400');
  await page.keyboard.press('Enter');
  await cell(page, `lane:${lane}`, 8).click();
  await typeCells(page, 'Mod', 'reads', '', 'w1400', '1', 'INT');
  await expect(cell(page, `lane:${lane}`, DIFFERENCE)).toHaveText('agreed');
  await expectTally(page, 0, 0);
});

test('a header is typed under the length: it is counted in it, and what travels is the rest', async ({ page }) => {
  await cell(page, 'lane:alarm-text', 5).click();
  await page.keyboard.type('17');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'lane:alarm-text', DIFFERENCE)).toHaveText('17 and 16 words');
  await cell(page, 'second:alarm-text', 5).click();
  await page.keyboard.type('1 word');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'second:alarm-text', 5)).toHaveText('header 1 word');
  await expect(cell(page, 'lane:alarm-text', DIFFERENCE)).toHaveText('agreed');
  await expectTally(page, 0, 0);
});

test('what cannot stand in a cell, or would be wrong there, is said under it while it is typed', async ({ page }) => {
  const editor = page.getByRole('textbox', { name: 'Address', exact: true });
  await cell(page, 'lane:status', 4).click();
  await page.keyboard.press('F2');
  await editor.fill('a hundred');
  await expect(editor).toHaveAccessibleDescription(/“a hundred” is not an address of this station/);
  await expect(editor).toHaveAttribute('aria-invalid', 'true');
  // One that can be read, beyond its area: found before it is stored.
  await editor.fill('%MW99999');
  await expect(page.getByText(/lies beyond its Memory, which ends at %MW4095/).last()).toBeVisible();
  await editor.fill('%MW320');
  await expect(editor).toHaveAccessibleDescription('');
  await editor.fill('%MW99999');
  await page.keyboard.press('Escape');
  await expect(cell(page, 'lane:status', 4)).toHaveText('%MW320');
  await expectTally(page, 0, 0);
  // A heading says what its column is for, once the pointer rests on it.
  await page.getByRole('columnheader', { name: 'Address' }).first().hover();
  await expect(
    page.getByText('Where it begins, as this station writes addresses; or the name of a tag.'),
  ).toBeVisible();
});
