import type { Page } from '@playwright/test';

/**
 * Has the page note its longest task from here on, as the browser counts them: those over 50 ms. What went before is
 * done first: a task is told of after it has ended, and would count for what comes now.
 */
export async function noteLongTasks(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(
    () =>
      new Promise<void>((idle) => {
        const next = (then: () => void) => requestIdleCallback(then, { timeout: 1000 });
        next(() => next(() => idle()));
      }),
  );
  await page.evaluate(() => {
    const store = window as unknown as { longest: number; noting?: PerformanceObserver };
    store.longest = 0;
    store.noting ??= new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) store.longest = Math.max(store.longest, entry.duration);
    });
    store.noting.observe({ type: 'longtask' });
  });
  return () => page.evaluate(() => (window as unknown as { longest: number }).longest);
}
