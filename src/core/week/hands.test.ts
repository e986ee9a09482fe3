import { describe, expect, test } from 'vitest'
import { dayBegins, stayLonger, stretchOf } from '@/core/measure/workingHours'
import { ada, ben } from '@/core/testing/studioWeek'
import { type OtherDay, stretchesOf, without, workDayOf } from './hands'

describe('hours on the wall', () => {
  const span = { zone: 'Europe/London', grid: 5 }
  test('the day begins at nine on the wall before and after the clocks go back', () => {
    // Saturday noon; on Sunday 25 October 2026 the hour from one to two comes twice
    const startMs = Date.parse('2026-10-24T11:00:00Z')
    const all = { ...ada, hours: { ...ada.hours, days: [0, 1, 2, 3, 4, 5, 6] } }
    // from noon to nine the wall shows 21 hours, and 22 of them pass
    expect(stretchesOf(all, [], { ...span, startMs, days: 2 })).toEqual([
      [0, 300],
      [22 * 60, 30 * 60],
    ])
  })
  test('what is said of one day counts, for one person before all', () => {
    const startMs = Date.parse('2026-05-04T00:00:00Z')
    const others: OtherDay[] = [
      { day: '2026-05-04', personId: null, hours: null },
      { day: '2026-05-04', personId: 'a', hours: { from: 600, to: 660 } },
    ]
    expect(stretchesOf(ada, others, { startMs, zone: 'UTC', grid: 5, days: 1 })).toEqual([[600, 660]])
    expect(stretchesOf(ben, others, { startMs, zone: 'UTC', grid: 5, days: 1 })).toEqual([])
  })
  test('a night goes on over midnight: at two in the morning it is still last night’s, and a night off is none', () => {
    const night = { id: 'a', hours: { from: 1320, to: 1800, days: [1, 2] } }
    const startMs = Date.parse('2026-05-05T02:00:00Z')
    const at2 = { startMs, zone: 'UTC', grid: 5, days: 2 }
    // until six, and from ten in the evening, twenty hours on, to six again
    expect(stretchesOf(night, [], at2)).toEqual([
      [0, 240],
      [1200, 1680],
    ])
    expect(stretchesOf(night, [{ day: '2026-05-04', personId: null, hours: null }], at2)).toEqual([[1200, 1680]])
    expect(workDayOf(startMs, 'UTC', dayBegins(night.hours))).toBe('2026-05-04')
    expect(workDayOf(startMs, 'UTC', 0)).toBe('2026-05-05')
  })
  test('two times are a night where the end comes first, unless no night is so long', () => {
    expect(stretchOf(1320, 360, 30)).toEqual({ from: 1320, to: 1800 })
    expect(stretchOf(540, 1020, 30)).toEqual({ from: 540, to: 1020 })
    // from five to nine in the morning was meant the other way round
    expect([stretchOf(1020, 540, 30), stretchOf(540, 540, 30), stretchOf(540, 560, 30)]).toEqual([null, null, null])
    expect([stayLonger({ from: 540, to: 1400 }, 120), stayLonger({ from: 1320, to: 1800 }, 120)]).toEqual([
      { from: 540, to: 1440 },
      { from: 1320, to: 1920 },
    ])
  })
  test('a stretch that is taken is cut out', () =>
    expect(
      without(
        [
          [0, 100],
          [200, 300],
        ],
        50,
        220,
      ),
    ).toEqual([
      [0, 50],
      [220, 300],
    ]))
})
