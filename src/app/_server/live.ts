/** One listening connection for the whole server, and everybody who wants to be told. It comes back by itself. */
import 'server-only'
import type { StudioId } from '@/core/measure/named'
import { makeClient } from '@/db/server'

type Tell = (table: string) => void
interface Hub {
  listeners: Map<string, Set<Tell>>
  /** when each studio was last heard to change */
  changedMs: Map<string, number>
  /** whether the listening was begun; it never ends */
  listens: boolean
}
const holder = globalThis as { itinerumHub?: Hub }
const hub = (holder.itinerumHub ??= { listeners: new Map(), changedMs: new Map(), listens: false })
const retryMs = 1_000
const graceMs = 500

function everybody(): void {
  for (const tells of hub.listeners.values()) for (const tell of tells) tell('again')
}

async function connect(again: boolean): Promise<void> {
  const client = makeClient(process.env.DATABASE_URL ?? '', { application_name: 'itinerum live' })
  let over = false
  const lost = () => {
    // a connection that fails says so in several ways: one new one takes its place
    if (over) return
    over = true
    client.removeAllListeners()
    client.on('error', () => undefined)
    void client.end().catch(() => undefined)
    setTimeout(() => void connect(true), retryMs)
  }
  client.once('error', lost)
  client.once('end', lost)
  client.on('notification', ({ payload = '' }) => {
    const [studioId = '', table = ''] = payload.split(' ')
    hub.changedMs.set(studioId, Date.now())
    for (const tell of hub.listeners.get(studioId) ?? []) tell(table)
  })
  try {
    await client.connect()
    await client.query('listen itinerum')
    // what changed while nobody listened is not known: all look again
    if (again) everybody()
  } catch {
    lost()
  }
}

/** Whether a studio was heard to change since a moment; a moment is granted for what was on its way then. */
export const changedSince = (studioId: StudioId, sinceMs: number): boolean =>
  (hub.changedMs.get(studioId) ?? 0) > sinceMs - graceMs

/** How many of a studio's devices this server tells. */
export const listenersOf = (studioId: StudioId): number => hub.listeners.get(studioId)?.size ?? 0

/** Tells of every change in a studio until the returned function is called. */
export function listen(studioId: StudioId, tell: Tell): () => void {
  if (!hub.listens) {
    hub.listens = true
    void connect(false)
  }
  const tells = hub.listeners.get(studioId) ?? new Set()
  hub.listeners.set(studioId, tells.add(tell))
  return () => {
    tells.delete(tell)
    if (tells.size === 0) hub.listeners.delete(studioId)
  }
}
