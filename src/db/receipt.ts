/** Invoices and credit notes, as they were made. */
import * as z from 'zod'
import { receiptShape } from '@/core/input/receipt'
import type { Instant, PieceId, StudioId } from '@/core/measure/named'
import { type MadeReceipt, type NewReceipt, type ReceiptKind, receiptKinds } from '@/core/price/receipt'
import type { Client } from './pool'
import { many, query } from './rows'

const receiptRow = z.object({
  id: z.string(),
  number: z.number(),
  kind: z.enum(receiptKinds),
  at: z.string(),
  credits: z.string().nullable(),
  digest: z.string(),
  tax: z.number(),
  paper: z
    .string()
    .transform((text) => JSON.parse(text) as unknown)
    .pipe(receiptShape),
}) satisfies z.ZodType<MadeReceipt>
const columns = 'id, number, kind, at, credits, digest, tax, paper'
const ofPiece = query(
  'a receipt',
  receiptRow,
  `select ${columns} from seen_receipt where piece_id = $1 order by number limit 200`,
)
/** The first first. */
export const listReceipts = (client: Client, pieceId: PieceId): Promise<MadeReceipt[]> => many(client, ofPiece, [pieceId])

const between = query('a receipt', receiptRow, `select ${columns} from seen_receipt where at >= $1 and at < $2 order by number`)
/** All of a stretch of time, by their numbers. */
export const listReceiptsBetween = (client: Client, from: Instant, to: Instant): Promise<MadeReceipt[]> =>
  many(client, between, [from, to])

/** Its number and moment are given where it is kept. */
export async function addReceipt(
  client: Client,
  studioId: StudioId,
  receipt: NewReceipt & { id: string; pieceId: PieceId; kind: ReceiptKind; credits: string | null },
): Promise<void> {
  const { paper, tax } = receipt
  await client.query(
    `insert into receipt (id, studio_id, piece_id, number, kind, credits, paper, digest, total, tax)
     values ($1, $2, $3, 1, $4, $5, $6, repeat('0', 64), $7, $8)`,
    [receipt.id, studioId, receipt.pieceId, receipt.kind, receipt.credits, JSON.stringify(paper), paper.total, tax],
  )
}

const credits = query(
  'what was taken back',
  z.object({ pieceId: z.string(), sum: z.number() }),
  `select piece_id as "pieceId", sum(total)::bigint as sum from seen_receipt where kind = 'credit' and piece_id = any ($1) group by piece_id`,
)
/** What credit notes took back, by piece; of those that have any. */
export const sumCredits = async (client: Client, pieceIds: readonly PieceId[]): Promise<Map<PieceId, number>> =>
  new Map((await many(client, credits, [pieceIds])).map(({ pieceId, sum }) => [pieceId, sum]))
