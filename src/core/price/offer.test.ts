import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { accept, agreedOf, depositOf, type Offer, paidIn, type Payment, type Quote, shareOut, standing, totalOf } from './offer'

const at = '2026-11-28T09:00:00.000Z'
const offer: Offer = {
  ...{ piece: 'Washstand', currency: 'GBP', excluded: null, words: null, depositShare: 0.3, validUntil: '2026-12-24' },
  lines: [
    { id: 'top', partId: 'p1', words: 'Top', detail: null, money: 31_000 },
    { id: 'body', partId: 'p2', words: 'Carcass', detail: null, money: 17_000 },
    { id: 'off', partId: null, words: 'You fetch it', detail: null, money: -1_500 },
  ],
  options: [
    {
      ...{ id: 'seal', words: 'protection' },
      choices: [
        { id: 'wax', words: 'wax', extra: 0 },
        { id: 'hard', words: 'hard clear', extra: 4_500 },
      ],
    },
  ],
  ...{ ready: null, taxShare: null, sections: [] },
}

describe('an offer', () => {
  test('310 and 170, less 15, with the harder clear at 45: 510.00, of it 153.00 before', () => {
    expect(totalOf(offer, {})).toBe(46_500)
    expect(accept(offer, { seal: 'hard' }, at)).toMatchObject({ accepted: { total: 51_000, deposit: 15_300 } })
  })
  test('is accepted with one of each chosen, from what it holds', () => {
    expect(accept(offer, {}, at)).toEqual({ issue: 'choose' })
    expect(accept(offer, { seal: 'varnish' }, at)).toEqual({ issue: 'unknown' })
    expect(accept(offer, { seal: 'hard', legs: 'x' }, at)).toEqual({ issue: 'unknown' })
    expect(accept({ ...offer, options: [] }, {}, at)).toMatchObject({ accepted: { total: 46_500 } })
  })
  test('asks for a deposit between nothing and all of it, in every currency', () => {
    fc.assert(
      fc.property(fc.integer({ min: -100_000, max: 1e12 }), fc.double({ min: 0, max: 1, noNaN: true }), (total, depositShare) => {
        const deposit = depositOf({ depositShare }, total)
        expect(Number.isInteger(deposit)).toBe(true)
        expect(deposit).toBeGreaterThanOrEqual(0)
        expect(deposit).toBeLessThanOrEqual(Math.max(0, total))
      }),
    )
  })
})

describe('a sum shared out', () => {
  test('100.00 over weights of one, one and one in whole pounds: 34, 33, 33', () => {
    expect(shareOut(10_000, [1, 1, 1], 100)).toEqual([3_400, 3_300, 3_300])
  })
  test('comes to the sum, each within a step of its due', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5_000_000 }),
        fc.array(fc.double({ min: 0, max: 1_000, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.constantFrom(1, 5, 100, 1_000),
        (sum, weights, step) => {
          const shares = shareOut(sum, weights, step)
          expect(shares.reduce((all, share) => all + share, 0)).toBe(sum)
          const all = weights.reduce((total, weight) => total + weight, 0)
          if (all > 1e-6)
            shares.forEach((share, k) => {
              expect(Math.abs(share - (sum * (weights[k] ?? 0)) / all)).toBeLessThanOrEqual(step + 1e-6)
            })
        },
      ),
    )
  })
})

const quote = (over: Partial<Quote>): Quote => ({
  ...{ id: 'q', at: '2026-11-20T09:00:00.000Z', kind: 'quote', validUntil: '2026-12-24', withdrawnAt: null, answer: null },
  ...over,
})
const accepted = (total: number, deposit = 0): Quote['answer'] => ({ answer: 'accepted', total, deposit })
const paid = (what: Payment['what'], amount: number, over: Partial<Payment> = {}): Payment => ({
  ...{ id: `${what}-${amount}`, what, amount, strikes: null },
  ...over,
})
const today = '2026-11-28'

describe('what is agreed', () => {
  test('510.00 with two changes of 40.00 more and 25.00 less; 153.00 and 100.00 paid: 272.00 is still to come', () => {
    const quotes = [
      quote({ answer: accepted(51_000, 15_300) }),
      quote({ id: 'c1', kind: 'change', answer: accepted(4_000) }),
      quote({ id: 'c2', kind: 'change', answer: accepted(-2_500) }),
      quote({ id: 'c3', kind: 'change', answer: { answer: 'declined', total: null, deposit: null } }),
      quote({ id: 'c4', kind: 'change', answer: { answer: 'overridden', total: null, deposit: null } }),
    ]
    const agreed = agreedOf(quotes, [paid('deposit', 15_300), paid('part', 10_000)], today)
    expect(agreed).toMatchObject({ total: 52_500, paid: 25_300, balance: 27_200, depositDue: 0, open: null, waits: false })
  })
  test('nothing is due before a quote was accepted; the deposit is, when it was', () => {
    expect(agreedOf([quote({})], [], today)).toMatchObject({ total: null, depositDue: 0, open: 'q' })
    expect(agreedOf([quote({ answer: accepted(51_000, 15_300) })], [paid('part', 5_000)], today)).toMatchObject({
      depositDue: 10_300,
      balance: 46_000,
    })
  })
  test('a change that nobody answered holds its work, run out or not; withdrawn it does not', () => {
    const first = quote({ id: 'a', answer: accepted(51_000) })
    const change = quote({ id: 'c', kind: 'change' })
    expect(agreedOf([first, change], [], today)).toMatchObject({ waits: true, open: 'c' })
    expect(agreedOf([first, { ...change, validUntil: '2026-11-27' }], [], today)).toMatchObject({ waits: true, open: null })
    expect(agreedOf([first, { ...change, withdrawnAt: today }], [], today)).toMatchObject({ waits: false, open: null })
  })
  test('too much paid, and given back: below nothing, then even', () => {
    const quotes = [quote({ answer: accepted(51_000, 15_300) })]
    const twice = [paid('balance', 51_000), paid('part', 51_000)]
    expect(agreedOf(quotes, twice, today).balance).toBe(-51_000)
    expect(agreedOf(quotes, [...twice, paid('refund', 51_000)], today).balance).toBe(0)
  })
  test('payments and balance are the total, however they came, went back and were struck', () => {
    const line = fc.record({
      what: fc.constantFrom<Payment['what']>('deposit', 'part', 'balance', 'refund'),
      amount: fc.integer({ min: 1, max: 1e9 }),
      isStruck: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(line, { maxLength: 20 }), fc.integer({ min: 0, max: 1e9 }), (lines, total) => {
        const payments = lines.flatMap(({ what, amount, isStruck }, k): Payment[] => [
          { id: `${k}`, what, amount, strikes: null },
          ...(isStruck ? [{ id: `s${k}`, what, amount, strikes: `${k}` }] : []),
        ])
        // by another way: what was struck never was
        const came = lines
          .filter(({ isStruck }) => !isStruck)
          .reduce((sum, { what, amount }) => sum + (what === 'refund' ? -1 : 1) * amount, 0)
        expect(paidIn(payments)).toBe(came)
        expect(standing(payments)).toHaveLength(lines.filter(({ isStruck }) => !isStruck).length)
        const agreed = agreedOf([quote({ answer: accepted(total) })], payments, today)
        expect(agreed.paid + agreed.balance).toBe(total)
      }),
    )
  })
})
