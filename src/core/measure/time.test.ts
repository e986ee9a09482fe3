import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dayAfter, dayOf, instantOf, minuteOfDay, wallTimeOf, weekdayOf } from './time'

describe('times on the wall', () => {
  test('noon in summer is 11:00 UTC in London, 16:00 in New York', () => {
    expect(instantOf('2026-07-01T12:00', 'Europe/London')).toBe('2026-07-01T11:00:00.000Z')
    expect(instantOf('2026-07-01T12:00', 'America/New_York')).toBe('2026-07-01T16:00:00.000Z')
  })
  test('the hour that spring skips moves on by the gap; the one that autumn repeats is the first', () => {
    expect(instantOf('2026-03-29T01:30', 'Europe/London')).toBe('2026-03-29T01:30:00.000Z')
    expect(instantOf('2026-10-25T01:30', 'Europe/London')).toBe('2026-10-25T00:30:00.000Z')
  })
  test('a day of the wall is not the day of UTC', () => {
    expect(dayOf('2026-06-30T23:30:00.000Z', 'Europe/London')).toBe('2026-07-01')
    expect(wallTimeOf('2026-06-30T23:30:00.000Z', 'Europe/London')).toBe('2026-07-01T00:30')
    expect(minuteOfDay('2026-06-30T23:30:00.000Z', 'Europe/London')).toBe(30)
  })
  test('days are counted over the ends of months and leap days', () => {
    expect(dayAfter('2028-02-28', 2)).toBe('2028-03-01')
    expect(dayAfter('2026-12-31', 1)).toBe('2027-01-01')
    expect([weekdayOf('2026-11-25'), weekdayOf('2026-11-29')]).toEqual([3, 0])
  })
  test('what is no day or time gives null', () => {
    expect([instantOf('2026-02-30', 'UTC'), instantOf('2026-02-03T25:00', 'UTC'), instantOf('soon', 'UTC')]).toEqual([
      null,
      null,
      null,
    ])
  })
})

test('the day and the minute on a wall are those that the calendar of that zone says, at every midnight that clocks change or leave out', () => {
  const zones = [
    ...['Europe/London', 'America/Havana', 'America/Sao_Paulo', 'Asia/Beirut', 'Africa/Cairo', 'America/Santiago'],
    ...['Australia/Lord_Howe', 'Pacific/Apia', 'Pacific/Kiritimati', 'Asia/Kathmandu', 'UTC'],
  ]
  const calendars = new Map(
    zones.map((zone) => [zone, new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' })]),
  )
  // a day that was left out, midnights repeated and skipped, and any moment of these years
  const edges = [
    '2011-12-30T10:00:00Z',
    '2018-02-18T02:30:00Z',
    '2018-11-04T03:00:00Z',
    '2026-03-28T22:00:00Z',
    '2026-11-01T04:30:00Z',
  ]
  const near = fc
    .tuple(fc.constantFrom(...edges), fc.integer({ min: -48 * 60, max: 48 * 60 }))
    .map(([edge, minutes]) => Date.parse(edge) + minutes * 60_000)
  const any = fc.integer({ min: Date.parse('2000-01-02T00:00:00Z'), max: Date.parse('2060-01-01T00:00:00Z') })
  fc.assert(
    fc.property(fc.constantFrom(...zones), fc.oneof(near, any), (zone, ms) => {
      const at = new Date(ms).toISOString()
      const [day = '', minute = ''] = calendars.get(zone)?.format(ms).split(' ') ?? []
      expect([dayOf(at, zone), wallTimeOf(at, zone)]).toEqual([day, `${day}T${minute}`])
      expect(minuteOfDay(at, zone)).toBe(Number(minute.slice(0, 2)) * 60 + Number(minute.slice(3)))
    }),
    { numRuns: 4_000 },
  )
})
