import { expect, expectDemo, expectStored, expectTally, test } from './app';
import { pick, picker } from './picking';

const undo = { name: /^Undo/ };

test('the head of a page: port, who calls, and the swap of everything are chosen, stored and undone', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const start = await app.file(project);
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await pick(page, 'Port of SkidCtl', 'no port chosen');
  await expect(page.getByLabel('SkidCtl, right page')).toContainText('no network');
  await pick(page, 'Port of SkidCtl', '10.48.10.12');
  await expectTally(page, 3, 0);
  await pick(page, 'Whether SkidCtl calls or listens', 'calls');
  await expect(page.getByLabel('SkidCtl, right page')).toContainText('entered for');
  await pick(page, 'Swap of everything at SkidCtl', 'registers swapped');
  await expectStored(page);
  const file = await app.file(project);
  expect(file).toMatch(/"id": "duty-skid"[^}]*"calling": "calls"/);
  expect(file).toMatch(/"id": "duty-skid"[^}]*"swap": "words"/);
  for (let i = 0; i < 4; i++) await page.getByRole('button', undo).press('Enter');
  await expectTally(page, 3, 0);
  await expect(page.getByRole('button', undo)).toBeDisabled();
  await expectStored(page);
  expect(await app.file(project)).toBe(start);
});

test('the settings of an exchange: a protocol of one’s own is described field by field', async ({ page, app }) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 0, 0);
  await page.getByRole('button', { name: 'Settings' }).press('Enter');
  await pick(page, 'protocol', 'Other');
  for (const [label, text] of [
    ['called', 'Own way'],
    ['default port', '2000'],
    ['runs on', 'ethernet, radio'],
    ['bytes at most', '200'],
    ['interval', '250'],
    ['timeout', '900'],
    ['not sent again', 'start commands'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.keyboard.press('Enter');
  }
  for (const [label, word] of [
    ['carries', 'bytes'],
    ['places', 'free'],
    ['unit entered', 'yes'],
    ['the sinks', 'hold the last value'],
    ['the source', 'is told by a status'],
    ['outputs on reconnection', 'wait for a release'],
  ] as const) {
    await pick(page, label, word);
  }
  await expect(page.getByText('Own way')).toBeVisible();
  await expectStored(page);
  const read = JSON.parse(await app.file(project)) as { exchanges: { id: string }[] };
  expect(read.exchanges.find((e) => e.id === 'duty')).toMatchObject({
    protocol: 'other',
    cadence: 250,
    timeout: 900,
    facts: {
      name: 'Own way',
      tcpPort: 2000,
      media: ['ethernet', 'radio'],
      limit: 200,
      carries: 'bytes',
      places: 'free',
      unitTold: true,
    },
    onLoss: {
      sinks: 'hold the last value',
      source: 'is told by a status',
      back: 'wait for a release',
      notRepeated: 'start commands',
    },
  });
});

test('a coupler is chosen, and each of its sides may speak a protocol of its own', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/exchanges/docks`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await expect(picker(page, 'Coupler')).toHaveText('QuayLink');
  await pick(page, 'Coupler', 'no coupler chosen');
  await expect(page.getByRole('heading', { level: 1 }).locator('..')).not.toContainText('through QuayLink');
  await pick(page, 'Coupler', 'QuayLink');
  await expectDemo(page);
  await pick(page, 'Protocol on the side of DockCtl', 'Other');
  await expect(picker(page, 'Protocol on the side of DockCtl')).toHaveText('Other');
  await expectStored(page);
});

test('another end comes and goes; with several, each page chooses whose it is', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/exchanges/readings`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await pick(page, 'Another end', 'DockPanel');
  await pick(page, 'Station of the right page', 'DockPanel');
  await expect(page.getByLabel('DockPanel, right page')).toBeVisible();
  await expect(page).toHaveURL(/right=/);
  await page.getByRole('button', { name: 'Remove DockPanel' }).click();
  await expect(page.getByLabel('DockPanel, right page')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Remove DockPanel' })).toHaveCount(0);
  await pick(page, 'Station of the left page', 'ControlRoom');
  await expect(page.getByLabel('ControlRoom, left page')).toBeVisible();
});

test('what stands above a sheet works by mouse, too: map, values, pages, how it runs and the poll plan', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  const sheet = `${app.url}/p/${project}/exchanges/duty`;
  await page.goto(sheet);
  await expectDemo(page);
  await page.getByRole('button', { name: 'Fold map' }).click();
  await expect(page.getByRole('button', { name: 'Fold map' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show map' }).click();
  await expect(page.getByRole('button', { name: 'Fold map' })).toBeVisible();
  await page.getByRole('button', { name: 'Open values' }).click();
  await expect(page.locator('[role=row][data-id^="item:"]').first()).toBeVisible();
  await page.getByRole('button', { name: 'Close values' }).click();
  await expect(page.locator('[role=row][data-id^="item:"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Swap', exact: true }).click();
  await expect(page.getByLabel('SkidCtl, left page')).toBeVisible();
  await page.getByRole('button', { name: 'How it runs' }).click();
  await expect(page).toHaveURL(/\/running/);
  await page.goto(sheet);
  await page.getByRole('button', { name: 'Poll plan' }).click();
  await expect(page).toHaveURL(/\/plan/);
  await page.goto(`${app.url}/p/${project}/exchanges/trial`);
  await page.getByRole('button', { name: 'Points' }).click();
  await expect(page.getByRole('grid', { name: /^Points of/ })).toBeVisible();
});

test('Find is used with the mouse: what is typed is listed, and what is clicked is gone to', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/stations`);
  await expectDemo(page);
  await page.getByRole('combobox', { name: /Find/ }).click();
  await page.keyboard.type('Alarm text');
  await page
    .getByRole('option', { name: /Alarm text/ })
    .first()
    .click();
  await expect(page).toHaveURL(/exchanges\/duty/);
});
