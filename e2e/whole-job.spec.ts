import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Change } from '@dialoga/core/change';
import { cell, DEMO, expect, expectDemo, expectStored, pasteText, test } from './app';

/** Each Blocker of the demo has a ready fix. */
const BLOCKERS = DEMO.blocker;

const skidList = readFileSync(join(import.meta.dirname, '../demo/skid-list.tsv'), 'utf8');

test('the whole job: clear the demo by keyboard, undo it, settle a new exchange, and find it after a restart', async ({
  page,
  app,
}) => {
  test.setTimeout(150_000);
  await page.goto(app.url);
  await page.getByRole('button', { name: 'Open the demo' }).press('Enter');
  await expect(page.getByRole('grid', { name: 'Exchanges' })).toBeVisible();
  await expectDemo(page);
  const project = /\/p\/(\w+)\//.exec(page.url())![1]!;
  const start = await app.file(project);

  // Each Blocker: shown, its cell focused, fixed. By keyboard alone. The Doubts have no ready fix; they are passed by.
  const foot = page.locator('footer');
  /** How far Blockers and Doubts are down after each fix; no Doubt goes with a Blocker. */
  const states: [blockers: number, doubts: number][] = [[0, 0]];
  const doubts = 0;
  for (let left = BLOCKERS; left > 0;) {
    await page.keyboard.press('Alt+PageDown');
    await expect(foot).toContainText(`of ${left + DEMO.blocker - BLOCKERS + DEMO.doubt + doubts + DEMO.hint}`);
    await expect.poll(() => page.evaluate(() => document.activeElement?.tagName !== 'BODY')).toBe(true);
    const finding = (await foot.textContent())!;
    if (/ADR 7|DIR 9|DOC 7|LIN 6|on request/.test(finding)) continue;
    await page.keyboard.press('Alt+Enter');
    left--;
    states.push([left - BLOCKERS, doubts]);
    await expectDemo(page, ...states.at(-1)!);
  }
  await expectStored(page);
  expect(await app.file(project)).not.toBe(start);

  // Undo everything: the file is the one of the start, byte for byte; redo everything, and it is clear again.
  await page.getByRole('grid').first().focus();
  for (let i = 1; i <= BLOCKERS; i++) {
    await page.keyboard.press('Control+Z');
    await expectDemo(page, ...states[BLOCKERS - i]!);
  }
  await expectStored(page);
  expect(await app.file(project)).toBe(start);
  for (let i = 1; i <= BLOCKERS; i++) {
    await page.keyboard.press('Control+Y');
    await expectDemo(page, ...states[i]!);
  }

  // The Doubt: another subnet for the laptop’s second adapter, typed where the finding shows.
  await expect(async () => {
    await page.keyboard.press('Alt+PageDown');
    await expect(foot).toContainText('ADR 7', { timeout: 300 });
  }).toPass();
  await expect(page).toHaveURL(/stations\/servicelaptop\?at=/);
  await expect(page.getByRole('grid', { name: 'Ports' })).toBeFocused();
  await page.keyboard.type('192.168.7.2/24');
  await page.keyboard.press('Enter');
  // What the adapter had before is kept, and named until it is set back or said to stay.
  await expectDemo(page, -BLOCKERS, doubts - 1, 1);

  // What only people can say, another says in a window of his own: what the fans do on a lost link,
  // who has the last word, and how the roof's characters are framed.
  const set = (kind: Change['kind'], id: string, path: string[], before: unknown, after: unknown) =>
    ({ kind, id, path, ...(before === undefined ? {} : { before }), after }) as Change;
  // That the adapter's new address stays is said, too.
  await expectStored(page);
  type Kept = { id: string; was?: string; wasOn?: string };
  const { settings } = JSON.parse(await app.file(project)) as { settings: Kept[] };
  const kept = settings.find(({ was }) => was)!;
  const roof = ['port-plantctl-roof-line', 'port-roofbase-roof-line'];
  await app.change(project, {
    id: 'decided',
    label: 'Decided',
    changes: [
      set('exchange', 'evaporators', ['onLoss'], undefined, {
        sinks: 'go to zero',
        source: 'is told by a status',
        back: 'wait for a release',
      }),
      set('area', 'plantctl-memory', ['lastWord'], undefined, 'ControlRoom'),
      ...roof.map((id) => set('port', id, ['serial'], '19200 8N1', '19200 8E1')),
      ...(['was', 'wasOn'] as const).map(
        (field) => ({ kind: 'setting', id: kept.id, path: [field], before: kept[field] }) as Change,
      ),
    ],
  });
  const clear = () => expectDemo(page, -DEMO.blocker, -DEMO.doubt, -DEMO.hint);
  await clear();

  // A new exchange, its one lane from the other supplier's list.
  await page.getByRole('link', { name: 'Exchanges', exact: true }).press('Enter');
  await page.getByRole('button', { name: 'New exchange' }).press('Enter');
  await page.getByRole('textbox', { name: 'Name' }).fill('Skid readings');
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('grid', { name: 'Skid readings, both ends' });
  await expect(sheet).toBeVisible();

  await page.getByLabel('Address entered at PlantCtl').fill('10.48.10.12');
  await page.getByLabel('Address entered at PlantCtl').press('Enter');
  // SkidCtl’s module answers only while its program holds a bit.
  await expectDemo(page, -DEMO.blocker, 1 - DEMO.doubt, -DEMO.hint);

  // The right page first: a lane, opened, and the list pasted into its empty row.
  await cell(page, 'newlane', 8).click();
  await page.keyboard.type('Readings');
  await page.keyboard.press('Tab');
  await expect(page.locator('[role=row][data-id^="lane:"]')).toHaveCount(1);
  const lane = (await page.locator('[role=row][data-id^="lane:"]').getAttribute('data-id'))!.slice(5);
  await page.keyboard.type('writes');
  await page.keyboard.press('Enter');
  await cell(page, `lane:${lane}`, 8).click();
  await page.keyboard.press('Space');
  await cell(page, `newitem:${lane}`, 8).click();
  await pasteText(page, skidList);
  await expect(
    page.getByText(
      '60 values pasted. The first line was taken as headings. Left out, with no place here: column “Remark”.',
    ),
  ).toBeVisible();
  await expect(cell(page, `lane:${lane}`, 12)).toHaveText('120 words');

  // The left page: own names and addresses, in another order of lines.
  const lines = skidList
    .trim()
    .split('\n')
    .slice(1)
    .map((l) => l.split('\t'));
  const own = lines.map(
    ([name, register, type]) => `Skid_${name}\t%MW${Number(register!.slice(1)) - 1400 + 2400}\t${type}`,
  );
  await page.keyboard.press('Home');
  await pasteText(page, own.reverse().join('\n'));
  await expect(page.getByText('60 values pasted.')).toBeVisible();
  await page.keyboard.press('Control+Home');
  await expect(cell(page, `lane:${lane}`, 4)).toHaveText('%MW2400');

  // What is still missing is named, and mended by keyboard: direction, place told, order of registers.
  await expect(page.locator('footer')).toContainText('1 of');
  for (let i = 0; i < 5; i++) {
    const none = await page.locator('footer').getByText('No findings').isVisible();
    if (none) break;
    const before = await page.locator('footer').textContent();
    await page.keyboard.press('Alt+Enter');
    await expect(page.locator('footer')).not.toHaveText(before!);
  }
  await clear();
  await expect(cell(page, `lane:${lane}`, 7)).toHaveText('agreed');
  await expectStored(page);
  const end = await app.file(project);

  await app.stop();
  await app.start();
  await page.reload();
  await clear();
  await expect(cell(page, `lane:${lane}`, 7)).toHaveText('agreed');
  expect(await app.file(project)).toBe(end);
});
