import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { chanceEnough, cheapestTins, enoughFor, type Need, type Offer, toBuy } from './buy'

/** An independent way: every amount up to the wanted one, from the least cost of what is smaller. */
function byTable(wanted: number, offers: readonly Offer[]): { price: number; size: number; count: number } | null {
  const most = wanted + Math.max(...offers.map(({ size }) => size))
  const better = (a: { price: number; size: number; count: number }, b: typeof a | undefined) =>
    !b || a.price < b.price || (a.price === b.price && (a.size < b.size || (a.size === b.size && a.count < b.count)))
  const best: ({ price: number; size: number; count: number } | undefined)[] = [{ price: 0, size: 0, count: 0 }]
  for (let size = 0; size <= most; size += 1) {
    const from = best[size]
    if (!from || size >= wanted) continue
    for (const offer of offers) {
      const next = { price: from.price + offer.price, size: size + offer.size, count: from.count + 1 }
      if (better(next, best[next.size])) best[next.size] = next
    }
  }
  return best
    .slice(wanted)
    .reduce<ReturnType<typeof byTable>>((found, each) => (each && better(each, found ?? undefined) ? each : found), null)
}
const sums = (tins: ReturnType<typeof cheapestTins>) => ({
  price: (tins ?? []).reduce((sum, { offer, count }) => sum + offer.price * count, 0),
  size: (tins ?? []).reduce((sum, { offer, count }) => sum + offer.size * count, 0),
  count: (tins ?? []).reduce((sum, { count }) => sum + count, 0),
})

describe('the cheapest tins', () => {
  const sold = [
    { size: 120, price: 850 },
    { size: 500, price: 1_950 },
    { size: 1_000, price: 3_400 },
  ]
  test('a sample for 100 ml; a tin for 300; two samples are less than a tin where 200 are wanted', () => {
    expect(sums(cheapestTins(100, sold))).toEqual({ price: 850, size: 120, count: 1 })
    expect(sums(cheapestTins(300, sold))).toEqual({ price: 1_950, size: 500, count: 1 })
    expect(sums(cheapestTins(200, sold))).toEqual({ price: 1_700, size: 240, count: 2 })
    // 1500: 3 × 500 is 58.50, 1000 + 500 is 53.50
    expect(sums(cheapestTins(1_500, sold))).toEqual({ price: 5_350, size: 1_500, count: 2 })
  })
  test('nothing is wanted: nothing is bought; nothing is sold: nobody can say', () => {
    expect(cheapestTins(0, sold)).toEqual([])
    expect(cheapestTins(10, [])).toBeNull()
  })
  test('is exactly what a table of all amounts finds, to the coin, the ml and the tin', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 900 }),
        fc.array(fc.record({ size: fc.integer({ min: 20, max: 400 }), price: fc.integer({ min: 50, max: 4_000 }) }), {
          minLength: 1,
          maxLength: 5,
        }),
        (wanted, offers) => {
          expect(sums(cheapestTins(wanted, offers))).toEqual(byTable(wanted, offers))
        },
      ),
      {
        numRuns: 400,
        examples: [
          [
            150,
            [
              { size: 216, price: 2_449 },
              { size: 317, price: 3_594 },
              { size: 95, price: 65 },
              { size: 20, price: 50 },
            ],
          ],
        ],
      },
    ))
})

const exact = { factor: 1, scatter: 0 }
describe('whether it is enough', () => {
  test('one sample for two stools: hardly, where each takes half of it at the middle', () => {
    expect(chanceEnough([60, 60], 120, { factor: 1, scatter: 0.2 })).toBeGreaterThan(0.4)
    expect(chanceEnough([60, 60], 120, { factor: 1, scatter: 0.2 })).toBeLessThan(0.6)
    expect(chanceEnough([40, 40], 120, { factor: 1, scatter: 0.2 })).toBeGreaterThan(0.95)
    expect(chanceEnough([90, 90], 120, { factor: 1, scatter: 0.2 })).toBeLessThan(0.05)
    expect(chanceEnough([], 0, exact)).toBe(1)
  })
  test('the safe amount is enough as often as was asked, and grows with it', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 10, max: 400 }), { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        (uses, scatter) => {
          const take = { factor: 1.1, scatter }
          const [half, most] = [enoughFor(uses, 0.5, take), enoughFor(uses, 0.95, take)]
          expect(most).toBeGreaterThan(half)
          expect(chanceEnough(uses, most, take)).toBeGreaterThanOrEqual(0.95)
          expect(chanceEnough(uses, half, take)).toBeGreaterThanOrEqual(0.5)
        },
      ),
      { numRuns: 40 },
    ))
})

describe('what has to be bought', () => {
  const need = (over: Partial<Need>): Need => ({ family: 'chalk-style', hex: '#aabbcc', name: 'Quince', uses: [200], ...over })
  const around = {
    shelf: [
      { family: 'chalk-style' as const, hex: '#aabbcc', name: 'Quince', amount: 150 },
      { family: 'chalk-style' as const, hex: '#000000', name: 'Lamp', amount: 900 },
      { family: 'clear-wax' as const, hex: null, name: null, amount: 40 },
    ],
    offersFor: () => [{ size: 120, price: 850 }],
    takeOf: () => exact,
    share: 0.5,
  }
  test('a colour is served by its own tins alone, what has none by what is left of its family', () => {
    const [coloured, plain, wax] = toBuy(
      [need({}), need({ hex: null, uses: [700] }), need({ family: 'clear-wax', hex: null, uses: [40] })],
      around,
    )
    expect(coloured).toMatchObject({ there: 150, cost: 850 })
    expect(coloured?.short).toBeGreaterThan(40)
    expect(coloured?.short).toBeLessThan(70)
    // 150 of the quince are spoken for
    expect(plain).toMatchObject({ short: 0, tins: [], cost: 0 })
    expect(plain?.there).toBe(plain?.wanted)
    expect(wax?.there).toBeLessThanOrEqual(40)
  })
  test('nothing is served twice, and what stands there and what is short are what is wanted', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            hex: fc.constantFrom('#aabbcc', '#000000', null),
            uses: fc.array(fc.integer({ min: 5, max: 300 }), { minLength: 1, maxLength: 3 }),
          }),
          { maxLength: 6 },
        ),
        (asked) => {
          const lines = toBuy(
            asked.map((each) => need(each)),
            around,
          )
          const taken = lines.reduce((sum, { there }) => sum + there, 0)
          expect(taken).toBeLessThanOrEqual(150 + 900 + 1e-6)
          for (const { wanted, there, short } of lines) expect(Math.abs(wanted - there - short)).toBeLessThanOrEqual(1)
        },
      ),
      { numRuns: 50 },
    ))
  test('a hundred pieces and two hundred products in under a second, and so in a minute on the slowest machine', () => {
    const needs = Array.from({ length: 200 }, (_, index) =>
      need({ hex: `#0000${(index + 16).toString(16)}`, uses: [60, 90, 120, 45] }),
    )
    const offers = [40, 120, 250, 500, 750, 1_000].map((size) => ({ size, price: 300 + size * 3 }))
    expect(toBuy(needs, { ...around, offersFor: () => offers, share: 0.8 })).toHaveLength(200)
  }, 60_000)
})
