import { describe, expect, test } from 'vitest'
import { dayOf } from '@/core/measure/time'
import { clockTime, dateWords, dayDateWords, hoursOfWork, momentWords, promiseWords } from './time'

const british = { locale: 'en-GB' } as const

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
      expect(promiseWords('2026-03-29', dayOf(instantOf('2026-03-29', time, hours), zone), british)).toBe('today')
    expect(promiseWords('2026-03-29', dayOf(instantOf('2026-03-28', '23:59', hours), zone), british)).toBe('tomorrow')
    expect(promiseWords('2026-03-29', dayOf(instantOf('2026-03-30', '00:00', hours), zone), british)).toBe('yesterday')
  })
  test('a day is written as it was typed, wherever it is read', () =>
    expect(dayDateWords('2026-12-03', british)).toBe('3 Dec 2026'))
  test('within a week by its name, further by its date, of another year with it', () => {
    expect(promiseWords('2026-03-31', '2026-03-26', british)).toBe('Tuesday')
    expect(promiseWords('2026-04-02', '2026-03-26', british)).toBe('2 Apr')
    expect(promiseWords('2027-01-02', '2026-03-26', british)).toBe('2 Jan 2027')
    expect(promiseWords('2026-03-20', '2026-03-26', british)).toBe('20 Mar')
  })
})

describe('a moment as its country writes it', () => {
  const at = '2026-12-03T14:05:00.000Z'
  const wall = (locale: 'en-GB' | 'en-US' | 'de-DE' | 'fr-FR') => ({ zone: 'UTC', locale })
  const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ')
  test('dates', () =>
    expect((['en-GB', 'en-US', 'de-DE', 'fr-FR'] as const).map((each) => plain(dateWords(at, wall(each))))).toEqual([
      '3 Dec 2026',
      'Dec 3, 2026',
      '3. Dez. 2026',
      '3 déc. 2026',
    ]))
  test('times', () =>
    expect((['en-GB', 'en-US', 'de-DE', 'fr-FR'] as const).map((each) => plain(clockTime(at, wall(each))))).toEqual([
      '14:05',
      '2:05 PM',
      '14:05',
      '14:05',
    ]))
  test('tomorrow’s time and the day’s work', () => {
    expect(plain(momentWords(at, wall('en-US'), Date.parse('2026-12-02T12:00:00Z')))).toBe('tomorrow 2:05 PM')
    expect(plain(hoursOfWork({ from: 540, to: 1020, days: [1, 2, 3, 4, 5] }, wall('en-US')))).toBe(
      'Monday to Friday, 9:00 AM to 5:00 PM',
    )
  })
})
