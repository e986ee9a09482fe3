/** What the studio's own fingers have taught of drying. */
import 'server-only'
import { climateIn, climatesOf, homeOf } from '@/core/climate/rooms'
import { type Lesson, lessonsOf, minutesSeen } from '@/core/learn/observations'
import { assistanceOf } from '@/core/log/assistance'
import { makeLately } from '@/core/measure/kept'
import type { StudioId } from '@/core/measure/named'
import { listReadingsAround, listRooms } from '@/db/climate'
import { listSeen } from '@/db/dryingFigures'
import { listAssistance } from '@/db/entry'
import type { Client } from '@/db/pool'
import { makeUnchanged } from './unchanged'

/** older observations were made with other tins */
const mostObservations = 60
/** The air of a time that is over changes only where a reading of it comes late: what was reckoned by it stands for so long. */
const standsMs = 10 * 60_000
/** of every studio that this server reads, by all that an observation is reckoned by */
const reckoned = makeLately<string, number>(5_000, standsMs)

/** studios that are kept in mind */
const mostStudios = 200
const asItStood = makeUnchanged<Lesson[]>(mostStudios)
/** `beganMs`: when the reading began. */
export const loadLessons = (client: Client, studioId: StudioId, beganMs: number): Promise<Lesson[]> =>
  asItStood.or(studioId, 'lessons', beganMs, () => lessonsIn(client))

export async function lessonsIn(client: Client): Promise<Lesson[]> {
  const nowMs = Date.now()
  const seen = await listSeen(client, mostObservations)
  if (seen.length === 0) return []
  const help = await listAssistance(
    client,
    seen.map(({ partId }) => partId),
  )
  const all = seen.map((row) => {
    const assistance = assistanceOf(help, row.partId)
    return { ...row, assistance, key: JSON.stringify([row, assistance]) }
  })
  const unknown = all.filter(({ key }) => reckoned.get(key, nowMs) === undefined)
  if (unknown.length > 0) {
    const rooms = await listRooms(client)
    const homes = unknown.map((each) => ({ ...each, roomId: homeOf(each.roomId, rooms) || null }))
    const climates = climatesOf(await listReadingsAround(client, homes), rooms)
    for (const { roomId, key, assistance, ...each } of homes) {
      const minutes = minutesSeen(each, { climate: climateIn(climates, roomId, rooms), assistance })
      reckoned.set(key, minutes, nowMs)
    }
  }
  return lessonsOf(
    all.map(({ roomId: _, partId: __, assistance: ___, key, ...each }) => ({ ...each, minutes: reckoned.get(key, nowMs) ?? 0 })),
  )
}
