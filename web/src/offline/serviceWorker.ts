/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { enable as askAhead } from 'workbox-navigation-preload'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { CacheFirst, NetworkFirst } from 'workbox-strategies'
import { ANSWERED_LATE, isKept } from './kept.ts'

declare const self: ServiceWorkerGlobalScope
/** Every asset of this build, written in when it is built; their names change with what is in them. */
declare const __ASSETS__: readonly string[]

/** Long enough for a bad connection, short enough for a wet thumb. */
const PATIENCE_S = 3
const SHELL = 'shell'
const ANSWERS = 'answers'
const MOST_ANSWERS = 120

/** The page itself, so that it opens with no reception after the first visit; a phone that is not let in has none. */
self.addEventListener('install', (event) => {
  const keep = async () => {
    const answer = await fetch('/', { credentials: 'same-origin' })
    if (answer.ok && !answer.redirected) await (await caches.open(SHELL)).put('/', answer)
  }
  event.waitUntil(keep().catch(() => undefined))
})
void self.skipWaiting()
clientsClaim()
// The page is asked for while this worker still starts.
askAhead()
cleanupOutdatedCaches()
precacheAndRoute(__ASSETS__.map((url) => ({ url, revision: null })))

/** Assets of a page that is newer or older than this worker: kept as they are met. */
registerRoute(
  ({ url }) => url.origin === self.location.origin && (url.pathname.startsWith('/assets/') || url.pathname === '/mark.svg'),
  new CacheFirst({ cacheName: 'assets', plugins: [new ExpirationPlugin({ maxEntries: 200 })] }),
)

/** Pages come from the server whenever it answers, so that no old page meets a new server; the last one that came is kept for all addresses. */
registerRoute(
  new NavigationRoute(
    new NetworkFirst({
      cacheName: SHELL,
      matchOptions: { ignoreVary: true },
      networkTimeoutSeconds: PATIENCE_S,
      plugins: [
        {
          cacheKeyWillBeUsed: async () => '/',
          cacheWillUpdate: async ({ response }) =>
            response.ok && !response.redirected && (response.headers.get('Content-Type') ?? '').startsWith('text/html') ? response : null,
        },
      ],
    }),
    { denylist: [/^\/(api|pair)(\/|$)/] },
  ),
)

/** What a kitchen keeps, as it was last told: only where the server does not answer. A phone that was shut out keeps nothing. */
registerRoute(
  ({ url, request }) => request.method === 'GET' && url.origin === self.location.origin && isKept(url.pathname),
  new NetworkFirst({
    cacheName: ANSWERS,
    matchOptions: { ignoreVary: true },
    networkTimeoutSeconds: PATIENCE_S,
    plugins: [
      new ExpirationPlugin({ maxEntries: MOST_ANSWERS }),
      {
        // A slow server is answered for from what is kept; when it answers after all, and otherwise, the page is told.
        cachedResponseWillBeUsed: async ({ cachedResponse, state }) => {
          if (state) state.isKept = true
          return cachedResponse ?? null
        },
        cacheDidUpdate: async ({ oldResponse, newResponse, state }) => {
          if (!state?.isKept || (await oldResponse?.clone().text()) === (await newResponse.clone().text())) return
          for (const page of await self.clients.matchAll({ type: 'window' })) page.postMessage(ANSWERED_LATE)
        },
        fetchDidSucceed: async ({ response }) => {
          if (response.status === 401) await Promise.all([caches.delete(ANSWERS), caches.delete(SHELL)])
          return response
        },
      },
    ],
  }),
)
