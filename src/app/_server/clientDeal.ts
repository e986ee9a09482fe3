/** What a client agrees to and pays by their link. */
import 'server-only'
import type * as z from 'zod'
import type { clientAnswerToQuote, payInput } from '@/core/input/quote'
import { dayOf } from '@/core/measure/time'
import { type Agreed, agreedOf, type MadeQuote } from '@/core/price/offer'
import type { MadeReceipt } from '@/core/price/receipt'
import { findOwnLink } from '@/db/clientPage'
import { askForPayment, countPaymentsAsked, listPayments, type MadePayment, oneDealAtATime } from '@/db/payment'
import { type Client, inSession, SignedOut, troubleOf } from '@/db/pool'
import { findAccepted, listQuotes } from '@/db/quote'
import { listReceipts } from '@/db/receipt'
import { getStudio } from '@/db/studio'
import { hasPaymentService, pageToPay } from './paymentService'
import { answerByLink, type Answered } from './quoting'
import { pool } from './session'

export interface Deal {
  quotes: MadeQuote[]
  payments: MadePayment[]
  receipts: MadeReceipt[]
  agreed: Agreed
  today: string
}
/** What was offered, said and paid of a piece. `zone`: the studio's. */
export async function readDeal(client: Client, pieceId: string, zone: string, nowMs = Date.now()): Promise<Deal> {
  const [quotes, payments, receipts] = await Promise.all([
    listQuotes(client, pieceId),
    listPayments(client, pieceId),
    listReceipts(client, pieceId),
  ])
  const today = dayOf(new Date(nowMs).toISOString(), zone)
  const credited = receipts.reduce((sum, { kind, paper }) => sum + (kind === 'credit' ? paper.total : 0), 0)
  return { quotes, payments, receipts, agreed: agreedOf(quotes, payments, today, credited), today }
}

const inLink = <T>(
  secret: string,
  work: (client: Client, studioId: string, pieceId: string) => Promise<T>,
): Promise<T | 'gone'> =>
  inSession(pool(), secret, async (client, studioId) => {
    const link = await findOwnLink(client)
    return link ? work(client, studioId, link.pieceId) : ('gone' as const)
  }).catch((error: unknown) => {
    if (error instanceof SignedOut) return 'gone' as const
    throw error
  })

/** The client's answer; once, whoever presses how often. */
export const answerAsClient = (secret: string, sent: z.output<typeof clientAnswerToQuote>): Promise<Answered> =>
  inLink(secret, (client, studioId, pieceId) => answerByLink(client, studioId, pieceId, sent)).catch((error: unknown) => {
    const trouble = troubleOf(error)
    if (trouble === 'offer-over' || trouble === 'already-answered') return 'over'
    throw error
  })

/** a client asks for no more pages to pay on in a day */
const mostAsked = 40

export type Paying = { page: string } | 'gone' | 'nothing' | 'silent' | 'much'
/** Where the client pays what is due; `nothing`: nothing is, `silent`: the service does not answer, and nothing was taken. */
export async function payAsClient(
  secret: string,
  { id, what }: z.output<typeof payInput>,
  from: { back: string; notice: string },
): Promise<Paying> {
  if (!hasPaymentService()) return 'nothing'
  const asked = await inLink(secret, async (client, studioId, pieceId) => {
    await oneDealAtATime(client, pieceId)
    if ((await countPaymentsAsked(client, pieceId)) >= mostAsked) return 'much' as const
    const { zone, currency, name } = await getStudio(client)
    const { agreed } = await readDeal(client, pieceId, zone)
    const amount = what === 'deposit' ? agreed.depositDue : agreed.balance
    if (agreed.total === null || amount <= 0) return 'nothing' as const
    const request = await askForPayment(client, studioId, { id, pieceId, what, amount, currency })
    // the same number is the same request: what it asked for before may be paid by now
    return !request || request.isPaid || request.amount !== amount ? ('nothing' as const) : { ...request, about: name }
  })
  if (typeof asked === 'string') return asked
  const page = await pageToPay({ id: asked.id, amount: asked.amount, currency: asked.currency, about: asked.about, ...from })
  return page === null ? 'silent' : { page }
}

/** What was accepted, to the letter, for who has the link. */
export const readAcceptedByLink = (secret: string, quoteId: string) =>
  inLink(secret, async (client, _studio, pieceId) => {
    const found = await findAccepted(client, quoteId)
    return found?.pieceId === pieceId ? found : ('gone' as const)
  })
