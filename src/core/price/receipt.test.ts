import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { MadeQuote } from './offer'
import { type Tax, taxOf } from './priceFor'
import { creditFor, invoiceFor, type MadeReceipt, type NewReceipt, openOf } from './receipt'

const head = {
  studio: 'The Lantern Loft',
  letterhead: '3 Quay Loft',
  client: 'The Ferrow household',
  piece: 'Settle',
  currency: 'GBP',
  day: '2026-11-20',
}
const quote = (
  over: Partial<Pick<MadeQuote, 'kind' | 'offer' | 'answer'>> = {},
): Pick<MadeQuote, 'kind' | 'offer' | 'answer'> => ({
  kind: 'quote',
  offer: {
    ...{ piece: 'Settle', currency: 'GBP', excluded: null, words: null, depositShare: 0.3, validUntil: '2026-12-24' },
    ...{ ready: null, taxShare: null, sections: [] },
    lines: [
      { id: '1', partId: null, words: 'Seat', detail: 'smooth solid', money: 20_000 },
      { id: '2', partId: null, words: 'Back', detail: null, money: 10_000 },
    ],
    options: [
      {
        ...{ id: 'o', words: 'protection' },
        choices: [
          { id: 'w', words: 'wax', extra: 0 },
          { id: 'h', words: 'hard clear', extra: 4_000 },
        ],
      },
    ],
  },
  answer: {
    ...{
      answer: 'accepted',
      at: '2026-11-10T09:00:00.000Z',
      personId: null,
      name: 'Ode Ferrow',
      reason: null,
      digest: 'a'.repeat(64),
    },
    ...{ total: 34_000, deposit: 10_200, chosen: { o: 'h' } },
  },
  ...over,
})
const made = ({ paper, tax }: NewReceipt, over: Partial<MadeReceipt> = {}): MadeReceipt => ({
  ...{ id: 'i', number: 7, kind: 'invoice', at: '2026-11-20T09:00:00.000Z', credits: null, digest: 'b'.repeat(64), paper, tax },
  ...over,
})
const none: Tax = { mode: 'none' }

describe('an invoice', () => {
  test('by what was agreed, with what was chosen and changed, where that is what it was handed over for', () => {
    const change = quote({ kind: 'change' })
    change.offer = {
      ...change.offer,
      lines: [{ id: '3', partId: null, words: 'New feet', detail: null, money: 4_500 }],
      options: [],
    }
    const { paper } = invoiceFor({ ...head, price: 38_500, tax: none, agreed: [quote(), change], paid: 10_200 })
    expect(paper.lines).toEqual([
      { words: 'Seat, smooth solid', money: 20_000 },
      { words: 'Back', money: 10_000 },
      { words: 'protection: hard clear', money: 4_000 },
      { words: 'New feet', money: 4_500 },
    ])
    expect([paper.total, paper.paid]).toEqual([38_500, 10_200])
  })
  test('for another price, or with nothing agreed, the piece is its one line', () => {
    expect(invoiceFor({ ...head, price: 30_000, tax: none, agreed: [quote()], paid: 0 }).paper.lines).toEqual([
      { words: 'Settle', money: 30_000 },
    ])
    const bare = invoiceFor({ ...head, price: 12_000, tax: none, agreed: [quote({ answer: null })], paid: null }).paper
    expect([bare.lines, bare.paid]).toEqual([[{ words: 'Settle', money: 12_000 }], 12_000])
  })
  test('£120 with 20 % in it: £20 is said; of a margin of £90 the £15 are owed, and not said', () => {
    const inclusive = invoiceFor({ ...head, price: 12_000, tax: { mode: 'inclusive', share: 0.2 }, agreed: [], paid: null })
    expect([inclusive.tax, inclusive.paper.tax]).toEqual([2_000, { mode: 'inclusive', share: 0.2, money: 2_000 }])
    const margin = invoiceFor({
      ...head,
      price: 12_000,
      tax: { mode: 'margin', share: 0.2, bought: 3_000 },
      agreed: [],
      paid: null,
    })
    expect([margin.tax, margin.paper.tax]).toEqual([1_500, { mode: 'margin' }])
  })
})

describe('a credit note', () => {
  const tax: Tax = { mode: 'inclusive', share: 0.2 }
  const invoice = made(invoiceFor({ ...head, price: 12_000, tax, agreed: [], paid: null }))
  const credit = (amount: number, all: readonly MadeReceipt[] = [invoice]) =>
    creditFor(invoice, all, { amount, reason: 'A scratch on the way', day: '2026-11-25', tax })

  test('£30 of £120: its £5 of tax, the number it is of, why', () => {
    const note = credit(3_000)
    expect([note?.tax, note?.paper.total, note?.paper.of]).toEqual([500, 3_000, { number: 7, reason: 'A scratch on the way' }])
  })
  test('no more than stands there is taken back, and nothing of nothing', () => {
    expect(credit(12_001)).toBeNull()
    expect(credit(0)).toBeNull()
    const first = made(credit(10_000) as NewReceipt, { id: 'c', kind: 'credit', credits: 'i', number: 8 })
    expect(credit(2_001, [invoice, first])).toBeNull()
    expect(credit(2_000, [invoice, first])?.tax).toBe(2_000 - first.tax)
  })
  test('any notes until nothing stands there: they come to the invoice and its tax to the coin, and never more on the way', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 90_000 }),
        fc.constantFrom<Tax>(none, tax, { mode: 'margin', share: 0.19, bought: 4_000 }),
        fc.array(fc.integer({ min: 1, max: 9_000 }), { maxLength: 8 }),
        (price, mode, wanted) => {
          const bill = made(invoiceFor({ ...head, price, tax: mode, agreed: [], paid: null }))
          const all = [bill]
          const take = (amount: number) => {
            const note = creditFor(bill, all, { amount, reason: 'back', day: '2026-11-25', tax: mode })
            if (note) all.push(made(note, { id: `c${all.length}`, kind: 'credit', credits: 'i' }))
            const open = openOf(bill, all)
            expect(open.total).toBeGreaterThanOrEqual(0)
            // what is left is taxed as if it had been asked for at once
            expect(open.tax).toBe(Math.min(bill.tax, taxOf(open.total, mode)))
          }
          for (const amount of wanted) take(amount)
          take(openOf(bill, all).total)
          expect(openOf(bill, all)).toEqual({ total: 0, tax: 0 })
        },
      ),
      { numRuns: 300 },
    ))
})
