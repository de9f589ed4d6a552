/// <reference lib="webworker" />
import { PrecacheController, PrecacheRoute, cleanupOutdatedCaches } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'

// Keeps all of Drumlin in the browser, so that it opens and works without its server.
declare const self: ServiceWorkerGlobalScope & {
  readonly __WB_MANIFEST: readonly { readonly url: string; readonly revision: string | null }[]
}

/** So many parts are fetched at once: one after the other it took twice as long. */
const LANES = 6

const parts = self.__WB_MANIFEST
const kept = new PrecacheController()
kept.addToCacheList([...parts])
/** The same parts dealt out: each lane fetches its own, all into the one cache. */
const lanes = Array.from({ length: LANES }, (_, lane) => {
  const controller = new PrecacheController()
  controller.addToCacheList(parts.filter((__, i) => i % LANES === lane))
  return controller
})

self.addEventListener('install', (event) =>
  event.waitUntil(Promise.all(lanes.map((lane) => lane.install(event)))),
)
self.addEventListener('activate', (event) => event.waitUntil(kept.activate(event)))
// A newer Drumlin waits until it is asked for: two are never mixed in one page.
self.addEventListener('message', ({ data }: ExtendableMessageEvent) => {
  if ((data as { type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})

cleanupOutdatedCaches()
registerRoute(new PrecacheRoute(kept))
registerRoute(
  new NavigationRoute(kept.createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/demo\//, /^\/device\//, /^\/assets\//, /\.json$/],
  }),
)
// Whether a first visit lays the examples out is the server’s to say, as long as it answers.
registerRoute(/\/start\.json$/, new NetworkFirst())
