import { describe, expect, test } from 'vitest'
import { dayOf } from '@/core/measure/time'
import { dayDateWords, promiseWords } from './time'

/** IANA's own zones of whole hours: Etc/GMT+11 is eleven hours behind. */
const zones = Array.from({ length: 26 }, (_, k) => k - 11).map((hours) => ({
  hours,
  zone: hours === 0 ? 'UTC' : `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`,
}))
/** A wall-clock moment of a zone as an instant. */
const instantOf = (day: string, time: string, hours: number) =>
  new Date(Date.parse(`${day}T${time}:00.000Z`) - hours * 3_600_000).toISOString()

describe('a promised day, read from −11 to +14', () => {
  test.each(zones)('$zone: today on the day itself, from its first minute to its last', ({ zone, hours }) => {
    for (const time of ['00:00', '12:00', '23:59'])
      expect(promiseWords('2026-03-29', dayOf(instantOf('2026-03-29', time, hours), zone))).toBe('today')
    expect(promiseWords('2026-03-29', dayOf(instantOf('2026-03-28', '23:59', hours), zone))).toBe('tomorrow')
    expect(promiseWords('2026-03-29', dayOf(instantOf('2026-03-30', '00:00', hours), zone))).toBe('yesterday')
  })
  test('a day is written as it was typed, wherever it is read', () => expect(dayDateWords('2026-12-03')).toBe('3 Dec 2026'))
  test('within a week by its name, further by its date, of another year with it', () => {
    expect(promiseWords('2026-03-31', '2026-03-26')).toBe('Tuesday')
    expect(promiseWords('2026-04-02', '2026-03-26')).toBe('2 Apr')
    expect(promiseWords('2027-01-02', '2026-03-26')).toBe('2 Jan 2027')
    expect(promiseWords('2026-03-20', '2026-03-26')).toBe('20 Mar')
  })
})
