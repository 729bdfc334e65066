import { cell, expect, expectStored, expectTally, test } from './app';

test('a fix shows what it changes before it is taken; all of a group are taken in one step and undone in one', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const begun = await app.file(project);
  await page.goto(`${app.url}/p/${project}/findings`);
  await expectTally(page, 3, 0);
  const entry = page.getByRole('article').filter({ hasText: 'SIZ 1' });
  await entry.getByRole('button', { name: /^What changes with SkidCtl: 5 words/ }).press('Enter');
  const preview = entry.getByRole('list', { name: 'What it changes' });
  await expect(preview).toContainText('w1264 · 5 words');
  await expect(preview).toContainText('w1264 · 6 words');
  expect(await app.file(project)).toBe(begun);

  await page.getByRole('button', { name: 'Fix all of Compressor duty' }).press('Enter');
  const group = page.getByRole('group', { name: 'Fix all of Compressor duty' });
  await expect(group).toContainText('Mends 3 findings.');
  await expect(group.getByRole('button', { name: 'Fix 3 findings' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expectTally(page, 0, 0);
  await page.keyboard.press('Control+Z');
  await expectTally(page, 3, 0);
  await expectStored(page);
  expect(await app.file(project)).toBe(begun);
});

test('by rule, each group has the findings of one rule', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/findings`);
  await expectTally(page, 3, 0);
  await page.getByRole('button', { name: 'By rule' }).click();
  for (const code of ['ADR 13', 'SIZ 1', 'TYP 5']) {
    await expect(page.getByRole('heading', { name: code, exact: true })).toBeVisible();
  }
});

test('one key explains the finding of the line on any screen', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/stations`);
  await expectTally(page, 3, 0);
  await page.keyboard.press('Control+I');
  const told = page.getByRole('dialog', { name: 'Compressor duty: address entered' });
  await expect(told).toContainText('PlantCtl: entered for SkidCtl: 10.48.10.14');
  await expect(told).toContainText('Source: common practice');
  await page.keyboard.press('Enter');
  await expect(told).toBeHidden();
  // Of a lane, with the whole comparison of its ends.
  await page.keyboard.press('Alt+PageDown');
  await page.keyboard.press('Alt+PageDown');
  await page.getByRole('link', { name: 'Two suppliers' }).click();
  await expect(page.getByRole('heading', { name: 'Overview' })).toBeVisible();
  await page.keyboard.press('Control+I');
  await expect(page.getByRole('dialog', { name: /^Set-points: .*differs/ })).toContainText('low first');
});

test('from 1600 px the list is pinned beside the work, and leads to each cell', async ({ page, app }) => {
  await page.setViewportSize({ width: 1680, height: 900 });
  await page.goto(`${app.url}/p/${await app.duty()}/stations`);
  await expectTally(page, 3, 0);
  await page.getByRole('button', { name: 'Pin the list' }).click();
  const list = page.getByRole('complementary', { name: 'All findings' });
  await expect(list.getByRole('listitem')).toHaveCount(3);
  await list.getByRole('button', { name: /SIZ 1/ }).click();
  await expect(cell(page, 'lane:pressures', 5)).toHaveAttribute('aria-selected', 'true');
  await expect(list.locator('[aria-current=true]')).toContainText('SIZ 1');
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(list).toBeHidden();
});
