/** What was sold lately, with what it takes to tell what it is like. */
import { z } from 'zod'
import { areaOfPart } from '@/core/piece/area'
import type { Sold } from '@/core/price/sold'
import { faceRow } from './pieceRow'
import type { Client } from './pool'
import { many, query } from './rows'

const soldRow = z.object({
  pieceId: z.string(),
  name: z.string(),
  article: z.string().nullable(),
  price: z.number(),
  channelId: z.string().nullable(),
  at: z.string(),
  daysOnSale: z.number().nullable(),
  parts: z.array(z.object({ id: z.string(), count: z.number() })),
  looks: z.array(z.string()),
})
const soldLately = query(
  'a sale',
  soldRow,
  `select s.piece_id as "pieceId", p.name, p.article,
     s.money - coalesce((select sum(c.total) from seen_receipt c where c.piece_id = s.piece_id and c.kind = 'credit'), 0)::bigint as price, s.channel_id as "channelId", s.at,
     (select extract(day from s.at - min(l.at))::int from entry l
      where l.piece_id = s.piece_id and l.kind = 'listed' and l.at <= s.at
        and not exists (select from entry c where c.corrects = l.id)) as "daysOnSale",
     (select coalesce(json_agg(json_build_object('id', a.id, 'count', a.count)), '[]') from part a
      where a.piece_id = s.piece_id and a.taken_out_at is null and a.kind <> 'whole') as parts,
     (select coalesce(json_agg(distinct n.look), '[]') from part a cross join lateral (
        select look from plan where part_id = a.id and care is null order by made_at desc, id desc limit 1) n
      where a.piece_id = s.piece_id and a.taken_out_at is null) as looks
   from (select id, piece_id, money, channel_id, at from seen_entry e
         where kind in ('sold', 'handed-over') and not exists (select from entry c where c.corrects = e.id)
         order by at desc limit $1) s
   join piece p on p.id = s.piece_id
   order by s.at desc, s.id`,
)
const facesOf = query(
  'a measured face',
  faceRow,
  `select part_id as "partId", shape, relief, count, width, height, length, top, foot, diameter
   from surface where part_id = any($1) and replaced_at is null`,
)
/** The pieces that were sold or handed over last, at most `limit`, the latest first. */
export async function listSold(client: Client, limit: number): Promise<Sold[]> {
  const rows = await many(client, soldLately, [limit])
  const faces = new Map<string, z.output<typeof faceRow>[]>()
  for (const face of await many(client, facesOf, [rows.flatMap(({ parts }) => parts.map(({ id }) => id))]))
    faces.set(face.partId, [...(faces.get(face.partId) ?? []), face])
  return rows.map(({ parts, ...sold }) => ({
    ...sold,
    areaM2: parts.reduce((sum, { id, count }) => sum + areaOfPart({ count, surfaces: faces.get(id) ?? [] }), 0),
  }))
}
const standing = query(
  'pieces on sale',
  z.object({ channelId: z.string(), count: z.number() }),
  `select l.channel_id as "channelId", count(*)::int as count
   from piece p cross join lateral (
     select channel_id from entry e where e.piece_id = p.id and e.kind = 'listed'
       and not exists (select from entry c where c.corrects = e.id)
     order by at desc, id desc limit 1) l
   where p.ended_at is null and l.channel_id is not null group by 1`,
)
/** How many pieces stand on sale in each place. */
export const countStanding = async (client: Client): Promise<Map<string, number>> =>
  new Map((await many(client, standing)).map(({ channelId, count }) => [channelId, count]))
