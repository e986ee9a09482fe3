import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { netOf, priceFor, PriceImpossible, type PriceInput, type Tax, taxOf, type Wish } from './priceFor'

const plain: PriceInput = {
  costs: [
    { kind: 'bought', amount: 3000 },
    { kind: 'materials', amount: 1200 },
  ],
  hours: 6,
  rate: 1500,
  channel: { feeShare: 0, feeFixed: 0 },
  tax: { mode: 'none' },
  wish: { profit: 2000 },
  haggle: 0,
}

describe('prices worked by hand', () => {
  test('costs of £42, six hours at £15: floor £132, target £152', () => {
    expect(priceFor(plain)).toMatchObject({
      cost: 4200,
      labour: 9000,
      breakEven: 4200,
      floor: 13_200,
      target: 15_200,
      ask: 15_500,
    })
  })
  test('a booth that keeps 12 % and £2 a piece: break-even £50 exactly', () => {
    // 0.88 × 50 − 2 = 42
    expect(priceFor({ ...plain, channel: { feeShare: 0.12, feeFixed: 200 } }).breakEven).toBe(5000)
  })
  test('20 % tax within the price: break-even £50.40', () => {
    expect(priceFor({ ...plain, tax: { mode: 'inclusive', share: 0.2 } }).breakEven).toBe(5040)
  })
  test('the margin scheme taxes only what lies above the £30 paid: break-even £44.40', () => {
    // 44.40 − (44.40 − 30)/6 = 42
    expect(priceFor({ ...plain, tax: { mode: 'margin', share: 0.2, bought: 3000 } }).breakEven).toBe(4440)
  })
  test('bringing £200 and wanting £20 left: the highest bid was £78', () => {
    // 200 − 12 materials − 90 labour − 20
    expect(priceFor({ ...plain, expected: 20_000 }).highestBid).toBe(7800)
  })
  test('sold at £150 the six hours earned £18 each', () => {
    expect(priceFor({ ...plain, price: 15_000 }).earned).toBe(1800)
  })
  test('an ask leaves room to haggle and rounds up to the step', () => {
    // 152 / 0.9 = 168.89
    expect(priceFor({ ...plain, haggle: 0.1, step: 500 }).ask).toBe(17_000)
  })
  test('not even a gift brings the wish: no bid', () => {
    expect(priceFor({ ...plain, expected: 10_000 }).highestBid).toBeNull()
  })
  test('a wanted margin that fees leave no room for is an error, never a number', () => {
    const greedy = { ...plain, channel: { feeShare: 0.6, feeFixed: 0 }, wish: { margin: 0.5 } }
    expect(() => priceFor(greedy)).toThrow(PriceImpossible)
  })
  test('the tax in £120 at 20 % is £20; on a margin of £90 it is £15', () => {
    expect(taxOf(12_000, { mode: 'inclusive', share: 0.2 })).toBe(2000)
    expect(taxOf(12_000, { mode: 'margin', share: 0.2, bought: 3000 })).toBe(1500)
    expect(taxOf(2000, { mode: 'margin', share: 0.2, bought: 3000 })).toBe(0)
  })
})

const money = fc.integer({ min: 0, max: 90_000 })
const anyTax: fc.Arbitrary<Tax> = fc.oneof(
  fc.constant<Tax>({ mode: 'none' }),
  fc.constantFrom(0.05, 0.07, 0.2, 0.25).map((share) => ({ mode: 'inclusive' as const, share })),
  fc.tuple(fc.constantFrom(0.07, 0.2), money).map(([share, bought]) => ({ mode: 'margin' as const, share, bought })),
)
const anyWish: fc.Arbitrary<Wish> = fc.oneof(
  money.map((profit) => ({ profit })),
  fc.constantFrom(0, 0.1, 0.25).map((margin) => ({ margin })),
  fc.integer({ min: 0, max: 5000 }).map((earnedRate) => ({ earnedRate })),
)
const anyInput: fc.Arbitrary<PriceInput> = fc.record({
  costs: fc.array(fc.record({ kind: fc.constantFrom('bought', 'materials', 'delivery'), amount: money }), { maxLength: 4 }),
  hours: fc.integer({ min: 0, max: 160 }).map((quarters) => quarters / 4),
  rate: fc.integer({ min: 0, max: 4000 }),
  channel: fc.record({ feeShare: fc.constantFrom(0, 0.05, 0.135, 0.3), feeFixed: fc.integer({ min: 0, max: 900 }) }),
  tax: anyTax,
  wish: anyWish,
  haggle: fc.constantFrom(0, 0.05, 0.15),
  expected: money,
})

describe('any price', () => {
  test('is the least whole one: it suffices, and a penny less does not', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const price = priceFor(input)
        const net = (p: number) => netOf(p, input.channel, input.tax)
        for (const [p, need] of [
          [price.breakEven, price.cost],
          [price.floor, price.cost + price.labour],
        ] as const) {
          expect(net(p)).toBeGreaterThanOrEqual(need - 1e-6)
          if (p > 0) expect(net(p - 1)).toBeLessThan(need + 1e-6)
        }
        expect(price.floor).toBeGreaterThanOrEqual(price.breakEven)
        expect(price.ask).toBeGreaterThanOrEqual(price.target)
        expect(price.ask % 500).toBe(0)
      }),
    )
  })
  test('the highest bid meets the wish, and a penny more would not', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { highestBid, labour } = priceFor(input)
        const expected = input.expected ?? 0
        const others = input.costs.filter(({ kind }) => kind !== 'bought').reduce((sum, { amount }) => sum + amount, 0)
        const left = (bid: number) => {
          const tax = input.tax.mode === 'margin' ? { ...input.tax, bought: bid } : input.tax
          return netOf(expected, input.channel, tax) - others - bid
        }
        const { wish } = input
        const need =
          'earnedRate' in wish
            ? input.hours * wish.earnedRate
            : labour + ('profit' in wish ? wish.profit : wish.margin * expected)
        if (highestBid !== null) expect(left(highestBid)).toBeGreaterThanOrEqual(need - 1e-6)
        expect(left(highestBid === null ? 0 : highestBid + 1)).toBeLessThan(need + 1e-6)
      }),
    )
  })
  test('is the same in every currency’s coins: with none, with hundredths and with thousandths, to within the smallest of them', () => {
    const whole = fc.integer({ min: 0, max: 900 })
    const inMajor = fc.record({
      bought: whole,
      materials: whole,
      hours: fc.integer({ min: 0, max: 40 }),
      rate: fc.integer({ min: 0, max: 40 }),
      feeShare: fc.constantFrom(0, 0.05, 0.135, 0.3),
      feeFixed: fc.integer({ min: 0, max: 9 }),
      tax: fc.constantFrom('none', 'inclusive', 'margin'),
      profit: whole,
      expected: whole,
    })
    fc.assert(
      fc.property(inMajor, ({ bought, materials, hours, rate, feeShare, feeFixed, tax, profit, expected }) => {
        const inCoins = (digits: number) => {
          const coin = 10 ** digits
          const price = priceFor({
            costs: [
              { kind: 'bought', amount: bought * coin },
              { kind: 'materials', amount: materials * coin },
            ],
            ...{ hours, rate: rate * coin, channel: { feeShare, feeFixed: feeFixed * coin }, wish: { profit: profit * coin } },
            tax:
              tax === 'none'
                ? { mode: tax }
                : tax === 'inclusive'
                  ? { mode: tax, share: 0.2 }
                  : { mode: 'margin', share: 0.2, bought: bought * coin },
            ...{ haggle: 0, step: 5 * coin, expected: expected * coin },
          })
          const { breakEven, floor, target, ask, highestBid } = price
          return {
            prices: [breakEven, floor, target].map((each) => each / coin),
            ask: ask / coin,
            bid: highestBid === null ? null : highestBid / coin,
          }
        }
        const [none, hundredths, thousandths] = [inCoins(0), inCoins(2), inCoins(3)]
        for (const [k, finest] of thousandths.prices.entries()) {
          // a finer coin asks for no more, and for less by no more than the coarser coin
          for (const [coarser, coin] of [
            [none, 1],
            [hundredths, 0.01],
          ] as const) {
            const price = coarser.prices[k] ?? NaN
            expect(price).toBeGreaterThanOrEqual(finest - 1e-9)
            expect(price - finest).toBeLessThan(coin + 1e-9)
          }
        }
        for (const coarser of [none, hundredths]) {
          expect(coarser.ask).toBeGreaterThanOrEqual(thousandths.ask - 1e-9)
          expect(coarser.ask - thousandths.ask).toBeLessThanOrEqual(5)
        }
        if (none.bid !== null) expect((thousandths.bid ?? NaN) - none.bid).toBeLessThan(1 + 1e-9)
        if (none.bid !== null) expect(thousandths.bid ?? NaN).toBeGreaterThanOrEqual(none.bid - 1e-9)
        if (thousandths.bid === null) expect(none.bid).toBeNull()
      }),
      { numRuns: 400 },
    )
  })
})
