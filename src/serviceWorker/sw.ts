/// <reference lib="webworker" />
import { CacheFirst, NetworkFirst, Serwist } from 'serwist';
import type { PrecacheEntry, SerwistGlobalConfig } from 'serwist';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[];
  }
}
declare const self: ServiceWorkerGlobalScope;

/**
 * Keeps the app usable with no network: pages, scripts and fonts of a build are kept on the first visit. Ids stand in
 * the query of an address, so a page is found whatever its query says.
 */
const worker = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    // What moves between pages is another answer under the same path: it is told by this parameter.
    ignoreURLParametersMatching: [/^(?!_rsc$).*/],
    plugins: [
      {
        // A worker's script is told its chunks in the hash of its address, which a kept answer would lose.
        handlerWillRespond: ({ request, response }) =>
          Promise.resolve(
            /turbopack-worker-[^/]*\.js/.test(request.url) ? new Response(response.body, response) : response,
          ),
      },
    ],
  },
  skipWaiting: true,
  clientsClaim: true,
  navigationPreload: false,
  runtimeCaching: [
    {
      // What moves between pages within the app; without a network the page itself is loaded instead.
      matcher: ({ request, sameOrigin }) => sameOrigin && request.headers.get('RSC') === '1',
      handler: new NetworkFirst({
        cacheName: 'between-pages',
        networkTimeoutSeconds: 4,
        plugins: [
          // An answer of another kind tells the page to load the whole place, which is kept.
          {
            handlerDidError: () =>
              Promise.resolve(new Response('', { headers: { 'Content-Type': 'text/plain' } })),
          },
        ],
      }),
    },
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({ cacheName: 'files' }),
    },
  ],
});

worker.addEventListeners();
