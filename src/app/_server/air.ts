/**
 * The air of rooms, kept until something is read of it: a page asks for thousands of readings, and a sensor speaks every few minutes. What is
 * asked for begins with a whole stretch, so that whoever asks again within it asks for the same.
 */
import 'server-only'
import type { JudgedReading } from '@/core/climate/believe'
import type { RoomAir } from '@/core/climate/rooms'
import type { Air } from '@/core/drying/air'
import type { Instant, RoomId, StudioId } from '@/core/measure/named'
import { listMeanAir } from '@/db/airAhead'
import { type AirAsked, listDrawn, listReadings } from '@/db/climate'
import type { Client } from '@/db/pool'
import { makeUnchanged } from './unchanged'

/** Of which studio, and when the reading of it began. */
export interface AsRead {
  studioId: StudioId
  beganMs: number
}
type Asked = Required<AirAsked>
/** Minutes: means are so long, and what is drawn is. */
const [meansMinutes, drawnMinutes] = [180, 30]
const wholeFrom = (at: Instant, minutes: number): Instant =>
  new Date(Math.floor(Date.parse(at) / (minutes * 60_000)) * minutes * 60_000).toISOString()

/** what is kept in mind; readings tell of themselves, and of the means that are made with them */
const [mostRooms, mostDrawn, mostMeans] = [60, 30, 60]
const tables = ['reading']
const rooms = makeUnchanged<RoomAir[]>(mostRooms, tables)
const drawn = makeUnchanged<(JudgedReading & { roomId: RoomId | null })[]>(mostDrawn, tables)
const means = makeUnchanged<Record<RoomId, Air[]>>(mostMeans, tables)

/** {@link listReadings} since then or somewhat before. */
export function readAir(
  client: Client,
  { studioId, beganMs }: AsRead,
  { roomIds, since, exactSince }: Asked,
): Promise<RoomAir[]> {
  const asked = { roomIds, since: wholeFrom(since, meansMinutes), exactSince: wholeFrom(exactSince, meansMinutes) }
  return rooms.or(studioId, JSON.stringify(asked), beganMs, () => listReadings(client, asked))
}
/** {@link listDrawn} since then or somewhat before. */
export function readDrawn(
  client: Client,
  { studioId, beganMs }: AsRead,
  { since, exactSince, ...room }: Asked & { unnamed: boolean },
) {
  const asked = { ...room, since: wholeFrom(since, drawnMinutes), exactSince: wholeFrom(exactSince, drawnMinutes) }
  return drawn.or(studioId, JSON.stringify(asked), beganMs, () => listDrawn(client, asked))
}
/** {@link listMeanAir} since then or somewhat before. */
export function readMeanAir(client: Client, { studioId, beganMs }: AsRead, since: Instant) {
  const from = wholeFrom(since, meansMinutes)
  return means.or(studioId, from, beganMs, () => listMeanAir(client, from))
}
