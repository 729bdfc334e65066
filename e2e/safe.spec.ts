import type { Browser, Page, Route } from '@playwright/test';
import { cell, expect, expectStored, expectTally, test, type App } from './app';

/** Two windows on one project, both checked. */
async function twoWindows(page: Page, browser: Browser, app: App): Promise<Page> {
  const url = `${app.url}/p/${await app.duty()}/exchanges/duty`;
  const other = await (await browser.newContext()).newPage();
  for (const p of [page, other]) {
    await p.goto(url);
    await expectTally(p, 3, 0);
  }
  return other;
}

const typeName = async (p: Page, column: number, text: string) => {
  await cell(p, 'lane:status', column).click();
  await p.keyboard.type(text);
  await p.keyboard.press('Enter');
  await expect(cell(p, 'lane:status', column)).toHaveText(text);
};

test('two windows see each other’s edits, and the verdicts that follow', async ({ page, browser, app }) => {
  const other = await twoWindows(page, browser, app);
  await typeName(page, 1, 'Seen there');
  await expect(cell(other, 'lane:status', 1)).toHaveText('Seen there');
  await cell(other, 'lane:status', 12).click();
  await other.keyboard.type('9');
  await other.keyboard.press('Enter');
  await expectTally(page, 4, 0);
  await expect(cell(page, 'lane:status', 7)).toContainText('4 and 9 words');
  await page.keyboard.press('Control+Z');
  await expect(cell(other, 'lane:status', 1)).toHaveText('Skid status');
  await other.context().close();
});

test('both ends of one lane edited at once: no conflict', async ({ page, browser, app }) => {
  const other = await twoWindows(page, browser, app);
  await Promise.all([typeName(page, 1, 'Left name'), typeName(other, 8, 'Right name')]);
  for (const p of [page, other]) {
    await expect(cell(p, 'lane:status', 1)).toHaveText('Left name');
    await expect(cell(p, 'lane:status', 8)).toHaveText('Right name');
    await expectStored(p);
  }
  await other.context().close();
});

test('what others store while an older answer is under way is taken in, too', async ({ page, app }) => {
  const project = await app.duty();
  const rename = (before: string, after: string) =>
    app.change(project, {
      id: after,
      label: after,
      changes: [{ kind: 'claim', id: 'status-plant', path: ['name'], before, after }],
    });
  let release = () => {};
  const released = new Promise<void>((resolve) => (release = resolve));
  await page.route('**/changes?since=*', async (route) => {
    const answer = await route.fetch();
    await released;
    await route.fulfill({ response: answer });
  });
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  // The stream brings what is small by itself, while the first question is not answered yet.
  await rename('Skid status', 'First');
  await expect(cell(page, 'lane:status', 1)).toHaveText('First');
  const asked = page.waitForResponse('**/changes?since=*');
  release();
  await asked;
  await rename('First', 'Second');
  await expect(cell(page, 'lane:status', 1)).toHaveText('Second');
  await page.unrouteAll({ behavior: 'wait' });
});

test('one cell edited in a window that was offline: asked, with both values, by keyboard; nothing is lost', async ({
  page,
  browser,
  app,
}) => {
  const other = await twoWindows(page, browser, app);
  const dialog = other.getByRole('alertdialog');
  const meanwhile = async (mine: string, theirs: string) => {
    await other.context().setOffline(true);
    await typeName(other, 1, theirs);
    await typeName(page, 1, mine);
    await expectStored(page);
    await other.context().setOffline(false);
    await expect(dialog).toContainText('stored now');
    await expect(dialog).toContainText(mine);
    await expect(dialog).toContainText(theirs);
  };
  await meanwhile('First here', 'First there');
  await other.keyboard.press('Tab');
  await other.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expectStored(other);
  for (const p of [page, other]) await expect(cell(p, 'lane:status', 1)).toHaveText('First there');

  await meanwhile('Second here', 'Second there');
  await other.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  for (const p of [page, other]) await expect(cell(p, 'lane:status', 1)).toHaveText('Second here');
  await expectStored(other);
  await other.context().close();
});

test('a server whose disk is full: the page says so, keeps what is typed, and sends it when there is room', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const message = 'The disk of the database is full: nothing more can be stored until somebody makes room.';
  const full = (route: Route) => route.fulfill({ status: 507, json: { message } });
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await page.route('**/changes', full);
  await typeName(page, 1, 'No room');
  await expect(page.getByText('server’s disk full; 1 edit waits here')).toBeVisible();
  // The project opens all the same, and what waits is kept beside it.
  await page.reload();
  await expectTally(page, 3, 0);
  await expect(
    page.getByText(/could not be stored: The disk of the database is full.*The edit is kept in this browser\./),
  ).toBeVisible();
  await page.unroute('**/changes', full);
  await page.reload();
  await expectTally(page, 3, 0);
  await expect(cell(page, 'lane:status', 1)).toHaveText('No room');
  expect(await app.file(project)).toContain('"name": "No room"');
});

test('edits made while the server is away are sent when it is back', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await app.stop();
  await typeName(page, 1, 'Offline');
  await expect(page.getByText(/server not reachable since \d\d:\d\d; 1 edit waits/)).toBeVisible();
  await app.start();
  await expect(page.getByText('1 edit waits')).toBeHidden({ timeout: 15_000 });
  await expectStored(page);
  expect(await app.file(project)).toContain('"name": "Offline"');
});

test('edits that were never sent are kept when the page is closed, and arrive when it is opened again', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const url = `${app.url}/p/${project}/exchanges/duty`;
  await page.goto(url);
  await expectTally(page, 3, 0);
  await app.stop();
  await typeName(page, 1, 'Kept');
  await typeName(page, 8, 'Kept too');
  await page.goto('about:blank');
  await app.start();
  await page.goto(url);
  await expect(cell(page, 'lane:status', 1)).toHaveText('Kept');
  await expect(cell(page, 'lane:status', 8)).toHaveText('Kept too');
  await expectStored(page);
  const file = await app.file(project);
  expect(file).toContain('"name": "Kept"');
  expect(file).toContain('"name": "Kept too"');
});

test('additions to one list by two people: both are kept, by keyboard', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/stations/skidctl`);
  await expectTally(page, 3, 0);
  const port = 'port-skidctl';
  const former = page.locator(`[role=row][data-id="${port}"] [role=gridcell][data-column="12"]`);
  await page.context().setOffline(true);
  await former.click();
  await page.keyboard.press('F2');
  await page.keyboard.press('End');
  await page.keyboard.type(', 10.48.10.77');
  await page.keyboard.press('Enter');
  await app.change(project, {
    id: 'theirs',
    label: 'Former address',
    changes: [
      { kind: 'port', id: port, path: ['former'], before: ['10.48.10.14'], after: ['10.48.10.14', '10.48.10.66'] },
    ],
  });
  await page.context().setOffline(false);
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('10.48.10.66');
  await dialog.getByRole('button', { name: 'Keep both' }).focus();
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expectStored(page);
  expect(await app.file(project)).toContain('["10.48.10.14", "10.48.10.66", "10.48.10.77"]');
});

test('an edit that meets another one waits to be asked about; those beside it are sent at once', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await page.context().setOffline(true);
  await typeName(page, 1, 'Mine');
  await typeName(page, 1, 'Mine again');
  await typeName(page, 8, 'Beside it');
  await app.change(project, {
    id: 'theirs',
    label: 'Rename',
    changes: [{ kind: 'claim', id: 'status-plant', path: ['name'], before: 'Skid status', after: 'Theirs' }],
  });
  await page.context().setOffline(false);
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('One more edit waits for this');
  await expect.poll(() => app.file(project)).toContain('"name": "Beside it"');
  expect(await app.file(project)).toContain('"name": "Theirs"');
  await dialog.getByRole('button', { name: 'Overwrite with mine' }).press('Enter');
  await expectStored(page);
  await expect(cell(page, 'lane:status', 1)).toHaveText('Mine again');
  expect(await app.file(project)).toContain('"name": "Mine again"');
});

test('two windows keep their unsent edits apart, and the next one opened sends all of them', async ({ page, app }) => {
  const project = await app.duty();
  const url = `${app.url}/p/${project}/exchanges/duty`;
  const other = await page.context().newPage();
  for (const p of [page, other]) {
    await p.goto(url);
    await expectTally(p, 3, 0);
  }
  await app.stop();
  await typeName(page, 1, 'From the first');
  await typeName(other, 8, 'From the second');
  await page.goto('about:blank');
  await other.goto('about:blank');
  await app.start();
  await page.goto(url);
  await expect(cell(page, 'lane:status', 1)).toHaveText('From the first');
  await expect(cell(page, 'lane:status', 8)).toHaveText('From the second');
  await expectStored(page);
});

test('ten windows of one browser all open, and all are told of an edit', async ({ page, app }) => {
  // A browser keeps six connections to a server open at most: a stream for each window would starve the seventh.
  const project = await app.duty();
  const windows = [page];
  while (windows.length < 10) windows.push(await page.context().newPage());
  for (const p of windows) {
    await p.goto(`${app.url}/p/${project}/exchanges/duty`);
    await expectTally(p, 3, 0);
  }
  await typeName(page, 1, 'Seen by all');
  for (const p of windows) await expect(cell(p, 'lane:status', 1)).toHaveText('Seen by all');
});

test('a lane that somebody deleted while it was edited here: put back with the edit, by keyboard; who did it is said', async ({
  page,
  browser,
  app,
}) => {
  const other = await (await browser.newContext()).newPage();
  const project = await app.duty();
  await other.goto(`${app.url}/p/${project}/history`);
  await other.getByLabel('Your edits are signed').fill('R. Vale');
  for (const p of [page, other]) {
    await p.goto(`${app.url}/p/${project}/exchanges/duty`);
    await expectTally(p, 3, 0);
  }
  const before = await app.file(project);
  await page.context().setOffline(true);
  await typeName(page, 1, 'Edited here');
  await cell(other, 'lane:status', 1).click();
  await other.keyboard.press('Control+Delete');
  await expect(other.locator('[data-id="lane:status"]')).toBeHidden();
  await expectStored(other);
  await page.context().setOffline(false);
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('Changed by R. Vale meanwhile');
  await expect(dialog).toContainText('Edited here');
  await dialog.getByRole('button', { name: 'Restore it and save mine' }).press('Enter');
  await expect(dialog).toBeHidden();
  await expectStored(page);
  for (const p of [page, other]) await expect(cell(p, 'lane:status', 1)).toHaveText('Edited here');
  expect(await app.file(project)).toBe(before.replace('"Skid status"', '"Edited here"'));
  await page.goto(`${app.url}/p/${project}/history`);
  await expect(page.getByRole('listitem').filter({ hasText: 'R. Vale' })).toContainText('Delete');
  await other.context().close();
});

test('a lane deleted here to which somebody added meanwhile: it goes with what was added, once that is said', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await page.context().setOffline(true);
  await cell(page, 'lane:status', 1).click();
  await page.keyboard.press('Control+Delete');
  await expect(page.locator('[data-id="lane:status"]')).toBeHidden();
  const added = { id: 'third', lane: 'status', end: 'duty-plant', name: 'Added', direction: 'reads', place: null };
  const rest = { length: null, type: null, swap: null, items: {}, toldPlace: null };
  await app.change(project, {
    id: 'theirs',
    label: 'Added a claim',
    changes: [{ kind: 'claim', id: 'third', path: [], after: { ...added, ...rest } }],
  });
  await page.context().setOffline(false);
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('conflicts with “Added a claim”');
  await dialog.getByRole('button', { name: 'Delete that, too' }).press('Enter');
  await expect(dialog).toBeHidden();
  await expectStored(page);
  const file = await app.file(project);
  expect(file).not.toContain('"third"');
  expect(file).not.toContain('"Skid status"');
});

test('a project that is opened while the server is away is opened as this browser has it, with what was typed on top', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await app.stop();
  await typeName(page, 1, 'Kept here');
  await page.getByRole('link', { name: 'Projects' }).click();
  await expect(page.getByRole('alert')).toContainText('The server does not answer');
  await page.goBack();
  await expect(cell(page, 'lane:status', 1)).toHaveText('Kept here');
  await expect(page.getByText(/server not reachable since .*; 1 edit waits/)).toBeVisible();
  await expectTally(page, 3, 0);
  await typeName(page, 8, 'Typed later');
  await app.start();
  await expectStored(page);
  const file = await app.file(project);
  expect(file).toContain('"name": "Kept here"');
  expect(file).toContain('"name": "Typed later"');
});

test('one that this browser does not have waits for the server, and opens by itself', async ({ page, app }) => {
  await app.create('Never opened');
  const pages = page.waitForResponse(/compare-page.*\.js$/);
  await page.goto(app.url);
  await pages;
  const link = page.getByRole('link', { name: 'Never opened' });
  await expect(link).toBeVisible();
  await app.stop();
  await link.click();
  await expect(page.getByRole('heading', { name: 'Waiting for the server' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Findings: not known' })).toBeVisible();
  await app.start();
  await expect(page.getByRole('heading', { name: 'Waiting for the server' })).toBeHidden();
  await expectTally(page, 0, 0);
});

test('the list of projects comes by itself once the server answers', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await app.stop();
  await page.getByRole('link', { name: 'Projects' }).click();
  await expect(page.getByRole('alert')).toContainText('The server does not answer');
  await app.start();
  await expect(page.getByRole('list').getByRole('link').first()).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
});

test('a page that was never gone to opens while the server is away: all are fetched beforehand', async ({
  page,
  app,
}) => {
  const project = await app.duty();
  const last = page.waitForResponse(/compare-page.*\.js$/);
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await last;
  await app.stop();
  await page.getByRole('link', { name: /^Findings:/ }).click();
  await page.getByRole('button', { name: 'By rule' }).click();
  await page.getByRole('button', { name: 'Fix SIZ 1: SkidCtl: 5 words → 6 words' }).click();
  await expectTally(page, 2, 0);
  await page.getByRole('link', { name: 'Wiring' }).click();
  await expect(page.getByRole('grid', { name: /^Networks/ })).toBeVisible();
  await app.start();
  await expectStored(page);
  expect(await app.file(project)).not.toContain('"count": 5, "unit": 16');
});

test('a page whose code cannot be fetched waits for the server, and opens by itself', async ({ page, app }) => {
  const project = await app.duty();
  await page.route(/wiring-page.*\.js$/, (route) => route.abort());
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await app.stop();
  await page.getByRole('link', { name: 'Wiring' }).click();
  await expect(page.getByRole('heading', { name: 'Waiting for the server' })).toBeVisible();
  await expect(page.getByText('This page was not loaded before.')).toBeVisible();
  await page.unroute(/wiring-page.*\.js$/);
  await app.start();
  await expect(page.getByRole('grid', { name: /^Networks/ })).toBeVisible();
});

test('a page that the server does not have any more is not loaded anew again and again', async ({ page, app }) => {
  const project = await app.duty();
  await page.route(/wiring-page.*\.js$/, (route) => route.fulfill({ status: 404, body: '' }));
  await page.goto(`${app.url}/p/${project}/wiring`);
  await expect(page.getByRole('heading', { name: 'This page cannot be loaded' })).toBeVisible();
  await page.getByRole('link', { name: 'All projects' }).click();
  await expect(page.getByRole('heading', { name: 'Projects' })).toBeVisible();
});

test('undo and redo outlive a reload, and what was said before it', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await typeName(page, 1, 'One');
  await typeName(page, 1, 'Two');
  await page.keyboard.press('Control+Z');
  await expect(cell(page, 'lane:status', 1)).toHaveText('One');
  await expectStored(page);
  await page.reload();
  await expectTally(page, 3, 0);
  await page.keyboard.press('Control+Y');
  await expect(cell(page, 'lane:status', 1)).toHaveText('Two');
  await page.keyboard.press('Control+Z');
  await page.keyboard.press('Control+Z');
  await expect(cell(page, 'lane:status', 1)).toHaveText('Skid status');
  await expectStored(page);
  // Another project in between does not take it away either.
  await page.getByRole('link', { name: 'Projects' }).click();
  await expect(page.getByRole('heading', { name: 'Projects' })).toBeVisible();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expectTally(page, 3, 0);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(cell(page, 'lane:status', 1)).toHaveText('One');
});

test('two windows whose network is cut and joined at random end alike, and each can undo after a reload', async ({
  page,
  browser,
  app,
}) => {
  const seed = Math.floor(Math.random() * 2 ** 31);
  test.info().annotations.push({ type: 'seed', description: String(seed) });
  const random = randomOf(seed);
  const other = await twoWindows(page, browser, app);
  const windows = [page, other];
  for (let i = 0; i < 16; i++) {
    const at = windows[random(2)]!;
    if (random(3) === 0) await at.context().setOffline(random(2) === 0);
    const text = `Name ${i}`;
    // Left names in one window, right names in both: some meet, some do not.
    const column = at === page && random(2) === 0 ? 1 : 8;
    const row = ['permissives', 'setpoints', 'status', 'pressures', 'alarm-text'][random(5)]!;
    // A question may come up at any moment, and is answered first.
    await expect(async () => {
      if (await at.getByRole('alertdialog').isVisible()) await answer(at);
      await cell(at, `lane:${row}`, column).click({ timeout: 1000 });
    }).toPass();
    await at.keyboard.type(text);
    await at.keyboard.press('Enter');
  }
  for (const p of windows) await p.context().setOffline(false);
  for (const p of windows) {
    await expect(async () => {
      if (await p.getByRole('alertdialog').isVisible()) await answer(p);
      await expectStored(p);
      await expect(p.getByRole('alertdialog')).toBeHidden();
    }).toPass({ timeout: 60_000 });
  }
  const namesOf = (p: Page) => p.locator('[role=row][data-id^="lane:"] [role=gridcell]').allTextContents();
  await expect(async () => expect(await namesOf(other)).toEqual(await namesOf(page))).toPass();

  // Each takes back its own last edit, whatever the other typed beside it.
  await typeName(page, 1, 'Last here');
  await typeName(other, 8, 'Last there');
  for (const [p, column, last] of [
    [page, 1, 'Last here'],
    [other, 8, 'Last there'],
  ] as const) {
    await expectStored(p);
    await p.reload();
    await expectTally(p, 3, 0);
    await expect(cell(p, 'lane:status', column)).toHaveText(last);
    await p.getByRole('button', { name: 'Undo' }).click();
    await expect(cell(p, 'lane:status', column)).not.toHaveText(last);
    await expectStored(p);
  }
  await other.context().close();
});

const answer = async (p: Page) => {
  const dialog = p.getByRole('alertdialog');
  await dialog.getByRole('button').last().click({ timeout: 1000 });
};

/** Whole numbers below a bound; the same seed gives the same. */
function randomOf(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return (state >>> 8) % below;
  };
}
