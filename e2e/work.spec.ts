import { expect, expectStored, test } from './app';

test('the order of work: done as far as the first load, one too early, one that failed, and a change that brings steps back', async ({
  page,
  app,
}) => {
  test.setTimeout(180_000);
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/site/work`);
  const grid = page.getByRole('grid', { name: 'Order of work' });
  const parts = page.getByRole('navigation', { name: 'Parts of the work on site' });
  await expect(parts).toContainText(/0 of \d+ done/);
  await expect(grid).toBeFocused();
  const row = (what: string | RegExp) => grid.getByRole('row', { name: what });

  // Too early: refused with the step that comes first and why; cancelled, nothing is said.
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('y');
  const early = page.getByRole('dialog', { name: 'Not its turn yet' });
  await expect(early).toContainText(
    'Step 2 comes after step 1, “Set first adapter of ServiceLaptop to 10.48.10.200/24 for Plant LAN”: only an adapter in that network sees it.',
  );
  await expect(early.getByRole('button', { name: 'Take it all the same' })).toBeDisabled();
  await page.keyboard.press('Escape');
  await expect(parts).toContainText(/0 of \d+ done/);

  // One after the other, as far as the first load: 42 steps by one key each.
  await grid.focus();
  await page.keyboard.press('Control+Home');
  for (let step = 1; step <= 42; step++) {
    await page.keyboard.press('y');
    await page.keyboard.press('ArrowDown');
  }
  await expect(parts).toContainText('42 of 88 done');
  const panel = page.getByRole('region', { name: 'Step 43' });
  await expect(panel).toContainText('Set PlantCtl to run: it does not start by itself');
  await expect(panel).toContainText('the load stops it');
  await page.keyboard.press('ArrowUp');
  const load = page.getByRole('region', { name: 'Step 42' });
  await expect(load).toContainText('it stops, and its outputs go off');
  await expect(load).toContainText('EvapHead says that PlantCtl is missing until step 43');

  // One fails: what was seen is kept, and it leads to the symptom at that station.
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('n');
  await expect(
    page.getByRole('dialog', { name: 'What was seen' }).getByRole('button', { name: 'It failed' }),
  ).toBeDisabled();
  await page.keyboard.type('its lamp stays red');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'It was loaded, and nothing runs' })).toBeVisible();
  await expect(page).toHaveURL(/at=plantctl/);
  await page.goBack();
  await expect(row(/Set PlantCtl to run/)).toContainText('failed');
  await expectStored(page);

  const show = async (what: string) => {
    await page.getByRole('button', { name: /Show$/ }).and(page.locator('[aria-haspopup]')).click();
    await page.getByRole('option', { name: what }).click();
    await grid.focus();
    await page.keyboard.press('Control+Home');
  };
  await show('what is left');

  // An address changed in another window: exactly its step comes back.
  await app.change(project, {
    id: 'moved',
    label: 'Moved',
    changes: [{ kind: 'port', id: 'port-brinertu', path: ['address'], before: '10.48.10.31', after: '10.48.10.33' }],
  });
  await expect(row(/Give BrineRtu the address 10\.48\.10\.33/)).toContainText('changed since');
  await expect(parts).toContainText('41 of 88 done');
  // What PlantCtl holds of an exchange: it is loaded with the changes only, and its partner merely warns.
  await app.change(project, {
    id: 'slower',
    label: 'Slower',
    changes: [{ kind: 'exchange', id: 'duty', path: ['cadence'], before: 100, after: 500 }],
  });
  await expect(page.getByRole('status', { name: 'Loaded again' })).toContainText(
    'PlantCtl to be loaded with the changes only',
  );
  await expect(row(/Load PlantCtl, only what changed: its end of Compressor duty/)).toContainText('changed since');

  // Only what is left and can be done now, of one supplier; then by layers, and on paper.
  await show('what can be done now');
  await expect(row(/Give BrineRtu the address/)).toBeVisible();
  await expect(row(/Connect PlantCtl with SkidCtl: Compressor duty/)).toBeHidden();
  await page.getByRole('button', { name: /As$/ }).click();
  await page.getByRole('option', { name: 'what goes at the same time' }).click();
  await expect(grid).toContainText(/Layer \d+: \d+ steps that wait for none of each other/);
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('table', { name: 'Order of work' }).getByRole('row')).toHaveCount(90);
});

test('a step before its turn is taken with a name', async ({ page, app }) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/site/work`);
  const grid = page.getByRole('grid', { name: 'Order of work' });
  await expect(grid).toBeFocused();
  await expect(grid.getByRole('row', { name: /Look what is on Plant LAN/ })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('y');
  await page.getByLabel('Why').fill('seen yesterday with another computer');
  await page.getByLabel('Name').fill('R. Imhof');
  await page.keyboard.press('Enter');
  await expect(grid.getByRole('row', { name: /Look what is on Plant LAN/ })).toContainText('R. Imhof');
  await page.keyboard.press('s');
  await page.keyboard.type('was only a look');
  await page.keyboard.press('Enter');
  await expect(grid.getByRole('row', { name: /Look what is on Plant LAN/ })).toContainText('skipped');
  await page.keyboard.press('Control+z');
  await expect(grid.getByRole('row', { name: /Look what is on Plant LAN/ })).not.toContainText('skipped');
});
