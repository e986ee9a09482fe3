/** What the studio's own fingers have taught of drying. */
import 'server-only'
import { climateIn, climatesOf, homeOf } from '@/core/climate/rooms'
import { type Lesson, lessonsOf } from '@/core/learn/observations'
import { assistanceOf } from '@/core/log/assistance'
import { listReadingsAround, listRooms, listSeen } from '@/db/climate'
import { listAssistance } from '@/db/entry'
import type { Client } from '@/db/pool'

/** older observations were made with other tins */
const mostObservations = 60

export async function lessonsIn(client: Client): Promise<Lesson[]> {
  const seen = await listSeen(client, mostObservations)
  if (seen.length === 0) return []
  const rooms = await listRooms(client)
  const homes = seen.map((each) => ({ ...each, roomId: homeOf(each.roomId, rooms) || null }))
  const climates = climatesOf(await listReadingsAround(client, homes), rooms)
  const help = await listAssistance(
    client,
    seen.map(({ partId }) => partId),
  )
  return lessonsOf(
    seen.map(({ roomId, partId, ...each }) => ({
      ...each,
      climate: climateIn(climates, roomId, rooms),
      assistance: assistanceOf(help, partId),
    })),
  )
}
