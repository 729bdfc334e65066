import type { Page } from '@playwright/test';
import { middle, type Row } from './row.js';
import type { Server } from './server-process.js';

const MOST_TICK_MS = 50;

/** From the key that says that a point was seen to the next point on screen, with no server; the middle of many. */
export async function pointTickRow(page: Page, server: Server): Promise<Row> {
  const { id } = (await (
    await fetch(`${server.url}/projects/demo`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ demo: 'kestrel-quay-as-agreed' }),
    })
  ).json()) as { id: string };
  await page.goto(`${server.page}/p/${id}/site/points`);
  await page.getByRole('textbox', { name: 'Your edits are signed' }).fill('bench');
  await page.getByRole('grid', { name: 'Points' }).focus();
  await page.keyboard.press('r');
  await page.getByRole('button', { name: 'Seen, next' }).waitFor();
  await page.context().setOffline(true);
  const times: number[] = [];
  for (let i = 0; i < 40; i++) {
    await page.evaluate(() => {
      const hand = () => document.querySelector('[aria-label="The point at hand"]')?.textContent;
      const before = hand();
      const store = window as unknown as { shownAfter: Promise<number> };
      store.shownAfter = new Promise((resolve) => {
        document.addEventListener(
          'keydown',
          () => {
            const start = performance.now();
            const look = () => (hand() !== before ? resolve(performance.now() - start) : requestAnimationFrame(look));
            requestAnimationFrame(look);
          },
          { once: true, capture: true },
        );
      });
    });
    await page.keyboard.press('y');
    times.push(await page.evaluate(() => (window as unknown as { shownAfter: Promise<number> }).shownAfter));
  }
  await page.context().setOffline(false);
  const ms = middle(times);
  return {
    work: 'a point said to be seen, with no server: the next one on screen',
    figure: `${ms.toFixed(0)} ms`,
    aim: `under ${MOST_TICK_MS} ms`,
    met: ms < MOST_TICK_MS,
  };
}
