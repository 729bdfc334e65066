import { cell, expect, expectTally, test } from './app';

test('the overview says who sends what to whom, what is to do, and how many lanes agree; its verdicts follow edits', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/overview`);
  await expectTally(page, 3, 0);
  await expect(page.getByText('2 exchanges with 7 lanes. 5 of 7 lanes agree.')).toBeVisible();
  const to = page.getByRole('button', { name: 'PlantCtl to SkidCtl: 44 bytes, differs' });
  await to.focus();
  await page.keyboard.press('Enter');
  const lanes = page.getByRole('region', { name: 'PlantCtl to SkidCtl' });
  await expect(lanes.getByRole('listitem')).toHaveText([
    /Permissives.*agreed/,
    /Set-points.*differs/,
    /Start values.*agreed/,
  ]);
  await expect(page.getByRole('region', { name: 'Still to do' })).toContainText(
    'PlantCtl has 10.48.10.14 entered for SkidCtl',
  );

  await page.keyboard.press('Alt+PageDown');
  await page.keyboard.press('Alt+PageDown');
  await expect(page).toHaveURL(/exchanges\/duty/);
  await page.keyboard.press('Alt+Enter');
  await expectTally(page, 2, 0);
  await page.getByRole('link', { name: 'Two suppliers' }).click();
  await expect(page.getByText('6 of 7 lanes agree.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'PlantCtl to SkidCtl: 44 bytes, agreed, blocked' })).toBeVisible();
});

test('a lane of the matrix leads to the sheet', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/overview`);
  await page.getByRole('button', { name: /^SkidCtl to PlantCtl/ }).click();
  await page.getByRole('link', { name: 'Pressures' }).click();
  await expect(cell(page, 'lane:pressures', 1)).toHaveAttribute('aria-selected', 'true');
});

test('an empty project says what to begin with', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.create('Empty')}/overview`);
  await expect(page.getByText('Nothing is exchanged yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Begin with the stations' }).click();
  await expect(page).toHaveURL(/stations/);
});

test('the arrow keys reach the empty cells of the matrix, and Enter begins an exchange there', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/overview`);
  await page.getByRole('button', { name: /^PlantCtl to ControlRoom/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('link', { name: 'New exchange: SkidCtl to ControlRoom' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: /^Left station/ })).toHaveValue('SkidCtl');
  await expect(page.getByRole('combobox', { name: /^Right station/ })).toHaveValue('ControlRoom');
});
