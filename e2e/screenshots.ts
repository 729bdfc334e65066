import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, expectDemo, test } from './app';
import { pick } from './picking';

const folder = join(import.meta.dirname, '../docs/screenshots');

/** One current picture of each main view, on the demo data. */
test('pictures', async ({ page, app }) => {
  const project = await app.demo();
  const shot = async (name: string, path: string, theme: 'light' | 'dark' = 'light') => {
    await page.emulateMedia({ colorScheme: theme });
    await page.goto(app.url + path);
    if (path !== '/') await expectDemo(page);
    // What is worked out or fetched for the view alone is there, too.
    await expect(page.getByRole('status').getByText(/ …$/)).toHaveCount(0);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${name}.png`) });
  };
  await shot('two-ended-sheet', `/p/${project}/exchanges/duty?at=claim:pressures-skid:items:pressures-c:type`);
  await shot('two-ended-sheet-dark', `/p/${project}/exchanges/duty`, 'dark');
  await shot('overview', `/p/${project}/overview`);
  await shot('sheet-to-print', `/p/${project}/exchanges/duty/print`);
  await shot('findings', `/p/${project}/findings`);
  await shot('stations', `/p/${project}/stations`);
  await shot('station', `/p/${project}/stations/skidctl`);
  await shot('wiring', `/p/${project}/wiring?at=port:port-skidctl:address`);
  await shot('running', `/p/${project}/exchanges/duty/running`);
  await shot('routes', `/p/${project}/routes`);
  await shot('route', `/p/${project}/routes/route-plant`);
  await shot('tags', `/p/${project}/tags/dockpanel?show=meaning`);
  await shot('poll-plan', `/p/${project}/exchanges/room/plan`);
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await page.getByRole('button', { name: 'Walk all bits' }).click();
  await expect(page.getByRole('heading', { name: 'What came otherwise' })).toBeVisible();
  await expect(page.getByText('392 of 446 lanes rehearsed')).toBeVisible();
  await expect(page.getByText(/^checking/)).toBeHidden();
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(folder, 'rehearsal.png') });
  await page.goto(`${app.url}/p/${project}/tags/dockpanel/bring-in`);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a file …' }).click(),
  ]);
  await chooser.setFiles(join(folder, '../../demo/dock-panel-tags-next.csv'));
  await pick(page.getByRole('group', { name: 'Columns of the file' }), 'Type', 5);
  await expect(page.getByRole('heading', { name: /4 changed, 2 dropped/ })).toBeVisible();
  await page.screenshot({ path: join(folder, 'tags-brought-in.png') });
  await page.goto(`${app.url}/p/${project}/site/list`);
  await page.getByLabel('Rows of the list').fill(readFileSync(join(folder, '../../demo/site-scan.csv'), 'utf8'));
  await expect(page.getByRole('heading', { name: '12 new' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('5 to decide')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('not seen')).toBeVisible();
  await page.screenshot({ path: join(folder, 'survey.png') });
  await page.goto(`${app.url}/p/${project}/site/points`);
  await page.getByRole('textbox', { name: 'Your edits are signed' }).fill('R. Imhof');
  await page.getByRole('grid', { name: 'Points' }).focus();
  for (const key of 'rvvyy') await page.keyboard.press(key);
  await page.keyboard.type('2.278E-41');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What may be behind it' })).toBeVisible();
  await expect(page.getByText(/^checking/)).toBeHidden();
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(folder, 'point-tests.png') });
  await page.goto(`${app.url}/p/${project}/site/work?step=load%20plantctl`);
  await expect(page.getByRole('region', { name: 'Step 42' })).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(folder, 'order-of-work.png') });
  await page.goto(`${app.url}/p/${await app.create('North pier')}/begin`);
  const side = async (which: 'left' | 'right', name: string, address: string, rows: readonly string[]) => {
    await page.getByLabel(`Station of the ${which} list`).fill(name);
    await page.getByLabel(`Address of the ${which} station`).fill(address);
    await page.getByLabel(`Rows of the ${which} list`).fill(rows.join('\n'));
  };
  await side('left', 'CutterCtl', '10.8.2.12/24', ['Speed\tREAL\t%MW300', 'Load\tREAL\t%MW302', 'State\tWORD\t%MW304']);
  await side('right', 'BakeCtl', '10.8.2.13', ['40101\tspeed\tREAL', '40103\tload\tREAL', '40107\tfault\tWORD']);
  await expect(page.getByText('2 pair by name, 2 left over')).toBeVisible();
  await page.screenshot({ path: join(folder, 'begin.png') });
});
