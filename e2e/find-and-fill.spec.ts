import { cell, expect, expectStored, expectTally, test } from './app';

test.beforeEach(async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/exchanges/duty`);
  await expectTally(page, 3, 0);
});

test('who uses an address, a register by its reference number, and ‘pressure’: each by Ctrl+K and Enter', async ({
  page,
}) => {
  const list = page.getByRole('listbox');
  const find = async (text: string) => {
    await page.keyboard.press('Control+K');
    await page.keyboard.type(text);
  };
  await find('%MW326');
  await expect(list.getByRole('option').first()).toContainText(
    'written by Compressor duty: DischargePressure of Pressures',
  );
  await page.keyboard.press('Enter');
  await expect(cell(page, 'item:pressures:pressures-b', 4)).toHaveAttribute('aria-selected', 'true');

  // Reference 401265 is register w1264 of SkidCtl.
  await find('401265');
  await expect(list.getByRole('option').first()).toContainText('SkidCtl, 401265');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'item:pressures:pressures-a', 11)).toHaveAttribute('aria-selected', 'true');

  await find('pressure');
  await expect(list).toContainText('OilPressureDifference');
  await expect(list).toContainText('SuctionPressure');
  await page.keyboard.press('Escape');
});

test('stations, findings and actions are found, too; what is not there is said', async ({ page }) => {
  await page.keyboard.press('Control+K');
  await page.keyboard.type('dockp');
  await expect(page.getByRole('option', { name: /DockPanel/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/stations/);
  await page.keyboard.press('Control+K');
  await page.keyboard.type('SIZ 1');
  await expect(page.getByRole('option').first()).toContainText('SIZ 1 · Pressures');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('keys of');
  await expect(page.getByRole('option').first()).toContainText('Show the keys of this screen');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Keys of this screen' })).toContainText('Ctrl+K');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+K');
  await page.keyboard.type('zzzz');
  await expect(page.getByText('No match for “zzzz”.')).toBeVisible();
});

test('what is typed into the find box stays there when the page jumped to comes late', async ({ page }) => {
  let arrived = () => {};
  const late = new Promise<void>((resolve) => (arrived = resolve));
  await page.route(/stations-page.*\.js/, async (route) => {
    await late;
    await route.continue();
  });
  await page.keyboard.press('Control+K');
  await page.keyboard.type('dockp');
  await expect(page.getByRole('option', { name: /DockPanel/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Find' })).toHaveValue('');
  await page.keyboard.press('Control+K');
  await page.keyboard.type('SIZ');
  arrived();
  await expect(page.locator('[role=grid][aria-label=Stations]')).toBeVisible();
  await page.keyboard.type(' 1');
  await expect(page.getByRole('combobox', { name: 'Find' })).toHaveValue('SIZ 1');
  await expect(page.getByRole('option').first()).toContainText('SIZ 1 · Pressures');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/exchanges.duty/);
  await expect(page.getByRole('grid')).toBeFocused();
});

test('F1 shows the keys of the sheet, of tables, and those that hold everywhere', async ({ page }) => {
  await page.keyboard.press('F1');
  const dialog = page.getByRole('dialog', { name: 'Keys of this screen' });
  await expect(dialog).toContainText('open or close the values of a lane');
  await expect(dialog).toContainText('fill the chosen cells');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
});

test('filled down from Door_01 over 20 rows: Door_20, addresses advancing, in one undo step; a clash shows first', async ({
  page,
}) => {
  await cell(page, 'lane:setpoints', 0).click();
  await cell(page, 'item:setpoints:setpoints-d', 1).click();
  await page.keyboard.type('Door_01');
  await page.keyboard.press('Enter');
  await cell(page, 'item:setpoints:setpoints-d', 1).click();
  await page.keyboard.press('Control+D');
  const dialog = page.getByRole('dialog', { name: 'Fill down from Door_01' });
  await page.keyboard.press('Control+A');
  await page.keyboard.type('20');
  await expect(dialog).toContainText('The last is Door_20 at %MW346');
  await expect(dialog).toContainText('Door_20 would end beyond the lane');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  // Rows are drawn as far as one looks.
  await page.keyboard.press('Control+End');
  const last = page.locator('[role=row][data-id^="item:setpoints:"]').last();
  await expect(last.locator('[data-column="1"]')).toHaveText('Door_20');
  await expect(last.locator('[data-column="4"]')).toHaveText('%MW346');
  await page.keyboard.press('Control+Z');
  await expect(page.locator('[role=row][data-id^="item:setpoints:"]')).toHaveCount(4);
  await expectStored(page);
});

test('chosen rows are filled from the first: names count on, addresses follow by size', async ({ page }) => {
  await cell(page, 'lane:pressures', 0).click();
  await cell(page, 'item:pressures:pressures-a', 1).click();
  await page.keyboard.type('Sensor_08');
  await page.keyboard.press('Enter');
  await cell(page, 'item:pressures:pressures-a', 1).click();
  for (const key of ['Shift+ArrowDown', 'Shift+ArrowDown', 'Shift+End', 'Control+D']) await page.keyboard.press(key);
  await expect(cell(page, 'item:pressures:pressures-c', 1)).toHaveText('Sensor_10');
  await expect(cell(page, 'item:pressures:pressures-c', 4)).toHaveText('%MW328');
  await page.keyboard.press('Control+Z');
  await expect(cell(page, 'item:pressures:pressures-c', 1)).toHaveText('OilPressureDifference');
});

test('one key explains a verdict: both ends term by term, the way of a value, the rule and its source', async ({
  page,
}) => {
  await cell(page, 'lane:setpoints', 7).click();
  await page.keyboard.press('Control+I');
  const dialog = page.getByRole('dialog', { name: /^Set-points: differs/ });
  await expect(dialog).toContainText('carried as words');
  await expect(dialog).toContainText('123.456 sent, −1.8833671e+25 received');
  await expect(dialog.getByRole('row', { name: /^words of a longer value/ })).toContainText('low first');
  await expect(dialog).toContainText('TYP 5');
  await expect(dialog).toContainText('Source: ');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await cell(page, 'lane:status', 1).click();
  await page.keyboard.press('Control+I');
  await expect(page.getByRole('dialog', { name: /^Skid status: agreed/ })).toBeVisible();
});

test('Enter takes a hit of what is typed, also where the hits of it come late', async ({ page, app }) => {
  await page.addInitScript(() => {
    // Questions to the checking worker wait here while the page says so.
    const held: (() => void)[] = [];
    const post = Worker.prototype.postMessage as (this: Worker, ...args: unknown[]) => void;
    const page = window as unknown as { hold: boolean; release: () => void };
    page.hold = false;
    page.release = () => {
      page.hold = false;
      for (const send of held.splice(0)) send();
    };
    Worker.prototype.postMessage = function (this: Worker, ...args: unknown[]) {
      if (page.hold) held.push(() => post.apply(this, args));
      else post.apply(this, args);
    };
  });
  await page.goto(`${app.url}/p/${await app.duty()}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await page.keyboard.press('Control+K');
  await page.keyboard.type('dockp');
  await expect(page.getByRole('option', { name: /DockPanel/ })).toBeVisible();
  await page.evaluate(() => ((window as unknown as { hold: boolean }).hold = true));
  await page.keyboard.press('Control+A');
  await page.keyboard.type('%MW326');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/exchanges.duty/);
  await expect(page.getByRole('combobox', { name: 'Find' })).toHaveValue('%MW326');
  await page.evaluate(() => (window as unknown as { release: () => void }).release());
  await expect(cell(page, 'item:pressures:pressures-b', 4)).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('combobox', { name: 'Find' })).toHaveValue('');
});
