import { expect, expectDemo, expectStored, expectTally, test } from './app';
import { picker } from './picking';
import { typeEnds } from './typing';

test('two lists are laid side by side, row by row; what is left over, and what is not read, is said before', async ({
  page,
  app,
}) => {
  const id = await app.create('Lists');
  await page.goto(`${app.url}/p/${id}/begin`);
  const side = async (which: string, name: string, address: string, rows: string) => {
    await page.getByLabel(`Station of the ${which} list`).fill(name);
    await page.getByLabel(`Address of the ${which} station`).fill(address);
    await page.getByLabel(`Rows of the ${which} list`).fill(rows);
  };
  await expect(page.getByRole('button', { name: 'Lay them side by side' })).toBeDisabled();
  await side('left', 'CutterCtl', '10.8.2.12/24', 'Speed\tREAL\t%MW300\nLoad\tREAL\t%MW302\nMode\tINT\tsomewhere');
  await side('right', 'BakeCtl', '10.8.2.13', '40103\tload\tREAL\n40101\tspeed\tREAL');
  const left = page.getByRole('group', { name: 'The left list' });
  await expect(left).toContainText('3 rows · Controller with byte images and word memory, by its addresses');
  await expect(left).toContainText('1 of 3 addresses are not read');
  await expect(page.getByText('2 pair by name, 1 left over')).toBeVisible();
  await page.getByLabel('Rows of the right list').press('Tab');
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('grid', { name: 'CutterCtl – BakeCtl, both ends' });
  await expect(sheet).toBeFocused();
  await expect(sheet.getByRole('gridcell', { name: 'somewhere', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+Shift+Enter');
  await page.getByRole('button', { name: /^Fix \d findings$/ }).press('Enter');
  await expect(sheet.getByRole('gridcell', { name: 'agreed' })).toHaveCount(2);
  // One undo takes the fixes back, the next all of the lists.
  await page.keyboard.press('Control+Z');
  await page.keyboard.press('Control+Z');
  await expect(page.getByText('There is no such exchange.')).toBeVisible();
  await expectStored(page);
});

test('a list of stations says line by line what it cannot take, and makes the rest', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.create('Stations')}/begin`);
  const list = page.getByRole('textbox', { name: 'List of stations' });
  await expect(list).toBeFocused();
  await list.fill('A, byte memory, 10.1.0.1/24\nA\nA → nobody\nB\tregisters\t10.1.0.2/40\n');
  await expect(page.getByText('line 2: there is a station A already')).toBeVisible();
  await expect(page.getByText('“A → nobody” does not name two stations')).toBeVisible();
  await page.getByRole('button', { name: 'Make 2 stations, 1 network' }).press('Enter');
  // What was not taken stays, with its reason, to be put right.
  await expect(list).toHaveValue('A\nA → nobody');
  await expect(page.getByText('Made 2 stations, 1 network. What was not taken stays in the list.')).toBeVisible();
  await list.fill('A → B');
  await list.press('Control+Enter');
  await expect(page.getByRole('gridcell', { name: 'A – B', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Stations', exact: true }).last().press('Enter');
  await expect(page.getByRole('gridcell', { name: '10.1.0.1', exact: true })).toBeVisible();
});

test('an exchange from two names: in the find box, and in the last row of the exchanges', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.agreed()}/stations`);
  await expectTally(page, 0, 0);
  await page.keyboard.press('Control+K');
  await page.keyboard.type('new exchange skid → plant');
  await expect(page.getByRole('option', { name: /New peer connection: SkidCtl – PlantCtl/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid', { name: 'SkidCtl – PlantCtl, both ends' })).toBeFocused();
  await page.getByRole('link', { name: 'Exchanges', exact: true }).press('Enter');
  const grid = page.getByRole('grid', { name: 'Exchanges' });
  const fresh = grid.locator('[role=row][data-id="new"] [role=gridcell][data-column="1"]');
  await fresh.click();
  await page.keyboard.type('plant and nobody');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').getByText('does not name two stations')).toBeVisible();
  await expect(grid.getByRole('combobox').or(grid.getByRole('textbox'))).toHaveValue('plant and nobody');
  await page.keyboard.press('Escape');
  await fresh.click();
  await page.keyboard.type('plant, skid, shared variables');
  await page.keyboard.press('Enter');
  await expect(grid.getByRole('gridcell', { name: 'PlantCtl – SkidCtl', exact: true })).toBeVisible();
  await expect(grid.getByRole('gridcell', { name: 'shared variables' })).toBeVisible();
});

test('a table of a station by its name, from anywhere; across the sheet and back', async ({ page, app }) => {
  const id = await app.agreed();
  await page.goto(`${app.url}/p/${id}/exchanges/duty`);
  await expectTally(page, 0, 0);
  const sheet = page.getByRole('grid', { name: /both ends$/ });
  await page.locator('[role=row][data-id="lane:pressures"] [data-column="4"]').click();
  const at = () => sheet.getAttribute('aria-activedescendant');
  const left = await at();
  await page.keyboard.press('Control+ArrowRight');
  await expect.poll(at).not.toBe(left);
  await page.keyboard.press('Control+ArrowLeft');
  await expect.poll(at).toBe(left);
  await page.keyboard.press('Control+K');
  await page.keyboard.type('areas of skid');
  await expect(page.getByRole('option', { name: /Areas of SkidCtl/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid', { name: 'Areas' })).toBeFocused();
  await page.keyboard.type('Spare');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('grid', { name: 'Areas' }).getByRole('gridcell', { name: 'Spare' })).toBeVisible();
});

test('the dialog makes an end that is not there yet, proposes kind and name, and says how many connections are used', async ({
  page,
  app,
}) => {
  const id = await app.demo();
  await page.goto(`${app.url}/p/${id}/stations/plantctl`);
  await expectDemo(page);
  // Begun from a station: it is the left end.
  await page
    .getByRole('region', { name: 'Exchanges of this station' })
    .getByRole('link', { name: 'New exchange' })
    .click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('combobox', { name: /Left station/ })).toHaveValue('PlantCtl');
  await expect(dialog).toContainText('14 of 16 connections');
  const right = dialog.getByRole('combobox', { name: /Right station/ });
  await right.fill('HallPanel, operator panel, 10.48.10.77');
  await right.press('Tab');
  await expect(dialog).toContainText('HallPanel is made, Operator panel');
  await expect(picker(dialog, 'Kind')).toHaveText('tag map');
  await expect(dialog.getByRole('textbox', { name: 'Name' })).toHaveAttribute('placeholder', 'PlantCtl – HallPanel');
  await dialog.getByRole('button', { name: 'Create' }).press('Enter');
  await expect(page.getByRole('grid', { name: 'PlantCtl – HallPanel, both ends' })).toBeFocused();
  // Two names that are one station are refused, and what was typed stays.
  await page.goto(`${app.url}/p/${id}/exchanges`);
  await page.getByRole('button', { name: 'New exchange' }).press('Enter');
  await typeEnds(dialog, 'DockCtl', 'dockctl');
  await dialog.getByRole('button', { name: 'Create' }).press('Enter');
  await expect(dialog.getByRole('alert')).toContainText('two different stations');
  await expect(dialog.getByRole('combobox', { name: /Left station/ })).toHaveValue('DockCtl');
});

test('who has nothing yet is shown the demo', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.create('Nothing')}/begin`);
  await page.getByRole('button', { name: 'Nothing yet' }).press('Enter');
  await expectDemo(page);
});

test('what one end does not know of the other yet is told in one step', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.create('Told')}/begin`);
  for (const [which, name, address, rows] of [
    [
      'left',
      'CutterCtl',
      '10.8.2.12/24',
      'Speed\tREAL\t%MD100\nLoad\tREAL\t%MD104\nRun\tWORD\t%MW108\nStop\tWORD\t%MW110',
    ],
    ['right', 'BakeCtl', '10.8.2.13', 'speed\tREAL\t%MW300\nload\tREAL\t%MW302\nrun\tWORD\t%MW304\nstop\tWORD\t%MW305'],
  ] as const) {
    await page.getByLabel(`Station of the ${which} list`).fill(name);
    await page.getByLabel(`Address of the ${which} station`).fill(address);
    await page.getByLabel(`Rows of the ${which} list`).fill(rows);
  }
  // Of two readings of an address, the one in which values lie beside one another.
  await expect(page.getByRole('group', { name: 'The left list' })).toContainText('byte memory, high byte first');
  await page.getByRole('button', { name: 'Lay them side by side' }).click();
  await page.getByRole('button', { name: 'Tell both ends …' }).click();
  // Its buttons stand below the list however long that is.
  await page.setViewportSize({ width: 1280, height: 400 });
  const dialog = page.getByRole('dialog', { name: 'Tell both ends of CutterCtl – BakeCtl' });
  await expect(dialog).toContainText('address 10.8.2.13');
  await expect(dialog.getByRole('button', { name: 'Cancel' })).toBeInViewport({ ratio: 1 });
  await page.keyboard.press('Enter');
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(page.getByRole('gridcell', { name: 'agreed' })).toHaveCount(4);
  await expect(page.getByText('No findings: nothing that was checked disagrees.')).toBeVisible();
});
