/// <reference lib="webworker" />
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'

import { keptHeader } from './api/kept'

declare const self: ServiceWorkerGlobalScope

/**
 * The page works where the kitchen is out of reach: its own files are kept when it is installed; what it last read of
 * the kitchen is shown until it is reached again. Nothing that changes the kitchen goes through here (api/outbox.ts).
 */
self.skipWaiting()
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()))
cleanupOutdatedCaches()
precacheAndRoute(self.__WB_MANIFEST)

/** Every view is the same document, in the kitchen's language and units. */
const page = new NetworkFirst({
  cacheName: 'page',
  networkTimeoutSeconds: 3,
  plugins: [{ cacheKeyWillBeUsed: async () => '/' }],
})
registerRoute(new NavigationRoute(page, { denylist: [/^\/api\//, /\.\w+$/] }))

/** What is read of the kitchen, but for files, streams and who may come in. */
const readable =
  /^\/api\/(kitchen|plan|shelf|timers|drinks(\/\d+)?|rhythm|can-make|pantry|bottles\/\d+\/story|thermometer|scale|wishes\/choices)$/
const saysSo = {
  cachedResponseWillBeUsed: async ({ cachedResponse }: { cachedResponse?: Response }) => {
    if (!cachedResponse) return undefined
    const headers = new Headers(cachedResponse.headers)
    headers.set(keptHeader, '1')
    return new Response(cachedResponse.body, { status: cachedResponse.status, headers })
  },
}

registerRoute(
  ({ url, request }) => request.method === 'GET' && url.origin === self.location.origin && readable.test(url.pathname),
  new NetworkFirst({
    cacheName: 'kitchen',
    networkTimeoutSeconds: 4,
    plugins: [saysSo, new ExpirationPlugin({ maxEntries: 200, maxAgeSeconds: 14 * 24 * 3600 })],
  }),
)
