import { describe, expect, test } from 'vitest'
import { toBenchData } from '@/core/bench/writeBench'
import { defaultMethod } from '@/core/craft/method'
import { fileWith, ms, partWith, planStep } from '@/core/testing/piece'
import type { WeekAsk } from './ask'
import type { Hand } from './hands'
import { smallestChange, waysToKeep } from './keep'

/** An hour a day, nine to ten. */
const wenna: Hand = { id: 'a', name: 'Wenna', hours: { from: 540, to: 600, days: [1, 2, 3, 4, 5] } }
const pell: Hand = { id: 'b', name: 'Pell', hours: { from: 540, to: 720, days: [1, 2, 3, 4, 5] } }
/** Two coats of forty minutes beside the set-up, the second within half an hour of the first. */
const wet = (closes: number) => ({
  clock: 'evaporation' as const,
  opens: [0, 0] as const,
  closes: [closes, closes] as const,
  source: 'craft' as const,
})
const asked = (hands: Hand[], minutes: number): WeekAsk => ({
  data: {
    bench: toBenchData(
      [fileWith([partWith([planStep('on', { minutes, window: wet(30) }), planStep('off', { minutes, window: null })])], [])],
      {
        ...{ climates: {}, rooms: [], method: defaultMethod, hours: wenna.hours, others: [], learned: {} },
        ...{ products: [], lots: [], planned: {}, waiting: [] },
      },
    ),
    ...{ zone: 'UTC', hands, others: [], places: null, expected: {}, forecasts: [], pace: {}, week: null },
  },
  ...{ written: [], nowMs: ms('08:00'), supposed: {}, from: [], budgetMs: 40, seed: 1, weeks: 0 },
})
const clock = () => {
  let now = 0
  return () => (now += 5)
}
const off = { stepId: 'off', side: null }

describe('the smallest change that keeps a window', () => {
  test('two coats in an hour do not fit; an hour longer they do', () =>
    // 40 and 40 minutes: from nine to twenty past ten
    expect(smallestChange(asked([wenna], 50), off, clock)?.way).toMatchObject({ kind: 'longer', minutes: 60, day: '2026-05-04' }))
  test('half a day each: nothing that small', () => expect(smallestChange(asked([wenna], 400), off, clock)).toBeNull())
  test('where the window is kept there is nothing to change: somebody with a longer day works both', () =>
    expect(smallestChange(asked([wenna, pell], 50), off, clock)).toBeNull())
  test('a day that is not worked is never made longer, only worked; one that is, never worked anew', () => {
    const data = asked([wenna], 50).data
    const ways = (closes: string) => waysToKeep({ data }, 0, Date.parse(closes)).map((way) => [way.kind, 'day' in way && way.day])
    // 10 May 2026 is a Sunday, 11 May the Monday after it
    expect(ways('2026-05-10T12:00:00Z')).toEqual([
      ['day', '2026-05-10'],
      ['day', '2026-05-09'],
    ])
    expect(ways('2026-05-11T12:00:00Z')).toEqual([
      ['longer', '2026-05-11'],
      ['earlier', '2026-05-11'],
      ['longer', '2026-05-11'],
      ['day', '2026-05-10'],
    ])
  })
})
