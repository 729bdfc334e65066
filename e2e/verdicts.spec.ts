import type { Page } from '@playwright/test';
import { cell, expect, expectDemo, expectStored, expectTally, test } from './app';
import { pick, picker } from './picking';

const DIFFERENCE = 7;
/** Types over a cell of the sheet by keyboard. */
async function over(page: Page, row: string, column: number, text: string): Promise<void> {
  await cell(page, row, column).click();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

test('the exchanges page counts the lanes that agree, in an empty project and in the demo', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.create('Empty')}/exchanges`);
  await expect(page.getByText('0 exchanges, 0 of 0 lanes agreed')).toBeVisible();
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges`);
  await expectDemo(page);
  await expect(page.getByText('15 exchanges, 437 of 446 lanes agreed')).toBeVisible();
});

test('a lane that cannot be compared says why on its sheet, and is counted on each page and on paper', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 0, 0);
  await over(page, 'lane:status', 6, 'REAL x2');
  await expect(cell(page, 'lane:status', DIFFERENCE)).toHaveText('unchecked');
  const why = 'one end has registers for a REAL, so the order of its registers is not known';
  await expect(page.getByRole('gridcell', { name: `Unchecked: ${why}` })).toBeVisible();
  await expectStored(page);
  await page.goto(`${app.url}/p/${project}/exchanges`);
  await expect(page.getByText('6 of 7 lanes agreed, 1 unchecked')).toBeVisible();
  await page.goto(`${app.url}/p/${project}/overview`);
  await expect(page.getByText('1 lane unchecked')).toBeVisible();
  await page.getByRole('button', { name: /^SkidCtl to PlantCtl: .*unchecked/ }).press('Enter');
  await expect(page.getByRole('region', { name: 'SkidCtl to PlantCtl' })).toContainText(`unchecked: ${why}`);
  await page.goto(`${app.url}/p/${project}/exchanges/duty/print`);
  await expect(page.getByText(/1 of 5 lanes unchecked/)).toBeVisible();
  await expect(page.getByText(why)).toBeVisible();
});

test('a single bit in the middle of a word is compared, and another one named with both', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.agreed()}/exchanges/duty`);
  await expectTally(page, 0, 0);
  for (const [row, column, text] of [
    ['lane:status', 4, '%MW320.4'],
    ['lane:status', 5, '1 bit'],
    ['lane:status', 6, 'BOOL'],
    ['second:status', 4, 'w1260.9'],
    ['lane:status', 11, 'w1260.9'],
    ['lane:status', 12, '1 bit'],
    ['lane:status', 13, 'BOOL'],
  ] as const) {
    await over(page, row, column, text);
  }
  await expect(cell(page, 'lane:status', DIFFERENCE)).toHaveText('agreed');
  await expectTally(page, 0, 0);
  await over(page, 'lane:status', 11, 'w1260.8');
  await expect(cell(page, 'lane:status', DIFFERENCE)).toHaveText('another place');
  await expect(page.getByRole('contentinfo')).toContainText('PlantCtl asks for w1260.9, SkidCtl has it at w1260.8');
  await page.keyboard.press('Alt+PageDown');
  // What was typed last gives way.
  await page.keyboard.press('Alt+Enter');
  await expect(cell(page, 'lane:status', 11)).toHaveText('w1260.9');
  await expectTally(page, 0, 0);
});

test('one end says both ways, the other only gives: named, and mended by a key', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.agreed()}/exchanges/duty`);
  await expectTally(page, 0, 0);
  await over(page, 'lane:permissives', 2, 'both');
  await expect(cell(page, 'lane:permissives', DIFFERENCE)).toHaveText('never written');
  await expectTally(page, 1, 0);
  await page.keyboard.press('Alt+PageDown');
  await expect(page.getByRole('contentinfo')).toContainText('SkidCtl never writes');
  await page.keyboard.press('Alt+Enter');
  await expectTally(page, 0, 0);
});

test('what a gateway takes in as REAL and gives out as DINT: each lane agrees, from end to end it does not', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/exchanges/meters`);
  await expectDemo(page);
  await expect(cell(page, 'lane:meter1-readings', DIFFERENCE)).toHaveText('agreed');
  // Both ends of the lane say DINT from now on; what is copied on is still taken as REAL.
  await over(page, 'lane:meter1-readings', 6, 'DINT x10');
  await over(page, 'lane:meter1-readings', 13, 'DINT x10');
  await expect(cell(page, 'lane:meter1-readings', DIFFERENCE)).toHaveText('agreed');
  await expectDemo(page, 1);
  await cell(page, 'lane:meter1-readings', 1).click();
  await page.keyboard.press('Control+J');
  const ways = page.getByRole('dialog').getByRole('list', { name: 'From end to end' });
  await expect(ways).toContainText('From end to end, to ControlRoom: differs');
  await page.keyboard.press('Escape');
  await page.goto(`${app.url}/p/${project}/findings`);
  await expect(page.getByRole('article').filter({ hasText: 'TYP 12' })).toContainText('Meter1Readings');
});

test('what a route is for, and by which adapter, is changed on its page', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/routes/route-defrost`);
  await expectDemo(page);
  const asked = page.getByRole('group', { name: 'What is asked' });
  await pick(asked, 'for', 'requests');
  await pick(asked, 'by', 'first adapter 10.48.10.200');
  await expectStored(page);
  await page.reload();
  await expect(picker(asked, 'for')).toHaveText('requests');
  await expect(picker(asked, 'by')).toHaveText(/10.48.10.200/);
});
