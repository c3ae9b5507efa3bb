import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { FLOOR_PAGES, isFloorPage } from './floorPages';

declare const self: { skipWaiting(): Promise<void> };

/**
 * What stays on the device of a floor: pages of rail, block and wrap table as they were seen last, and the files they need.
 * The network comes first; only when it does not answer is a page shown as it was, and it says so itself.
 */

/** A page that the house has not sent by then is shown as it was. */
const PATIENCE_SECONDS = 10;
/** Orders of a long day, and the lists they are chosen from. */
const MOST_PAGES = 80;
const MOST_FILES = 500;

void self.skipWaiting();
clientsClaim();

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
  new CacheFirst({
    cacheName: 'fractum-files',
    plugins: [
      new CacheableResponsePlugin({ statuses: [200] }),
      new ExpirationPlugin({ maxEntries: MOST_FILES, purgeOnQuotaError: true }),
    ],
  }),
);

registerRoute(
  ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && isFloorPage(url.pathname),
  new NetworkFirst({
    cacheName: FLOOR_PAGES,
    networkTimeoutSeconds: PATIENCE_SECONDS,
    matchOptions: { ignoreVary: true },
    plugins: [
      // Whoever is led elsewhere, to sign in for example, has not seen the page.
      {
        cacheWillUpdate: async ({ response }) =>
          response.status === 200 && !response.redirected ? response : null,
      },
      new ExpirationPlugin({ maxEntries: MOST_PAGES, purgeOnQuotaError: true }),
    ],
  }),
);
