import { cell, expect, expectDemo, expectStored, test } from './app';

test('a Doubt is accepted with reason and name, by keyboard; it counts again when what it rests on changes', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  const begun = await app.file(project);
  await page.goto(`${app.url}/p/${project}/findings`);
  await expectDemo(page);
  await page.getByRole('button', { name: /^3 Doubts$/ }).press('Enter');
  const entry = page.getByRole('article').filter({ hasText: 'ADR 7' });
  const form = entry.getByRole('form', { name: 'Accept ADR 7' });

  // Without a reason, then without a name: nothing is stored, and what was typed stays.
  await form.getByLabel('Reason').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('An acceptance needs a reason; nothing was stored.')).toBeVisible();
  await page.keyboard.type('The adapter is used in the workshop only');
  await page.keyboard.press('Enter');
  await expect(page.getByText('An acceptance needs the name of who accepts it; nothing was stored.')).toBeVisible();
  await expect(form.getByLabel('Reason')).toHaveValue('The adapter is used in the workshop only');
  expect(await app.file(project)).toBe(begun);

  await page.keyboard.press('Tab');
  await page.keyboard.type('R. Vale');
  await page.keyboard.press('Enter');
  await expectDemo(page, 0, -1);
  await page.getByRole('button', { name: '1 accepted' }).press('Enter');
  await expect(entry).toContainText(
    /Accepted by R\. Vale on \d{4}-\d\d-\d\d: The adapter is used in the workshop only/,
  );
  await expectStored(page);

  // Taken back, and that undone.
  await entry.getByRole('button', { name: 'Take back' }).press('Enter');
  await expectDemo(page);
  await page.keyboard.press('Control+Z');
  await expectDemo(page, 0, -1);
  await expectStored(page);

  // It rests on both subnets; another mask makes another of one.
  await page.goto(`${app.url}/p/${project}/wiring`);
  await expectDemo(page, 0, -1);
  const loose = page.locator('[data-id="port port-servicelaptop-loose"]').getByRole('gridcell').nth(1);
  await loose.click();
  await page.keyboard.type('10.48.8.2/20');
  await page.keyboard.press('Enter');
  await expectDemo(page);
  await page.goto(`${app.url}/p/${project}/findings`);
  await expect(entry).toContainText('Was accepted by R. Vale');
  await expect(entry).toContainText('What it rested on has changed since, so it counts again.');
  await entry.getByRole('button', { name: 'Take the old acceptance out' }).press('Enter');
  await expect(entry).not.toContainText('R. Vale');
  // The name is known by now.
  await expect(entry.getByLabel('Who accepts')).toHaveValue('R. Vale');
});

test('a Blocker cannot be accepted', async ({ page, app }) => {
  await page.goto(`${app.url}/p/${await app.duty()}/findings`);
  await expect(page.getByRole('article').first()).toBeVisible();
  await expect(page.getByRole('form')).toHaveCount(0);
});

test('an acceptance is in the project file, and the command line counts without it', async ({ page, app }) => {
  const project = await app.duty();
  await page.goto(`${app.url}/p/${project}/exchanges/duty`);
  await expect(cell(page, 'lane:status', 1)).toBeVisible();
  // An address that is set for the moment only is a Doubt.
  await app.change(project, {
    id: 'moment',
    label: 'For the moment',
    changes: [{ kind: 'port', id: 'port-dockpanel', path: ['how'], after: 'temporary' }],
  });
  await page.goto(`${app.url}/p/${project}/findings`);
  const entry = page.getByRole('article').filter({ hasText: 'ADR 18' });
  await entry.getByLabel('Reason').fill('until the panel is mounted');
  await entry.getByLabel('Who accepts').fill('R. Vale');
  await page.keyboard.press('Enter');
  await expect(entry).toHaveCount(0);
  await expectStored(page);
  const file = JSON.parse(await app.file(project)) as { acceptances: { finding: string; name: string }[] };
  expect(file.acceptances).toHaveLength(1);
  expect(file.acceptances[0]).toMatchObject({ name: 'R. Vale' });
  expect(file.acceptances[0]!.finding).toContain('ADR 18');
});
