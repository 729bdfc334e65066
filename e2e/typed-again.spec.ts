import type { Locator, Page } from '@playwright/test';
import { expect, expectDemo, test } from './app';

/**
 * Every cell that can be written, on every page of the demo: what stands there, typed again with a space behind it,
 * changes nothing; a text that makes no sense anywhere is shown as it was typed, or refused with a sentence and left in
 * its cell. One row of each sort is tried, and each column once in tables of one name.
 */
const PAGES = {
  stations: [
    'stations',
    'stations/plantctl',
    'stations/servicelaptop',
    'stations/skidctl',
    'stations/evaphead',
    'stations/controlroom',
  ],
  'wiring and profiles': ['wiring', 'profiles', 'owner-map'],
  'exchanges and structures': [
    'exchanges',
    'exchanges/duty',
    'exchanges/duty/running',
    'exchanges/evaporators',
    'exchanges/meters',
    'structures',
  ],
  'tags and routes': [
    'exchanges/trial/points',
    'tags/controlroom',
    'tags/aislesim?show=use',
    'tags/plantctl/images',
    'routes',
    'routes/route-plant',
  ],
};

const NONSENSE = '§7?';

const undo = (page: Page) => page.getByRole('button', { name: /^Undo/ });

/** One row of each sort, without those that make something new. */
async function rowsToTry(grid: Locator): Promise<(readonly [sort: string, id: string])[]> {
  const rows = await grid
    .locator('[role=row][data-id]')
    .evaluateAll((all) => all.map((row) => [(row as HTMLElement).dataset.id ?? '', row.className] as const));
  const sorts = new Map(rows.filter(([id]) => !id.startsWith('new')).map(([id, sort]) => [sort, id]));
  return [...sorts];
}

/** The columns of a row that can be written. */
const columnsOf = (grid: Locator, row: string) =>
  grid
    .locator(`[role=row][data-id="${row}"] [role=gridcell][aria-readonly="false"]`)
    .evaluateAll((all) => all.map((cell) => Number((cell as HTMLElement).dataset.column)));

/** What is wrong with one cell, in words. */
async function tryCell(page: Page, grid: Locator, row: string, column: number): Promise<string[]> {
  const at = grid.locator(`[role=row][data-id="${row}"] [role=gridcell][data-column="${column}"]`);
  const editor = at.locator('input');
  await at.click();
  await page.keyboard.press('F2');
  const wrong: string[] = [];
  const text = await editor.inputValue();
  await editor.fill(`${text} `);
  await page.keyboard.press('Enter');
  if ((await editor.count()) > 0) {
    wrong.push(`refuses its own text “${text}”`);
    await page.keyboard.press('Escape');
  } else if (await undo(page).isEnabled()) {
    wrong.push(`is changed by its own text “${text}”`);
    await page.keyboard.press('Control+Z');
  }
  await at.click();
  await page.keyboard.press('F2');
  await editor.fill(NONSENSE);
  await page.keyboard.press('Enter');
  if ((await editor.count()) > 0) {
    const said = await page.getByRole('status').allTextContents();
    if (!said.some((sentence) => sentence.length > 20)) wrong.push(`refuses “${NONSENSE}” without a reason`);
    await page.keyboard.press('Escape');
    return wrong;
  }
  const shown = await at.textContent();
  if (!shown?.includes(NONSENSE)) wrong.push(`shows “${shown}” where “${NONSENSE}” was typed`);
  await page.keyboard.press('Control+Z');
  return wrong;
}

for (const [part, paths] of Object.entries(PAGES)) {
  test(`a cell takes its own text back, and loses no other: ${part}`, async ({ page, app }) => {
    test.slow();
    const demo = await app.demo();
    const wrong: string[] = [];
    const tried = new Set<string>();
    for (const path of paths) {
      await page.goto(`${app.url}/p/${demo}/${path}`);
      await expectDemo(page);
      for (const grid of await page.getByRole('grid').all()) {
        const name = await grid.getAttribute('aria-label');
        const heads = await grid.getByRole('columnheader').allTextContents();
        for (const [sort, row] of await rowsToTry(grid)) {
          for (const column of await columnsOf(grid, row)) {
            const what = `${name}, ${sort}, ${heads[column]} ${column}`;
            if (tried.has(what)) continue;
            tried.add(what);
            const found = await tryCell(page, grid, row, column);
            wrong.push(...found.map((words) => `${path}, ${name}, ${row}, column ${column}: ${words}`));
          }
        }
      }
      await expect(undo(page)).toBeDisabled();
    }
    expect(wrong).toEqual([]);
    expect(tried.size).toBeGreaterThan(30);
  });
}
