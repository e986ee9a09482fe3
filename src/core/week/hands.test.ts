import { describe, expect, test } from 'vitest'
import { ada, ben } from '@/core/testing/studioWeek'
import { type OtherDay, stretchesOf, without } from './hands'

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
