import type { Locator, Page } from '@playwright/test';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import writeWorkbook from 'write-excel-file/node';
import { expect, expectDemo, expectStored, test } from './app';
import { pick, picker } from './picking';

const demoFile = (name: string) => join(import.meta.dirname, '../demo', name);
const choose = 'Choose a file …';

test('the panel’s list as it is: one misread column corrected, taken in, undone, and taken in again', async ({
  page,
  app,
}) => {
  const project = await app.agreed();
  await app.change(project, {
    id: 'panel',
    label: 'New station',
    changes: [
      {
        kind: 'station',
        id: 'newpanel',
        path: [],
        after: { id: 'newpanel', order: 90, name: 'NewPanel', roles: ['operator panel'], profile: null, party: 'own' },
      },
    ],
  });
  await page.goto(`${app.url}/p/${project}/tags/newpanel`);
  await expect(page.getByText('NewPanel has no tags yet')).toBeVisible();
  await page.getByRole('button', { name: 'Import file' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: choose }).click(),
  ]);
  await chooser.setFiles(demoFile('dock-panel-tags.csv'));
  await expect(picker(page, 'separated by')).toHaveText('semicolons');
  await expect(picker(page, 'decimal')).toHaveText('comma');
  const columns = page.getByRole('group', { name: 'Columns of the file' });
  // A panel has no addresses of its own: what its list calls one is what it asks for.
  await expect(picker(columns, 'Refers to')).toHaveText(/^Adresse/);
  await expect(picker(columns, 'Type')).toHaveText(/^Typ/);
  await pick(columns, 'Type', 5);
  const grid = page.getByRole('grid', { name: 'What becomes of each tag' });
  await expect(page.getByRole('heading', { name: '40 added, 0 changed, 0 unchanged' })).toBeVisible();
  await expect(grid.getByRole('row', { name: /Dock_Temperature/ })).toContainText('REAL');
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  const tags = page.getByRole('grid', { name: 'Tags of NewPanel' });
  await expect(tags.getByRole('row', { name: /Dock_Temperature/ })).toContainText('%MW704');
  await page.keyboard.press('Control+Z');
  await expect(page.getByText('NewPanel has no tags yet')).toBeVisible();
  await page.keyboard.press('Control+Y');
  await expect(tags.getByRole('row', { name: /Dock_States/ })).toContainText('WORD ×4');
  await page.getByRole('button', { name: 'Meaning' }).click();
  await page.getByLabel('Names that contain').fill('load_01');
  await expect(tags.getByRole('row', { name: /Dock_Load_01/ })).toContainText('0–27648 = 0–1250.5');
  await expectStored(page);
});

test('the controller’s globals in both formats of IEC are the same tags', async ({ page, app }) => {
  const project = await app.demo();
  for (const [name, format] of [
    ['plant-globals.st', 'IEC 61131-3 text'],
    ['plant-globals.xml', 'PLCopen XML'],
  ] as const) {
    await page.goto(`${app.url}/p/${project}/tags/plantctl/bring-in`);
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: choose }).click(),
    ]);
    await chooser.setFiles(demoFile(name));
    await expect(page.getByText(format, { exact: true })).toBeVisible();
    await expect(page.getByRole('heading', { name: /^0 added, 0 changed, \d+ unchanged$/ })).toBeVisible();
  }
});

test('next month’s list: four changed, two gone that are bound and named first, three new', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/tags/dockpanel/bring-in`);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: choose }).click(),
  ]);
  await chooser.setFiles(demoFile('dock-panel-tags-next.csv'));
  await pick(page.getByRole('group', { name: 'Columns of the file' }), 'Type', 5);
  await expect(page.getByRole('heading', { name: '3 added, 4 changed, 2 dropped, 34 unchanged' })).toBeVisible();
  const rows = page.getByRole('grid', { name: 'What becomes of each tag' }).getByRole('row');
  await expect(rows.nth(1)).toContainText('Lamp_Test');
  await expect(rows.nth(1)).toContainText('Dock panel tags, Lamp_Test');
  await expect(rows.nth(2)).toContainText('Dock_Count_12');
  await expect(rows.nth(3)).toContainText('changed');
  // What goes is kept for once, and one change is left out by its row.
  await page.getByRole('checkbox', { name: /drop the 2/ }).press('Space');
  await rows.filter({ hasText: 'Dock_Count_02' }).getByText('yes').click();
  await expect(
    page.getByRole('heading', { name: /3 added, 3 changed, 0 dropped, 34 unchanged, 1 left out/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('grid', { name: 'Imported files' })).toContainText('3 added, 3 changed, 0 dropped');
  await expectStored(page);
});

test('what cannot be taken says why: no file of tags, an open quotation mark, entities in XML', async ({
  page,
  app,
}) => {
  const project = await app.create('Bad files');
  await app.change(project, {
    id: 's',
    label: 's',
    changes: [
      {
        kind: 'station',
        id: 'one',
        path: [],
        after: { id: 'one', order: 1, name: 'One', roles: ['controller'], profile: null, party: 'own' },
      },
    ],
  });
  await page.goto(`${app.url}/p/${project}/tags/one/bring-in`);
  const bring = async (name: string, text: string | Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: /Choose a file|Another file/ }).click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  };
  await bring('a.csv', 'Name;Type\nA;"INT\n');
  await expect(page.getByRole('alert')).toContainText('a quotation mark is not closed');
  await bring('b.xml', '<!DOCTYPE p [<!ENTITY a "b">]><project>&a;</project>');
  await expect(page.getByRole('alert')).toContainText('a document type is declared');
  await bring('c.xlsx', Buffer.from('PK no workbook'));
  await expect(page.getByRole('alert')).toContainText('a workbook that cannot be read');
  await bring('d.csv', '');
  await expect(page.getByRole('alert')).toContainText('d.csv is empty');
  await bring('e.st', 'VAR_GLOBAL\nA : INT;\nB INT;\n');
  await expect(page.getByRole('grid', { name: 'What becomes of each tag' })).toContainText('END_VAR');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('or drop it here')).toBeVisible();
});

test('48 points from one sample, bound by exact name, the one in wrong case found, the rest waived', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  // The simulator's lanes are taken out, so that they are made anew from the two lists.
  const file = JSON.parse(await app.file(project)) as {
    lanes: { id: string; exchange: string }[];
    claims: { lane: string }[];
  };
  const lanes = file.lanes.filter((lane) => lane.exchange === 'trial');
  const ids = new Set(lanes.map((lane) => lane.id));
  const claims = file.claims.filter((claim) => ids.has(claim.lane)) as { id: string; lane: string }[];
  await app.change(project, {
    id: 'unbind',
    label: 'Unbind the trial',
    changes: [
      ...claims.map((claim) => ({ kind: 'claim' as const, id: claim.id, path: [], before: claim })),
      ...lanes.map((lane) => ({ kind: 'lane' as const, id: lane.id, path: [], before: lane })),
    ],
  });
  await page.goto(`${app.url}/p/${project}/tags/aislesim`);
  await expect(page.getByText('72 tags, 0 bound, 0 not used, 72 unmatched')).toBeVisible();
  // Six more by a sample; they are nowhere in the controller.
  await page.getByRole('button', { name: 'New series' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('First name').fill('Gate_9');
  await dialog.getByLabel('Points').fill('3');
  await expect(dialog.getByRole('table')).toContainText('Gate_10');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await page.getByRole('link', { name: 'Match tags: Aisle trial' }).click();
  await expect(page.getByText('0 bound, 71 matched, 1 nearly, 3 unmatched at')).toBeVisible();
  const nearly = page.getByRole('row', { name: /nearly/ });
  await expect(nearly).toContainText('Aisle_see_17');
  await expect(nearly).toContainText('upper and lower case differ');
  await page.getByRole('button', { name: 'Accept 71' }).click();
  await expect(page.getByText('71 bound, 0 matched, 1 nearly')).toBeVisible();
  await nearly.getByText('Accept').click();
  await expect(page.getByText('72 bound, 0 matched, 0 nearly')).toBeVisible();
  await page.getByRole('button', { name: '3 not used …' }).click();
  await dialog.getByLabel('Because').fill('no gates in this phase');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/0 unmatched at \w+, \d+ unmatched at \w+, 3 not used/)).toBeVisible();
  // The point in wrong case is a Blocker, with the name that is there; three Hints for what is not used.
  await expectDemo(page, 0, 0, 3);
  await expectStored(page);
});

test('the meter line: why 250 ms cannot hold, and what can', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/exchanges/meters`);
  await expectDemo(page);
  await page.getByRole('button', { name: 'Poll plan' }).click();
  await expect(page.getByRole('heading', { name: 'Every 250 ms cannot hold' })).toBeVisible();
  await expect(page.getByText('one poll cycle takes 395 ms, 145 ms too long')).toBeVisible();
  await expect(page.getByText('a line at 38400 8E1 holds')).toBeVisible();
  await expect(page.getByRole('grid', { name: 'Requests to Meter1, input registers' })).toContainText('04 00 00 00 14');
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByRole('heading', { name: 'The interval holds' })).toBeVisible();
  await expectDemo(page, -1);
});

test('points of the panel: table and element by what each is, and the truth table of a contact', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/exchanges/panel/points`);
  await expectDemo(page);
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name} `) });
  await expect(row('Dock_Temperature')).toContainText('input registers');
  await expect(row('Dock_Temperature')).toContainText('number shown');
  await expect(row('Door_Open_Time')).toContainText('holding registers');
  await expect(row('Door_Open_Time')).toContainText('number entry');
  await page.goto(`${app.url}/p/${project}/exchanges/trial/points`);
  await expectDemo(page);
  await page
    .getByRole('row', { name: /^Aisle_See_02 / })
    .getByRole('gridcell')
    .nth(9)
    .click();
  const table = page.getByRole('region', { name: 'Signal path: Aisle_See_02' });
  await expect(table).toContainText('right in the simulation and in the plant');
  await page.keyboard.type('true when active');
  await page.keyboard.press('Enter');
  await expectDemo(page, 0, 1);
  await page.keyboard.press('ArrowUp');
  await expect(table).toContainText('the wrong way round in the simulation');
  await page.keyboard.press('Control+Z');
  await expectDemo(page);
});

test('beside physical inputs: what writes each byte, and the simulator moves to free bytes by a key', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/p/${await app.demo()}/tags/plantctl`);
  await expectDemo(page);
  await page.getByRole('link', { name: 'Images' }).click();
  await expect(page.getByText('AisleSim fills %IB2–%IB7, 6 bytes, where others put data, too')).toBeVisible();
  await expect(page.getByRole('row', { name: /%IB2–%IB3/ })).toContainText('Aisle trial · module In 32');
  await page.getByRole('button', { name: 'Move the simulator' }).press('Enter');
  await expect(page.getByText('AisleSim fills %IB4–%IB9, 6 bytes, beside everything else')).toBeVisible();
  await expectDemo(page, -1);
  await expectStored(page);
});

test('a series changed to fewer points says what is bound to those that go', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.demo()}/tags/aislesim`);
  await expectDemo(page);
  await page.getByRole('grid', { name: 'Series of tags' }).getByRole('gridcell', { name: 'Change' }).first().click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Points').fill('46');
  await expect(dialog.getByRole('status')).toContainText('2 tags go:');
  await expect(dialog.getByRole('status')).toContainText('Aisle_See_48, bound to Aisle trial, Aisle_See_48');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expectDemo(page);
});

/** Drops a file as the browser itself does when a mouse brings one. */
async function dropFile(page: Page, target: Locator, file: string) {
  const { x, y } = (await target.boundingBox())!;
  const browser = await page.context().newCDPSession(page);
  const data = { items: [], files: [file], dragOperationsMask: 1 };
  for (const type of ['dragEnter', 'dragOver', 'drop'] as const)
    await browser.send('Input.dispatchDragEvent', { type, x: x + 5, y: y + 5, data });
}

test('a workbook of several sheets, dropped with the mouse; the second holds the list', async ({ page, app }, info) => {
  const project = await app.demo();
  const cells = (rows: string[][]) => rows.map((row) => row.map((value) => ({ value, type: String })));
  const workbook = await writeWorkbook([
    { sheet: 'About', data: cells([['made by hand']]) },
    {
      sheet: 'Points',
      data: cells([
        ['Name', 'Type', 'Remark'],
        ['Gate_Open', 'BOOL', 'left'],
        ['Gate_Speed', 'REAL', ''],
      ]),
    },
  ]).toBuffer();
  await page.goto(`${app.url}/p/${project}/tags/dockctl/bring-in`);
  const file = info.outputPath('gates.xlsx');
  writeFileSync(file, workbook);
  await dropFile(page, page.getByText('or drop it here'), file);
  await expect(page.getByText('XLSX', { exact: true })).toBeVisible();
  await pick(page, 'sheet', 'Points');
  await expect(page.getByRole('heading', { name: /^2 added, 0 changed/ })).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  const tags = page.getByRole('grid', { name: 'Tags of DockCtl' });
  await expect(tags.getByRole('row', { name: /Gate_Speed/ })).toContainText('REAL');
  // Brought out as a workbook and in again, nothing changes.
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: 'Export as a file' })
      .click()
      .then(() => page.getByRole('menuitem', { name: 'XLSX' }).click()),
  ]);
  const written = await download.path();
  await page.getByRole('button', { name: 'Import file' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: choose }).click(),
  ]);
  await chooser.setFiles({ name: 'dockctl-tags.xlsx', mimeType: 'application/zip', buffer: readFileSync(written) });
  await expect(page.getByRole('heading', { name: /^0 added, 0 changed, \d+ unchanged$/ })).toBeVisible();
});

test('filled down with Ctrl+D, names and addresses go on, by two words for a REAL', async ({ page, app }) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/tags/plantctl`);
  const grid = page.getByRole('grid', { name: 'Tags of PlantCtl' });
  await grid.getByRole('gridcell').first().click();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Home');
  for (let i = 0; i < 3; i++) await page.keyboard.type(`Spare_${i}`).then(() => page.keyboard.press('Enter'));
  await page.getByLabel('Names that contain').fill('Spare_');
  const row = (name: string) => grid.getByRole('row', { name: new RegExp(name) });
  await expect(row('Spare_2')).toBeVisible();
  await grid.getByRole('gridcell', { name: 'Spare_0' }).click();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.type('REAL');
  await page.keyboard.press('Tab');
  await page.keyboard.type('%MW3000');
  await page.keyboard.press('Enter');
  await expect(row('Spare_0')).toContainText('%MW3000');
  await grid.getByRole('gridcell', { name: 'REAL' }).click();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+D');
  await expect(row('Spare_1')).toContainText('%MW3002');
  await expect(row('Spare_2')).toContainText('%MW3004');
  await expectStored(page);
});
