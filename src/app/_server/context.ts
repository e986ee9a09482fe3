/** What journeys are read in: the air where pieces stand, the house, everybody's hours, what was learned. */
import 'server-only'
import { climatesOf, homeOf, type Room } from '@/core/climate/rooms'
import type { Learned } from '@/core/learn/learned'
import { workStretches } from '@/core/log/labour'
import type { PieceFile } from '@/core/piece/piece'
import { workOf } from '@/core/piece/work'
import { listLearned, listReadings, listRooms } from '@/db/climate'
import { listOtherWork } from '@/db/entry'
import type { Client } from '@/db/pool'
import { getStudio, listLabelled } from '@/db/studio'

/** How far back the air still matters: the longest cure is 30 days. */
const airDays = 45
/** windows of hours are read by every reading, cures of weeks by means */
const exactAirDays = 1
const dayMs = 86_400_000
export const daysAgo = (nowMs: number, days: number) => new Date(nowMs - days * dayMs).toISOString()

/** The air of the rooms these pieces stand in, as far back as something on them still dries by it. */
async function listAir(client: Client, nowMs: number, files: readonly PieceFile[], rooms: readonly Room[]) {
  const since = files.reduce(
    (earliest, { log }) => {
      const lastOf = new Map<string | null, string>()
      for (const { kind, partId, at } of log) if (kind === 'ended') lastOf.set(partId, at)
      return [...lastOf.values()].reduce((least, at) => (at < least ? at : least), earliest)
    },
    daysAgo(nowMs, 0),
  )
  const homes = new Set([null, ...files.map(({ piece }) => piece.roomId)].map((roomId) => homeOf(roomId, rooms)))
  return listReadings(client, {
    roomIds: [...homes].filter(Boolean),
    since: later(since, daysAgo(nowMs, airDays)),
    exactSince: later(since, daysAgo(nowMs, exactAirDays)),
  })
}
const later = (one: string, other: string) => (one > other ? one : other)

/** What dries otherwise than its family: as the studio has seen it, else as a label says. */
export const loadLearned = async (client: Client): Promise<Learned> => ({
  ...(await listLearned(client)),
  labels: await listLabelled(client),
})

/** What journeys are read in beside the pieces themselves and the air. */
async function loadAround(client: Client, files: readonly PieceFile[]) {
  return {
    studio: await getStudio(client),
    learned: await loadLearned(client),
    others: await listOtherWork(
      client,
      files.map(({ piece }) => piece.id),
      workStretches(files.map((file) => workOf(file).log)),
    ),
  }
}
/** What journeys of pieces are read in that still dry. */
export async function loadContext(client: Client, nowMs: number, files: readonly PieceFile[]) {
  const rooms = await listRooms(client)
  return {
    ...(await loadAround(client, files)),
    rooms,
    climates: climatesOf(await listAir(client, nowMs, files, rooms), rooms),
  }
}
/** The same for pieces that have left: nothing on them dries. */
export const loadContextOfLeft = loadAround
