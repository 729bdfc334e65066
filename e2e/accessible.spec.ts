import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, expectDemo, expectTally, test } from './app';

/** Every rule in the light theme; in the dark one, where only the colours are others, those of colours. */
async function expectNoViolations(page: Page, view: string): Promise<void> {
  const found = [];
  for (const theme of ['light', 'dark'] as const) {
    await page.evaluate((chosen) => (document.documentElement.dataset.theme = chosen), theme);
    const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
    if (theme === 'dark') axe.withRules(['color-contrast', 'link-in-text-block']);
    found.push(
      ...(await axe.analyze()).violations.map((v) => [view, theme, v.id, v.nodes.map((n) => n.html.slice(0, 160))]),
    );
  }
  expect(found).toEqual([]);
}

test('no violations on any view', async ({ page, app }) => {
  test.slow();
  const demo = await app.duty();
  await app.change(demo, {
    id: 'renamed',
    label: 'Rename a lane',
    changes: [{ kind: 'claim', id: 'status-plant', path: ['name'], before: 'Skid status', after: 'Status' }],
  });
  const empty = await app.create('Empty');
  const views = [
    '/',
    `/p/${demo}/overview`,
    `/p/${demo}/exchanges`,
    `/p/${demo}/exchanges/duty?at=claim:pressures-plant:items:pressures-a:name`,
    `/p/${demo}/exchanges/duty?zoom=setpoints`,
    `/p/${demo}/exchanges/duty?zoom=setpoints:setpoints-a&left=duty-skid`,
    `/p/${demo}/exchanges/duty/print`,
    `/p/${demo}/stations`,
    `/p/${demo}/wiring`,
    `/p/${demo}/profiles`,
    `/p/${demo}/hardware-list`,
    `/p/${demo}/stations/skidctl`,
    `/p/${demo}/findings`,
    `/p/${demo}/history`,
    `/p/${demo}@1/exchanges`,
    `/p/${demo}/history/0/newest`,
    `/p/${empty}/begin`,
    `/p/${empty}/overview`,
    `/p/${empty}/exchanges`,
    `/p/${empty}/stations`,
    `/p/${demo}/stations/nobody`,
    '/nowhere',
  ];
  for (const view of views) {
    await page.goto(app.url + view);
    await expect(page.locator('main')).toBeVisible();
    if (view.startsWith('/p/')) await expectTally(page, view.includes(demo) ? 3 : 0, 0);
    await expectNoViolations(page, view);
  }
});

/** Views that only the demo fills, in parts: each is a test of its own length. */
const OF_THE_DEMO = {
  'stations, wiring and routes': [
    'stations/servicelaptop',
    'stations/evaphead',
    'stations/evaphead/card',
    'owner-map',
    'profiles',
    'wiring',
    'wiring?at=port:port-skidctl',
    'routes',
    'routes/route-plant',
    'routes/route-defrost',
    'routes/route-dock',
    'routes/ask?to=defrostctl',
  ],
  'the work on site': [
    'site',
    'site/list',
    'site/work',
    'site/work?step=load%20plantctl',
    'site/work/print',
    'site/points',
    'site/temporary',
    'symptoms',
    'symptoms/factor?at=skidctl',
  ],
  'exchanges, structures and tags': [
    'findings',
    'exchanges/service',
    'exchanges/duty/running',
    'exchanges/evaporators/running',
    'exchanges/trial/points',
    'exchanges/meters/plan',
    'structures',
    'tags',
    'tags/controlroom',
    'tags/aislesim?show=use',
    'tags/dockpanel/bring-in',
    'tags/aislesim/with/trial',
    'tags/plantctl/images',
  ],
};

for (const [part, paths] of Object.entries(OF_THE_DEMO)) {
  test(`no violations on what only the demo has, ${part}`, async ({ page, app }) => {
    test.slow();
    const demo = await app.demo();
    for (const path of paths) {
      await page.goto(`${app.url}/p/${demo}/${path}`);
      await expect(page.locator('main')).toBeVisible();
      await expectDemo(page);
      await expectNoViolations(page, path);
    }
  });
}

test('no violations where found devices stand beside the plan; a narrow window has all of the order of work', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/site/list`);
  await page
    .getByLabel('Rows of the list')
    .fill('IP;Name\n10.48.10.45;quay-link\n10.48.10.40;evap-head\n10.48.10.77;x');
  await expectNoViolations(page, 'site/list');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('2 to decide')).toBeVisible();
  await expectNoViolations(page, 'site');
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${app.url}/p/${project}/site/work`);
  await expect(page.getByRole('button', { name: /Skip/ })).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('link', { name: 'Print' })).toBeInViewport({ ratio: 1 });
});

test('the page of the point tests can be read in bright sun: 7:1, in both themes, in a narrow window', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto(`${app.url}/p/${project}/site/points`);
  const contrast = async () => {
    for (const theme of ['light', 'dark']) {
      await page.evaluate((chosen) => (document.documentElement.dataset.theme = chosen), theme);
      const axe = new AxeBuilder({ page }).setLegacyMode(true).include('main').withRules(['color-contrast-enhanced']);
      const { violations } = await axe.analyze();
      expect(violations.flatMap((v) => v.nodes.map((n) => [theme, n.html.slice(0, 160), n.failureSummary]))).toEqual(
        [],
      );
    }
  };
  await expect(page.getByRole('region', { name: 'The point at hand' })).toBeVisible();
  await contrast();
  await page.getByRole('textbox', { name: 'Your edits are signed' }).fill('R. Imhof');
  await page.getByRole('grid', { name: 'Points' }).focus();
  await page.keyboard.press('r');
  await page.keyboard.press('7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What may be behind it' })).toBeVisible();
  await page.keyboard.press('n');
  await contrast();
  // Nothing of it lies beside the window.
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(768);
  const main = page.locator('main');
  expect(await main.evaluate((box) => box.scrollWidth <= box.clientWidth)).toBe(true);
});

test('no violations in the rehearsal: walked, running, traced, and in the value lab beside it', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await page.getByRole('button', { name: 'Let it run' }).click();
  await expect(page.getByRole('grid', { name: 'Who stands where' })).toBeVisible();
  await page.getByRole('button', { name: 'Walk all bits' }).click();
  await expect(page.getByRole('heading', { name: 'Everything came through' })).toBeVisible();
  await expectNoViolations(page, 'rehearsal');
  await page.goto(`${app.url}/p/${project}/rehearsal/duty`);
  await expect(page.getByRole('heading', { name: 'Compressor duty' })).toBeVisible();
  await page.keyboard.press('Alt+w');
  await expect(page.getByRole('grid', { name: /^Walk of/ }).first()).toBeVisible();
  await page.keyboard.press('Control+Shift+V');
  await page.getByLabel('Seen').fill('0 16256');
  await expect(page.getByRole('table')).toBeVisible();
  await expectNoViolations(page, 'rehearsal/duty');
  await page.goto(`${app.url}/p/${project}/rehearsal/duty/trace`);
  await page.getByRole('button', { name: 'Trace' }).click();
  await expect(page.getByRole('img', { name: /^Trace over/ })).toBeVisible();
  await expectNoViolations(page, 'rehearsal/duty/trace');
});

test('no violations in the dialogs and beside the work', async ({ page, app }) => {
  const demo = await app.duty();
  const check = () => expectNoViolations(page, page.url());
  await page.goto(`${app.url}/p/${demo}/exchanges`);
  await page.getByRole('button', { name: 'New exchange' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await check();
  await page.goto(`${app.url}/p/${demo}/exchanges/duty?at=claim:pressures-plant:length`);
  await expectTally(page, 3, 0);
  const inLane = async (keys: string) => {
    await page.locator('[role=row][data-id="lane:pressures"] [data-column="1"]').click();
    await expect(page.getByRole('grid').first()).toBeFocused();
    await page.keyboard.press(keys);
  };
  for (const open of [
    () => page.getByRole('button', { name: 'Mirror' }).click(),
    () => page.getByRole('button', { name: 'Shift' }).click(),
    () => page.keyboard.press('F1'),
    () => page.keyboard.press('Control+I'),
    () => inLane('Control+J'),
    () => inLane('Control+G'),
  ]) {
    await open();
    await expect(page.getByRole('dialog')).toBeVisible();
    await check();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  await page.goto(`${app.url}/p/${demo}/stations`);
  await expectTally(page, 3, 0);
  await page.getByRole('grid').focus();
  await page.keyboard.press('Control+Delete');
  await expect(page.getByRole('alertdialog')).toContainText('Other items depend on it');
  await check();
  await page.keyboard.press('Escape');
  await page.goto(`${app.url}/p/${demo}/stations/skidctl`);
  await page.locator('[data-id="skidctl-registers"] [data-column="3"]').click();
  await page.keyboard.type('many');
  await page.keyboard.press('Enter');
  await expect(page.locator('[aria-invalid=true]')).toBeVisible();
  await check();
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 1680, height: 900 });
  await page.getByRole('button', { name: 'Pin the list' }).click();
  await expect(page.getByRole('complementary')).toBeVisible();
  await check();
});
