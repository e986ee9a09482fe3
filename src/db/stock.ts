/** The tins on the shelf, what was drawn of them, and batches of mixes: remains are sums over the log, corrections applied. */
import * as z from 'zod'
import type { EntryId, Instant, LotId, ProductId, StudioId } from '@/core/measure/named'
import type { Draw } from '@/core/stock/drawFromLots'
import type { ShelfLot } from '@/core/stock/product'
import type { Client } from './pool'
import { many, maybe, query } from './rows'

const lotRow = z.object({
  id: z.string(),
  productId: z.string(),
  code: z.string().nullable(),
  size: z.number(),
  price: z.number(),
  boughtAt: z.string(),
  openedAt: z.string().nullable(),
  remaining: z.number(),
}) satisfies z.ZodType<ShelfLot>

/** Corrected coats took nothing: the coat that stands in their place did. */
const lotColumns = `l.id, l.product_id as "productId", l.code, l.size, l.price, l.bought_at as "boughtAt",
  d.opened_at as "openedAt", greatest(0, l.size - coalesce(d.taken, 0) - coalesce(n.gone, 0)) as remaining`
const lotsWith = (whichDraws: string) => `
  from seen_lot l left join lateral (
    select sum(d.amount) as taken, min(e.at) as opened_at
    from draw d join entry e on e.id = d.entry_id
    where d.lot_id = l.id and ${whichDraws} and not exists (select from entry c where c.corrects = e.id)
  ) d on true
  left join lateral (select sum(gone) as gone from tin_count where lot_id = l.id) n on true
  where l.emptied_at is null`

const lotsOnShelf = query(
  'a tin',
  lotRow,
  `select ${lotColumns} ${lotsWith('true')} and l.drained_at is null order by l.bought_at, l.id`,
)
/** Every tin that stands on the shelf with something in it, in the order it was bought. */
export const listLots = (client: Client): Promise<ShelfLot[]> => many(client, lotsOnShelf)

const lotsOfProduct = query(
  'a tin',
  lotRow,
  `select ${lotColumns} ${lotsWith('e.id is distinct from $2')} and l.product_id = $1
     and (l.drained_at is null or exists (select from draw own where own.lot_id = l.id and own.entry_id = $2))
   order by l.bought_at, l.id`,
)
/** The tins of one product, as if `without` had taken nothing. Nobody else draws from them until the transaction ends. */
export async function takeLotsInHand(client: Client, productId: ProductId, without: string | null): Promise<ShelfLot[]> {
  await client.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [productId])
  return many(client, lotsOfProduct, [productId, without])
}

export interface BoughtLot {
  id: LotId
  productId: ProductId
  code: string | null
  size: number
  price: number
  boughtAt: Instant
}
/** Puts a tin on the shelf. */
export const addLot = (client: Client, studioId: StudioId, lot: BoughtLot): Promise<void> => addLots(client, studioId, [lot])
export async function addLots(client: Client, studioId: StudioId, lots: readonly BoughtLot[]): Promise<void> {
  await client.query(
    `insert into lot (id, studio_id, product_id, code, size, price, bought_at)
     select id, $2, "productId", code, size, price, "boughtAt" from jsonb_to_recordset($1::jsonb)
     as l(id uuid, "productId" uuid, code text, size numeric, price bigint, "boughtAt" timestamptz)`,
    [JSON.stringify(lots), studioId],
  )
}
/** Takes a tin off the shelf; false where there is none of that id, or it was taken off before. */
export async function emptyLot(client: Client, id: LotId, at: Instant): Promise<boolean> {
  const { rowCount } = await client.query('update lot set emptied_at = $2 where id = $1 and emptied_at is null', [id, at])
  return rowCount === 1
}

/** Puts a tin back that was taken off by mistake; false where it stands there. */
export async function putLotBack(client: Client, id: LotId): Promise<boolean> {
  const { rowCount } = await client.query('update lot set emptied_at = null where id = $1 and emptied_at is not null', [id])
  return rowCount === 1
}

export async function addDraws(client: Client, studioId: StudioId, entryId: EntryId, draws: readonly Draw[]): Promise<void> {
  await client.query(
    `insert into draw (entry_id, studio_id, lot_id, amount, money)
     select $2, $3, lot, amount, cost from jsonb_to_recordset($1::jsonb) as d(lot uuid, amount numeric, cost bigint)`,
    [JSON.stringify(draws), entryId, studioId],
  )
}

const batchRow = z.object({
  productId: z.string().nullable(),
  mix: z.string(),
  volume: z.number(),
  left: z.number(),
  money: z.number(),
})
/** A batch in hand: `money` is what went into it, minor units. */
export type MadeBatch = z.output<typeof batchRow>

const batchInHand = query(
  'a mix',
  batchRow,
  `select m.product_id as "productId", m.mix, m.amount as volume, m.money,
          greatest(0, m.amount - coalesce((
            select sum(e.amount) from entry e
            where e.batch_id = m.id and e.id is distinct from $2 and not exists (select from entry c where c.corrects = e.id)
          ), 0)) as left
   from seen_entry m where m.id = $1 and m.kind = 'mixed' and not exists (select from entry c where c.corrects = m.id)`,
)
/** A batch as it stands, as if `without` had taken nothing of it; null where there is none. Locked as a product's tins are. */
export async function takeBatchInHand(client: Client, id: EntryId, without: string | null): Promise<MadeBatch | null> {
  await client.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [id])
  return maybe(client, batchInHand, [id, without])
}
