/** What was sold lately, with what it takes to tell what it is like. */
import * as z from 'zod'
import type { PieceId } from '@/core/measure/named'
import { areaOfPart } from '@/core/piece/area'
import type { Sold } from '@/core/price/sold'
import { keepOfPieces, listPieceMarks, readByMarks } from './pieceMark'
import { faceRow } from './pieceRow'
import type { Client } from './pool'
import { many, query } from './rows'

const saleRow = z.object({
  pieceId: z.string(),
  price: z.number(),
  channelId: z.string().nullable(),
  at: z.string(),
})
const salesLately = query(
  'a sale',
  saleRow,
  `select s.piece_id as "pieceId", s.channel_id as "channelId", s.at,
     s.money - coalesce((select sum(c.total) from seen_receipt c where c.piece_id = s.piece_id and c.kind = 'credit'), 0)::bigint as price
   from (select id, piece_id, money, channel_id, at from seen_entry e
         where kind in ('sold', 'handed-over') and not exists (select from entry c where c.corrects = e.id)
         order by at desc limit $1) s
   order by s.at desc, s.id`,
)
const likenessRow = z.object({
  id: z.string(),
  name: z.string(),
  article: z.string().nullable(),
  /** when it was put up for sale, each time */
  listedAt: z.array(z.string()),
  parts: z.array(z.object({ id: z.string(), count: z.number() })),
  looks: z.array(z.string()),
})
const likenesses = query(
  'a piece that was sold',
  likenessRow,
  `select p.id, p.name, p.article,
     (select coalesce(json_agg(to_char(l.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') order by l.at), '[]') from entry l
      where l.piece_id = p.id and l.kind = 'listed' and not exists (select from entry c where c.corrects = l.id)) as "listedAt",
     (select coalesce(json_agg(json_build_object('id', a.id, 'count', a.count)), '[]') from part a
      where a.piece_id = p.id and a.taken_out_at is null and a.kind <> 'whole') as parts,
     (select coalesce(json_agg(distinct n.look), '[]') from part a cross join lateral (
        select look from plan where part_id = a.id and care is null order by made_at desc, id desc limit 1) n
      where a.piece_id = p.id and a.taken_out_at is null) as looks
   from piece p where p.id = any($1)`,
)
const facesOf = query(
  'a measured face',
  faceRow,
  `select part_id as "partId", shape, relief, count, width, height, length, top, foot, diameter
   from surface where part_id = any($1) and replaced_at is null`,
)
/** What it takes to tell what a piece is like. */
export interface Likeness extends Omit<z.output<typeof likenessRow>, 'parts'> {
  areaM2: number
}
async function readLikenesses(client: Client, ids: readonly PieceId[]): Promise<Map<PieceId, Likeness>> {
  const rows = await many(client, likenesses, [ids])
  const faces = new Map<string, z.output<typeof faceRow>[]>()
  for (const face of await many(client, facesOf, [rows.flatMap(({ parts }) => parts.map(({ id }) => id))]))
    faces.set(face.partId, [...(faces.get(face.partId) ?? []), face])
  const areaOf = (parts: z.output<typeof likenessRow>['parts']) =>
    parts.reduce((sum, { id, count }) => sum + areaOfPart({ count, surfaces: faces.get(id) ?? [] }), 0)
  return new Map(rows.map(({ parts, ...row }) => [row.id, { ...row, areaM2: areaOf(parts) }]))
}

const dayMs = 86_400_000
/** The pieces that were sold or handed over last, at most `limit`, the latest first; what they are like is kept. */
export async function listSold(client: Client, limit: number, kept = keepOfPieces<Likeness>(limit)): Promise<Sold[]> {
  const sales = await many(client, salesLately, [limit])
  const ids = sales.map(({ pieceId }) => pieceId)
  const like = await readByMarks(await listPieceMarks(client, ids), kept, ids, (unread) => readLikenesses(client, unread))
  return sales.flatMap((sale) => {
    const found = like.get(sale.pieceId)
    if (!found) return []
    const { name, article, areaM2, looks, listedAt } = found
    const first = listedAt.find((at) => at <= sale.at)
    const daysOnSale = first === undefined ? null : Math.floor((Date.parse(sale.at) - Date.parse(first)) / dayMs)
    return [{ ...sale, name, article, areaM2, looks, daysOnSale }]
  })
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
