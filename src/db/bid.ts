/** What was looked at and bid for. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import { type BidOutcome, bidOutcomes, type KerbFacts } from '@/core/input/bid'
import type { Instant, PieceId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

export interface NewBid {
  id: string
  lotId: string
  at: Instant
  sale: string | null
  name: string
  outcome: BidOutcome
  pieceId: PieceId | null
  card: KerbFacts
  hours: number
  highest: number | null
  brings: number | null
  wentFor: number | null
}
export async function addBid(client: Client, studioId: StudioId, bid: NewBid): Promise<void> {
  await client.query(
    `insert into bid (id, studio_id, lot_id, at, sale, name, outcome, piece_id, card, hours, highest, brings, went_for)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)`,
    [
      ...[bid.id, studioId, bid.lotId, bid.at, bid.sale, bid.name, bid.outcome, bid.pieceId, JSON.stringify(bid.card)],
      ...[bid.hours, bid.highest, bid.brings, bid.wentFor],
    ],
  )
}

const bidRow = z.object({
  id: z.string(),
  at: z.string(),
  sale: z.string().nullable(),
  name: z.string(),
  outcome: z.enum(codesOf(bidOutcomes)),
  pieceId: z.string().nullable(),
  hours: z.number(),
  highest: z.number().nullable(),
  brings: z.number().nullable(),
  wentFor: z.number().nullable(),
})
export type Bid = z.output<typeof bidRow>
const lately = query(
  'a bid',
  bidRow,
  `select id, at, sale, name, outcome, piece_id as "pieceId", hours, highest, brings, went_for as "wentFor"
   from seen_bid b
   where not exists (select from bid later where later.lot_id = b.lot_id and (later.at, later.id) > (b.at, b.id))
   order by at desc, id desc limit $1`,
)
/** What was said last of what was looked at, the latest first, at most `limit`. */
export const listBids = (client: Client, limit: number): Promise<Bid[]> => many(client, lately, [limit])
