import { expect, type Locator, type Page } from '@playwright/test';

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The control by which something is chosen: its name is what is chosen, then its label. */
export const picker = (where: Page | Locator, label: string | RegExp): Locator =>
  where.getByRole('button', { name: typeof label === 'string' ? new RegExp(`(^| )${escaped(label)}$`, 'i') : label });

/** Chooses by the text of an option, or by which of them it is. */
export async function pick(
  where: Page | Locator,
  label: string | RegExp,
  what: string | RegExp | number,
): Promise<void> {
  const page = 'page' in where ? where.page() : where;
  await picker(where, label).click();
  // There may be other lists on the page.
  const list = page.locator('[data-trigger="Select"]');
  const option =
    typeof what === 'number'
      ? list.getByRole('option').nth(what)
      : list.getByRole('option', { name: what, exact: typeof what === 'string' });
  await option.click();
  await expect(list).toHaveCount(0);
}
