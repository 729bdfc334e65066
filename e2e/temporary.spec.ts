import { expect, expectDemo, test } from './app';

test('a value that is held and an own adapter stand in one list, are found, and are undone from there', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await page.getByRole('button', { name: 'Let it run' }).click();
  await page.getByRole('gridcell', { name: 'Walk of Compressor duty' }).click();
  const now = page.getByRole('grid', { name: 'Values at both ends' });
  await now.getByRole('row', { name: /SuctP/ }).getByRole('gridcell').nth(1).click();
  await page.keyboard.type('2.31');
  await page.keyboard.press('Enter');
  await expectDemo(page, 0, 0, 1);

  // The service computer is given another address for a while; what it had is kept.
  await page.goto(`${app.url}/p/${project}/stations/servicelaptop`);
  await page.getByRole('button', { name: 'Use this address' }).press('Enter');
  await expect(page.getByText('To set back when the work is done')).toBeVisible();

  await page.goto(`${app.url}/p/${project}/site/temporary`);
  const list = page.getByRole('grid', { name: 'Temporary things' });
  await expect(list.getByRole('row', { name: /SuctP at SkidCtl: held at/ })).toContainText('Take the hand off');
  await expect(list.getByRole('row', { name: /adapter/ })).toContainText('set it back to');
  await page.goto(`${app.url}/p/${project}/findings`);
  await expect(page.getByText(/SuctP at SkidCtl: held at .*: held in rehearsal since/).first()).toBeVisible();
  await page.goBack();

  // One more, by hand; then all are undone, by their keys, and nothing is left.
  await list.focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Home');
  await page.keyboard.type('Fan 2 held on at its own panel');
  await page.keyboard.press('Enter');
  const parts = page.getByRole('navigation', { name: 'Parts of the work on site' });
  await expect(parts).toContainText('3 to undo');
  for (let left = 2; left >= 0; left--) {
    await list
      .getByRole('gridcell', { name: /^Undo: / })
      .first()
      .click();
    if (left > 0) await expect(parts).toContainText(`${left} to undo`);
    else await expect(parts).not.toContainText('to undo');
  }
  await expectDemo(page);
  await page.goto(`${app.url}/p/${project}/rehearsal`);
  await expect(page.getByText('To be undone')).toBeHidden();
  await page.getByRole('button', { name: 'End it' }).click();
});
