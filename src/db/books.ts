/** What moved money, corrections applied: lines of the log with what tins gave for them, and tins as they came and went. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import type { Dealt, Movement, TinMoved } from '@/core/house/books'
import { costKinds } from '@/core/log/entry'
import type { Instant } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const money = z
  .number()
  .nullable()
  .transform((minor) => minor ?? 0)
const movementRow = z.object({
  id: z.string(),
  at: z.string(),
  pieceId: z.string(),
  kind: z.enum(['cost', 'coat', 'mixed', 'put-by', 'ended', 'split', 'sold', 'handed-over', 'kept', 'given', 'scrapped']),
  stepId: z.string().nullable(),
  costKind: z.enum(codesOf(costKinds)).nullable(),
  money,
  fees: money,
  batchId: z.string().nullable(),
  lotId: z.string().nullable(),
  drawn: money,
  split: z
    .object({ sign: z.union([z.literal(1), z.literal(-1)]), costs: z.partialRecord(z.enum(codesOf(costKinds)), z.number()) })
    .nullable(),
})
const movements = query(
  'what moved money',
  movementRow,
  `select e.id, e.at, e.piece_id as "pieceId", e.kind, e.step_id as "stepId", e.cost_kind as "costKind", e.money, e.fees,
          e.batch_id as "batchId", case when e.kind = 'put-by' then e.lot_id end as "lotId", d.money as drawn,
          case when e.kind = 'split' then e.detail end as split
   from seen_entry e
   left join (select entry_id, sum(money)::bigint as money from seen_draw group by entry_id) d on d.entry_id = e.id
   where e.at < $1 and (e.money <> 0 or e.kind in ('split', 'sold', 'handed-over', 'kept', 'given', 'scrapped'))
     and e.kind not in ('struck', 'listed') and not exists (select from entry c where c.corrects = e.id)
   order by e.at, e.id`,
)
export const listMovements = (client: Client, before: Instant): Promise<Movement[]> => many(client, movements, [before])

const tins = query(
  'a tin',
  z.object({
    at: z.string(),
    isBought: z.boolean(),
    price: z.number(),
    thrown: z.object({ at: z.string(), value: z.number() }).nullable(),
    counted: z
      .array(z.object({ at: z.string(), value: z.number() }))
      .nullable()
      .transform((counts) => counts ?? []),
  }),
  `select l.bought_at as at, p.formula is null as "isBought", l.price,
          case when l.emptied_at is not null and l.emptied_at < $1
            then json_build_object('at', to_char(l.emptied_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
                                   'value', greatest(0, l.price - coalesce(d.money, 0) - coalesce(n.money, 0))) end as thrown, n.counted
   from seen_lot l join product p on p.id = l.product_id
   left join (select s.lot_id, sum(s.money)::bigint as money from seen_draw s
              join entry e on e.id = s.entry_id and not exists (select from entry c where c.corrects = e.id)
              group by s.lot_id) d on d.lot_id = l.id
   left join (select lot_id, sum(money)::bigint as money,
                     json_agg(json_build_object('at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'value', money))
                       filter (where money <> 0 and at < $1) as counted
              from seen_tin_count group by lot_id) n on n.lot_id = l.id
   where l.bought_at < $1 order by l.bought_at, l.id`,
)
export const listTinsMoved = (client: Client, before: Instant): Promise<TinMoved[]> => many(client, tins, [before])

const payments = query(
  "a client's payment",
  z.object({ at: z.string(), pieceId: z.string(), amount: z.number() }),
  `select at, piece_id as "pieceId", amount * case when (what = 'refund') <> (strikes is not null) then -1 else 1 end as amount
   from seen_payment where at < $1 order by at, id`,
)
const credits = query(
  'a credit note',
  z.object({ at: z.string(), pieceId: z.string(), amount: z.number(), tax: z.number() }),
  `select at, piece_id as "pieceId", total as amount, tax from seen_receipt where kind = 'credit' and at < $1 order by at, id`,
)
const dealtPieces = query(
  'a piece that something was agreed of',
  z.object({ pieceId: z.string() }),
  `select distinct piece_id as "pieceId" from seen_quote_answer where answer = 'accepted'`,
)
export const listDealt = async (client: Client, before: Instant): Promise<Dealt> => ({
  payments: await many(client, payments, [before]),
  credits: await many(client, credits, [before]),
  agreed: new Set((await many(client, dealtPieces)).map(({ pieceId }) => pieceId)),
})
