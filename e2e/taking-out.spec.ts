import type { Page } from '@playwright/test';
import { expect, expectDemo, expectStored, test } from './app';

const dialog = (page: Page) => page.getByRole('dialog').or(page.getByRole('alertdialog'));

/** Every table whose rows can be taken out: the page, the table, and the words of what else is reached, where it is. */
const TABLES: readonly (readonly [path: string, table: string, row: string, reached: RegExp | null])[] = [
  ['stations', 'Stations', 'skidctl', /Compressor duty.* 1 end.* go, too/],
  ['stations/plantctl', 'Ports', 'port-plantctl', /Compressor duty.*fields? (is|are) emptied/],
  ['stations/plantctl', 'Zones of Rack', 'plant-rack zones cpu', null],
  ['stations/plantctl', 'Areas', 'plantctl-input', /fields? (is|are) emptied/],
  ['stations/plantctl', 'Slots of Rack', 'plant-2', null],
  ['stations/plantctl', 'Module assignments', 'landing-plantctl-plant-2', null],
  ['stations/evaphead', 'Views', 'evap-io-1 views bytes', /Evaporator I\/O.*places? stays? as .* typed/],
  ['stations/meterhub', 'Copies', 'copy-status', null],
  ['profiles', 'Profiles', 'profile-plant', /PlantCtl.*1 field is emptied/],
  ['profiles', 'Parts of what types take', 'profile-small blocks communication members listen', null],
  ['wiring', 'Networks', 'roof-radio', /RoofBase.*1 field is emptied/],
  ['routes', 'Routes', 'route-defrost', null],
  ['routes', 'Required and forbidden access', 'reach-brine', null],
  ['exchanges', 'Exchanges', 'duty', null],
  ['exchanges/duty', 'Compressor duty, both ends', 'lane:permissives', null],
  ['exchanges/duty/running', 'Start sequence', 'duty start listen', null],
  ['tags/aislesim', 'Series of tags', 'series-see', null],
  ['tags/aislesim', 'Tags of AisleSim', 'tag-trial-see1', /Aisle trial/],
  ['tags/controlroom', 'Groups of item texts', 'controlroom groups plant', null],
];

for (const [path, table, id, reached] of TABLES) {
  test(`a row of ${table} under ${path} is taken out by key and brought back by one undo`, async ({ page, app }) => {
    const project = await app.demo();
    const begun = await app.file(project);
    await page.goto(`${app.url}/p/${project}/${path}`);
    await expectDemo(page);
    const grid = page.getByRole('grid', { name: new RegExp(`^${table}`) });
    const row = grid.locator(`[role=row][data-id="${id}"]`);
    await expect(row).toBeVisible();
    await row.locator('[role=gridcell]').last().click();
    await grid.focus();
    await page.keyboard.press('Control+Delete');
    if (reached) {
      await expect(dialog(page)).toContainText(reached);
      await expect(dialog(page).getByRole('button', { name: 'Delete' })).toBeFocused();
      await page.keyboard.press('Escape');
      await expect(dialog(page)).toBeHidden();
      await expect(row).toBeVisible();
      expect(await app.file(project)).toBe(begun);
      await expect(grid).toBeFocused();
      await page.keyboard.press('Control+Delete');
      await expect(dialog(page).getByRole('button', { name: 'Delete' })).toBeFocused();
      await page.keyboard.press('Enter');
    }
    await expect(dialog(page)).toBeHidden();
    await expect(row).toHaveCount(0);
    await expectStored(page);
    expect(await app.file(project)).not.toBe(begun);
    await page.keyboard.press('Control+Z');
    await expect(row).toBeVisible();
    await expectStored(page);
    expect(await app.file(project)).toBe(begun);
  });
}
