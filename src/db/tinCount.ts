/** The shelf counted: tins as the log knew them at a moment, and what was found in them. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import type { Instant, LotId, StudioId } from '@/core/measure/named'
import { type Count, type CountReason, countReasons, type TinThen } from '@/core/stock/count'
import type { Client } from './pool'
import { many, query } from './rows'

const thenRow = z.object({
  id: z.string(),
  unit: z.enum(['ml', 'g']),
  size: z.number(),
  price: z.number(),
  held: z.number(),
  spent: z.number(),
  isLast: z.boolean(),
})
const tinsThen = query(
  'a tin',
  thenRow,
  `select l.id, p.unit, l.size, l.price,
          greatest(0, l.size - coalesce(d.then, 0) - coalesce(n.then, 0)) as held,
          (coalesce(d.money, 0) + coalesce(n.money, 0))::bigint as spent,
          greatest(d.last, n.last) is null or greatest(d.last, n.last) <= $2 as "isLast"
   from seen_lot l join product p on p.id = l.product_id
   left join lateral (
     select sum(d.amount) filter (where e.at <= $2) as then, sum(d.money) as money, max(e.at) as last
     from seen_draw d join entry e on e.id = d.entry_id
     where d.lot_id = l.id and not exists (select from entry c where c.corrects = e.id)
   ) d on true
   left join lateral (
     select sum(gone) filter (where at <= $2) as then, sum(money) as money, max(at) as last from seen_tin_count where lot_id = l.id
   ) n on true
   where l.id = any ($1) and l.emptied_at is null`,
)
/** Tins that stand there, as the log knew them at a moment. Nobody draws from them until the transaction ends. */
export async function takeTinsInHand(
  client: Client,
  ids: readonly LotId[],
  at: Instant,
): Promise<(TinThen & { unit: 'ml' | 'g' })[]> {
  // by product as coats take them, in one order, so that two who count do not wait for each other
  await client.query(
    `select pg_advisory_xact_lock(hashtextextended(product_id::text, 0))
     from (select distinct product_id from lot where id = any ($1) order by product_id) as each`,
    [ids],
  )
  return many(client, tinsThen, [ids, at])
}

export interface NewCount {
  id: string
  lotId: LotId
  found: number
  gone: number
  money: number
}
export async function addCounts(
  client: Client,
  studioId: StudioId,
  counts: readonly NewCount[],
  { at, reason }: { at: Instant; reason: CountReason },
): Promise<void> {
  await client.query(
    `insert into tin_count (id, studio_id, lot_id, at, reason, found, gone, money)
     select id, $2, "lotId", $3, $4, found, gone, money
     from jsonb_to_recordset($1::jsonb) as c(id uuid, "lotId" uuid, found numeric, gone numeric, money bigint)`,
    [JSON.stringify(counts), studioId, at, reason],
  )
}

const countRow = z.object({
  id: z.string(),
  at: z.string(),
  product: z.string(),
  unit: z.enum(['ml', 'g']),
  code: z.string().nullable(),
  reason: z.enum(codesOf(countReasons)),
  found: z.number(),
  gone: z.number(),
  money: z.number(),
  by: z.string().nullable(),
}) satisfies z.ZodType<Count>
const lately = query(
  'a tin that was counted',
  countRow,
  `select n.id, n.at, coalesce(p.colour_name, p.name) as product, p.unit, l.code, n.reason, n.found, n.gone, n.money, w.name as by
   from seen_tin_count n join lot l on l.id = n.lot_id join product p on p.id = l.product_id left join person w on w.id = n.written_by
   order by n.at desc, n.id desc limit $1`,
)
/** What was counted last, at most `limit`. */
export const listCounts = (client: Client, limit: number): Promise<Count[]> => many(client, lately, [limit])
