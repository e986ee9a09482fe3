import { describe, expect, test } from 'vitest'
import { dayScale } from './scale'

const asked = {
  zone: 'UTC',
  hours: { from: 540, to: 1020 },
  isWorked: () => true,
  count: 5,
  left: 0,
  right: 1000,
  share: 0.5,
}
const ms = (time: string, day = 4) => Date.parse(`2026-05-0${day}T${time}:00Z`)

describe('the line of days', () => {
  test('the wide day has its share, whichever it is, and the days fill the line', () => {
    for (const wide of [0, 1, 3]) {
      const { days } = dayScale({ ...asked, nowMs: ms('10:00'), wide })
      expect(days.map(({ from, to }) => Math.round(to - from))[wide]).toBe(500)
      expect(days.at(-1)?.to).toBeCloseTo(1000)
      days.slice(1).forEach(({ from }, k) => expect(from).toBeCloseTo(days[k]?.to ?? 0))
    }
  })
  test('a night is one day: its hours stand beside each other, on both sides of midnight', () => {
    const { days, x } = dayScale({ ...asked, hours: { from: 1320, to: 1800 }, nowMs: ms('01:00', 5), wide: 0 })
    expect(days[0]?.day).toBe('2026-05-04')
    expect(x(ms('06:00', 5))).toBeCloseTo(days[0]?.shuts ?? 0)
    expect(x(ms('22:00', 5))).toBeCloseTo(days[1]?.opens ?? 0)
    expect(x(ms('23:59', 5))).toBeLessThan(x(ms('01:00', 6)))
  })
  test('after work the days that are over are narrow, and what is drawn is found again', () => {
    const { days, x, at } = dayScale({ ...asked, nowMs: ms('18:30'), wide: 1 })
    expect(Math.round((days[0]?.to ?? 0) - (days[0]?.from ?? 0))).toBe(65)
    for (const time of ['09:00', '12:15', '16:55']) expect(Math.abs(at(x(ms(time, 5))) - ms(time, 5))).toBeLessThan(60_000)
    // later is further right
    const places = ['09:00', '12:00', '17:00'].map((time) => x(ms(time, 5)))
    expect([...places].sort((a, b) => a - b)).toEqual(places)
  })
})
