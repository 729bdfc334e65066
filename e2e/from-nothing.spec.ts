import { cell, expect, expectStored, expectTally, pasteText, test, typeCells } from './app';
import { pick } from './picking';

test('stations, areas, views, an exchange of another protocol and a lane, from nothing and by keyboard', async ({
  page,
  app,
}) => {
  await page.goto(app.url);
  await page.getByLabel('Name of the new project').focus();
  await page.keyboard.type('North pier');
  await page.keyboard.press('Enter');
  // A new project asks what there is; stations one by one are made in their table, with the cursor in the row that takes one.
  await expect(page.getByRole('textbox', { name: 'List of stations' })).toBeFocused();
  await page.getByRole('link', { name: 'Stations one by one' }).press('Enter');
  await expect(page.getByRole('grid', { name: 'Stations' })).toBeFocused();
  for (const name of ['Pump', 'Valve']) {
    await page.keyboard.press('Control+End');
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('gridcell', { name, exact: true })).toBeVisible();
  }

  for (const [name, last, notation, prefix] of [
    ['Pump', 1, 'prefix and number', 'd'],
    ['Valve', 2, 'iec bytes', 'M'],
  ] as const) {
    await page.getByRole('link', { name: 'Stations', exact: true }).press('Enter');
    await page.getByRole('gridcell', { name: `Open ${name}` }).click();
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    await page.getByRole('grid', { name: 'Ports' }).focus();
    await page.keyboard.press('Home');
    await typeCells(page, 'LAN', 'Pier LAN', `192.168.4.${last}/24`);
    const ports = page.getByRole('grid', { name: 'Ports' });
    await expect(ports.getByRole('gridcell', { name: `192.168.4.${last}` })).toBeVisible();
    await page.getByRole('grid', { name: 'Areas' }).focus();
    await page.keyboard.type('Data');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('grid', { name: 'Areas' }).getByRole('gridcell', { name: 'Data' })).toBeVisible();
    const views = page.getByRole('grid', { name: 'Views' });
    await views.getByRole('gridcell', { name: 'iec elements' }).click();
    await typeCells(page, notation, prefix);
    await expect(views.getByRole('gridcell', { name: notation })).toBeVisible();
  }

  await page.getByRole('link', { name: 'Exchanges', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'New exchange' }).press('Enter');
  await pick(page, 'Protocol', /^Other/);
  await page.getByRole('textbox', { name: 'Name' }).fill('Duty');
  await page.getByRole('button', { name: 'Create' }).press('Enter');
  await expect(page.getByRole('grid', { name: 'Duty, both ends' })).toBeVisible();
  await page.getByLabel('Address entered at Pump').fill('192.168.4.2');
  await page.getByLabel('Address entered at Pump').press('Enter');
  await expectTally(page, 0, 0);

  await cell(page, 'newlane', 1).click();
  await typeCells(page, 'Speed', 'w', '', 'd10', '2', 'REAL');
  const lane = (await page.locator('[role=row][data-id^="lane:"]').getAttribute('data-id'))!.slice(5);
  await cell(page, `lane:${lane}`, 8).click();
  await typeCells(page, 'Spd', 'r', '', '%MD20', '1 double word', 'REAL');
  await expect(cell(page, `lane:${lane}`, 7)).toHaveText('agreed');
  await expectTally(page, 0, 0);

  // The exchange carries bytes: with another order at one end, it no longer agrees, and says so.
  await page.getByRole('button', { name: 'Settings' }).press('Enter');
  await pick(page, 'carries', 'words');
  await expectStored(page);
  await page.getByRole('link', { name: 'Stations', exact: true }).press('Enter');
  await page.getByRole('gridcell', { name: 'Open Valve' }).click();
  await pick(page, 'words of a longer value', 'low first');
  await expectTally(page, 1, 0);
  await expect(page.locator('footer')).toContainText('TYP 5');
  await page.keyboard.press('Alt+PageDown');
  await expect(page.getByRole('grid', { name: 'Duty, both ends' })).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expectTally(page, 0, 0);
});

test('an exchange of eight lanes between two stations, from two lists of a spreadsheet, by a few keys', async ({
  page,
  app,
}) => {
  const list = (line: (i: number) => string) => Array.from({ length: 8 }, (_, i) => line(i)).join('\n');
  await page.goto(`${app.url}/p/${await app.agreed()}/exchanges`);
  await expectTally(page, 0, 0);
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Enter');
  // Both stations are those that the dialog begins with: past left, right, kind and protocol to the name.
  for (let i = 0; i < 4; i++) await page.keyboard.press('Tab');
  await page.keyboard.type('Flow data');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid', { name: 'Flow data, both ends' })).toBeFocused();

  await pasteText(
    page,
    list((i) => `Flow${i}\twrites\tMemory\t%MW${1000 + 2 * i}\t2 words\tDINT`),
  );
  await expect(page.getByText('8 lanes pasted.')).toBeVisible();
  await page.keyboard.press('Control+Home');
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await pasteText(
    page,
    list((i) => `FL_${i}\treads\t\tw${3000 + 2 * i}\t2 words\tDINT`),
  );
  // Told nowhere yet: the address, and eight places; and DINTs in another order of registers. All have a ready fix.
  await expectTally(page, 17, 0);
  await page.getByRole('link', { name: /^Findings/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Fix all of Flow data' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Fix 17 findings' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expectTally(page, 0, 0);
  await page.goBack();
  await expect(page.getByRole('gridcell', { name: 'agreed' })).toHaveCount(8);
});
