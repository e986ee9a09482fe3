/** What may be entered about invoices and credit notes, and how they are kept. */
import * as z from 'zod'
import type { Receipt } from '@/core/price/receipt'
import { type House, id, moneyAboveNothing, words } from './fields'

const minor = z.number().int()
/** As it is kept, to the letter. */
export const receiptShape: z.ZodType<Receipt> = z.object({
  studio: z.string(),
  letterhead: z.string(),
  client: z.string().nullable(),
  piece: z.string(),
  currency: z.string(),
  day: z.string(),
  lines: z.array(z.object({ words: z.string(), money: minor })),
  total: minor,
  tax: z.discriminatedUnion('mode', [
    z.object({ mode: z.literal('none') }),
    z.object({ mode: z.literal('inclusive'), share: z.number(), money: minor }),
    z.object({ mode: z.literal('margin') }),
  ]),
  paid: minor.nullable(),
  of: z.object({ number: z.number(), reason: z.string() }).nullable(),
})

export const invoiceInput = z.object({ id, pieceId: id })
export type InvoiceText = z.input<typeof invoiceInput>
export const creditInput = (house: House) =>
  z.object({
    id,
    pieceId: id,
    invoiceId: id,
    amount: moneyAboveNothing(house),
    reason: words('why it is taken back', 200),
  })
export type CreditText = z.input<ReturnType<typeof creditInput>>
