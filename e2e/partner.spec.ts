import { expect, expectStored, expectTally, test } from './app';

test('a partner of another project: which revision was taken stands on the sheet and on paper', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expectTally(page, 0, 0);
  const taken = page.getByRole('textbox', { name: 'Taken from' });
  await taken.fill('North works, Gate');
  await page.keyboard.press('Enter');
  await expect(page.getByText('names no station of another project')).toBeVisible();
  await taken.fill('North works, GateCtl, 12');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Responsibility' })).toHaveValue('in another project');
  await expectStored(page);
  const words = 'of North works: GateCtl, revision 12';
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expect(page.getByRole('region', { name: 'SkidCtl, right page' })).toContainText(words);
  await page.goto(`${app.url}/p/${project}/exchanges/duty/print`);
  await expect(page.getByRole('table')).toContainText(words);
});

test('a partner of another project of this server: that it has a newer revision is found without anybody typing it', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  const name = 'North works taken from here';
  const other = await app.create(name);
  const note = (before: string | undefined, after: string) =>
    app.change(other, {
      ...{ id: `note-${after}`, label: 'note', author: 'Another' },
      changes: [{ kind: 'project', id: 'project', path: ['comment'], before, after }],
    });
  await note(undefined, 'first');
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expectTally(page, 0, 0);
  const taken = page.getByRole('textbox', { name: 'Taken from' });
  await taken.fill(`${name}, GateCtl, 1`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Responsibility' })).toHaveValue('in another project');
  await expectTally(page, 0, 0);
  await note('first', 'second');
  // Coming back to the window is when it looks.
  await page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expectTally(page, 0, 1);
  await page.keyboard.press('Alt+PageDown');
  await expect(page.getByRole('contentinfo')).toContainText('which is at 2');
  await page.keyboard.press('Alt+Enter');
  await expectTally(page, 0, 0);
});

test('a range that may not start where it was put: found, and moved to the nearest place by a key', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expectTally(page, 0, 0);
  const grid = page.getByRole('grid', { name: 'Reserved ranges' });
  const mayStart = grid.getByRole('row').nth(1).getByRole('gridcell').nth(6);
  await mayStart.click();
  await page.keyboard.type('w1208 every 4 words');
  await page.keyboard.press('Enter');
  await expectTally(page, 1, 0);
  await page.keyboard.press('Alt+PageDown');
  await expect(page.getByRole('contentinfo')).toContainText('may not start at w1210');
  // First what was typed last; then what the limit asks for.
  await page.keyboard.press('Alt+Enter');
  await expectTally(page, 0, 0);
  await expect(grid.getByRole('row').nth(1).getByRole('gridcell').nth(1)).toHaveText('w1210');
  await page.keyboard.press('Control+Z');
  await expectTally(page, 1, 0);
  await page.getByRole('link', { name: /^Findings:/ }).click();
  await page.getByRole('button', { name: /^Fix POS 3: .*start at/ }).press('Enter');
  await expectTally(page, 0, 0);
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expect(grid.getByRole('row').nth(1).getByRole('gridcell').nth(1)).toHaveText(/^w12(08|12)$/);
});

test('a text longer than the type of a station takes: named with its limit and where that is said', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/profiles`);
  await expectTally(page, 0, 0);
  const more = page.getByRole('gridcell', { name: 'more that it states' }).first();
  await more.click();
  await page.keyboard.type('characters 20');
  await page.keyboard.press('Enter');
  await expectTally(page, 1, 0);
  await page.keyboard.press('Alt+PageDown');
  await expect(page.getByRole('contentinfo')).toContainText('takes 20 characters');
  await expect(page).toHaveURL(/exchanges\/duty/);
  await page.goBack();
  await page.keyboard.press('Control+Z');
  await expectTally(page, 0, 0);
});

test('a value that is older than it may be: asked for less, found, and mended by a quicker interval', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 0, 0);
  await page.locator('[role=row][data-id="lane:status"] [data-column="1"]').click();
  await page.keyboard.press('Control+J');
  await page.getByRole('textbox', { name: 'Most age allowed' }).fill('90 ms');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expectTally(page, 1, 0);
  await expect(page.locator('main')).toContainText('ms old');
  await page.goto(`${app.url}/p/${project}/exchanges/duty/running`);
  await page.getByRole('textbox', { name: 'Interval' }).fill('20 ms');
  await page.keyboard.press('Enter');
  await expectTally(page, 0, 0);
  await expectStored(page);
});
