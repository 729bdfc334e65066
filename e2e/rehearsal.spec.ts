import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { cell, expect, expectStored, test } from './app';
import { pick } from './picking';

const run = promisify(execFile);

test('walk Compressor duty, read what one would see, mend it, walk it clean; the mark stands until an edit', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await expect(page.getByText('0 of 446 lanes rehearsed')).toBeVisible();
  const exchanges = page.getByRole('grid', { name: 'Exchanges and how far they are rehearsed' });
  await exchanges.getByRole('gridcell', { name: 'Walk of Compressor duty' }).click();
  await expect(page.getByRole('heading', { name: 'Compressor duty' })).toBeVisible();
  await page.keyboard.press('Alt+w');
  const setPoints = page.getByRole('region', { name: 'Set-points' });
  await expect(setPoints).toContainText('PlantCtl calls 10.48.10.14: nobody on Plant LAN has it');
  await expect(setPoints.getByRole('row', { name: /SuctionSetpoint/ })).toContainText('2.278E−41');
  await expect(setPoints).toContainText('the two registers are exchanged');
  await expect(setPoints.getByRole('link', { name: 'A device cannot be reached' })).toHaveAttribute(
    'href',
    /symptoms\/cannot-reach\?at=skidctl/,
  );
  await expect(page.getByRole('region', { name: 'Pressures' })).toContainText(
    'SkidCtl sends 5 words, PlantCtl takes 6',
  );

  // All that is found there is mended on the sheet, and walked again.
  await page.getByRole('link', { name: 'Both ends' }).click();
  await expect(page.getByRole('grid', { name: 'Compressor duty, both ends' })).toBeVisible();
  await page.keyboard.press('Alt+Shift+Enter');
  await expect(page.getByRole('dialog')).toContainText('Mends');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  const sheet = page.getByRole('grid', { name: 'Compressor duty, both ends' });
  await expect(sheet.getByText('agreed')).toHaveCount(5);
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await exchanges.getByRole('gridcell', { name: 'Walk of Compressor duty' }).click();
  await page.keyboard.press('Alt+w');
  await expect(page.getByText(/5 of 5 lanes rehearsed, last on revision/)).toBeVisible();
  await page.getByRole('link', { name: 'Both ends' }).click();
  await expect(sheet.getByText('rehearsed')).toHaveCount(5);

  // The mark is stored: another window sees it. An edit takes it off what it touches, and off nothing else.
  await expectStored(page);
  await page.reload();
  await expect(sheet.getByText('rehearsed')).toHaveCount(5);
  await sheet.getByRole('gridcell', { name: '%MW340', exact: true }).dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('%MW341');
  await page.keyboard.press('Enter');
  await expect(sheet.getByText('rehearsed')).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(sheet.getByText('rehearsed')).toHaveCount(5);
});

test('all lanes of a project as agreed come through; one lane is walked from its row', async ({ page, app }) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await page.getByRole('button', { name: 'Walk all bits' }).click();
  await expect(page.getByRole('heading', { name: 'Everything came through' })).toBeVisible();
  await expect(page.getByText('7 of 7 lanes rehearsed')).toBeVisible();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await cell(page, 'lane:status', 4).click();
  await page.keyboard.type('%MW322');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'second:status', 7)).toHaveCount(0);
  await cell(page, 'lane:status', 4).click();
  await page.keyboard.press('Alt+w');
  await expect(cell(page, 'second:status', 7)).toHaveText('rehearsed');
  await cell(page, 'lane:status', 6).click();
  await page.keyboard.type('REAL x2');
  await page.keyboard.press('Enter');
  await cell(page, 'lane:status', 6).click();
  await page.keyboard.press('Alt+w');
  await expect(page.getByText(/Skid status could not be walked: .*raw registers/)).toBeVisible();
});

test('the value lab: what was seen leads to the lane that swaps', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/wiring`);
  await expect(page.getByRole('heading', { name: 'Wiring' })).toBeVisible();
  await page.keyboard.press('Control+Shift+V');
  const lab = page.getByRole('complementary', { name: 'Value lab' });
  await lab.getByLabel('Seen').fill('2.278E-41');
  await lab.getByLabel('Expected').fill('1.0');
  await expect(lab.getByText('the two registers are exchanged').first()).toBeVisible();
  await lab.getByRole('link', { name: 'Set-points of Compressor duty' }).click();
  await expect(page.getByRole('grid', { name: 'Compressor duty, both ends' })).toBeVisible();
  await expect(lab).toBeVisible();
  await lab.getByLabel('Expected').fill('');
  await lab.getByLabel('Seen').fill('0 16256');
  await expect(lab.getByRole('row').nth(1)).toContainText('1.0REALregisters exchanged');
  await lab.getByLabel('Seen').fill('nothing of use');
  await expect(lab).toContainText('registers in decimal');
  await lab.getByLabel('Seen').press('Escape');
  await expect(lab).toBeHidden();
});

test('another program reads the pressures of the skid and sets a permissive there; two windows see it', async ({
  page,
  app,
  context,
}) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await page.getByRole('button', { name: 'Let it run' }).click();
  const who = page.getByRole('grid', { name: 'Who stands where' });
  const typed = (await who
    .getByRole('row', { name: /SkidCtl/ })
    .getByRole('gridcell')
    .nth(3)
    .textContent())!;
  const [host, port] = typed.split(':') as [string, string];
  const poll = (...args: string[]) => run('mbpoll', ['-m', 'tcp', '-p', port, '-a', '255', '-q', ...args]);

  const other = await context.newPage();
  for (const window of [page, other]) await window.goto(`${app.url}/p/${project}/rehearsal/duty`);
  const now = page.getByRole('grid', { name: 'Values at both ends' });
  await now.getByRole('row', { name: /SuctP/ }).getByRole('gridcell').nth(1).click();
  await page.keyboard.type('2.31');
  await page.keyboard.press('Enter');
  await expect(now.getByRole('row', { name: /SuctP/ }).getByRole('gridcell').nth(3)).toHaveText('2.31');
  expect((await poll('-t', '4:float', '-r', '1265', '-c', '1', '-1', host)).stdout).toMatch(/\[1265\]:\s+2\.31/);
  await poll('-t', '4', '-r', '1261', host, '17');
  for (const window of [page, other]) {
    const row = window.getByRole('grid', { name: 'Values at both ends' }).getByRole('row', { name: /Stat at SkidCtl/ });
    await expect(row.getByRole('gridcell').nth(3)).toContainText('16#0011');
  }
  // The same on the two-ended sheet, under each lane; another value is typed there.
  await other.goto(`${app.url}/p/${project}/exchanges/duty`);
  const sheet = other.getByRole('grid', { name: 'Compressor duty, both ends' });
  await expect(cell(other, 'now:status 0:', 1)).toHaveText('Skid status');
  await expect(cell(other, 'now:status 0:', 4)).toContainText('16#0011');
  await cell(other, 'now:pressures 0:pressures-b', 11).click();
  await other.keyboard.type('11.74');
  await other.keyboard.press('Enter');
  await expect(cell(other, 'now:pressures 0:pressures-b', 4)).toHaveText('11.74');
  // Alt+S on the row of a lane: what it sends now is written over.
  await cell(other, 'lane:pressures', 1).click();
  await other.keyboard.press('Alt+s');
  await other.keyboard.type('16#2');
  await other.keyboard.press('Enter');
  await expect(cell(other, 'now:pressures 0:pressures-a', 4)).toHaveText('2.0');
  await other.keyboard.press('Alt+l');
  await expect(cell(other, 'now:pressures 0:pressures-b', 7)).toContainText('held');
  await other.keyboard.press('Alt+l');
  await expect(cell(other, 'now:pressures 0:pressures-b', 7)).not.toContainText('held');
  await expect(sheet.getByRole('gridcell', { name: 'agreed' })).toHaveCount(5);
  await now.getByRole('row', { name: /SuctP/ }).getByRole('gridcell').nth(1).click();
  await page.keyboard.type('much');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText('“much” cannot be set; a number is set: 12.5, −3, 16#1234, 2#1010; or it moves'),
  ).toBeVisible();
  // What moves is typed, too.
  await now.getByRole('row', { name: /SuctP/ }).getByRole('gridcell').nth(1).click();
  await page.keyboard.type('square 1 and 3 every 10 min');
  await page.keyboard.press('Enter');
  await expect(now.getByRole('row', { name: /SuctP/ }).getByRole('gridcell').nth(3)).toHaveText('1.0');
  // What comes to a station goes back.
  await now
    .getByRole('row', { name: /Stat at SkidCtl/ })
    .getByRole('gridcell')
    .nth(1)
    .click();
  await page.keyboard.type('echo Permit');
  await page.keyboard.press('Enter');
  await now
    .getByRole('row', { name: /Permissives at PlantCtl/ })
    .getByRole('gridcell')
    .nth(1)
    .click();
  await page.keyboard.type('16#0021');
  await page.keyboard.press('Enter');
  await expect(
    now
      .getByRole('row', { name: /Stat at SkidCtl/ })
      .getByRole('gridcell')
      .nth(3),
  ).toContainText('16#0021');
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await expect(page.getByText('Stat at SkidCtl is set by hand: echo Permit')).toBeVisible();
  await expect(page.getByText('SuctP at SkidCtl is set by hand: square 1 and 3 every 600 s')).toBeVisible();
  await page.getByRole('button', { name: 'Take the hand off SuctP at SkidCtl' }).click();
  await expect(page.getByText('SuctP at SkidCtl is set by hand')).toBeHidden();
  // Time stands, and goes on step by step.
  const time = page.getByRole('group', { name: 'Time of the plant' });
  await time.getByRole('button', { name: 'stands' }).click();
  const at = async () => Number(/at ([\d.]+) s/.exec((await time.textContent())!)![1]);
  await expect(time).toContainText('on by');
  const before = await at();
  await time.getByRole('button', { name: '100 ms', exact: true }).click();
  await expect.poll(at).toBeCloseTo(before + 0.1, 3);
  await time.getByRole('button', { name: 'as outside' }).click();
  // Another program takes a part; only one of this computer is ever called.
  const parts = page.getByRole('grid', { name: 'What can be cut and stopped' });
  const hand = async (address: string) => {
    await parts.getByRole('gridcell', { name: 'Hand SkidCtl to another program' }).click();
    await page.getByLabel('It answers at').fill(address);
    await page.keyboard.press('Enter');
  };
  await hand('10.48.10.12:502');
  await expect(page.getByText('10.48.10.12 is not this computer')).toBeVisible();
  await hand('127.0.0.1:1502');
  await expect(page.getByText('SkidCtl is played by another program at 127.0.0.1:1502')).toBeVisible();
  await expect(who.getByRole('row', { name: /SkidCtl/ })).toBeHidden();
  await page.getByRole('button', { name: 'Take SkidCtl back' }).click();
  await expect(who.getByRole('row', { name: /SkidCtl/ })).toBeVisible();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('button', { name: 'Let it run' })).toBeVisible();
});

test('a link that is cut: three truths, and what the fans do when it is joined', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await page.getByRole('button', { name: 'Let it run' }).click();
  const parts = page.getByRole('grid', { name: 'What can be cut and stopped' });
  await parts.getByRole('gridcell', { name: 'Cut the link of EvapHead' }).click();
  await expect(parts.getByRole('row', { name: /EvapHead/ })).toContainText('cut');
  await page.getByRole('gridcell', { name: 'Walk of Evaporator I/O' }).click();
  const now = page.getByRole('grid', { name: 'Values at both ends' });
  await expect(now).toContainText('the program of PlantCtl believes:');
  await expect(now).toContainText('the status says:');
  await expect(now).toContainText('EvapHead has it as it ');
  await page.goBack();
  await parts.getByRole('gridcell', { name: 'Join the link of EvapHead' }).click();
  await expect(page.getByRole('dialog', { name: 'Join the link of EvapHead' })).toContainText('Evaporator I/O:');
  await page.keyboard.press('Enter');
  await expect(parts.getByRole('gridcell', { name: 'Cut the link of EvapHead' })).toBeVisible();
  // A load stops a controller until somebody starts it; a panel goes on by itself.
  await parts.getByRole('gridcell', { name: 'Load DockPanel' }).click();
  await parts.getByRole('gridcell', { name: 'Load PlantCtl' }).click();
  await expect(parts.getByRole('row', { name: /PlantCtl/ })).toContainText('stopped');
  await expect(parts.getByRole('row', { name: /DockPanel/ })).toContainText('runs');
  await parts.getByRole('gridcell', { name: 'Start PlantCtl' }).click();
  await expect(parts.getByRole('row', { name: /PlantCtl/ })).toContainText('runs');
});

test('a start handshake is traced, with its times, and kept as CSV', async ({ page, app }) => {
  const project = await app.agreed();
  await page.goto(`${app.url}/p/${project}/rehearsal/duty/trace`);
  await expect(page.getByRole('checkbox', { name: 'Permissives at PlantCtl' })).toBeChecked();
  for (const name of ['SuctionSetpoint at PlantCtl', 'SuctSP at SkidCtl', 'Skid status at PlantCtl'])
    await page.getByRole('checkbox', { name, exact: true }).press('Space');
  await pick(page, 'Value that is set', 'Permissives at PlantCtl');
  await pick(page, 'What comes in', 'Permit at SkidCtl');
  await pick(page, 'What goes back', 'Stat at SkidCtl');
  await page.getByLabel('Milliseconds', { exact: true }).fill('150');
  await page.getByRole('button', { name: 'Trace' }).click();
  const trace = page.getByRole('img', { name: /^Trace over 1000 ms/ });
  await expect(trace).toHaveAccessibleName(/Permissives at PlantCtl: 0 at 0 ms, 1 at 150 ms/);
  await expect(trace).toHaveAccessibleName(/Permit at SkidCtl: 0 at 0 ms, 1 at 200 ms/);
  await expect(trace).toHaveAccessibleName(/Skid status at PlantCtl: 0 at 0 ms, 1 at 300 ms/);
  await trace.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByText('cursors at 150 ms and 300 ms: 150 ms apart')).toBeVisible();
  const address = (await page.getByRole('link', { name: 'As CSV' }).getAttribute('href'))!;
  expect(decodeURIComponent(address.split(',').slice(1).join(','))).toContain(
    'ms,"Permissives at PlantCtl","Permit at SkidCtl","Skid status at PlantCtl"\n0,0,0,0\n150,1,0,0\n200,1,1,0\n300,1,1,1\n',
  );
});
