/** What a client was asked to pay, what came and what went back. */
import * as z from 'zod'
import { codesOf } from '@/core/craft/parts'
import { type PayWay, payWays } from '@/core/input/quote'
import type { Instant, PieceId, StudioId } from '@/core/measure/named'
import { type PaymentKind, paymentKinds } from '@/core/price/offer'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'

const paymentRow = z.object({
  id: z.string(),
  at: z.string(),
  what: z.enum(codesOf(paymentKinds)),
  amount: z.number(),
  way: z.enum([...codesOf(payWays), 'service']),
  mark: z.string().nullable(),
  note: z.string().nullable(),
  strikes: z.string().nullable(),
  writtenBy: z.string().nullable(),
})
export type MadePayment = z.output<typeof paymentRow>
const paymentsOf = query(
  'a payment',
  paymentRow,
  `select id, at, what, amount, way, mark, note, strikes, written_by as "writtenBy" from seen_payment where piece_id = $1 order by at, id limit 200`,
)
export const listPayments = (client: Client, pieceId: PieceId): Promise<MadePayment[]> => many(client, paymentsOf, [pieceId])

export async function addPayment(
  client: Client,
  studioId: StudioId,
  payment: { id: string; pieceId: PieceId; at: Instant; what: PaymentKind; way: PayWay; amount: number; note: string | null },
): Promise<void> {
  await client.query(
    `insert into payment (id, studio_id, piece_id, at, what, amount, way, note) values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [payment.id, studioId, payment.pieceId, payment.at, payment.what, payment.amount, payment.way, payment.note],
  )
}
/** False where there is none of that id that was written by hand. */
export async function strikePayment(
  client: Client,
  studioId: StudioId,
  { id, paymentId, pieceId, at }: { id: string; paymentId: string; pieceId: PieceId; at: Instant },
): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into payment (id, studio_id, piece_id, at, what, amount, way, strikes)
     select $1, $2, piece_id, $5, what, amount, way, id from seen_payment
     where id = $3 and piece_id = $4 and way <> 'service' and strikes is null`,
    [id, studioId, paymentId, pieceId, at],
  )
  return rowCount === 1
}

const requestRow = z.object({
  id: z.string(),
  what: z.enum(codesOf(paymentKinds)),
  amount: z.number(),
  currency: z.string(),
  isPaid: z.boolean(),
})
export type PaymentRequest = z.output<typeof requestRow>
const oneRequest = query(
  'a request for money',
  requestRow,
  `select r.id, r.what, r.amount, r.currency, exists (select from payment p where p.request_id = r.id) as "isPaid"
   from seen_payment_request r where r.id = $1`,
)
/** Under a number of the sender's own: asked twice it is one request, as it was asked first. Null where the number is somebody else's. */
export async function askForPayment(
  client: Client,
  studioId: StudioId,
  asked: { id: string; pieceId: PieceId; what: PaymentKind; amount: number; currency: string },
): Promise<PaymentRequest | null> {
  await client.query(
    `insert into payment_request (id, studio_id, piece_id, what, amount, currency) values ($1, $2, $3, $4, $5, $6) on conflict (id) do nothing`,
    [asked.id, studioId, asked.pieceId, asked.what, asked.amount, asked.currency],
  )
  return maybe(client, oneRequest, [asked.id])
}
const askedToday = query(
  'how often a client asked to pay',
  z.object({ count: z.number() }),
  `select count(*)::int as count from payment_request where piece_id = $1 and person_id is null and at > now() - interval '1 day'`,
)
export const countPaymentsAsked = async (client: Client, pieceId: PieceId): Promise<number> =>
  (await one(client, askedToday, [pieceId])).count
export const findRequest = (client: Client, id: string): Promise<PaymentRequest | null> => maybe(client, oneRequest, [id])
const refundsAsked = query(
  'what was asked back',
  z.object({ sum: z.number() }),
  `select coalesce(sum(amount), 0)::bigint as sum from seen_payment_request where piece_id = $1 and what = 'refund' and id <> $2
     and (refused_at is null or exists (select from payment p where p.request_id = seen_payment_request.id))`,
)
/** What the service was asked to give back so far and did not refuse, booked or not; beside the request of that id. */
export const sumRefundsAsked = async (client: Client, pieceId: PieceId, beside: string): Promise<number> =>
  (await one(client, refundsAsked, [pieceId, beside])).sum
const refusedRow = z.object({ id: z.string(), amount: z.number(), refusedAt: z.string() })
export type RefusedRefund = z.output<typeof refusedRow>
const refusedRefunds = query(
  'what would not be given back',
  refusedRow,
  `select r.id, r.amount, r.refused_at as "refusedAt" from seen_payment_request r
   where r.piece_id = $1 and r.what = 'refund' and r.refused_at is not null
     and not exists (select from payment p where p.request_id = r.id) order by r.refused_at desc, r.id limit 20`,
)
/** What the service refused to give back, the latest first. */
export const listRefusedRefunds = (client: Client, pieceId: PieceId): Promise<RefusedRefund[]> =>
  many(client, refusedRefunds, [pieceId])
/** Until the transaction ends nobody else asks for money of this piece, or offers something for it. */
export async function oneDealAtATime(client: Client, pieceId: PieceId): Promise<void> {
  await client.query(`select pg_advisory_xact_lock(hashtextextended('a deal of ' || $1, 0))`, [pieceId])
}

const becameRow = z.object({ became: z.enum(['booked', 'known', 'other']).nullable() })
const noticed = query('what became of a notice', becameRow, 'select door.take_notice($1, $2, $3, $4, $5) as became')
/** By the door: a service told of a payment. `other`: not what was asked for; null: nobody asked. */
export const takeNotice = async (
  client: Client,
  notice: { request: string; mark: string; amount: number; currency: string; at: Instant },
): Promise<'booked' | 'known' | 'other' | null> =>
  (await one(client, noticed, [notice.request, notice.mark, notice.amount, notice.currency, notice.at])).became

const refusedNotice = query('what became of a notice', becameRow, 'select door.take_refusal($1, $2, $3, $4) as became')
/** By the door: a service told that it would not. As {@link takeNotice} answers. */
export const takeRefusal = async (
  client: Client,
  notice: { request: string; amount: number; currency: string; at: Instant },
): Promise<'booked' | 'known' | 'other' | null> =>
  (await one(client, refusedNotice, [notice.request, notice.amount, notice.currency, notice.at])).became
