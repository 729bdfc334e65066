import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;

/** Every file of the page, as it was built; put in by `page-files`. */
declare const __PAGE_FILES__: PrecacheEntry[];

const PAGE = '/index.html';

cleanupOutdatedCaches();
// The page itself comes from the server, while that is there.
precacheAndRoute(__PAGE_FILES__, { directoryIndex: null as unknown as string, cleanURLs: false });
registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      const answer = await fetch(request).catch(() => null);
      if (answer && (answer.status < 502 || answer.status > 504)) return answer;
      return (await matchPrecache(PAGE)) ?? answer ?? Response.error();
    },
    { denylist: [/^\/api\//] },
  ),
);
// What is opened without the server is what was worked with last.
self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
