/// <reference lib="webworker" />
import { clientsClaim, cacheNames } from 'workbox-core'
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  getCacheKeyForURL,
  matchPrecache,
  precacheAndRoute,
} from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'
import { PAGE, ROUND_CACHE, TAG } from './api/names'
import { kept } from './outbox/box'
import { sendAll } from './outbox/sendAll'

declare let self: ServiceWorkerGlobalScope

// Page and core of one version are kept together: all of them, or the version before.
const files = self.__WB_MANIFEST
precacheAndRoute(files)
cleanupOutdatedCaches()
clientsClaim()

registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//, /^\/healthz/] }),
)

/** What a round or a count needs of the server: as it is now, or else as it was last seen. */
registerRoute(
  /\/api\/(start|jobs\/[^/]+\/visit|yards\/[^/]+$)/,
  new NetworkFirst({
    cacheName: ROUND_CACHE,
    networkTimeoutSeconds: 4,
    plugins: [
      {
        fetchDidSucceed: ({ response }) => {
          if (response.status >= 500) throw new Error('a proxy answered for the server')
          return Promise.resolve(response)
        },
        cacheWillUpdate: ({ response }) => Promise.resolve(response.ok ? asKept(response) : null),
      },
    ],
  }),
)

/** Whether all of this version is there; what the browser has thrown out is fetched again. */
async function whole() {
  const cache = await caches.open(cacheNames.precache)
  for (const file of files) {
    const url = typeof file === 'string' ? file : file.url
    if (!(await matchPrecache(url))) await cache.add(getCacheKeyForURL(url)!)
  }
}

/** An answer without the page that the server had then: later that would pass for a newer one. */
function asKept(answer: Response) {
  const headers = new Headers(answer.headers)
  headers.delete(PAGE)
  return new Response(answer.body, { status: answer.status, headers })
}

/** Keeps what a round needs as it is now, or else has it from before. */
async function keep(url: string) {
  const cache = await caches.open(ROUND_CACHE)
  const answer = await fetch(url).catch(() => undefined)
  if (answer?.ok) await cache.put(url, asKept(answer))
  else if (!(await cache.match(url))) throw new Error(`${url} is not kept`)
}

self.addEventListener('message', (e) => {
  if (e.data === 'take over') void self.skipWaiting()
  const { ready } = e.data as { ready?: string[] }
  if (!ready) return
  const done = (is: boolean) => e.ports[0]?.postMessage(is)
  e.waitUntil(
    Promise.all([whole(), ...ready.map(keep)]).then(
      () => done(true),
      () => done(false),
    ),
  )
})

self.addEventListener('sync', (e) => {
  const sync = e as ExtendableEvent & { tag: string }
  if (sync.tag === TAG) sync.waitUntil(waken())
})

/**
 * Pages that are open send what waits; without one, it is sent from here. What still waits
 * is a failure: the browser then wakes this again, when the pages may be closed.
 */
async function waken() {
  const pages = await self.clients.matchAll({ type: 'window' })
  if (pages.length === 0) return sendAll()
  pages.forEach((p) => p.postMessage(TAG))
  if ((await kept()).length > 0) throw new Error('something waits')
}

/** A reminder of the morning (docs/api.md, Settings). */
self.addEventListener('push', (e) => {
  if (!e.data) return
  const { title, body, url } = e.data.json() as { title: string; body: string; url: string }
  e.waitUntil(
    self.registration.showNotification(title, { body, data: url, tag: 'keeler', icon: '/favicon.svg' }),
  )
})

self.addEventListener('notificationclick', (e) => {
  e.notification.close()
  e.waitUntil(lead(String(e.notification.data)))
})

/** Leads to a page: in a window that is open, or in a new one. */
async function lead(url: string) {
  const [open] = await self.clients.matchAll({ type: 'window' })
  if (!open) return self.clients.openWindow(url)
  await open.navigate(url)
  return open.focus()
}
