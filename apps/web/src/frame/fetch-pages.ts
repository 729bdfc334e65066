import type { RouteObject } from 'react-router';

const idle = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve());
    else setTimeout(resolve, 200);
  });

/**
 * Fetches every page while there is nothing else to do: each opens at once then, and also while the server is away.
 * One that cannot be fetched is fetched when it is gone to.
 */
export async function fetchPages(routes: readonly RouteObject[]): Promise<void> {
  for (const { lazy, children } of routes) {
    if (typeof lazy === 'function') {
      await idle();
      await Promise.resolve(lazy()).catch(() => undefined);
    }
    await fetchPages(children ?? []);
  }
}
