/**
 * An invoice for a piece that was sold, and a credit note that takes some of it back: what stands on each, to the letter. Its number is given
 * where it is kept. Money in minor units; pure.
 */
import type { Day } from '@/core/measure/named'
import { type MadeQuote, totalOf } from './offer'
import { type Tax, taxOf } from './priceFor'

export const receiptKinds = ['invoice', 'credit'] as const
export type ReceiptKind = (typeof receiptKinds)[number]

export interface Receipt {
  studio: string
  /** what stands at its head: address, number for tax */
  letterhead: string
  client: string | null
  piece: string
  currency: string
  /** on the studio's wall */
  day: Day
  lines: { words: string; money: number }[]
  total: number
  /** of a margin it is said that there is one, and no figure */
  tax: { mode: 'none' } | { mode: 'inclusive'; share: number; money: number } | { mode: 'margin' }
  /** what had come by then; null on a credit note */
  paid: number | null
  /** the invoice that it takes back of, and why */
  of: { number: number; reason: string } | null
}
/** As it is kept. */
export interface MadeReceipt {
  id: string
  number: number
  kind: ReceiptKind
  at: string
  credits: string | null
  digest: string
  /** within its total, shown or not; 0 for a client */
  tax: number
  paper: Receipt
}

export type NewReceipt = Pick<MadeReceipt, 'tax' | 'paper'>
interface Billed extends Pick<Receipt, 'studio' | 'letterhead' | 'client' | 'piece' | 'currency' | 'day'> {
  /** what it was sold or handed over for */
  price: number
  tax: Tax
  /** what was agreed, changes included */
  agreed: readonly Pick<MadeQuote, 'kind' | 'offer' | 'answer'>[]
  /** null where nothing was agreed: it was paid as it went */
  paid: number | null
}
/** By what was agreed where that comes to the price, else by the piece as a whole. */
export function invoiceFor({ price, tax, agreed, paid, ...head }: Billed): NewReceipt {
  const lines = agreedLines(agreed)
  const sum = lines.reduce((all, { money }) => all + money, 0)
  const money = taxOf(price, tax)
  return {
    tax: money,
    paper: {
      ...head,
      lines: lines.length > 0 && sum === price ? lines : [{ words: head.piece, money: price }],
      total: price,
      tax: tax.mode === 'inclusive' ? { mode: tax.mode, share: tax.share, money } : { mode: tax.mode },
      paid: paid ?? price,
      of: null,
    },
  }
}
function agreedLines(agreed: Billed['agreed']): Receipt['lines'] {
  const accepted = agreed.filter(({ answer }) => answer?.answer === 'accepted')
  if (!accepted.some(({ kind }) => kind === 'quote')) return []
  return accepted.flatMap(({ offer, answer }) => {
    const chosen = answer?.chosen ?? {}
    const extras = offer.options.flatMap(({ id, words, choices }) => {
      const choice = choices.find((each) => each.id === chosen[id])
      return choice && choice.extra !== 0 ? [{ words: `${words}: ${choice.words}`, money: choice.extra }] : []
    })
    const own = offer.lines.map(({ words, detail, money }) => ({ words: [words, detail].filter(Boolean).join(', '), money }))
    const lines = [...own, ...extras]
    // what an offer comes to is its total, whatever it was made of
    const beside = totalOf(offer, chosen) - lines.reduce((sum, { money }) => sum + money, 0)
    return beside === 0 ? lines : [{ words: offer.piece, money: totalOf(offer, chosen) }]
  })
}

/** What stands on an invoice when its credit notes are taken off. */
export function openOf(invoice: MadeReceipt, all: readonly MadeReceipt[]): { total: number; tax: number } {
  const back = all.filter(({ credits }) => credits === invoice.id)
  return {
    total: back.reduce((left, { paper }) => left - paper.total, invoice.paper.total),
    tax: back.reduce((left, { tax }) => left - tax, invoice.tax),
  }
}

/**
 * A note that takes so much of an invoice back; null where less than that stands on it. Its tax is what is owed less: what stands on the
 * invoice then is taxed as if it had been asked for at once, and all notes together take back all of it.
 */
export function creditFor(
  invoice: MadeReceipt,
  all: readonly MadeReceipt[],
  { amount, reason, day, tax }: { amount: number; reason: string; day: Day; tax: Tax },
): NewReceipt | null {
  const open = openOf(invoice, all)
  if (amount <= 0 || amount > open.total) return null
  const left = amount === open.total ? 0 : Math.min(open.tax, taxOf(open.total - amount, tax))
  const money = open.tax - left
  const { paper } = invoice
  return {
    tax: money,
    paper: {
      ...paper,
      day,
      lines: [{ words: paper.piece, money: amount }],
      total: amount,
      tax: paper.tax.mode === 'inclusive' ? { ...paper.tax, money } : paper.tax,
      paid: null,
      of: { number: invoice.number, reason },
    },
  }
}
