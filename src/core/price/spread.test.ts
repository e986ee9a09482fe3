import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Channel, Tax } from './priceFor'
import { chanceAt, outcomesOf, quantile, shareWithin, type SpreadAsk, spreadOf } from './spread'

const sure: SpreadAsk = {
  spent: 4_000,
  hoursDone: 2,
  hoursAhead: [
    { hours: 3, scale: 0 },
    { hours: 1, scale: 0 },
  ],
  whole: { scale: 0 },
  moneyAhead: [{ money: 900, scale: 0 }],
  rate: 1_800,
  overheadRate: 200,
  draws: 50,
  seed: 1,
}
const free: Channel = { feeShare: 0, feeFixed: 0 }

test('where nothing scatters, every draw is the sum: £49 and six hours at £2, with the hours £169', () => {
  const { cost, paid, hours } = spreadOf(sure)
  expect(new Set(cost)).toEqual(new Set([4_900 + 6 * 200]))
  expect(new Set(paid)).toEqual(new Set([6_100 + 6 * 1_800]))
  expect(new Set(hours)).toEqual(new Set([6]))
})
test('one line that scatters lies as a log-normal does, the whole as Student’s', () => {
  const { hours } = spreadOf({ ...sure, hoursDone: 0, hoursAhead: [{ hours: 10, scale: 0.3 }], draws: 20_000 })
  expect(quantile(hours, 0.5)).toBeCloseTo(10, 0)
  expect(quantile(hours, 0.9) / 10).toBeCloseTo(Math.exp(1.2816 * 0.3), 1)
  expect(quantile(hours, 0.1) / 10).toBeCloseTo(Math.exp(-1.2816 * 0.3), 1)
  const few = spreadOf({
    ...sure,
    hoursDone: 0,
    hoursAhead: [{ hours: 10, scale: 0 }],
    whole: { scale: 0.3, freedom: 4 },
    draws: 20_000,
  })
  // of a table: 1.533 for four degrees of freedom
  expect(quantile(few.hours, 0.9) / 10).toBeCloseTo(Math.exp(1.533 * 0.3), 1)
})
test('the same seed gives the same picture, another another', () => {
  const scattered = { ...sure, whole: { scale: 0.2 } }
  expect(spreadOf(scattered)).toEqual(spreadOf(scattered))
  expect(spreadOf({ ...scattered, seed: 2 }).cost).not.toEqual(spreadOf(scattered).cost)
})

describe('the chance at a price', () => {
  const channels = fc.record({ feeShare: fc.double({ min: 0, max: 0.5, noNaN: true }), feeFixed: fc.nat(500) })
  const taxes: fc.Arbitrary<Tax> = fc.oneof(
    fc.constant<Tax>({ mode: 'none' }),
    fc.constant<Tax>({ mode: 'inclusive', share: 0.2 }),
    fc.constant<Tax>({ mode: 'margin', share: 0.2, bought: 3_000 }),
  )
  const spread = spreadOf({ ...sure, whole: { scale: 0.4, freedom: 6 }, draws: 400 })
  test('falls as the price rises, and no price loses more surely than it underpays', () =>
    fc.assert(
      fc.property(channels, taxes, fc.nat(60_000), fc.nat(60_000), (channel, tax, one, other) => {
        const [low, high] = [Math.min(one, other), Math.max(one, other)].map((price) => chanceAt(spread, price, channel, tax))
        expect(low!.loses).toBeGreaterThanOrEqual(high!.loses)
        expect(low!.underpays).toBeGreaterThanOrEqual(high!.underpays)
        expect(low!.loses).toBeLessThanOrEqual(low!.underpays)
      }),
    ))
  test('is what the drawn outcomes count: at the break-even of the tenth of twenty, half are lost or less', () =>
    fc.assert(
      fc.property(channels, taxes, (channel, tax) => {
        const outcomes = outcomesOf(spread, 20, channel, tax)
        const at = outcomes[9]?.breakEven ?? 0
        const { loses } = chanceAt(spread, at, channel, tax)
        expect(Math.abs(loses - 10.5 / 20)).toBeLessThan(0.03)
        for (const { breakEven, floor } of outcomes) expect(floor!).toBeGreaterThanOrEqual(breakEven!)
      }),
    ))
  test('where fees eat everything no price brings it back', () =>
    expect(outcomesOf(spread, 2, { feeShare: 1, feeFixed: 0 }, { mode: 'none' })).toEqual([
      { breakEven: null, floor: null },
      { breakEven: null, floor: null },
    ]))
  test('a price that brings what is certain loses nothing', () => {
    const certain = spreadOf(sure)
    expect(chanceAt(certain, 6_100, free, { mode: 'none' })).toEqual({ loses: 0, underpays: 1 })
    expect(chanceAt(certain, 6_099, free, { mode: 'none' })).toEqual({ loses: 1, underpays: 1 })
    expect(chanceAt(certain, 16_900, free, { mode: 'none' })).toEqual({ loses: 0, underpays: 0 })
  })
})
test('shares and quantiles of what is sorted', () => {
  const sorted = Float64Array.from([1, 2, 3, 4])
  expect([0, 1, 2.5, 4, 9].map((most) => shareWithin(sorted, most))).toEqual([0, 0.25, 0.5, 1, 1])
  expect([0, 0.25, 0.26, 1].map((share) => quantile(sorted, share))).toEqual([1, 1, 2, 4])
})
