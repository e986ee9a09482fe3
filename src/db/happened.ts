/** What happened at the doors of a studio, and to what it goes by, the newest first. Written by triggers; read by the door's own role alone. */
import * as z from 'zod'
import { type DoorEvent, doorEvents, houseThings } from '@/core/house/doorEvents'
import { roles } from '@/core/house/roles'
import type { StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const happenedRow = z.object({
  id: z.number(),
  at: z.string(),
  what: z.enum(doorEvents),
  by: z.string().nullable(),
  about: z.string().nullable(),
  role: z.enum(roles).nullable(),
  agent: z.string().nullable(),
  address: z.string().nullable(),
  thing: z.enum(houseThings).nullable(),
  named: z.string().nullable(),
  facts: z.record(z.string(), z.tuple([z.unknown(), z.unknown()])).nullable(),
})
export type Happened = z.output<typeof happenedRow>
const happened = query(
  'what happened at the doors',
  happenedRow,
  `select h.id, h.at, h.what, b.name as "by", a.name as about, h.role, h.agent, h.address, h.thing, h.named, h.facts
   from door.happened h left join door.account b on b.id = h.by_account left join door.account a on a.id = h.about_account
   where h.studio_id = $1 and ($2::uuid is null or h.about_account = $2 or h.by_account = $2)
     and ($4::text[] is null or h.what = any ($4)) order by h.id desc limit $3`,
)
/** `of`: what one account did, or what was done about it; null: everything. `what`: these alone. */
export const listHappened = (
  client: Client,
  studioId: StudioId,
  { of, limit, what = null }: { of: string | null; limit: number; what?: readonly DoorEvent[] | null },
): Promise<Happened[]> => many(client, happened, [studioId, of, limit, what])
