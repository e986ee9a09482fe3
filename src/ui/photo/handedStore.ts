/** Where photographs wait that another app of this device handed over, until somebody says whose they are. Read by the page, written by the service worker. */

const handedOverCache = 'itinerum-shared'
/** where a browser sends them */
export const sharePath = '/share'
export const sharedPage = '/shared'
/** where it is said that not all of it could be kept: no other page to whoever keeps pages */
export const lostMark = '#lost'
/** the field they come in */
export const sharedField = 'photos'
const mostAtOnce = 30

export interface HandedOver {
  /** its entry's from then on: sent twice it is stored once */
  id: string
  name: string
  at: string
  file: File
}
const addressOf = (id: string) => `${sharedPage}/${id}`

/** Keeps what came of it. Throws where the device has no room for it. */
export async function keepHandedOver(form: FormData, at = new Date().toISOString()): Promise<void> {
  const files = form
    .getAll(sharedField)
    .filter((each): each is File => each instanceof File && each.size > 0 && /^image\//.test(each.type))
    .slice(0, mostAtOnce)
  const cache = await caches.open(handedOverCache)
  for (const file of files) {
    const headers = { 'content-type': file.type, 'itinerum-name': encodeURIComponent(file.name.slice(0, 200)), 'itinerum-at': at }
    await cache.put(addressOf(crypto.randomUUID()), new Response(file, { headers }))
  }
}
export async function listHandedOver(): Promise<HandedOver[]> {
  const cache = await caches.open(handedOverCache)
  const all: HandedOver[] = []
  for (const request of await cache.keys()) {
    const kept = await cache.match(request)
    const id = new URL(request.url).pathname.split('/').at(-1)
    if (!kept || !id) continue
    const name = decodeURIComponent(kept.headers.get('itinerum-name') ?? '')
    const file = new File([await kept.blob()], name, { type: kept.headers.get('content-type') ?? '' })
    all.push({ id, name, at: kept.headers.get('itinerum-at') ?? '', file })
  }
  return all
}
export async function letGoHandedOver(id: string): Promise<void> {
  await (await caches.open(handedOverCache)).delete(addressOf(id))
}
