import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, expectDemo, test } from './app';

const folder = join(import.meta.dirname, '../docs/screenshots');

/** One current picture of each main view, on the demo data. */
test('pictures', async ({ page, app }) => {
  const project = await app.demo();
  const shot = async (name: string, path: string, theme: 'light' | 'dark' = 'light') => {
    await page.emulateMedia({ colorScheme: theme });
    await page.goto(app.url + path);
    if (path !== '/') await expectDemo(page);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${name}.png`) });
  };
  await shot('two-ended-sheet', `/p/${project}/exchanges/duty?at=claim:pressures-skid:items:pressures-c:type`);
  await shot('two-ended-sheet-dark', `/p/${project}/exchanges/duty`, 'dark');
  await shot('map-bytes', `/p/${project}/exchanges/duty?zoom=setpoints:setpoints-a`);
  await shot('overview', `/p/${project}/overview`);
  await shot('sheet-to-print', `/p/${project}/exchanges/duty/print`);
  await shot('findings', `/p/${project}/findings`);
  await shot('exchanges', `/p/${project}/exchanges`);
  await shot('stations', `/p/${project}/stations`);
  await shot('station', `/p/${project}/stations/skidctl`);
  await shot('wiring', `/p/${project}/wiring?at=port:port-skidctl:address`);
  await shot('slots', `/p/${project}/stations/evaphead`);
  await shot('owner-map', `/p/${project}/owner-map`);
  await shot('coupler', `/p/${project}/exchanges/docks`);
  await shot('running', `/p/${project}/exchanges/duty/running`);
  await shot('profiles', `/p/${project}/profiles`);
  await page.goto(`${app.url}/p/${project}/hardware-list`);
  await page.getByLabel('Rows of the list').fill(readFileSync(join(folder, '../../demo/hardware-list.csv'), 'utf8'));
  await expect(page.getByRole('button', { name: 'Take it in' })).toBeEnabled();
  await page.screenshot({ path: join(folder, 'hardware-list.png') });
  await app.change(project, {
    id: 'moved',
    label: 'Move the pressures',
    changes: [{ kind: 'claim', id: 'pressures-plant', path: ['place', 'number'], before: 324, after: 330 }],
  });
  await shot('history', `/p/${project}/history`);
  await shot('compare', `/p/${project}/history/0/newest`);
  await page.goto(app.url);
  await expect(page.getByText('checking')).toHaveCount(0);
  await shot('projects', '/');
});
