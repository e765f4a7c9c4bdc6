/// <reference lib="webworker" />
import { keepShared, SHARED_PATH } from '../store/shared';
import { CacheFirst, NetworkFirst, Serwist } from 'serwist';
import type { PrecacheEntry, SerwistGlobalConfig } from 'serwist';
import { filledCache } from './filling';
import type { Filled } from './filling';
import { formWithin, isForeign } from './sharing';

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

self.addEventListener('fetch', (event) => {
  const { request } = event;
  if (request.method === 'POST' && new URL(request.url).pathname === SHARED_PATH)
    event.respondWith(shared(request));
});

worker.addEventListeners();

/** Files shared with the app are kept here until the page has asked what is to become of them: they go nowhere else. */
async function shared(request: Request): Promise<Response> {
  const to = (how: string): Response => Response.redirect(`/handover?part=take&shared=${how}`, 303);
  if (isForeign(request, self.location.origin)) return to('foreign');
  const form = await formWithin(request);
  return to(form && (await keepShared(form)) ? 'yes' : 'tooMuch');
}

/**
 * A page asks at every visit whether all of the app is kept: what was emptied meanwhile is filled again, for a worker that
 * lives on is not installed anew.
 */
self.addEventListener('message', (event) => {
  const { ask } = (event.data ?? {}) as { ask?: unknown };
  const [port] = event.ports;
  if (ask === 'fill' && port) event.waitUntil(keptWhole().then((answer) => port.postMessage(answer)));
});

async function keptWhole(): Promise<Filled> {
  const cache = await caches.open(worker.precacheStrategy.cacheName);
  return filledCache(cache, [...worker.getUrlsToPrecacheKeys().values()]);
}
