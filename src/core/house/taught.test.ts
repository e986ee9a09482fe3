import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readPiece } from '@/core/piece/journey'
import type { PricingTerms } from '@/core/piece/ledger'
import { at, entry, fileWith, ms, partWith, planStep, worked } from '@/core/testing/piece'
import { bearRents, daysWent, lessonsBy, type Result, resultOf, sumOf, taughtBy } from './taught'

const terms: PricingTerms = {
  ...{ hourRate: 1800, overheadRate: 0, taxMode: 'inclusive', taxShare: 0.2, wish: { profit: 0 }, haggle: 0, step: 100 },
}
const log = [
  entry('cost', at('08:00'), { costKind: 'bought', money: 4_000 }),
  ...worked('one', '09:00', '10:30'),
  entry('listed', at('11:00'), { channelId: 'booth', money: 20_000 }),
  entry('sold', at('12:00'), { channelId: 'booth', money: 18_000, fees: 1_800 }),
]
const sold = readPiece(fileWith([partWith([planStep('one')])], log, { article: 'chest' }), { climate: [], nowMs: ms('20:00') })

describe('what a piece taught', () => {
  test('£180, less £18 of fees, £30 of tax within it, £40 paid: £92 for an hour and a half', () => {
    expect(resultOf(sold, terms, 'UTC')).toMatchObject({
      ...{ outcome: 'sold', article: 'chest', channelId: 'booth', price: 18_000, fees: 1_800, tax: 3_000, cost: 4_000 },
      ...{ hours: 1.5, left: 9_200, days: { door: 1, hands: 1, onSale: 1 } },
    })
  })
  test('a piece that is here teaches nothing yet; one that was kept cost what it cost', () => {
    const here = readPiece(fileWith([partWith([planStep('one')])], log.slice(0, 4)), { climate: [], nowMs: ms('20:00') })
    expect(resultOf(here, terms, 'UTC')).toBeNull()
    const kept = readPiece(fileWith([partWith([planStep('one')])], [...log.slice(0, 4), entry('kept', at('12:00'), {})]), {
      climate: [],
      nowMs: ms('20:00'),
    })
    expect(resultOf(kept, terms, 'UTC')).toMatchObject({ outcome: 'kept', price: 0, left: -4_000 })
  })
})

const result = fc.record({
  outcome: fc.constantFrom('sold' as const, 'handed-over' as const, 'kept' as const),
  look: fc.constantFrom('crackle' as const, 'stripes' as const, null),
  month: fc.constantFrom('2026-03', '2026-01', '2026-02'),
  hours: fc.integer({ min: 0, max: 40 }),
  left: fc.integer({ min: -5_000, max: 40_000 }),
  door: fc.integer({ min: 1, max: 90 }),
})
const whole = (over: {
  outcome: Result['outcome']
  look: Result['look']
  month: string
  hours: number
  left: number
  door: number
}): Result => ({
  ...{
    pieceId: 'p',
    name: 'Chest',
    endedAt: '2026-01-01T00:00:00.000Z',
    article: null,
    source: 'own',
    channelId: null,
    painterId: null,
  },
  ...{ price: 0, fees: 0, rent: 0, tax: 0, cost: 0, plannedHours: 0 },
  ...over,
  days: { door: over.door, hands: 1, onSale: 1 },
})
describe('by what it is asked', () => {
  test('nothing appears and nothing vanishes: the groups together are all that was paid for', () =>
    fc.assert(
      fc.property(fc.array(result, { maxLength: 20 }), (bare) => {
        const results = bare.map(whole)
        const all = sumOf(results.filter(({ outcome }) => outcome !== 'kept'))
        for (const by of taughtBy) {
          const lessons = lessonsBy(results, by)
          expect(lessons.reduce((sum, { left }) => sum + left, 0)).toBe(all.left)
          expect(lessons.reduce((sum, { hours }) => sum + hours, 0)).toBe(all.hours)
          expect(lessons.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(all.pieces)
          expect(new Set(lessons.map(({ key }) => key)).size).toBe(lessons.length)
        }
      }),
    ))
  test('a month’s rent of a place is borne by what it sold in that month, to the coin; of a month that is cut nobody knows', () => {
    const of = (month: string, channelId: string | null, outcome: Result['outcome'] = 'sold') => ({
      ...whole({ outcome, look: null, month, hours: 1, left: 10_000, door: 1 }),
      channelId,
    })
    const results = [
      ...[of('2026-03', 'booth'), of('2026-03', 'booth'), of('2026-03', 'booth'), of('2026-03', 'door')],
      ...[of('2026-02', 'booth'), of('2026-03', 'booth', 'kept'), of('2026-03', null, 'handed-over')],
    ]
    const rents = new Map([['booth', 2_500]])
    // 25.00 over three: 8.34, 8.33, 8.33
    expect(bearRents(results, rents, false).map(({ rent }) => rent)).toEqual([834, 833, 833, 0, 2_500, 0, 0])
    expect(bearRents(results, rents, false).map(({ left }) => left)).toEqual([9_166, 9_167, 9_167, 10_000, 7_500, 10_000, 10_000])
    expect(bearRents(results, rents, true).map(({ rent }) => rent)).toEqual([834, 833, 833, 0, 0, 0, 0])
  })
  test('the best hour first; months in their order', () => {
    const results = [
      whole({ outcome: 'sold', look: 'crackle', month: '2026-02', hours: 10, left: 10_000, door: 9 }),
      whole({ outcome: 'sold', look: 'stripes', month: '2026-01', hours: 2, left: 6_000, door: 3 }),
      whole({ outcome: 'sold', look: 'crackle', month: '2026-03', hours: 0, left: 2_000, door: 5 }),
    ]
    expect(lessonsBy(results, 'look').map(({ key, earned, doorDays }) => [key, earned, doorDays])).toEqual([
      ['stripes', 3_000, 3],
      ['crackle', 1_200, 5],
    ])
    expect(lessonsBy(results, 'month').map(({ key, earned }) => [key, earned])).toEqual([
      ['2026-01', 3_000],
      ['2026-02', 1_000],
      ['2026-03', null],
    ])
    expect(daysWent(results)).toEqual({ door: 5, hands: 1, onSale: 1, rest: 3 })
  })
})
