/// <reference lib="webworker" />
/**
 * The service worker: the app opens without a connection. Pages come from the server where it answers and from the last time
 * where it does not; what carries its own fingerprint in its name is kept for good. Writes never pass through here.
 */
import { CacheFirst, ExpirationPlugin, NetworkFirst, NetworkOnly, Serwist, type SerwistPlugin } from 'serwist'
import { keepHandedOver, lostMark, sharedPage, sharePath } from '../ui/photo/handedStore'

declare const self: ServiceWorkerGlobalScope
/** every script of this build, by its address */
declare const builtCode: readonly string[]

/** a page that is not there in this time is taken from the last time */
const patienceSeconds = 4
const pagesCache = 'itinerum-pages'
const codeCache = 'itinerum-code'

/** the door is never kept: it is another one each time; nor is a client's page, which is theirs */
const door = /^\/(?:sign-in|trust|codes|join\/|new-password\/|pair\/|for\/|house\/doors)/
/** a page that led to the door is not the page that was asked for */
const whole: SerwistPlugin = {
  cacheWillUpdate: ({ response }) => Promise.resolve(response.status === 200 && !response.redirected ? response : null),
}

/**
 * A worker is told by what stands behind the # in its address what else to fetch. One that was kept by its name alone has an address of its
 * own without it; what has none takes the one that was asked for.
 */
const asAsked: SerwistPlugin = {
  handlerWillRespond: ({ request, response }) =>
    Promise.resolve(/worker$/.test(request.destination) ? new Response(response.body, response) : response),
}

/** Photographs that the phone hands over never leave the device by this: they wait on it until somebody says whose they are. */
self.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'POST' || origin !== self.location.origin || pathname !== sharePath) return
  event.respondWith(
    request
      .formData()
      .then((form) => keepHandedOver(form))
      .then(
        () => '',
        () => lostMark,
      )
      .then((mark) => Response.redirect(`${sharedPage}${mark}`, 303)),
  )
})

/** What the house tells while the app is shut; the same that an open page tells stands in its place, not beside it. */
self.addEventListener('push', (event) => {
  const told = event.data?.json() as { tag?: unknown; words?: unknown; path?: unknown } | undefined
  if (typeof told?.words !== 'string' || typeof told.tag !== 'string') return
  const path = typeof told.path === 'string' && /^\/(?!\/)/.test(told.path) ? told.path : '/'
  event.waitUntil(self.registration.showNotification('Itinerum', { body: told.words, tag: told.tag, data: { path } }))
})
/** To the piece it tells of: in the app where it is open, else anew. */
self.addEventListener('notificationclick', (event) => {
  event.notification.close()
  const { path } = (event.notification.data ?? { path: '/' }) as { path: string }
  event.waitUntil(
    (async () => {
      const [open] = await self.clients.matchAll({ type: 'window', includeUncontrolled: true })
      if (!open) return void (await self.clients.openWindow(path))
      await open.focus()
      await open.navigate(path).catch(() => self.clients.openWindow(path))
    })(),
  )
})

const serwist = new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({
        cacheName: codeCache,
        plugins: [asAsked, new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 90 * 86_400 })],
      }),
    },
    {
      matcher: ({ sameOrigin, url }) => sameOrigin && (url.pathname === '/icon.svg' || url.pathname === '/manifest.webmanifest'),
      handler: new NetworkFirst({ cacheName: codeCache, networkTimeoutSeconds: patienceSeconds }),
    },
    {
      matcher: ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith('/api/photos/'),
      handler: new CacheFirst({
        cacheName: 'itinerum-photos',
        plugins: [new ExpirationPlugin({ maxEntries: 300, purgeOnQuotaError: true })],
      }),
    },
    {
      matcher: ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith('/api/'),
      handler: new NetworkOnly(),
    },
    {
      matcher: ({ request, sameOrigin, url }) => sameOrigin && request.mode === 'navigate' && !door.test(url.pathname),
      handler: new NetworkFirst({
        cacheName: pagesCache,
        networkTimeoutSeconds: patienceSeconds,
        matchOptions: { ignoreVary: true },
        plugins: [whole, new ExpirationPlugin({ maxEntries: 120, purgeOnQuotaError: true })],
      }),
    },
  ],
})
/** A page that was never kept, and no server: said plainly, and asked for again until it is there. */
const away = `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<meta http-equiv="refresh" content="3"><title>No connection</title>
<body style="font:20px/1.4 system-ui;margin:3rem auto;max-width:34rem;padding:0 1rem;color-scheme:light dark">
<h1>No connection</h1><p>This page is not kept on this device. It opens by itself as soon as the server is back.
What you wrote is safe on this device. <a href="/">To the bench</a></p></body></html>`
serwist.setCatchHandler(({ request }) =>
  Promise.resolve(
    request.mode === 'navigate'
      ? new Response(away, { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } })
      : Response.error(),
  ),
)
serwist.addEventListeners()

/** What a page needs to come alive, by the names it carries in its markup. */
const codeIn = (html: string) => [...new Set(html.match(/\/_next\/static\/[\w./~-]+\.(?:js|css|woff2)/g) ?? [])]

async function keepPage(path: string): Promise<void> {
  const response = await fetch(path, { headers: { accept: 'text/html' }, credentials: 'same-origin' })
  if (!response.ok || response.redirected) return
  const pages = await caches.open(pagesCache)
  await pages.put(new URL(path, self.location.origin).href, response.clone())
  const code = await caches.open(codeCache)
  const wanted = codeIn(await response.text())
  await Promise.allSettled(wanted.map(async (url) => ((await code.match(url)) ? undefined : code.add(url))))
}

/** Today's pages, asked for by the app so that they are there when they are wanted. */
self.addEventListener('message', (event: ExtendableMessageEvent) => {
  const data = event.data as { keep?: unknown } | null
  if (!Array.isArray(data?.keep)) return
  const paths = data.keep.filter(
    (path): path is string => typeof path === 'string' && path.startsWith('/') && !path.startsWith('//'),
  )
  event.waitUntil(
    (async () => {
      const code = await caches.open(codeCache)
      await Promise.allSettled(['/manifest.webmanifest', '/icon.svg'].map((path) => code.add(path)))
      // one after another: the page that is open comes first
      for (const path of paths.slice(0, 60)) await keepPage(path).catch(() => undefined)
      // what a tap brings is in no page's markup
      for (const url of builtCode) if (!(await code.match(url))) await code.add(url).catch(() => undefined)
    })(),
  )
})
