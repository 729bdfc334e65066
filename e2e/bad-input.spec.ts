import { cell, expect, expectDemo, expectTally, test } from './app';

test('links to what is not there say so and lead on', async ({ page, app }) => {
  const project = await app.duty();
  for (const [path, sentence] of [
    [`/p/${project}/exchanges/nothing`, 'There is no such exchange.'],
    [`/p/${project}/stations/nobody`, 'There is no such station.'],
    [`/p/${project}/nowhere`, 'There is nothing at this address.'],
    ['/p/nobody/exchanges', 'There is no project nobody.'],
    ['/elsewhere', 'There is nothing at this address.'],
  ] as const) {
    await page.goto(app.url + path);
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(page.getByRole('main').getByRole('link').first()).toBeVisible();
  }
});

test('a link to a cell that is not there opens the view and says what is missing', async ({ page, app }) => {
  const project = await app.duty();
  for (const [path, sentence] of [
    ['exchanges/duty?at=claim:gone:place', 'The link leads to a cell of a lane that is not in this project'],
    [
      'exchanges/duty?at=claim:pressures-plant:items:gone:name',
      'The link leads to a value that is not in this project',
    ],
    ['stations?at=station:gone:name', 'The link leads to a station that is not in this project'],
    ['stations/skidctl?at=area:skidctl-registers:reservations:gone:from', 'The link leads to a reserved range'],
    ['exchanges?at=nonsense:x', 'The link leads to a “nonsense”'],
  ] as const) {
    await page.goto(`${app.url}/p/${project}/${path}`);
    await expect(page.getByText(sentence)).toBeVisible();
    await expectTally(page, 3, 0);
    await expect(page.getByRole('grid').first()).toBeVisible();
  }
  await page.goto(`${app.url}/p/${project}/exchanges/duty?at=claim:pressures-plant:place`);
  await expectTally(page, 3, 0);
  await expect(page.getByText('The link leads to')).toHaveCount(0);
});

test('a project file that cannot be taken is told line by line; nothing is made', async ({ page, app }) => {
  await page.goto(app.url);
  await expect(page.getByRole('button', { name: 'Import project file' })).toBeVisible();
  const choose = (text: string) =>
    page
      .locator('input[type=file]')
      .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await choose('{ "format": "dialoga-project", "version": 3 }');
  await expect(page.getByRole('alert')).toContainText('version: found 3; this Dialoga reads versions up to 1');
  await expect(page.getByRole('button', { name: 'Close' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toBeHidden();
  await choose('{ "format": ');
  await expect(page.getByRole('alert')).toContainText('line 1, column 13');
});

test('long names, emoji, right-to-left text and =1+1 stay text and leave the sheet in order', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  const names = ['=1+1', '❄️ cold', 'ضغط الشفط', 'x'.repeat(300)];
  for (const name of names) {
    await cell(page, 'lane:status', 1).click();
    await page.keyboard.insertText(name);
    await page.keyboard.press('F2');
    await page.getByLabel('Tag').fill(name);
    await page.keyboard.press('Enter');
    await expect(cell(page, 'lane:status', 1)).toHaveText(name);
  }
  const width = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(width).toBe(1280);
});

test('a name that is too long stays in its cell with the reason; what only the server knows is shown once more before it goes', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectDemo(page);
  await cell(page, 'lane:status', 1).click();
  await page.keyboard.press('F2');
  await page.getByLabel('Tag').fill('y'.repeat(501));
  await page.keyboard.press('Enter');
  const said = page.getByRole('status').filter({ hasText: 'has 501 characters; “name” of a claim takes at most 500' });
  await expect(said).toHaveCount(1);
  await expect(page.getByLabel('Tag')).toHaveValue('y'.repeat(501));
  await page.keyboard.press('Escape');
  await expect(cell(page, 'lane:status', 1)).toHaveText('Skid status');

  await page.goto(`${app.url}/p/${project}/stations/evaphead`);
  const codes = page.getByLabel('order codes it takes');
  const was = await codes.inputValue();
  await codes.fill(Array.from({ length: 501 }, (_, i) => `C${i}`).join());
  await codes.press('Enter');
  const dialog = page.getByRole('alertdialog', { name: 'Refused by the server' });
  await expect(dialog).toContainText('no more than 500');
  await expect(dialog).toContainText('C0, C1, C2');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expect(codes).toHaveValue(was);
});

test('a text that a field beside a grid refuses stays in it, too: Enter, leaving it, Escape', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/stations/evaphead`);
  await expectDemo(page);
  const slots = page.getByLabel(/, slots$/);
  const was = await slots.inputValue();
  await slots.fill('none');
  await slots.press('Enter');
  await expect(page.getByText('“none” is not a whole number; a number of slots')).toBeVisible();
  await expect(slots).toBeFocused();
  await expect(slots).toHaveAttribute('aria-invalid', 'true');
  await page.keyboard.press('Tab');
  await expect(slots).toHaveValue('none');
  await slots.press('Escape');
  await expect(slots).toHaveValue(was);
  await expect(slots).not.toHaveAttribute('aria-invalid');
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
  await slots.fill(String(Number(was) + 1));
  await slots.press('Enter');
  await expect(slots).not.toBeFocused();
  await expect(slots).toHaveValue(String(Number(was) + 1));
  await page.keyboard.press('Control+Z');
  await expect(slots).toHaveValue(was);
});

test('a text that a cell refuses stays in it with the reason, until it is put right or given up', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const before = await app.file(project);
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expectTally(page, 3, 0);
  const words = cell(page, 'skidctl-registers', 3);
  await words.click();
  const was = await words.textContent();
  await page.keyboard.type('many words');
  await page.keyboard.press('Enter');
  const editor = page.locator('[role=gridcell] input');
  await expect(editor).toHaveValue('many words');
  await expect(editor).toHaveAttribute('aria-invalid', 'true');
  // Said once, at the cell: not at the foot as well, whether or not it was judged while it was typed.
  const said = page.getByRole('status').filter({ hasText: '“many” is not a whole number' });
  await expect(said).toHaveCount(1);
  await page.keyboard.press('Tab');
  await expect(editor).toHaveValue('many words');
  await editor.fill('any words');
  await expect(page.getByRole('status').filter({ hasText: '“any” is not a whole number' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(editor).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByRole('status').filter({ hasText: '“any” is not a whole number' })).toHaveCount(1);
  await expect(said).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(words).toHaveText(was!);
  expect(await app.file(project)).toBe(before);
});
