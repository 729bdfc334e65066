import type { Change } from '@dialoga/core/change';
import { expect, expectTally, test } from './app';
import { pagesOfPdf } from './pdf';

test('a sheet of 80 lanes prints on A4 landscape: heads on every page, no row cut', async ({ page, app }) => {
  const project = await app.agreed();
  const lanes = Array.from({ length: 75 }, (_, i): Change[] => {
    const claim = (end: string, area: string, view: string, more: object): Change => ({
      kind: 'claim',
      id: `p${i}${end}`,
      path: [],
      after: {
        id: `p${i}${end}`,
        lane: `p${i}`,
        end: `duty-${end}`,
        name: `Lane number ${i + 6}`,
        direction: end === 'plant' ? 'writes' : 'reads',
        place: { area, view, number: 2000 + i * 4, ...more },
        length: { count: 4, unit: 16 },
        type: { base: 'INT', count: 4 },
        swap: null,
        items: {},
        toldPlace: end === 'plant' ? `w${2000 + i * 4}` : null,
      },
    });
    return [
      { kind: 'lane', id: `p${i}`, path: [], after: { id: `p${i}`, order: 1000 + i, exchange: 'duty', items: {} } },
      claim('plant', 'plantctl-memory', 'mw', { width: 16 }),
      claim('skid', 'skidctl-registers', 'w', {}),
    ];
  });
  await app.change(project, { id: 'many', label: 'Many lanes', changes: lanes.flat() });
  await page.goto(`${app.url}/p/${project}/exchanges/duty/print`);
  await expectTally(page, 0, 0);
  // Three rows of the head, 80 lanes, and the seven values of two of them.
  await expect(page.getByRole('row')).toHaveCount(3 + 80 + 7);
  await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
  // What stands around a screen is not on paper; what is on it is, in black and white.
  await expect(page.getByRole('link', { name: 'Stations' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByText('revision 1')).toBeVisible();
  const layout = await page.evaluate(() => {
    const style = (selector: string, name: string) =>
      getComputedStyle(document.querySelector(selector)!).getPropertyValue(name);
    return [
      style('thead', 'display'),
      style('tbody tr', 'break-inside'),
      style('main', 'overflow'),
      style('tbody td', 'color'),
      style('body', 'background-color'),
    ];
  });
  expect(layout).toEqual(['table-header-group', 'avoid', 'visible', 'rgb(0, 0, 0)', 'rgb(255, 255, 255)']);
  const pdf = await page.pdf({ preferCSSPageSize: true });
  // A4 landscape is 297 × 210 mm: 842 × 595 points. [published: ISO 216] [from memory]
  const box = /\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)/.exec(pdf.toString('latin1'))!;
  expect([Number(box[1]), Number(box[2])].map(Math.round)).toEqual([842, 595]);
  const pages = await pagesOfPdf(pdf);
  expect(pages.length).toBeGreaterThan(1);
  expect(pages.length).toBeLessThan(7);
  const words = (text: string) => text.replace(/\s+/g, ' ');
  pages.forEach((text, i) => {
    for (const head of ['Compressor duty', 'PlantCtl', 'SkidCtl', 'Address', 'Difference', 'revision']) {
      expect(text).toContain(head);
    }
    expect(words(text)).toContain(`page ${i + 1} of ${pages.length}`);
  });
  // A row that is cut would have its name on two pages, or on none.
  const count = (name: string) => pages.map((text) => words(text).split(`${name} `).length - 1);
  for (let n = 6; n <= 80; n++) {
    const on = count(`Lane number ${n}`).filter((times) => times > 0);
    expect(on).toEqual([2]);
  }
});

test('the printed sheet has what the other side types from: both notations, told places, swaps', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.duty()}/exchanges/duty/print`);
  await expectTally(page, 3, 0);
  const row = page.getByRole('row', { name: /^4 Pressures/ });
  for (const words of ['%MW324', 'partner: w1264', 'registers swapped', 'differs', 'w1264', '5 words']) {
    await expect(row).toContainText(words);
  }
  await expect(page.getByText('entered: address 10.48.10.14, TCP port 502, unit 255')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the sheet' }).click();
  await expect(page).toHaveURL(/exchanges\/duty$/);
});
