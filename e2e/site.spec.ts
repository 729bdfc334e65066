import { expect, test } from './app';

test('a symptom in words leads to its causes, what this plan shows first, with both values and the place', async ({
  page,
  app,
}) => {
  const project = await app.demo();
  await page.goto(`${app.url}/p/${project}/overview`);
  await page.getByRole('link', { name: /^Findings: \d/ }).waitFor();
  await page.keyboard.press('Control+K');
  await page.keyboard.type('no tags found');
  await expect(page.getByRole('option', { name: /The list of tags is empty/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'The list of tags is empty' })).toBeVisible();
  const causes = page.getByRole('list', { name: 'Causes, likeliest first' });
  const first = causes.getByRole('listitem').first();
  await expect(first).toContainText('The path stops at the backplane');
  await expect(first).toContainText('ROU 4');
  await expect(first).toContainText('To tell:');
  await first.getByRole('link').first().click();
  await expect(page).toHaveURL(/routes/);
  await page.goto(`${app.url}/p/${project}/symptoms`);
  await expect(page.getByRole('grid', { name: 'What is seen on site' }).getByRole('row')).toHaveCount(23);
  await page.goto(`${app.url}/p/${project}/symptoms/none`);
  await expect(page.getByText('There is no such symptom.')).toBeVisible();
});
