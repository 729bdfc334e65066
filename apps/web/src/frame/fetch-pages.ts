import type { RouteObject } from 'react-router';
import { idle } from '../page/idle';

const KEY = 'dialoga.fetched';

/**
 * Fetches every page while there is nothing else to do: each opens at once then, and also while the server is away. Once for a
 * window and a build of the application, by its address: after a reload they are in the browser's store.
 */
export async function fetchPagesOnce(build: string, routes: readonly RouteObject[]): Promise<void> {
  if (sessionStorage.getItem(KEY) === build) return;
  if (await fetchPages(routes)) sessionStorage.setItem(KEY, build);
}

/** One that cannot be fetched is fetched when it is gone to; then it is not all. */
async function fetchPages(routes: readonly RouteObject[]): Promise<boolean> {
  let all = true;
  for (const { lazy, children } of routes) {
    if (typeof lazy === 'function') {
      await idle();
      const fetched = await Promise.resolve(lazy()).then(
        () => true,
        () => false,
      );
      all &&= fetched;
    }
    all = (await fetchPages(children ?? [])) && all;
  }
  return all;
}
