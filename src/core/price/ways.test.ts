import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type LikePrices, likePrices } from './likePieces'
import { type Channel, netOf, type Tax } from './priceFor'
import { overheadOf, rateFor, rentEach, usualPricing } from './pricing'
import { salesLately, type Sold } from './sold'
import { ladderOf, priceWays, sharesOf } from './ways'

const booth: Channel = { feeShare: 0.12, feeFixed: 0 }
const noTax: Tax = { mode: 'none' }
const judged = { cost: 6_000, hours: 3, rate: 1_800, channel: booth, tax: noTax }
const nowMs = Date.parse('2026-06-01T10:00:00.000Z')
const sold = (over: Partial<Sold>): Sold => ({
  ...{ pieceId: 'p', name: 'Washstand', article: 'chest', areaM2: 2, looks: [], price: 20_000, channelId: 'booth' },
  ...{ at: '2026-05-20T10:00:00.000Z', daysOnSale: 12 },
  ...over,
})

describe('four ways to a price', () => {
  const like: LikePrices = { pieces: [], middle: 15_000, low: 15_000, high: 15_000, scatter: 0.3 }
  test('£60 and three hours at £18, a quarter on top, through a booth of 12 %: £161.94', () => {
    const pricing = { ...usualPricing, rates: [{ article: 'chest', upToM2: null, price: 18_000 }] }
    const ways = priceWays({ ...judged, pricing, target: 14_319, like, article: 'chest', areaM2: 2 })
    // (60 + 54) × 1.25 = 142.50; / 0.88 = 161.93…, up
    expect(ways.map(({ code, price }) => [code, price])).toEqual([
      ['cost-plus', 16_194],
      ['wish', 14_319],
      ['like-pieces', 15_000],
      ['rate-card', 18_000],
    ])
    // 150 − 12 % − 60 = 72 in three hours
    expect(ways[2]?.earned).toBe(2_400)
  })
  test('a way that leads nowhere says so and earns nothing', () =>
    expect(
      priceWays({ ...judged, pricing: usualPricing, target: null, like: null, article: null, areaM2: 2 })
        .slice(1)
        .map(({ price, earned }) => [price, earned]),
    ).toEqual([
      [null, null],
      [null, null],
      [null, null],
    ]))
})

describe('where a price goes', () => {
  test('to the last coin, whatever price and costs', () =>
    fc.assert(
      fc.property(
        fc.nat(200_000),
        fc.array(fc.record({ kind: fc.constantFrom('bought', 'materials', 'overhead'), amount: fc.nat(40_000) }), {
          maxLength: 3,
        }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.nat(2_000),
        (price, lines, hours, feeShare, feeFixed) => {
          const one = lines.filter((line, index) => lines.findIndex(({ kind }) => kind === line.kind) === index)
          const { shares, short } = sharesOf(price, one, {
            ...{ hours, rate: 1_800, channel: { feeShare, feeFixed } },
            tax: { mode: 'inclusive', share: 0.2 },
          })
          expect(shares.reduce((sum, { amount }) => sum + amount, 0)).toBe(price)
          expect(shares.every(({ amount }) => amount > 0)).toBe(true)
          // nothing is left over while something is not paid
          if (short > 0) expect(shares.some(({ kind }) => kind === 'left')).toBe(false)
        },
      ),
    ))
  test('£100 through the booth: £12 to it, £60 of costs, £28 of the £54 of hours, £26 short', () =>
    expect(sharesOf(10_000, [{ kind: 'bought', amount: 6_000 }], judged)).toEqual({
      shares: [
        { kind: 'fees', amount: 1_200 },
        { kind: 'bought', amount: 6_000 },
        { kind: 'hours', amount: 2_800 },
      ],
      short: 2_600,
    }))
})

describe('where nobody buys', () => {
  const around = { breakEven: 6_819, step: 500, weekly: 400, cost: 6_000, channel: booth, tax: noTax }
  test('a tenth of the first ask off every four weeks, and what standing there has cost by then', () => {
    const rungs = ladderOf(16_000, usualPricing, around)
    expect(rungs.slice(0, 3)).toEqual([
      { week: 0, price: 16_000, keeps: 14_080, waiting: 0, loses: false },
      // 144 to whole fives is 145; less 12 % is 127.60, less four weeks 111.60
      { week: 4, price: 14_500, keeps: 11_160, waiting: 1_600, loses: false },
      { week: 8, price: 13_000, keeps: 8_240, waiting: 3_200, loses: false },
    ])
    // 110 less 12 % less 12 weeks at 4: 48.80
    expect(rungs[3]).toMatchObject({ price: 11_000, keeps: 4_880, loses: true })
    expect(rungs).toHaveLength(4)
  })
  test('comes no lower than what brings the money back, and stops there or where it loses', () =>
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 200 }), fc.nat(2_000), fc.integer({ min: 1, max: 50 }), (steps, weekly, percent) => {
        const ask = steps * 500
        const breakEven = Math.min(ask, 6_819)
        const rungs = ladderOf(ask, { ...usualPricing, ladderShare: percent / 100 }, { ...around, breakEven, weekly })
        for (const [index, rung] of rungs.entries()) {
          expect(rung.price).toBeGreaterThanOrEqual(breakEven)
          expect(rung.price % 500).toBe(0)
          if (index > 0) expect(rung.price).toBeLessThanOrEqual(rungs[index - 1]!.price)
          expect(rung.loses && index < rungs.length - 1).toBe(false)
          expect(rung.keeps).toBe(Math.round(netOf(rung.price, booth, noTax)) - rung.waiting)
        }
      }),
    ))
})

describe('like pieces', () => {
  const chest = { article: 'chest', areaM2: 2, looks: ['smooth-solid'] }
  test('the same article of the same size counts most; another of another size is none', () => {
    const found = likePrices(
      chest,
      [
        sold({ pieceId: 'same', price: 24_000 }),
        sold({ pieceId: 'larger', areaM2: 4, price: 34_000 }),
        sold({ pieceId: 'other', article: 'chair', areaM2: 0.4, price: 5_000 }),
      ],
      nowMs,
    )
    expect(found?.pieces.map(({ pieceId }) => pieceId)).toEqual(['same', 'larger'])
    expect(found).toMatchObject({ middle: 24_000, low: 24_000, high: 34_000 })
  })
  test('what was sold long ago counts less, until it counts for nothing', () => {
    const ago = (days: number) => sold({ at: new Date(nowMs - days * 86_400_000).toISOString() })
    const weight = (days: number) => likePrices(chest, [ago(days)], nowMs)?.pieces[0]?.weight ?? 0
    expect(weight(540)).toBeCloseTo(weight(0) / 2)
    expect(weight(3_000)).toBe(0)
  })
  test('nothing sold, nothing alike: no price', () => {
    expect(likePrices(chest, [], nowMs)).toBeNull()
    expect(likePrices(chest, [sold({ article: null, areaM2: 30 })], nowMs)).toBeNull()
  })
})

describe('overhead, rent, the rate card', () => {
  const base = { hours: 3, days: 12, labour: 5_400, material: 1_061 }
  test('by the hour, by the day, by a share of work and material', () => {
    const pricing = { ...usualPricing, overheadDay: 90, overheadShare: 0.1 }
    const by = (overheadPer: 'hour' | 'day' | 'share') => overheadOf(160, { ...pricing, overheadPer }, base)
    // 3 × 1.60; 12 × 0.90; a tenth of 54 + 10.61
    expect([by('hour'), by('day'), by('share')]).toEqual([480, 1_080, 646])
  })
  test('a month’s rent over what is sold in it; the whole of it where less than one is', () => {
    expect(rentEach(4_500, 12, 6)).toBe(2_250)
    expect(rentEach(4_500, 2, 6)).toBe(4_500)
    expect(rentEach(4_500, 0, 0)).toBe(4_500)
  })
  test('sales of the last half year, or of so long as the list reaches', () => {
    const day = (ago: number, channelId = 'booth') => sold({ channelId, at: new Date(nowMs - ago * 86_400_000).toISOString() })
    const list = [day(10), day(20, 'fair'), day(61), day(400)]
    expect(salesLately(list, 'booth', nowMs, false)).toMatchObject({ sales: 2 })
    expect(salesLately(list, 'booth', nowMs, false).months).toBeCloseTo(6.01, 1)
    expect(salesLately(list.slice(0, 3), 'booth', nowMs, true).months).toBeCloseTo(2, 1)
  })
  test('the smallest size that holds it', () => {
    const rates = [
      { article: 'chest', upToM2: null, price: 40_000 },
      { article: 'chest', upToM2: 2, price: 24_000 },
      { article: 'chair', upToM2: 1, price: 6_000 },
    ]
    expect([1.5, 2, 2.1].map((area) => rateFor(rates, 'chest', area)?.price)).toEqual([24_000, 24_000, 40_000])
    expect([rateFor(rates, 'chair', 2), rateFor(rates, null, 1), rateFor(rates, 'bed', 1)]).toEqual([null, null, null])
  })
})
