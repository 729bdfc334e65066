import { cell, expect, expectStored, expectTally, pasteText, test } from './app';

let project: string;
let begun: string;
test.beforeEach(async ({ page, app }) => {
  project = await app.agreed();
  begun = await app.file(project);
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 0, 0);
  await cell(page, 'newlane', 1).click();
});

/** One undo takes all of it back. */
test.afterEach(async ({ page, app }) => {
  await page.keyboard.press('Control+Z');
  await expectTally(page, 0, 0);
  await expectStored(page);
  expect(await app.file(project)).toBe(begun);
});

test('a ragged block: what is there is taken, what is not stays empty', async ({ page }) => {
  await pasteText(page, 'One\twrites\tMemory\t%MW1000\t2 words\tREAL\nTwo\twrites\nThree\twrites\tMemory\t%MW1004');
  await expect(page.getByText('3 lanes pasted.')).toBeVisible();
  const lanes = page.locator('[role=row][data-id^="lane:"]');
  await expect(lanes).toHaveCount(8);
  await expect(lanes.nth(6).locator('[data-column="1"]')).toHaveText('Two');
  await expect(lanes.nth(6).locator('[data-column="4"]')).toHaveText('');
  await expect(lanes.nth(7).locator('[data-column="4"]')).toHaveText('%MW1004');
});

test('HTML from a word processor: its text is taken, its marks are not', async ({ page }) => {
  await page.evaluate(async () => {
    const html = '<table><tr><td><b>Bold</b></td><td>writes</td></tr></table><script>alert(1)</script>';
    const item = new ClipboardItem({
      'text/html': new Blob([html], { type: 'text/html' }),
      'text/plain': new Blob(['Bold\twrites'], { type: 'text/plain' }),
    });
    await navigator.clipboard.write([item]);
  });
  await page.keyboard.press('Control+V');
  await expect(page.getByText('1 lane pasted.')).toBeVisible();
  await expect(page.locator('[role=row][data-id^="lane:"]').last().locator('[data-column="1"]')).toHaveText('Bold');
});

test('merged cells: a cell over several rows stands for each of them, and it is said', async ({ page }) => {
  await page.evaluate(async () => {
    const html = `<table>
      <tr><td>First</td><td rowspan="2">writes</td><td rowspan="2">Memory</td><td>%MW1000</td></tr>
      <tr><td>Second</td><td>%MW1010</td></tr></table>`;
    const item = new ClipboardItem({
      'text/html': new Blob([html], { type: 'text/html' }),
      'text/plain': new Blob(['First\twrites\tMemory\t%MW1000\nSecond\t\t\t%MW1010'], { type: 'text/plain' }),
    });
    await navigator.clipboard.write([item]);
  });
  await page.keyboard.press('Control+V');
  await expect(page.getByText('2 lanes pasted. 2 merged cells stand for each row that they span.')).toBeVisible();
  const last = page.locator('[role=row][data-id^="lane:"]').last();
  await expect(last.locator('[data-column="1"]')).toHaveText('Second');
  await expect(last.locator('[data-column="2"]')).toHaveText('writes');
  await expect(last.locator('[data-column="4"]')).toHaveText('%MW1010');
});

test('a number with a thin space in it, and one with a comma, stay as typed with what would be right', async ({
  page,
}) => {
  await pasteText(
    page,
    'Thin\twrites\tMemory\t%MW1000\t1\u2009000 words\tINT\nComma\twrites\tMemory\t%MW2010\t4,5\tINT',
  );
  await expect(page.getByText('2 lanes pasted. Kept as typed:')).toBeVisible();
  await expect(page.getByText('a length is a whole number')).toBeVisible();
  const lanes = page.locator('[role=row][data-id^="lane:"]');
  await expect(lanes.last().locator('[data-column="5"]')).toHaveText('4,5');
});

test('10 MB of text is refused in a sentence; nothing is changed', async ({ page }) => {
  // One step that the undo of afterEach takes back.
  await page.keyboard.type('Undone');
  await page.keyboard.press('Enter');
  await cell(page, 'newlane', 1).click();
  await pasteText(page, 'Name\twrites\tMemory\t%MW1000\n'.repeat(400_000));
  await expect(page.getByText('The block has 400,000 lines; at most 20,000 can be pasted at once.')).toBeVisible();
});

test('an address of another notation is kept as typed, with what this station writes', async ({ page }) => {
  await pasteText(page, 'Other\twrites\tMemory\tw1000');
  await expect(page.getByText('“w1000” is not an address of this station')).toBeVisible();
});
