import { readFileSync } from 'node:fs';
import { cell, expect, expectStored, expectTally, test } from './app';

test('fifty edits of every kind, undone and redone: the files of the start and of the end', async ({ page, app }) => {
  test.setTimeout(120_000);
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  const start = await app.file(project);
  const edits = (r: number): [string, number, string][] => [
    ['lane:status', 1, `Status ${r}`],
    ['lane:status', 4, `%MW${700 + r}`],
    ['lane:status', 5, `${6 + r} words`],
    ['lane:status', 6, `INT x${5 + r}`],
    ['second:status', 4, `w${77 + r}`],
    ['lane:permissives', 2, r % 2 === 0 ? 'reads' : 'writes'],
    ['lane:permissives', 8, `Perm ${r}`],
    ['lane:permissives', 11, `not an address ${r}`],
    ['lane:pressures', 12, String(7 + r)],
    ['second:setpoints', 6, r % 2 === 0 ? 'bytes swapped' : 'registers swapped'],
  ];
  let count = 0;
  for (let round = 0; round < 5; round++) {
    for (const [row, column, text] of edits(round)) {
      await cell(page, row, column).click();
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
      count++;
    }
    await cell(page, 'lane:status', 6).click();
    await page.keyboard.press('Delete');
  }
  expect(count).toBe(50);
  await expectStored(page);
  const end = await app.file(project);
  expect(end).not.toBe(start);

  const undo = page.getByRole('button', { name: 'Undo' });
  let steps = 0;
  while (await undo.isEnabled()) {
    await page.keyboard.press('Control+Z');
    steps++;
  }
  expect(steps).toBeGreaterThanOrEqual(50);
  await expectStored(page);
  expect(await app.file(project)).toBe(start);
  const redo = page.getByRole('button', { name: 'Redo' });
  while (await redo.isEnabled()) await page.keyboard.press('Control+Y');
  await expectStored(page);
  expect(await app.file(project)).toBe(end);
});

test('a project is saved as a file, brought in again, renamed, and deleted with its name typed', async ({
  page,
  app,
}) => {
  await app.agreed();
  await page.goto(app.url);
  const download = page.waitForEvent('download');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Two suppliers, as agreed' })
    .first()
    .getByRole('link', { name: 'Export' })
    .click();
  const path = await (await download).path();
  const text = readFileSync(path, 'utf8').replace('Two suppliers, as agreed', 'Brought in');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'plant.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expectTally(page, 0, 0);
  await page.getByRole('link', { name: 'Projects' }).click();

  await page.getByRole('button', { name: 'Rename Brought in' }).press('Enter');
  await page.getByLabel('New name').fill('North quay');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'North quay' })).toBeVisible();

  await page.getByRole('button', { name: 'Delete North quay' }).press('Enter');
  await page.getByLabel('Name of the project').fill('north quay');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('type “North quay” to delete it');
  await page.getByLabel('Name of the project').fill('North quay');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'North quay' })).toHaveCount(0);
});

test('findings: by subject and by rule, by severity, both fixes of a length, and shown in their cell', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.duty()}/findings`);
  await expectTally(page, 3, 0);
  await expect(page.getByRole('region', { name: 'Compressor duty' }).getByRole('article')).toHaveCount(3);
  await page.getByRole('button', { name: 'By rule' }).click();
  await expect(page.getByRole('region', { name: 'TYP 5' })).toContainText(
    'A REAL of 123.456 arrives as −1.8833671e+25.',
  );
  await expect(page.getByRole('region', { name: 'TYP 5' })).toContainText('Source: common practice');
  await page.getByRole('button', { name: '0 Doubts' }).click();
  await expect(page.getByRole('article')).toHaveCount(0);
  await page.getByRole('button', { name: 'All 3' }).click();
  await page.getByRole('button', { name: 'Fix SIZ 1: PlantCtl: 6 words → 5 words' }).click();
  await expectTally(page, 4, 0);
  await expect(page.getByRole('region', { name: 'SIZ 3' }).getByRole('article')).toHaveCount(2);
  await page.keyboard.press('Control+Z');
  await page.getByRole('button', { name: 'Fix SIZ 1: SkidCtl: 5 words → 6 words' }).click();
  await expectTally(page, 2, 0);
  await page.getByRole('region', { name: 'ADR 13' }).getByRole('button', { name: 'Show' }).click();
  await expect(page.getByLabel('Address entered at PlantCtl')).toBeFocused();
});

test('a Doubt is accepted with reason and name, by keyboard, and comes back when what it rests on changes', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  const sheet = `${app.url}/p/${project}/exchanges/startup`;
  await page.goto(sheet);
  await expectTally(page, 0, 0);
  const type = async (text: string) => {
    await cell(page, 'lane:read-back', 13).click();
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  };
  await type('UINT x12');
  await expectTally(page, 0, 1);
  await page.getByRole('link', { name: /^Findings:/ }).press('Enter');
  await page.getByLabel('Reason').press('Enter');
  await expect(page.getByText('An acceptance needs a reason; nothing was stored.')).toBeVisible();
  await page.getByLabel('Reason').fill('never negative');
  await page.keyboard.press('Tab');
  await page.keyboard.type('R. Vale');
  await page.keyboard.press('Enter');
  await expectTally(page, 0, 0);
  await page.getByRole('button', { name: '1 accepted' }).press('Enter');
  await expect(page.getByText(/Accepted by R. Vale on .*: never negative/)).toBeVisible();
  await expectStored(page);
  expect(await app.file(project)).toContain('"reason": "never negative"');

  await page.goto(sheet);
  await type('WORD x12');
  await expectTally(page, 0, 1);
  await page.getByRole('link', { name: /^Findings:/ }).press('Enter');
  await expect(page.getByText('What it rested on has changed since')).toBeVisible();
  await page.goto(sheet);
  await type('UINT x12');
  await expectTally(page, 0, 0);
});

test('a page that one sets out for right after an edit opens, however slowly it comes', async ({ page, app }) => {
  let comes = () => {};
  const held = new Promise<void>((resolve) => (comes = resolve));
  await page.route(/findings-page.*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.clock.install();
  await page.goto(`${app.url}/p/${await app.agreed()}/exchanges/startup`);
  await page.clock.resume();
  await expectTally(page, 0, 0);
  await cell(page, 'lane:read-back', 13).click();
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  await page.keyboard.type('UINT x12');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: /^Findings:/ }).press('Enter');
  // The address bar names the cell a moment after an edit: that moment passes while the page is on its way.
  await page.clock.runFor(1000);
  comes();
  await page.clock.resume();
  await expect(page.getByRole('heading', { name: 'Findings', level: 1 })).toBeVisible();
  await expect(page.getByLabel('Reason')).toBeVisible();
});

test('the theme is chosen in the frame and kept', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/exchanges`);
  await page.getByRole('button', { name: 'Use the dark theme' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.getByRole('button', { name: 'Use the light theme' })).toBeVisible();
});

test('a station goes with all that depends on it, once that is shown, and one undo brings it back', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/stations`);
  await expectTally(page, 3, 0);
  const start = await app.file(project);
  await page.getByRole('gridcell', { name: 'SkidCtl', exact: true }).click();
  await page.keyboard.press('Control+Delete');
  await expect(page.getByRole('alertdialog', { name: 'Delete SkidCtl' })).toContainText('Compressor duty');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: 'SkidCtl' })).toHaveCount(0);
  await expectStored(page);
  expect(await app.file(project)).not.toContain('duty-skid');
  await page.keyboard.press('Control+Z');
  await expectTally(page, 3, 0);
  await expectStored(page);
  expect(await app.file(project)).toBe(start);
});

test('what a page is made of comes as it was compressed when it was built', async ({ page, app }) => {
  const answer = page.waitForResponse((response) => /\/assets\/index-[^/]+\.js$/.test(response.url()));
  await page.goto(app.url);
  const headers = await (await answer).allHeaders();
  expect(headers).toMatchObject({ 'content-encoding': 'gzip', 'cache-control': 'public, max-age=31536000, immutable' });
  // Not worked out while it is sent: then nobody knew how long it is.
  expect(Number(headers['content-length'])).toBeGreaterThan(1000);
});
