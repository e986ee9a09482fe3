'use client'
/** Being told by this device: a notification now, and by the browser's own service while the app is shut. */

/** Phones show notifications of a service worker alone; a desk's browser takes either. */
export async function notify(body: string, tag: string): Promise<void> {
  const installed = await navigator.serviceWorker?.getRegistration()
  if (installed) await installed.showNotification('Itinerum', { body, tag })
  else new Notification('Itinerum', { body, tag })
}

/** Whether this browser has a service that could tell it. */
export const canBeTold = (): boolean => 'PushManager' in window && 'serviceWorker' in navigator
const waitMs = 10_000
/** The worker that will be told; it may be coming still. */
const own = async (): Promise<PushManager | undefined> => {
  if (!canBeTold()) return undefined
  const late = new Promise<undefined>((resolve) => setTimeout(() => resolve(undefined), waitMs))
  return (await Promise.race([navigator.serviceWorker.ready, late]))?.pushManager
}
const send = (method: 'PUT' | 'DELETE', body: unknown) =>
  fetch('/api/push', {
    method,
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
    signal: AbortSignal.timeout(15_000),
  })

const bytesOf = (text: string) =>
  Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (each) => each.charCodeAt(0))
/** What stood in the way. */
export type NotTold = 'no-service' | 'unreachable'

/** What was asked for first is done first: a page that still says where it is must not undo that it is told no more. */
let last: Promise<unknown> = Promise.resolve()
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const next = last.then(work, work)
  last = next
  return next
}

/** From now on this browser is told. Asked again it is the same, which also tells the server where an address has changed. */
export const beTold = (): Promise<NotTold | null> => inTurn(comeIn)
async function comeIn(): Promise<NotTold | null> {
  const manager = await own().catch(() => undefined)
  if (!manager) return 'no-service'
  const asked = await fetch('/api/push', { signal: AbortSignal.timeout(15_000) }).catch(() => null)
  if (!asked?.ok) return 'unreachable'
  const { key } = (await asked.json()) as { key: string }
  const place = await subscribe(manager, bytesOf(key)).catch(() => null)
  if (!place) return 'no-service'
  const kept = await send('PUT', { endpoint: place.endpoint, keys: place.toJSON().keys }).catch(() => null)
  return kept?.ok ? null : kept?.status === 422 ? 'no-service' : 'unreachable'
}
/** One that was made for another server's key is of no use here. */
async function subscribe(manager: PushManager, applicationServerKey: Uint8Array<ArrayBuffer>): Promise<PushSubscription> {
  const wanted = { userVisibleOnly: true, applicationServerKey }
  try {
    return await manager.subscribe(wanted)
  } catch (error) {
    const before = await manager.getSubscription()
    if (!before) throw error
    await before.unsubscribe()
    return manager.subscribe(wanted)
  }
}
/** Told no more here, by the server and by the browser's service. */
export const beToldNoMore = (): Promise<NotTold | null> => inTurn(goOut)
async function goOut(): Promise<NotTold | null> {
  const answer = await send('DELETE', {}).catch(() => null)
  if (!answer?.ok) return 'unreachable'
  const place = await (await own().catch(() => undefined))?.getSubscription()
  await place?.unsubscribe().catch(() => false)
  return null
}
