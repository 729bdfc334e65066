import { cell, expect, expectStored, expectTally, test } from './app';

test('a past revision is opened to read, compared row by row with the newest, and restored; undo takes it back', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const begun = await app.file(project);
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await cell(page, 'lane:status', 1).click();
  await page.keyboard.type('Renamed');
  await page.keyboard.press('Enter');
  await cell(page, 'lane:pressures', 4).click();
  await page.keyboard.type('%MW330');
  await page.keyboard.press('Enter');
  await expectStored(page);
  const edited = await app.file(project);

  await page.getByRole('link', { name: 'History' }).click();
  await page.getByRole('link', { name: 'Open revision 1' }).click();
  await expect(page.getByText('Revision 1', { exact: true })).toBeVisible();
  await page.getByRole('gridcell', { name: 'Open Compressor duty' }).click();
  await expect(cell(page, 'lane:status', 1)).toHaveText('Renamed');
  await expect(cell(page, 'lane:pressures', 4)).toHaveText('%MW324');
  await cell(page, 'lane:status', 1).click();
  await page.keyboard.type('Not here');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This is revision 1 as it was: it cannot be edited')).toBeVisible();
  expect(await app.file(project)).toBe(edited);

  await page.getByRole('link', { name: 'Compare with the newest' }).click();
  // The block moved, and its three values with it: four rows, each with both ends.
  await expect(page.getByText('4 rows differ. Stations affected: PlantCtl, SkidCtl.')).toBeVisible();
  const row = page.getByRole('row', { name: /Pressures, SuctionPressure/ });
  await expect(row).toContainText('%MW324');
  await expect(row).toContainText('%MW330');
  await expect(row).toContainText('w1264');

  // Any two: the first edit alone renamed one row.
  await page.getByRole('textbox', { name: 'From revision' }).fill('0');
  await page.getByRole('textbox', { name: 'To revision' }).fill('1');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 row differs.')).toBeVisible();
  await expect(page.getByRole('row').last()).toContainText('Renamed');

  await page.getByRole('link', { name: 'History' }).last().click();
  await page.getByRole('button', { name: 'Restore revision 0' }).click();
  await expect.poll(() => app.file(project)).toBe(begun);
  await page.keyboard.press('Control+Z');
  await expectStored(page);
  await expect.poll(() => app.file(project)).toBe(edited);
});

test('one offset that differs is one changed row, old and new, and nothing else', async ({ page, app }) => {
  const project = await app.agreed();
  await app.change(project, {
    id: 'moved',
    label: 'Move a value',
    changes: [
      {
        kind: 'claim',
        id: 'pressures-skid',
        path: ['items', 'pressures-b', 'offset', 'bits'],
        before: 32,
        after: 48,
      },
    ],
  });
  await page.goto(`${app.url}/p/${project}/history/0/newest`);
  await expect(page.getByText('1 row differs. Stations affected: PlantCtl, SkidCtl.')).toBeVisible();
  const rows = page.getByRole('row');
  await expect(rows).toHaveCount(2);
  await expect(rows.last()).toContainText('w1266');
  await expect(rows.last()).toContainText('w1267');
  await expect(rows.last()).toContainText('DischargePressure');
});

test('a project is copied under another name, with progress, by keyboard', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(app.url);
  const list = page.getByRole('listitem').filter({ has: page.locator(`a[href="/p/${project}/exchanges"]`) });
  await list.getByRole('button', { name: /^Copy / }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the copy' })).toBeFocused();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('The copy');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'The copy' })).toBeVisible();
  await expectTally(page, 3, 0);
  const copy = /\/p\/([^/]+)\//.exec(page.url())![1]!;
  expect(copy).not.toBe(project);
  expect(await app.file(copy)).toBe((await app.file(project)).replace('"Two suppliers"', '"The copy"'));
});

test('a revision that is not there is said so', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}@99/exchanges`);
  await expect(page.getByText('There is no revision 99; the newest is 0')).toBeVisible();
});
