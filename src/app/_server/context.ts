/** What journeys are read in: the air where pieces stand, the house, everybody's hours, what was learned. */
import 'server-only'
import { climatesOf, homeOf, type Room, type RoomAir } from '@/core/climate/rooms'
import type { Learned } from '@/core/learn/learned'
import { workSpans, workStretches } from '@/core/log/workSpans'
import type { PieceFile } from '@/core/piece/piece'
import { workOf } from '@/core/piece/work'
import { listRooms } from '@/db/climate'
import { listLearned } from '@/db/dryingFigures'
import { listOtherWork } from '@/db/entry'
import type { Client } from '@/db/pool'
import { getStudio, listLabelled } from '@/db/studio'
import { type AsRead, readAir } from './air'

/** How far back the air still matters: the longest cure is 30 days. */
const airDays = 45
/** windows of hours are read by every reading, cures of weeks by means */
const exactAirDays = 1
const dayMs = 86_400_000
export const daysAgo = (nowMs: number, days: number) => new Date(nowMs - days * dayMs).toISOString()

/** What is read as it stood after `beganMs`, at the time that it is. */
export interface Look extends AsRead {
  nowMs: number
}

/** The air of the rooms these pieces stand in, as far back as something on them still dries by it. */
function listAir(client: Client, look: Look, files: readonly PieceFile[], rooms: readonly Room[]): Promise<RoomAir[]> {
  const { nowMs } = look
  const since = files.reduce(
    (earliest, { log }) => {
      const lastOf = new Map<string | null, string>()
      for (const { kind, partId, at } of log) if (kind === 'ended') lastOf.set(partId, at)
      return [...lastOf.values()].reduce((least, at) => (at < least ? at : least), earliest)
    },
    daysAgo(nowMs, 0),
  )
  const homes = new Set([null, ...files.map(({ piece }) => piece.roomId)].map((roomId) => homeOf(roomId, rooms)))
  return readAir(client, look, {
    roomIds: [...homes].filter(Boolean),
    since: later(since, daysAgo(nowMs, airDays)),
    exactSince: later(since, daysAgo(nowMs, exactAirDays)),
  })
}
const later = (one: string, other: string) => (one > other ? one : other)

/** What dries otherwise than its family: as the studio has seen it, else as a label says. */
export async function loadLearned(client: Client): Promise<Learned> {
  const [learned, labels] = await Promise.all([listLearned(client), listLabelled(client)])
  return { ...learned, labels }
}

/** What pieces are read in, whichever they are: asked for together with them. */
export async function loadWorkplace(client: Client) {
  const [studio, learned, rooms] = await Promise.all([getStudio(client), loadLearned(client), listRooms(client)])
  return { studio, learned, rooms }
}
export type Workplace = Awaited<ReturnType<typeof loadWorkplace>>

function listOthers(client: Client, files: readonly PieceFile[]) {
  const logs = files.map((file) => workOf(file).log)
  return listOtherWork(
    client,
    files.map(({ piece }) => piece.id),
    workStretches(logs),
    workSpans(logs),
  )
}
/** What journeys of pieces are read in that still dry. */
export async function loadContext(client: Client, look: Look, files: readonly PieceFile[], workplace: Workplace) {
  const { rooms } = workplace
  const [others, air] = await Promise.all([listOthers(client, files), listAir(client, look, files, rooms)])
  return { ...workplace, others, climates: climatesOf(air, rooms) }
}
/** What journeys of pieces are read in that have left: nothing on them dries. */
export async function loadContextOfLeft(client: Client, files: readonly PieceFile[]) {
  const [studio, learned, others] = await Promise.all([getStudio(client), loadLearned(client), listOthers(client, files)])
  return { studio, learned, others }
}
