import { cell, expect, expectStored, expectTally, test } from './app';
import { pick, picker } from './picking';

const map = 'listbox';

test.beforeEach(async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/exchanges/duty`);
  await expectTally(page, 3, 0);
});

test('from the lanes to the values to the bytes and back, by keyboard; the address names what is drawn', async ({
  page,
  browser,
}) => {
  const box = page.getByRole(map);
  const chosen = box.getByRole('option', { selected: true });
  await expect(box).toHaveAccessibleName('Map. Lanes');
  await box.focus();
  await page.keyboard.press('ArrowRight');
  await expect(chosen).toHaveAccessibleName(/^lane 2, Set-points, writes 8 words, %MW302–%MW309, differs$/);
  await page.keyboard.press('ArrowDown');
  await expect(chosen).toHaveAccessibleName(/Setp, reads 8 words, w1242–w1249/);
  await page.keyboard.press('Enter');
  await expect(box).toHaveAccessibleName('Map. Values of Set-points');
  await expect(page).toHaveURL(/zoom=setpoints$/);
  await page.keyboard.press('Enter');
  await expect(box).toHaveAccessibleName('Map. Bytes of SuctionSetpoint');
  // High register first at PlantCtl, low register first at SkidCtl: what arrives first is read as the lower word.
  const bytes = box.getByRole('option');
  await expect(bytes).toHaveCount(8);
  await expect(bytes.first()).toHaveAccessibleName('bits 31–24 sent at %MW302, not the bits that arrive there');
  await expect(bytes.nth(4)).toHaveAccessibleName('bits 15–8 read at w1242, not the bits that arrive there');

  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await expect(other.getByRole(map)).toHaveAccessibleName('Map. Bytes of SuctionSetpoint');
  await other.close();
  await expect(box).toBeFocused();

  await page.keyboard.press('Escape');
  await expect(box).toHaveAccessibleName('Map. Values of Set-points');
  await page.keyboard.press('Escape');
  await expect(box).toHaveAccessibleName('Map. Lanes');
});

test('Space leads to the row; the lane of the cursor is the strong one; M folds the map and Alt+M shows it', async ({
  page,
}) => {
  const box = page.getByRole(map);
  await box.focus();
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Space');
  await expect(cell(page, 'lane:pressures', 1)).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('grid')).toBeFocused();
  await box.focus();
  await page.keyboard.press('m');
  await expect(box).toBeHidden();
  await page.reload();
  await expectTally(page, 3, 0);
  await expect(box).toBeHidden();
  await page.keyboard.press('Alt+m');
  await expect(box).toBeVisible();
});

test('Swap exchanges the pages, and what is typed still goes to its own end', async ({ page, app }) => {
  const heads = page.getByRole('heading', { level: 2 });
  await expect(heads.first()).toHaveText('PlantCtl');
  await page.getByRole('button', { name: 'Swap', exact: true }).click();
  await expect(heads.first()).toHaveText('SkidCtl');
  await expect(cell(page, 'lane:pressures', 1)).toHaveText('Press');
  await cell(page, 'lane:pressures', 5).click();
  await page.keyboard.type('6');
  await page.keyboard.press('Enter');
  await expectTally(page, 2, 0);
  await page.goto(app.url);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.goBack();
  await expect(heads.first()).toHaveText('SkidCtl');
});

test('Mirror makes at one end what the other has filled in, in one undo step', async ({ page }) => {
  const row = page.getByRole('row', { name: /AlmTxt/ });
  await expect(row).toBeVisible();
  await cell(page, 'newlane', 1).click();
  for (const typed of ['Spare words', 'writes', '', '%MW400', '2', 'WORD ×2']) {
    if (typed) await page.keyboard.type(typed);
    await page.keyboard.press('Tab');
  }
  await expect(page.getByRole('gridcell', { name: 'one-sided' })).toBeVisible();
  await page.getByRole('button', { name: 'Mirror' }).click();
  const dialog = page.getByRole('dialog', { name: 'Mirror a page' });
  await expect(dialog).toContainText('SkidCtl gets 1 lane: the 5 that it has stay as they are.');
  await expect(dialog.getByRole('row')).toHaveText(/Spare words\s*reads\s*w1332\s*next free/);
  await expect(dialog.getByRole('button', { name: 'Mirror' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('gridcell', { name: 'one-sided' })).toHaveCount(0);
  await expect(page.getByRole('gridcell', { name: 'partner: w1332' })).toBeVisible();
  await expectTally(page, 3, 0);
  await page.keyboard.press('Control+Z');
  await expect(page.getByRole('gridcell', { name: 'one-sided' })).toBeVisible();
});

test('Shift moves all addresses of a page; what would be in the way is told first', async ({ page }) => {
  await page.getByRole('button', { name: 'Shift' }).click();
  const dialog = page.getByRole('dialog', { name: 'Shift all addresses of a page' });
  await page.keyboard.press('Control+A');
  await page.keyboard.type('9000');
  await expect(dialog).toContainText('Permissives would lie beyond Memory');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('-1');
  await expect(dialog).toContainText('%MW340 becomes %MW339');
  await pick(dialog, 'Which', 'the addresses entered at PlantCtl');
  await expect(dialog).toContainText('w1240 becomes w1239');
  await dialog.getByRole('button', { name: 'Shift' }).click();
  await expect(cell(page, 'second:permissives', 4)).toHaveText('partner: w1239');
  await expect(page.getByRole('gridcell', { name: 'agreed' })).toHaveCount(0);
  await page.keyboard.press('Control+Z');
  await expect(cell(page, 'second:permissives', 4)).toHaveText('partner: w1240');
  await expectTally(page, 3, 0);
});

test('with a third end it is chosen which of them stand on the pages; a link to any of them shows it', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Settings' }).click();
  await pick(page, 'Another end', 'ControlRoom');
  await expect(picker(page, 'Station of the right page')).toHaveText('SkidCtl');
  await pick(page, 'Station of the right page', 'ControlRoom');
  await expect(page.getByRole('heading', { level: 2 }).nth(1)).toContainText('ControlRoom');
  await expect(page.getByText('not filled in').first()).toBeVisible();
  await pick(page, 'Station of the right page', 'PlantCtl');
  await expect(picker(page, 'Station of the left page')).toHaveText('ControlRoom');
  await expectStored(page);
  await page.getByRole('button', { name: 'Remove ControlRoom' }).click();
  await expect(picker(page, 'Station of the right page')).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText('SkidCtl');
});

test('at 200 % zoom the frame stays, the map is folded and the cursor is kept in sight', async ({ page }) => {
  // 1280 × 800 at 200 % is 640 × 400.
  await page.setViewportSize({ width: 640, height: 400 });
  await page.reload();
  await expectTally(page, 3, 0);
  await expect(page.getByRole(map)).toBeHidden();
  await cell(page, 'lane:permissives', 1).click();
  await page.keyboard.press('End');
  await expect(cell(page, 'lane:permissives', 13)).toHaveAttribute('aria-selected', 'true');
  // All of it, but for the fraction of a pixel that columns of uneven width leave.
  await expect(cell(page, 'lane:permissives', 13)).toBeInViewport({ ratio: 0.99 });
  await expect(page.getByRole('link', { name: /^Findings/ })).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('button', { name: 'Next' })).toBeInViewport({ ratio: 1 });
  // What has no room in the frame is in the find box.
  await expect(page.getByRole('button', { name: 'Undo' })).toBeHidden();
  await page.keyboard.press('Control+K');
  await page.keyboard.type('dark');
  await page.keyboard.press('Enter');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test('what is not known at both ends yet says so on the map, and Escape leads out of it', async ({ page }) => {
  await page.goto(`${page.url().split('?')[0]}?zoom=alarm-text:x`);
  await expectTally(page, 3, 0);
  const empty = page.getByRole('group', { name: /^Map\. Bytes of/ });
  await expect(empty).toContainText('Its bytes are not known at both ends yet');
  await empty.focus();
  await page.keyboard.press('Escape');
  await expect(page.getByRole(map)).toHaveAccessibleName('Map. Values of Alarm text');
});
