import { describe, expect, test } from 'vitest'
import { phasesOf } from '@/core/drying/phase'
import { windowFor } from '@/core/drying/windowFor'
import { hoursWords, loggedWords, momentWords, spanFigure, spanWords } from './time'
import { windowFigure, windowWords } from './window'

const wall = { zone: 'Europe/London', locale: 'en-GB' } as const
const ms = (time: string) => Date.parse(`2026-05-04T${time}:00.000Z`)
const shown = (opens: [number, number], closes?: [number, number]) => {
  const endedAt = '2026-05-04T09:00:00.000Z'
  const times = windowFor({ endedAt, kind: 'evaporation', film: 'normal', label: { opens, closes }, climate: [], assistance: [] })
  return { ...times, segments: phasesOf(times, Date.parse(endedAt)) }
}

describe('spans and moments', () => {
  test('minutes, hours, days', () => {
    expect([0.4, 59, 65, 2880 + 245].map(spanWords)).toEqual(['0 min', '59 min', '1 h 05', '2 d 4 h'])
    expect(spanFigure(38)).toEqual({ figure: '38', unit: 'min' })
    expect(spanFigure(125)).toEqual({ figure: '2:05', unit: 'h' })
    expect(spanFigure(1500)).toEqual({ figure: '1', unit: 'day' })
  })
  test('ten hours are ten, not one', () =>
    expect([10, 3, 2.5, 5.03].map((hours) => hoursWords(hours, wall))).toEqual(['10 h', '3 h', '2.5 h', '5.03 h']))
  test('today’s moments are times on the studio’s wall; the log always says its time', () => {
    expect(momentWords('2026-05-04T09:00:00.000Z', wall, ms('12:00'))).toBe('10:00')
    expect(loggedWords('2026-03-02T09:00:00.000Z', wall, ms('12:00'))).toMatch(/2 Mar.* 09:00$/)
  })
})

describe('a window in words', () => {
  const closing = shown([30, 60], [150, 180])
  test.each([
    ['09:10', 'opens 11:00'],
    ['09:40', 'test it; safe from 11:00'],
    ['10:10', 'closes in 1 h 20, 12:30'],
    ['12:00', 'closed 30 min ago'],
  ] as const)('at %s UTC: %s', (time, words) => expect(windowWords(closing, wall, ms(time))).toBe(words))
  test('one that never closes is in no hurry', () =>
    expect(windowWords(shown([60, 60]), wall, ms('11:00'))).toBe('open, no hurry'))
  test('the figure for two metres counts down, then up', () => {
    expect(windowFigure(closing, ms('10:52'))).toEqual({ figure: '38', unit: 'min', late: false })
    expect(windowFigure(closing, ms('11:45'))).toEqual({ figure: '15', unit: 'min', late: true })
    expect(windowFigure(shown([60, 60]), ms('11:00'))).toBeNull()
  })
})
