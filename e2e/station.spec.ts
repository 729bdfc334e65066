import { cell, expect, expectTally, test } from './app';

test('a station shows who uses which part of its memory, and two writers as such; it follows edits', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/stations/plantctl`);
  await expectTally(page, 0, 0);
  const memory = page.getByRole('list', { name: 'Who uses Memory' });
  await expect(memory).toContainText('%MW324–%MW329, Compressor duty, Pressures: puts data in');
  await expect(memory).toContainText('%MW300–%MW301, Compressor duty, Permissives: takes data out');
  await expect(page.getByText('next free %MW396')).toBeVisible();
  await expect(memory).not.toContainText('two writers');

  await app.change(project, {
    id: 'moved',
    label: 'Move',
    changes: [{ kind: 'claim', id: 'read-back-plant', path: ['place', 'number'], before: 384, after: 328 }],
  });
  await expect(memory).toContainText('two writers: %MW324–%MW329, Compressor duty, Pressures');
  await expect(page.getByText('next free %MW380')).toBeVisible();
});

test('reserved ranges are drawn, too', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/stations/skidctl`);
  await expectTally(page, 3, 0);
  await expect(page.getByRole('list', { name: 'Who uses Registers' })).toContainText(
    'w1210–w1237, reserved for its Ethernet module',
  );
});

test('a network is made, its kind chosen; a protocol that does not run on it is a Blocker of each exchange', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.agreed()}/wiring`);
  await expectTally(page, 0, 0);
  const networks = page.getByRole('grid', { name: 'Networks' });
  await networks.locator('[data-id="plant-lan"] [data-column="1"]').click();
  await page.keyboard.type('serial');
  await page.keyboard.press('Enter');
  await expect(networks.locator('[data-id="plant-lan"] [data-column="1"]')).toHaveText('serial line');
  await expectTally(page, 2, 0);
  await page.keyboard.press('Control+Z');
  await expectTally(page, 0, 0);
  await networks.locator('[data-id="new"] [data-column="0"]').click();
  await page.keyboard.type('Quay LAN');
  await page.keyboard.press('Enter');
  await expect(networks).toContainText('Quay LAN');
});

test('another notation is chosen for an area of one’s own, and addresses follow it', async ({ page, app }) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expectTally(page, 0, 0);
  const views = page.getByRole('grid', { name: 'Views' });
  await views.locator('[data-id="new"] [data-column="0"]').click();
  await page.keyboard.type('Registers');
  await page.keyboard.press('Enter');
  const own = views.locator('[role=row]').filter({ hasText: 'this area' });
  await own.locator('[data-column="2"]').click();
  await page.keyboard.type('table');
  await page.keyboard.press('Enter');
  await expect(own).toContainText('table and number');
  await expect(own).toContainText('4:101');
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 0, 0);
  await cell(page, 'second:status', 4).click();
  await page.keyboard.type('4:1261');
  await page.keyboard.press('Enter');
  await expectTally(page, 0, 0);
});

test('the address bar names the cell of any grid, and leads to it in another browser', async ({
  page,
  app,
  browser,
}) => {
  const project = await app.duty();
  for (const [path, grid, text, link] of [
    ['stations', 'Stations', 'DockPanel', /at=station%3A[^%]+%3Aname/],
    ['wiring', 'Networks', '10.48.10.0/24', /at=network%3A[^%]+%3Asubnet/],
    ['stations/skidctl', 'Ports', '10.48.10.12', /at=port%3A[^%]+%3Aaddress/],
    ['stations/skidctl', 'Views', 'reference 6', /at=area%3A[^%]+%3Aviews%3A[^%]+%3Anotation/],
    ['stations/skidctl', 'Reserved ranges', 'w1210', /at=area%3A[^%]+%3Areservations%3A[^%]+%3Astart/],
    ['exchanges', 'Exchanges', 'Skid start-up', /at=exchange%3A[^%]+%3Aname/],
  ] as const) {
    await page.goto(`${app.url}/p/${project}/${path}`);
    await expectTally(page, 3, 0);
    await page.getByRole('grid', { name: grid }).getByRole('gridcell', { name: text, exact: true }).click();
    await expect(page).toHaveURL(link);
    const other = await (await browser.newContext()).newPage();
    await other.goto(page.url());
    const there = other.getByRole('grid', { name: grid });
    await expect(there.getByRole('gridcell', { name: text, exact: true })).toHaveAttribute('aria-selected', 'true');
    await expect(there).toBeFocused();
    await other.context().close();
  }
});
