import { describe, expect, test } from 'vitest'
import { type Air, referenceAir } from '@/core/drying/air'
import type { Learned } from '@/core/learn/learned'
import type { Entry } from '@/core/log/entry'
import { usualHours } from '@/core/measure/workingHours'
import { at, entry, fileWith, ms, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { daysAhead, waitIn } from './daysAhead'
import { readPiece } from './journey'

/** Clear wax that comes off within 20 to 60 minutes; then another coat, which needs an hour or two. */
const wax = planStep('wax', {
  operation: 'clear-wax',
  family: 'clear-wax',
  colour: null,
  minutes: 20,
  window: { clock: 'reaction', opens: [20, 30], closes: [60, 90], past: 'wax-again', source: 'craft' },
})
const off = planStep('off', { operation: 'wax-off', family: 'clear-wax', amount: null, minutes: 10, window: null })
const coat = planStep('coat', { minutes: 20 })
const again = planStep('again', { minutes: 20 })

function ahead(steps: ReturnType<typeof planStep>[], log: Entry[], time: string, air: Air = referenceAir, learned: Learned = {}) {
  const nowMs = ms(time)
  const climate = [{ ...air, at: at('06:00') }]
  const journey = readPiece(fileWith([partWith(steps)], log), { climate, nowMs, learned })
  // 4 May 2026 is a Monday
  const { slots, ...rest } = daysAhead(journey, { nowMs, zone: 'UTC', hours: usualHours, air, learned })
  const clock = (minute: number) =>
    `${Math.floor(minute / 1440)} ${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
  return {
    ...rest,
    slots: slots.map(({ start, end, awkward, missed }) => ({ start: clock(start), end: clock(end), awkward, missed })),
  }
}

describe('the days ahead of a piece that stands in a window', () => {
  test('wax put on at 16:30 comes off today or not at all: at 16:50 it is laid at 17:00 tomorrow’s nine, and marked', () => {
    // it opens at 17:00, when the day ends, and closes at 17:30
    const { slots, awkward } = ahead([wax, off], worked('wax', '16:10', '16:30'), '16:50')
    expect(slots).toEqual([{ start: '1 09:00', end: '1 09:10', awkward: true, missed: false }])
    expect(awkward).toBe(1)
  })
  test('put on at 10:00 it comes off at 10:30', () => {
    const { slots, awkward } = ahead([wax, off], worked('wax', '09:40', '10:00'), '10:05')
    expect([slots, awkward]).toEqual([[{ start: '0 10:30', end: '0 10:40', awkward: false, missed: false }], 0])
  })
  test('seen after it closed it is missed', () => {
    const { slots } = ahead([wax, off], worked('wax', '09:40', '10:00'), '12:00')
    expect(slots).toEqual([{ start: '0 12:00', end: '0 12:10', awkward: false, missed: true }])
  })
  test('a coat that runs goes on: 8 of its 20 minutes are left', () => {
    const { slots } = ahead([coat, again], [entry('started', at('10:00'), onStep('coat'))], '10:12')
    // ends at 10:20, dries two hours
    expect(slots.map(({ start, end }) => [start, end])).toEqual([
      ['0 10:12', '0 10:20'],
      ['0 12:20', '0 12:40'],
    ])
  })
  test('at 9 °C water-borne paint stands still: what comes after it is told no day', () => {
    const { slots, stuck } = ahead([coat, again], worked('coat', '09:00', '09:20'), '09:30', { temperature: 9, humidity: 60 })
    expect([slots, stuck]).toEqual([[], [{ partId: 'part', index: 0 }]])
  })
  test('damp air makes every wait ahead longer, by as much as the windows themselves', () => {
    const damp = { temperature: 16, humidity: 65 }
    const dry = ahead([coat, again], [], '09:00')
    const slow = ahead([coat, again], [], '09:00', damp)
    expect(dry.slots[1]?.start).toBe('0 11:20')
    // 6.36 of the 12.42 hPa that the reference air still takes: 120 min become 235
    expect(slow.slots[1]?.start).toBe('0 13:15')
  })
  test('what the studio has learned of its paint counts here too', () => {
    const learned: Learned = { 'chalk-style': { p50: 1.2, p80: 1.5, count: 9 } }
    expect(waitIn(referenceAir, learned)(coat)).toEqual({ opens: 180, closes: Infinity })
    expect(ahead([coat, again], [], '09:00', referenceAir, learned).slots[1]?.start).toBe('0 12:20')
  })
})
