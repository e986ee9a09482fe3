/** What the studio's own fingers have taught of drying. */
import 'server-only'
import { climateIn, climatesOf } from '../../core/climate/rooms'
import { lessonsOf, type Lesson } from '../../core/learn/observations'
import { assistanceOf } from '../../core/log/assistance'
import { listReadingsAround, listRooms, listSeen } from '../../db/climate'
import { listAssistance } from '../../db/entry'
import type { Client } from '../../db/pool'

/** older observations were made with other tins */
const mostObservations = 300

export async function lessonsIn(client: Client): Promise<Lesson[]> {
  const seen = await listSeen(client, mostObservations)
  if (seen.length === 0) return []
  const rooms = await listRooms(client)
  const climates = climatesOf(await listReadingsAround(client, seen), rooms)
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
