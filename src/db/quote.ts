/** What a client was offered, what they said to it, and what they paid. */
import * as z from 'zod'
import { acceptedShape, offerShape } from '@/core/input/quote'
import type { Instant, PieceId, StudioId } from '@/core/measure/named'
import {
  type Accepted,
  type AnswerKind,
  answers,
  type MadeQuote,
  type Offer,
  type QuoteKind,
  quoteKinds,
} from '@/core/price/offer'
import type { Client } from './pool'
import { many, maybe, query } from './rows'

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
  hours: z.number().nullable(),
  worth: z.number().nullable(),
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
      chosen: z.record(z.string(), z.string()).nullable(),
    })
    .nullable(),
})
const ofPiece = query(
  'an offer',
  quoteRow,
  `select q.id, q.at, q.kind, q.valid_until::text as "validUntil", q.withdrawn_at as "withdrawnAt", q.written_by as "writtenBy", q.digest, q.hours, q.worth, q.offer,
          case when a.id is not null then json_build_object('answer', a.answer,
            'at', to_char(a.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'personId', a.person_id, 'name', a.name,
            'reason', a.reason, 'total', a.total, 'deposit', a.deposit, 'digest', a.digest, 'chosen', a.accepted::jsonb -> 'chosen') end as answer
   from seen_quote q left join seen_quote_answer a on a.quote_id = q.id
   where q.piece_id = $1 order by q.at, q.id limit 100`,
)
/** The earliest first. */
export const listQuotes = (client: Client, pieceId: PieceId): Promise<MadeQuote[]> => many(client, ofPiece, [pieceId])

export async function addQuote(
  client: Client,
  studioId: StudioId,
  quote: {
    id: string
    pieceId: PieceId
    kind: QuoteKind
    validUntil: string
    offer: Offer
    /** what the plan takes and asks for just now */
    hours: number | null
    worth: number | null
  },
): Promise<void> {
  // one offer of a kind stands: the one before it is withdrawn
  await client.query(
    `update quote q set withdrawn_at = now() where piece_id = $1 and kind = $2 and withdrawn_at is null
       and not exists (select from quote_answer a where a.quote_id = q.id)`,
    [quote.pieceId, quote.kind],
  )
  await client.query(
    `insert into quote (id, studio_id, piece_id, kind, valid_until, offer, hours, worth, digest) values ($1, $2, $3, $4, $5, $6, $7, $8, repeat('0', 64))`,
    [quote.id, studioId, quote.pieceId, quote.kind, quote.validUntil, JSON.stringify(quote.offer), quote.hours, quote.worth],
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

const openChanges = query(
  'a change that waits for its client',
  z.object({ pieceId: z.string(), name: z.string() }),
  `select distinct q.piece_id as "pieceId", p.name from quote q join piece p on p.id = q.piece_id
   where q.kind = 'change' and q.withdrawn_at is null and p.ended_at is null and ($1::uuid is null or q.piece_id = $1)
     and not exists (select from quote_answer a where a.quote_id = q.id) order by p.name limit 20`,
)
/** Pieces in the workshop of which a change was offered that nobody answered: their work waits. Of one piece, where one is named. */
export const listWaiting = (client: Client, pieceId: PieceId | null = null): Promise<{ pieceId: PieceId; name: string }[]> =>
  many(client, openChanges, [pieceId])

const answeredLately = query(
  "a client's answer",
  z.object({
    pieceId: z.string(),
    name: z.string(),
    at: z.string(),
    answer: z.enum(answers),
    kind: z.enum(quoteKinds),
    total: z.number().nullable(),
  }),
  `select a.piece_id as "pieceId", p.name, a.at, a.answer, q.kind, a.total from seen_quote_answer a
   join quote q on q.id = a.quote_id join piece p on p.id = a.piece_id
   where a.person_id is null and a.at > now() - interval '3 days' and p.ended_at is null order by a.at desc limit 10`,
)
/** What clients said on their pages in the last days, the newest first. */
export const listAnswered = (client: Client) => many(client, answeredLately)
