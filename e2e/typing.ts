import { type Locator, expect, type Page } from '@playwright/test';
import { typeCells } from './app';
import { pick, picker } from './picking';

/** A new project, begun on the page of projects. */
export async function beginProject(page: Page, url: string, name: string): Promise<void> {
  await page.goto(url);
  await page.getByLabel('Name of the new project').fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'What do you have?' })).toBeVisible();
}

/** Types into the cells of a row under these headings: of the row that has this text, or of the new one. */
export async function typeRow(
  page: Page,
  grid: string | RegExp,
  row: string | null,
  values: Readonly<Record<string, string>>,
): Promise<void> {
  const table = page.getByRole('grid', { name: grid, exact: true });
  const heads = table.getByRole('columnheader');
  await expect(table.getByRole('row').last().getByRole('gridcell').first()).toBeVisible();
  let known = row;
  for (const [title, value] of Object.entries(values)) {
    const at = (await heads.allInnerTexts()).indexOf(title);
    expect(at, `a column ${title}`).toBeGreaterThanOrEqual(0);
    const named = table
      .getByRole('row')
      .filter({ has: page.getByRole('gridcell', { name: known ?? '', exact: true }) });
    const line = known === null ? table.getByRole('row').last() : named.first();
    await line.locator(`[role=gridcell][data-column="${at}"]`).click();
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
    known ??= value;
  }
}

export async function openStation(page: Page, name: string): Promise<void> {
  await page.getByRole('link', { name: 'Stations', exact: true }).press('Enter');
  await page.getByRole('gridcell', { name: `Open ${name}`, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

/** Stations, each in one line of the table: name, type, address. */
export async function typeStations(page: Page, ...lines: readonly string[]): Promise<void> {
  await page.getByRole('link', { name: 'Stations', exact: true }).press('Enter');
  const grid = page.getByRole('grid', { name: 'Stations' });
  for (const line of lines) {
    await grid.getByRole('row').last().locator('[role=gridcell][data-column="1"]').click();
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
    const [name = ''] = line.split(',');
    await expect(grid.getByRole('gridcell', { name, exact: true })).toBeVisible();
  }
}

export async function beginExchange(
  page: Page,
  name: string,
  kind: string,
  left: string,
  right: string,
): Promise<void> {
  await page.getByRole('link', { name: 'Exchanges', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'New exchange' }).press('Enter');
  const dialog = page.getByRole('dialog');
  await typeEnds(dialog, left, right);
  await pick(dialog, 'Kind', kind);
  await dialog.getByRole('textbox', { name: 'Name' }).fill(name);
  await dialog.getByRole('button', { name: 'Create' }).press('Enter');
  await expect(dialog).toBeHidden();
}

/** The two stations of a new exchange. */
export async function typeEnds(dialog: Locator, left: string, right: string): Promise<void> {
  for (const [side, name] of [
    [/Left station/, left],
    [/Right station/, right],
  ] as const) {
    const field = dialog.getByRole('combobox', { name: side });
    await field.fill(name);
    await field.press('Tab');
  }
}

/** Into the field with this label: chosen where it is a choice, else typed. */
export async function typeField(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await expect(field.or(picker(page, label))).toBeVisible();
  if (!(await field.isVisible())) return pick(page, label, value);
  await field.fill(value);
  await field.press('Enter');
}

/** A lane of a sheet, each end from its tag on: tag, direction, area, address, length, type. */
export async function typeLane(page: Page, left: readonly string[], right: readonly string[]): Promise<void> {
  const lanes = page.locator('[role=row][data-id^="lane:"]');
  const count = await lanes.count();
  await page.locator('[role=row][data-id="newlane"] [role=gridcell][data-column="1"]').click();
  await typeCells(page, ...left);
  await expect(lanes).toHaveCount(count + 1);
  await lanes.nth(count).locator('[role=gridcell][data-column="8"]').click();
  await typeCells(page, ...right);
}

/** Into the second line of a lane: under the left address what was told of the other place, under a tag its slot. */
export async function typeBelow(page: Page, lane: number, column: number, text: string): Promise<void> {
  const id = (await page.locator('[role=row][data-id^="lane:"]').nth(lane).getAttribute('data-id'))!.slice(
    'lane:'.length,
  );
  await page.locator(`[role=row][data-id="second:${id}"] [role=gridcell][data-column="${column}"]`).click();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}
