/**
 * One listening connection for the whole server, and everybody who wants to be told. Each studio has a channel of its own, which is listened
 * to while somebody of it is there, and for a while after. It comes back by itself.
 */
import 'server-only'
import * as z from 'zod'
import type { StudioId } from '@/core/measure/named'
import type { Client } from '@/db/pool'
import { one, query } from '@/db/rows'
import { makeClient } from '@/db/server'

type Tell = () => void
interface Heard {
  channel: string
  tells: Set<Tell>
  /** since when all of it is heard; null while it is not */
  sinceMs: number | null
  /** when it last was heard to change, by what changed */
  changedMs: Map<string, number>
  /** when something was last written in it from here */
  writtenMs: number
  leaving?: ReturnType<typeof setTimeout> | undefined
}
interface Hub {
  studios: Map<StudioId, Heard>
  /** the same by the name of the channel */
  channels: Map<string, Heard>
  /** the connection, once it listens */
  client: ReturnType<typeof makeClient> | null
  /** whether the listening was begun; it never ends */
  listens: boolean
}
const holder = globalThis as { itinerumHub?: Hub }
const hub = (holder.itinerumHub ??= { studios: new Map(), channels: new Map(), client: null, listens: false })
const retryMs = 1_000
const graceMs = 500
/** so long a studio is listened to after the last of it left: who comes back misses nothing */
const lingerMs = 30 * 60_000

const ownChannel = query(
  'the channel of a studio',
  z.object({ channel: z.string().regex(/^itinerum_[0-9a-f]{40}$/) }),
  'select own_channel() as channel',
)
/** The channel of the session's studio. */
export const findOwnChannel = async (client: Client): Promise<string> => (await one(client, ownChannel)).channel

async function connect(again: boolean): Promise<void> {
  const client = makeClient(process.env.DATABASE_URL ?? '', { application_name: 'itinerum live', pipeline: true })
  let over = false
  const lost = () => {
    // a connection that fails says so in several ways: one new one takes its place
    if (over) return
    over = true
    hub.client = null
    for (const heard of hub.studios.values()) heard.sinceMs = null
    client.removeAllListeners()
    client.on('error', () => undefined)
    void client.end().catch(() => undefined)
    setTimeout(() => void connect(true), retryMs)
  }
  client.once('error', lost)
  client.once('end', lost)
  client.on('notification', ({ channel, payload = '' }) => {
    const heard = hub.channels.get(channel)
    if (!heard) return
    heard.changedMs.set(payload, Date.now())
    for (const tell of heard.tells) tell()
  })
  try {
    await client.connect()
    hub.client = client
    await Promise.all([...hub.studios.values()].map(hear))
    // what changed while nobody listened is not known: all look again
    if (again) for (const { tells } of hub.studios.values()) for (const tell of tells) tell()
  } catch {
    lost()
  }
}
async function hear(heard: Heard): Promise<void> {
  const { client } = hub
  if (!client) return
  await client.query(`listen ${heard.channel}`)
  // one that was lost meanwhile heard nothing
  if (hub.client === client) heard.sinceMs = Date.now()
}

/** Something was written in a studio by this server: whoever reads next finds it, though its change was not heard yet. */
export function noteWritten(studioId: StudioId): void {
  const heard = hub.studios.get(studioId)
  if (heard) heard.writtenMs = Date.now()
}
/**
 * Whether a studio, or these tables of it, may have changed since a moment: it was heard to, or was not listened to then. A moment is granted
 * for what was on its way.
 */
export function changedSince(studioId: StudioId, sinceMs: number, tables?: readonly string[]): boolean {
  const heard = hub.studios.get(studioId)
  if (!heard || heard.sinceMs === null || heard.sinceMs > sinceMs || heard.writtenMs > sinceMs - graceMs) return true
  const heardMs = tables ? tables.map((table) => heard.changedMs.get(table) ?? 0) : [...heard.changedMs.values()]
  return heardMs.some((ms) => ms > sinceMs - graceMs)
}

/** Tells of every change in a studio, which is heard on its channel, until the returned function is called. */
export function listen(studioId: StudioId, channel: string, tell: Tell): () => void {
  const known = hub.studios.get(studioId)
  const heard: Heard = known ?? { channel, tells: new Set(), sinceMs: null, changedMs: new Map(), writtenMs: 0 }
  clearTimeout(heard.leaving)
  heard.tells.add(tell)
  if (!known) {
    hub.studios.set(studioId, heard)
    hub.channels.set(channel, heard)
    // one that fails is lost with its connection, and heard by the next
    void hear(heard).catch(() => undefined)
  }
  if (!hub.listens) {
    hub.listens = true
    void connect(false)
  }
  return () => {
    heard.tells.delete(tell)
    if (heard.tells.size > 0) return
    clearTimeout(heard.leaving)
    heard.leaving = setTimeout(() => leave(studioId, heard), lingerMs)
    heard.leaving.unref()
  }
}
function leave(studioId: StudioId, heard: Heard): void {
  if (heard.tells.size > 0 || hub.studios.get(studioId) !== heard) return
  hub.studios.delete(studioId)
  hub.channels.delete(heard.channel)
  void hub.client?.query(`unlisten ${heard.channel}`).catch(() => undefined)
}
