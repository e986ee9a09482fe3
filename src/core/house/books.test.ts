import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { PricingTerms } from '@/core/piece/ledger'
import { type Account, accounts, monthsOf, type Movement, type Posting, postingsOf, type TinMoved } from './books'

const terms: PricingTerms = {
  ...{ hourRate: 1800, overheadRate: 0, taxMode: 'margin', taxShare: 0.2, wish: { profit: 0 }, haggle: 0, step: 100 },
}
const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n, 12)).toISOString()
let count = 0
const move = (over: Partial<Movement>): Movement => ({
  ...{
    id: `m${String((count += 1)).padStart(6, '0')}`,
    at: day(0),
    pieceId: 'chest',
    kind: 'cost',
    stepId: null,
    costKind: null,
  },
  ...{ money: 0, fees: 0, batchId: null, lotId: null, drawn: 0, split: null },
  ...over,
})
const balances = (postings: readonly Posting[]): Record<Account, number> => {
  const sums = Object.fromEntries(Object.keys(accounts).map((code) => [code, 0])) as Record<Account, number>
  for (const { debit, credit, amount } of postings) {
    sums[debit] += amount
    sums[credit] -= amount
  }
  return sums
}

describe('the books', () => {
  test('a tin of £29.50, a chest for £30; a coat of £4.92, rags of 40 p, sold for £150 less £18: its tax on the margin is £20', () => {
    const tins: TinMoved[] = [{ at: day(0), isBought: true, price: 2_950, thrown: null, counted: [] }]
    const postings = postingsOf(
      [
        move({ costKind: 'bought', money: 3_000 }),
        move({ at: day(1), kind: 'coat', money: 492, drawn: 492 }),
        move({ at: day(1), kind: 'ended', stepId: 'one', money: 40 }),
        // a second pair of hands ended it too
        move({ at: day(1), kind: 'ended', stepId: 'one', money: 40 }),
        move({ at: day(9), kind: 'sold', money: 15_000, fees: 1_800 }),
        // a van that was billed afterwards
        move({ at: day(12), costKind: 'delivery', money: 700 }),
      ],
      tins,
      terms,
    )
    expect(balances(postings)).toEqual({
      ...{
        money: 15_000 - 1_800 - 2_950 - 3_000 - 700,
        clients: 0,
        shelf: 2_950 - 492,
        mixes: 0,
        pieces: 0,
        drawn: 0,
        lost: 0,
        found: 0,
      },
      // (150 − 30) / 6
      ...{ sales: -(15_000 - 2_000), tax: -2_000, fees: 1_800, sold: 3_000 + 492 + 40 + 700, small: -40 },
    })
  })
  test('a commission of £510: £153 paid ahead is owed to the client until it is handed over, and £20 too much goes back', () => {
    const handed = move({ at: day(9), kind: 'handed-over', pieceId: 'settle', money: 51_000 })
    const paid = [
      { at: day(1), pieceId: 'settle', amount: 15_300 },
      { at: day(9), pieceId: 'settle', amount: 37_700 },
      { at: day(11), pieceId: 'settle', amount: -2_000 },
    ]
    const on = (n: number) =>
      balances(
        postingsOf(
          [handed],
          [],
          { ...terms, taxMode: 'none' },
          { payments: paid, credits: [], agreed: new Set(['settle']) },
        ).filter(({ at }) => at <= day(n)),
      )
    expect(on(8)).toMatchObject({ money: 15_300, clients: -15_300, sales: 0 })
    expect(on(10)).toMatchObject({ money: 53_000, clients: -2_000, sales: -51_000 })
    expect(on(12)).toMatchObject({ money: 51_000, clients: 0, sales: -51_000 })
  })
  test('a mix is in hand until it is laid, put by as a tin, or booked where the rest of it went', () => {
    const mixed = [
      move({ at: day(1), kind: 'mixed', money: 900, drawn: 850 }),
      move({ at: day(2), kind: 'coat', batchId: 'b', money: 500 }),
      move({ at: day(3), kind: 'put-by', lotId: 'tin', money: 300 }),
      move({ at: day(3), kind: 'put-by', money: 100 }),
    ]
    expect(balances(postingsOf(mixed, [], terms))).toMatchObject({ mixes: 0, shelf: 300 - 850, pieces: 600, found: -50 })
  })
  test('what goes over with a part of a set leaves with it', () => {
    const costs = { bought: 1_000, materials: 250 }
    const history = [
      move({ costKind: 'bought', money: 4_000 }),
      move({ at: day(1), kind: 'split', split: { sign: -1, costs } }),
      move({ at: day(1), kind: 'split', pieceId: 'stool', split: { sign: 1, costs } }),
      move({ at: day(2), kind: 'given', pieceId: 'stool' }),
    ]
    expect(balances(postingsOf(history, [], terms))).toMatchObject({ pieces: 2_750, drawn: 1_250, money: -4_000 })
  })
})

describe('over any history', () => {
  const step = fc.record({
    kind: fc.constantFrom<Movement['kind'][]>(
      'cost',
      'cost',
      'coat',
      'mixed',
      'put-by',
      'ended',
      'sold',
      'kept',
      'scrapped',
      'handed-over',
      'split',
    ),
    piece: fc.constantFrom('a', 'b', 'c'),
    after: fc.nat(20),
    // what is put right may take back what was booked
    money: fc.integer({ min: -3_000, max: 30_000 }),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
    batch: fc.boolean(),
  })
  const histories = fc.array(step, { maxLength: 30 }).map((steps) => {
    let at = 0
    const left = new Set<string>()
    return steps.flatMap(({ kind, piece, after, money, share, batch }) => {
      at += after
      const isEnd = ['sold', 'kept', 'scrapped', 'handed-over'].includes(kind)
      // a piece ends once
      if (isEnd && left.has(piece)) return []
      if (kind === 'split') {
        // what goes over to another of those that are here is what comes there
        const other = ['a', 'b', 'c'].find((each) => each !== piece && !left.has(each))
        if (left.has(piece) || !other) return []
        const costs = { bought: money, materials: Math.floor(money * share) }
        return [
          move({ at: day(at), kind, pieceId: piece, split: { sign: -1, costs } }),
          move({ at: day(at), kind, pieceId: other, split: { sign: 1, costs } }),
        ]
      }
      if (isEnd) left.add(piece)
      const paid = isEnd ? Math.max(0, kind === 'sold' || kind === 'handed-over' ? money : 0) : money
      return [
        move({
          ...{
            at: day(at),
            pieceId: piece,
            kind,
            money: paid,
            stepId: `${piece} ${at}`,
            costKind: kind === 'cost' ? 'bought' : null,
          },
          ...{
            fees: isEnd ? Math.floor(paid * share) : 0,
            drawn: Math.floor(paid * share),
            batchId: batch ? 'b' : null,
            lotId: batch ? 'l' : null,
          },
        }),
      ]
    })
  })
  const tins = fc.array(
    fc.record({
      at: fc.nat(300).map(day),
      isBought: fc.boolean(),
      price: fc.nat(9_000),
      thrown: fc.option(fc.record({ at: fc.nat(300).map(day), value: fc.nat(900) })),
      counted: fc.array(fc.record({ at: fc.nat(300).map(day), value: fc.integer({ min: -400, max: 900 }) }), { maxLength: 3 }),
    }),
    { maxLength: 8 },
  )
  const anyTerms = fc
    .constantFrom('none' as const, 'inclusive' as const, 'margin' as const)
    .map((taxMode) => ({ ...terms, taxMode }))

  /** what clients pay and get back, of pieces that something was agreed of and of others */
  const deals = fc.record({
    payments: fc.array(
      fc.record({
        at: fc.nat(300).map(day),
        pieceId: fc.constantFrom('a', 'b', 'c'),
        amount: fc.integer({ min: -9_000, max: 30_000 }),
      }),
      { maxLength: 12 },
    ),
    credits: fc.array(
      fc.record({
        at: fc.nat(300).map(day),
        pieceId: fc.constantFrom('a', 'b', 'c'),
        amount: fc.integer({ min: 1, max: 5_000 }),
        tax: fc.constant(0),
      }),
      { maxLength: 4 },
    ),
    agreed: fc.subarray(['a', 'b', 'c']).map((ids) => new Set(ids)),
  })

  test('nothing appears and nothing vanishes: what came in is in stock, was sold, drawn or lost, to the last coin', () =>
    fc.assert(
      fc.property(histories, tins, anyTerms, deals, (history, bought, own, dealt) => {
        const postings = postingsOf(history, bought, own, dealt)
        const sums = balances(postings)
        expect(Object.values(sums).reduce((all, each) => all + each, 0)).toBe(0)
        expect(postings.every(({ amount, debit, credit }) => amount > 0 && debit !== credit)).toBe(true)
        const of = (kinds: readonly Movement['kind'][], figure: (each: Movement) => number) =>
          history.filter(({ kind }) => kinds.includes(kind)).reduce((all, each) => all + figure(each), 0)
        const paid = of(['sold', 'handed-over'], ({ money }) => money)
        const billed = of(['sold', 'handed-over'], ({ money, pieceId }) => (dealt.agreed.has(pieceId) ? money : 0))
        const came = dealt.payments.reduce((all, { amount }) => all + amount, 0)
        const back = (isAgreed: boolean) =>
          dealt.credits.reduce((all, { pieceId, amount }) => all + (dealt.agreed.has(pieceId) === isAgreed ? amount : 0), 0)
        expect(sums.clients).toBe(billed - came - back(true))
        expect(sums.money).toBe(
          paid -
            billed +
            came -
            back(false) -
            of(['sold', 'handed-over', 'kept', 'scrapped'], ({ fees }) => fees) -
            of(['cost'], ({ money }) => money) -
            bought.reduce((all, { isBought, price }) => all + (isBought ? price : 0), 0),
        )
        expect(sums.sales + sums.tax + paid - back(true) - back(false)).toBe(0)
        const ends = new Map(
          history
            .filter(({ kind }) => kind === 'ended')
            .reverse()
            .map((each) => [each.stepId, each.money]),
        )
        const worked =
          of(['cost', 'coat'], ({ money }) => money) +
          of(['put-by'], ({ lotId, money }) => (lotId ? 0 : money)) +
          [...ends.values()].reduce((all, each) => all + each, 0)
        const missed = bought.flatMap(({ counted }) => counted.map(({ value }) => Math.max(0, value)))
        const thrown = [...bought.map((each) => each.thrown?.value ?? 0), ...missed].reduce((all, each) => all + each, 0)
        expect(sums.pieces + sums.sold + sums.drawn + sums.lost - thrown).toBe(worked)
      }),
      { numRuns: 300 },
    ))
  test('the months of a year go on from one another, and end where all postings do', () =>
    fc.assert(
      fc.property(histories, tins, (history, bought) => {
        const postings = postingsOf(history, bought, terms)
        const lines = [2026, 2027].flatMap((year) => monthsOf(postings, year, 'UTC'))
        const last = new Map<Account, number>()
        for (const { account, opening, debit, credit, closing } of lines) {
          expect(opening).toBe(last.get(account) ?? 0)
          expect(closing).toBe(opening + debit - credit)
          last.set(account, closing)
        }
        const sums = balances(postings.filter(({ at }) => at < '2028'))
        for (const [account, sum] of Object.entries(sums)) expect(last.get(account as Account) ?? 0).toBe(sum)
        for (const month of new Set(lines.map((line) => line.month)))
          expect(lines.filter((line) => line.month === month).reduce((all, { closing }) => all + closing, 0)).toBe(0)
      }),
      { numRuns: 100 },
    ))
})
