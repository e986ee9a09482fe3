/** Asks the door, and clears this device of what somebody else should not find. */
import { throwAllAway, throwAway } from '@/outbox/store'

export interface DoorAnswer {
  ok: boolean
  issue?: string | undefined
  fields?: Record<string, string> | undefined
}

export async function askDoor(path: '/api/session' | '/api/join', method: 'POST' | 'DELETE', sent: object): Promise<DoorAnswer> {
  try {
    const response = await fetch(path, {
      method,
      body: JSON.stringify(sent),
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(15_000),
    })
    const { issue, fields } = (await response.json()) as Partial<DoorAnswer>
    return { ok: response.ok, issue, fields }
  } catch {
    return { ok: false, issue: 'unreachable' }
  }
}

/** Goes there with a page made anew: nothing of who was here before stays in it. */
export const openAnew = (path: string): void => location.assign(path)

/** Pages and photographs that were kept to be read without a connection. The code of the app stays: it is everybody's. */
export async function clearPages(): Promise<void> {
  if (!('caches' in window)) return
  for (const name of await caches.keys()) if (name !== 'itinerum-code') await caches.delete(name)
}
/** All that one person, or anybody, left on this device. */
export async function clearDevice(membershipId: string | 'all'): Promise<void> {
  await clearPages()
  for (const key of Object.keys(localStorage)) if (key.startsWith('itinerum.')) localStorage.removeItem(key)
  await (membershipId === 'all' ? throwAllAway() : throwAway(membershipId)).catch(() => undefined)
}
