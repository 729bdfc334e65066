import type { Page } from '@playwright/test';
import { expect, expectStored, test } from './app';

const list = (page: Page) => page.getByRole('grid', { name: 'Points' });
const atHand = (page: Page) => page.getByRole('region', { name: 'The point at hand' });

async function begin(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await expect(atHand(page)).toContainText('Permissives, PlantCtl to SkidCtl');
  // Nothing is said without a name.
  await list(page).focus();
  await page.keyboard.press('r');
  await expect(page.getByRole('textbox', { name: 'Your edits are signed' })).toBeFocused();
  await expect(atHand(page)).toContainText('was not seen running');
  await page.keyboard.type('R. Imhof');
  await page.getByRole('button', { name: 'Close' }).click();
  await list(page).focus();
}

test('points are tested by one key each: seen in both views, not seen with what stands there, skipped with a reason', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await begin(page, `${app.url}/p/${project}/site/points`);

  // A station that nobody saw running: a test would prove nothing.
  await page.keyboard.press('y');
  await expect(atHand(page)).toContainText('PlantCtl was not seen running, SkidCtl was not seen running');
  await expect(atHand(page)).toContainText('to test');
  await page.keyboard.press('r');
  await expect(atHand(page)).not.toContainText('was not seen running');

  // Each end in its own notation, and what lies beside it.
  await expect(atHand(page)).toContainText(/Set\s*16#1234\s*at PlantCtl %MW300/);
  await expect(atHand(page)).toContainText(/Expect\s*16#1234\s*at SkidCtl w1240/);
  await expect(atHand(page)).toContainText(/Stands still\s*\S+ w1242/);
  await page.keyboard.press('y');
  await expect(atHand(page)).toContainText('step 2 of 2');
  await page.keyboard.press('y');
  await expect(page.getByText(/^0 of \d+ points seen, 1 more in one view/)).toBeVisible();

  // The next one at both views at once: seen.
  await page.keyboard.press('v');
  await page.keyboard.press('v');
  await expect(page.getByRole('radio', { name: 'at both' })).toBeChecked();
  await page.keyboard.press('y');
  await page.keyboard.press('y');
  await expect(page.getByText(/^1 of \d+ points seen, 1 more in one view/)).toBeVisible();

  // Not seen: digits say what stands there; what explains it stands there at once, with the way to its causes.
  await expect(atHand(page)).toContainText(/Expect\s*1\.0/);
  await page.keyboard.type('2.278E-41');
  await page.keyboard.press('Enter');
  const why = atHand(page).getByRole('region', { name: 'What may be behind it' });
  await expect(why).toContainText('the two registers are exchanged');
  await why.getByRole('link').click();
  await expect(page.getByRole('heading', { name: /too big or too small/ })).toBeVisible();
  await page.goBack();
  await expect(why).toBeVisible();
  await why.getByRole('button', { name: 'Value lab' }).click();
  await expect(page.getByLabel('Seen', { exact: true })).toHaveValue('2.278E-41');
  await page
    .getByRole('link', { name: /times|too big/ })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: /too big or too small/ })).toBeVisible();
  await page.goBack();

  // Skipped takes a reason.
  await list(page).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  await expect(page.getByRole('button', { name: 'Skip it' })).toBeDisabled();
  await page.keyboard.type('valve not mounted');
  await page.keyboard.press('Enter');
  await expect(list(page).getByText('valve')).toHaveCount(0);
  await expectStored(page);

  await page.getByRole('button', { name: /Show$/ }).click();
  await page.getByRole('option', { name: 'how far it is' }).click();
  const row = page.getByRole('table', { name: 'By exchange' }).getByRole('row', { name: /Compressor duty/ });
  await expect(row.getByRole('cell')).toHaveText([/\d+/, '1', '1', '1']);
  await expect(page.getByRole('table', { name: 'By person and by day' })).toContainText('R. Imhof');
});

test('an edit takes a record back exactly where it touches; a deleted point keeps its record; what moved names its point', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await begin(page, `${app.url}/p/${project}/site/points`);
  await page.getByText('at both').click();
  await list(page).focus();
  await page.keyboard.press('r');
  for (let i = 0; i < 12; i++) await page.keyboard.press('y');
  await expect(page.getByText(/^6 of \d+ points seen/)).toBeVisible();
  await expect(page.getByRole('link', { name: /3 observed/ })).toBeVisible();
  await expectStored(page);

  // Somebody operates a thing, and w1266 moves.
  const moved = page.getByRole('form', { name: 'Which one moved' });
  await moved.getByRole('button', { name: /at$/ }).click();
  await page.getByRole('option', { name: 'SkidCtl' }).click();
  await moved.getByRole('textbox').fill('w1266');
  await page.keyboard.press('Enter');
  await expect(atHand(page)).toContainText('SkidCtl to PlantCtl');
  await expect(atHand(page)).toContainText('at SkidCtl w1266');
  await moved.getByRole('textbox').fill('nonsense');
  await page.keyboard.press('Enter');
  await expect(moved.getByRole('status')).toContainText('nonsense');

  // The name of a lane is nothing of it; where it lies is all of it.
  const file = JSON.parse(await app.file(project)) as { claims: { id: string; place: object; name: string }[] };
  const claim = file.claims.find(({ id }) => id === 'setpoints-skid')!;
  await app.change(project, {
    id: 'named',
    label: 'Rename',
    changes: [{ kind: 'claim', id: claim.id, path: ['name'], before: claim.name, after: 'Other' }],
  });
  await expect(page.getByText(/^6 of \d+ points seen/)).toBeVisible();
  const place = claim.place as { number: number };
  await app.change(project, {
    id: 'moved',
    label: 'Move',
    changes: [
      { kind: 'claim', id: claim.id, path: ['place', 'number'], before: place.number, after: place.number + 100 },
    ],
  });
  await expect(page.getByText(/^[012] of \d+ points seen/)).toBeVisible();
  await page.getByRole('button', { name: /What is$/ }).click();
  await page.getByRole('option', { name: 'before the change' }).click();
  await expect(
    list(page)
      .getByText(/^changed since/)
      .first(),
  ).toBeVisible();
});

test('a value that a gateway hands on says where it begins', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/site/points`);
  const moved = page.getByRole('form', { name: 'Which one moved' });
  await moved.getByRole('textbox').fill('%MW760');
  await page.keyboard.press('Enter');
  await expect(atHand(page)).toContainText('Wind, RoofBase to PlantCtl');
  await expect(atHand(page)).toContainText('RoofA, Wind');
  await expect(atHand(page)).toContainText('what is set in RoofBase itself is written over');
});

test.describe('without the server', () => {
  test.use({ serviceWorkers: 'allow', viewport: { width: 768, height: 1024 } });

  test('twenty points in a narrow window, an hour long, over a reload: all are there when it is back, and in another window', async ({
    page,
    app,
    browser,
  }) => {
    test.setTimeout(180_000);
    const project = await app.demo();
    const url = `${app.url}/p/${project}/site/points`;
    await page.clock.install();
    await begin(page, url);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    await app.stop();

    const sees = async (times: number) => {
      for (let i = 0; i < times; i++) await page.keyboard.press('y');
    };
    await page.keyboard.press('r');
    await sees(20);
    await expect(page.getByText('10 more in one view')).toBeVisible();
    await expect(page.getByRole('status').filter({ hasText: 'The server is away since' })).toBeVisible();
    await page.clock.fastForward('01:00:00');
    await expect(page.getByText('11 edits are kept in this browser')).toBeVisible();

    await page.reload();
    await expect(page.getByText('10 more in one view')).toBeVisible();
    await list(page).focus();
    await sees(20);
    await expect(page.getByText('20 more in one view')).toBeVisible();
    await expect(page.getByRole('button', { name: /Seen/ }).first()).toBeInViewport({ ratio: 1 });
    await expect(page.getByRole('button', { name: /Skip/ })).toBeInViewport({ ratio: 1 });

    await app.start();
    await page.clock.fastForward('00:05:00');
    await expect(page.getByText('The server is away since')).toBeHidden();
    await expectStored(page);
    const file = JSON.parse(await app.file(project)) as { points: { by: string; result: string }[] };
    expect(file.points.map(({ by, result }) => [by, result])).toEqual(Array(20).fill(['R. Imhof', 'seen']));

    const other = await browser.newPage();
    await other.goto(url);
    await expect(other.getByText('20 more in one view')).toBeVisible();
    await other.close();
  });

  test('a browser without room says so, and nothing that was said is lost while the window is open', async ({
    page,
    app,
  }) => {
    const project = await app.agreed();
    await page.addInitScript(() => {
      const full = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
      IDBObjectStore.prototype.put = full;
      const keeps = Storage.prototype.setItem.bind(localStorage);
      Storage.prototype.setItem = (key: string, value: string) =>
        key.startsWith('dialoga.pending') ? full() : keeps(key, value);
    });
    const url = `${app.url}/p/${project}/site/points`;
    await page.goto(url);
    await expect(page.getByText('This browser has no room to keep the project')).toBeVisible();
    await begin(page, url);
    await app.stop();
    await page.keyboard.press('r');
    await expect(page.getByText('The browser has no room to keep this edit')).toBeVisible();
    await page.keyboard.press('y');
    await page.keyboard.press('y');
    await expect(page.getByText('1 more in one view')).toBeVisible();
    await app.start();
    await expect.poll(() => app.file(project)).toContain('"result": "seen"');
  });
});
