/** What a client was offered, what they said to it, and what they paid. */
import { z } from 'zod'
import { codesOf } from '@/core/craft/parts'
import { acceptedShape, offerShape, type PayWay, payWays } from '@/core/input/quote'
import type { Instant, PieceId, StudioId } from '@/core/measure/named'
import {
  type Accepted,
  type AnswerKind,
  answers,
  type Offer,
  type PaymentKind,
  paymentKinds,
  type QuoteKind,
  quoteKinds,
} from '@/core/price/offer'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'

const json = <S extends z.ZodType>(shape: S) =>
  z
    .string()
    .transform((text) => JSON.parse(text) as unknown)
    .pipe(shape)
const quoteRow = z.object({
  id: z.string(),
  at: z.string(),
  kind: z.enum(quoteKinds),
  validUntil: z.string(),
  withdrawnAt: z.string().nullable(),
  writtenBy: z.string().nullable(),
  digest: z.string(),
  offer: json(offerShape),
  answer: z
    .object({
      answer: z.enum(answers),
      at: z.string(),
      personId: z.string().nullable(),
      name: z.string().nullable(),
      reason: z.string().nullable(),
      total: z.number().nullable(),
      deposit: z.number().nullable(),
      digest: z.string().nullable(),
    })
    .nullable(),
})
/** An offer as it was made, and what was said to it; `answer.personId` null: by the client. */
export type MadeQuote = z.output<typeof quoteRow>
const ofPiece = query(
  'an offer',
  quoteRow,
  `select q.id, q.at, q.kind, q.valid_until::text as "validUntil", q.withdrawn_at as "withdrawnAt", q.written_by as "writtenBy", q.digest, q.offer,
          case when a.id is not null then json_build_object('answer', a.answer,
            'at', to_char(a.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'personId', a.person_id, 'name', a.name,
            'reason', a.reason, 'total', a.total, 'deposit', a.deposit, 'digest', a.digest) end as answer
   from seen_quote q left join seen_quote_answer a on a.quote_id = q.id
   where q.piece_id = $1 order by q.at, q.id limit 100`,
)
/** The earliest first. */
export const listQuotes = (client: Client, pieceId: PieceId): Promise<MadeQuote[]> => many(client, ofPiece, [pieceId])

export async function addQuote(
  client: Client,
  studioId: StudioId,
  quote: { id: string; pieceId: PieceId; kind: QuoteKind; validUntil: string; offer: Offer },
): Promise<void> {
  // one offer of a kind stands: the one before it is withdrawn
  await client.query(
    `update quote q set withdrawn_at = now() where piece_id = $1 and kind = $2 and withdrawn_at is null
       and not exists (select from quote_answer a where a.quote_id = q.id)`,
    [quote.pieceId, quote.kind],
  )
  await client.query(
    `insert into quote (id, studio_id, piece_id, kind, valid_until, offer, digest) values ($1, $2, $3, $4, $5, $6, repeat('0', 64))`,
    [quote.id, studioId, quote.pieceId, quote.kind, quote.validUntil, JSON.stringify(quote.offer)],
  )
}
/** False where there is none that stands open. */
export async function withdrawQuote(client: Client, id: string, at: Instant): Promise<boolean> {
  const { rowCount } = await client.query('update quote set withdrawn_at = $2 where id = $1 and withdrawn_at is null', [id, at])
  return rowCount === 1
}

const openRow = z.object({ id: z.string(), pieceId: z.string(), digest: z.string(), offer: json(offerShape) })
const oneQuote = query('an offer', openRow, 'select id, piece_id as "pieceId", digest, offer from seen_quote where id = $1')
export const findQuote = (client: Client, id: string): Promise<z.output<typeof openRow> | null> => maybe(client, oneQuote, [id])

export interface NewAnswer {
  id: string
  quoteId: string
  pieceId: PieceId
  answer: AnswerKind
  name: string | null
  reason: string | null
  accepted: Accepted | null
}
/** By whoever's session it is; by a client's link, the client. Under a number of the sender's own: sent twice it is kept once. */
export async function addQuoteAnswer(client: Client, studioId: StudioId, given: NewAnswer): Promise<void> {
  const { accepted } = given
  await client.query(
    `insert into quote_answer (id, studio_id, quote_id, piece_id, answer, name, reason, accepted, digest, total, deposit)
     values ($1, $2, $3, $4, $5, $6, $7, $8, case when $8::text is not null then repeat('0', 64) end, $9, $10)
     on conflict (id) do nothing`,
    [
      ...[given.id, studioId, given.quoteId, given.pieceId, given.answer, given.name, given.reason],
      ...[accepted && JSON.stringify(accepted), accepted?.total ?? null, accepted?.deposit ?? null],
    ],
  )
}
const acceptedRow = z.object({
  text: z.string(),
  digest: z.string(),
  at: z.string(),
  name: z.string().nullable(),
  pieceId: z.string(),
})
const acceptedText = query(
  'what was accepted',
  acceptedRow,
  `select accepted as text, digest, at, name, piece_id as "pieceId" from seen_quote_answer where quote_id = $1 and accepted is not null`,
)
/** To the letter: its digest is of these very bytes. Null where nothing was accepted. */
export const findAccepted = (client: Client, quoteId: string): Promise<z.output<typeof acceptedRow> | null> =>
  maybe(client, acceptedText, [quoteId])
/** As {@link findAccepted}, read. */
export const readAccepted = (text: string): Accepted => acceptedShape.parse(JSON.parse(text))

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
/** Under a number of the sender's own: asked twice it is one request, as it was asked first. */
export async function askForPayment(
  client: Client,
  studioId: StudioId,
  asked: { id: string; pieceId: PieceId; what: PaymentKind; amount: number; currency: string },
): Promise<PaymentRequest> {
  await client.query(
    `insert into payment_request (id, studio_id, piece_id, what, amount, currency) values ($1, $2, $3, $4, $5, $6) on conflict (id) do nothing`,
    [asked.id, studioId, asked.pieceId, asked.what, asked.amount, asked.currency],
  )
  return one(client, oneRequest, [asked.id])
}
export const findRequest = (client: Client, id: string): Promise<PaymentRequest | null> => maybe(client, oneRequest, [id])
const refundsAsked = query(
  'what was asked back',
  z.object({ sum: z.number() }),
  `select coalesce(sum(amount), 0)::bigint as sum from seen_payment_request where piece_id = $1 and what = 'refund' and id <> $2`,
)
/** What the service was asked to give back so far, booked or not; beside the request of that id. */
export const sumRefundsAsked = async (client: Client, pieceId: PieceId, beside: string): Promise<number> =>
  (await one(client, refundsAsked, [pieceId, beside])).sum
/** Until the transaction ends nobody else asks for money of this piece, or offers something for it. */
export async function oneDealAtATime(client: Client, pieceId: PieceId): Promise<void> {
  await client.query(`select pg_advisory_xact_lock(hashtextextended('a deal of ' || $1, 0))`, [pieceId])
}

const noticed = query(
  'what became of a notice',
  z.object({ became: z.enum(['booked', 'known', 'other']).nullable() }),
  'select door.take_notice($1, $2, $3, $4, $5) as became',
)
/** By the door: a service told of a payment. `other`: not what was asked for; null: nobody asked. */
export const takeNotice = async (
  client: Client,
  notice: { request: string; mark: string; amount: number; currency: string; at: Instant },
): Promise<'booked' | 'known' | 'other' | null> =>
  (await one(client, noticed, [notice.request, notice.mark, notice.amount, notice.currency, notice.at])).became
