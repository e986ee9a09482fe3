import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { at, entry, ms } from '@/core/testing/piece'
import { assistanceOf, assistsNow } from './assistance'
import type { Entry } from './entry'
import {
  advance,
  type ClockKind,
  isForgotten,
  labourOf,
  minutesOf,
  ranMinutes,
  stepClocks,
  untouchedClock,
  workIn,
} from './labour'
import { shareSetUp, type WorkedStep } from './sharedSetUp'

const [wenna, joss] = ['wenna', 'joss']
const say = (
  kind: ClockKind,
  when: string,
  stepId: string,
  over: { minutes?: number | null; personId?: string | null } = {},
): Entry => entry(kind, at(when), { partId: 'part', stepId, personId: wenna, ...over })
const labour = (log: Entry[], now = '18:00') => {
  const worked = labourOf(stepClocks(workIn([...log].sort((a, b) => a.at.localeCompare(b.at))), ms(now)))
  return (stepId: string, personId?: string) =>
    personId === undefined ? minutesOf(worked, stepId) : (worked.get(stepId)?.get(personId) ?? 0)
}

describe('whose minutes', () => {
  test('a pause counts for nobody: 9:00 to 9:20 and 9:50 to 10:00 are half an hour', () => {
    const log = [
      say('started', '09:00', 'a'),
      say('paused', '09:20', 'a'),
      say('resumed', '09:50', 'a'),
      say('ended', '10:00', 'a'),
    ]
    expect(labour(log)('a')).toBe(30)
  })
  test('two steps at once by one pair of hands share the minutes they ran together', () => {
    // a alone 10, both 20, b alone 30
    const log = [
      say('started', '09:00', 'a'),
      say('started', '09:10', 'b'),
      say('ended', '09:30', 'a'),
      say('ended', '10:00', 'b'),
    ]
    const of = labour(log)
    expect([of('a'), of('b')]).toEqual([20, 40])
  })
  test('two people on two steps are two pairs of hands', () => {
    const log = [
      say('started', '09:00', 'a'),
      say('started', '09:00', 'b', { personId: joss }),
      say('ended', '09:30', 'a'),
      say('ended', '09:30', 'b', { personId: joss }),
    ]
    const of = labour(log)
    expect([of('a'), of('b')]).toEqual([30, 30])
  })
  test('a second person who starts the same step joins it, and each has their own minutes', () => {
    const log = [say('started', '09:00', 'a'), say('started', '09:20', 'a', { personId: joss }), say('ended', '09:50', 'a')]
    const of = labour(log)
    expect([of('a', wenna), of('a', joss), of('a')]).toEqual([50, 30, 80])
  })
  test('one who leaves pauses alone; the other goes on', () => {
    const log = [
      say('started', '09:00', 'a'),
      say('started', '09:00', 'a', { personId: joss }),
      say('paused', '09:10', 'a', { personId: joss }),
      say('ended', '09:40', 'a'),
    ]
    expect(labour(log)('a', joss)).toBe(10)
    expect(labour(log)('a', wenna)).toBe(40)
  })
  test('a forgotten clock put right by hand takes nothing from the step beside it', () => {
    const log = [
      say('started', '09:00', 'a'),
      say('started', '15:00', 'b'),
      say('ended', '15:40', 'b'),
      say('ended', '17:00', 'a', { minutes: 35 }),
    ]
    const of = labour(log)
    expect([of('a'), of('b')]).toEqual([35, 40])
  })
  test('a helper’s time is added, whoever it was', () => {
    const log = [
      say('started', '09:00', 'a'),
      say('ended', '09:30', 'a'),
      say('helped', '09:30', 'a', { minutes: 15, personId: joss }),
    ]
    expect(labour(log)('a')).toBe(45)
  })
  test('a clock still running counts up to now', () => {
    expect(labour([say('started', '09:00', 'a')], '09:12')('a')).toBe(12)
  })

  test('however steps overlap, one person’s minutes never sum to more than the clock on the wall', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 200 }))
    fc.assert(
      fc.property(fc.array(span, { minLength: 1, maxLength: 8 }), (spans) => {
        const minute = (m: number) => new Date(ms('06:00') + m * 60_000).toISOString()
        const log = spans.flatMap(([from, minutes], k) => [
          entry('started', minute(from), { stepId: String(k), personId: wenna }),
          entry('ended', minute(from + minutes), { stepId: String(k), personId: wenna }),
        ])
        const of = labour(log)
        const sum = spans.reduce((total, _, k) => total + of(String(k)), 0)
        // what is covered by any of the spans, minute by minute
        const covered = Array.from({ length: 700 }, (_, m) => spans.some(([from, minutes]) => m >= from && m < from + minutes))
        expect(sum).toBeCloseTo(covered.filter(Boolean).length, 6)
      }),
      { numRuns: 200 },
    )
  })
})

describe('the clock’s face', () => {
  const face = (log: Entry[], now: string) =>
    ranMinutes(
      workIn(log).reduce((clock, each) => advance(clock, each, 'a'), untouchedClock),
      ms(now),
    )
  test('shows what it ran, pauses left out: twenty minutes, ten of rest, five more', () => {
    const log = [say('started', '09:00', 'a'), say('paused', '09:20', 'a'), say('resumed', '09:30', 'a')]
    expect(face(log, '09:35')).toBe(25)
    expect(face(log.slice(0, 2), '12:00')).toBe(20)
  })
  test('shows one clock where two hands work, and goes on while one of them does', () => {
    const log = [
      say('started', '09:00', 'a'),
      say('started', '09:05', 'a', { personId: joss }),
      say('paused', '09:10', 'a', { personId: joss }),
    ]
    expect(face(log, '09:30')).toBe(30)
  })
  test('is forgotten beyond three times its step, or an hour and a half more', () => {
    expect([isForgotten(109, 20), isForgotten(111, 20)]).toEqual([false, true])
    expect([isForgotten(179, 60), isForgotten(181, 60)]).toEqual([false, true])
  })
})

describe('set-up and cleaning', () => {
  // a coat has 8 minutes of both
  const worked = (stepId: string, from: string, to: string, over: Partial<WorkedStep> = {}): WorkedStep => ({
    stepId,
    operation: 'coat',
    family: 'clay',
    hex: '#3d5661',
    startedMs: ms(from),
    endedMs: ms(to),
    minutes: (ms(to) - ms(from)) / 60_000,
    ...over,
  })
  const three = [worked('a', '09:00', '09:24'), worked('b', '09:25', '09:45'), worked('c', '09:50', '10:14')]

  test('three alike in one go: the middle one bears its third of both', () => {
    const shares = shareSetUp(three)
    // 4 of set-up in the first, 4 of cleaning in the last, 8 / 3 each
    expect(shares.get('a')).toBeCloseTo(8 / 3 - 4, 9)
    expect(shares.get('b')).toBeCloseTo(8 / 3, 9)
    expect(shares.get('c')).toBeCloseTo(8 / 3 - 4, 9)
  })
  test('another colour, or an hour between, is another go', () => {
    expect(shareSetUp([three[0], { ...three[1], hex: '#000000' }] as WorkedStep[]).size).toBe(0)
    expect(shareSetUp([three[0], worked('b', '10:30', '10:50')] as WorkedStep[]).size).toBe(0)
  })
  test('nothing is made and nothing lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 60 })), { maxLength: 8 }),
        (gaps) => {
          let clock = 0
          const steps = gaps.map(([gap, minutes], k) => {
            const startedMs = (clock += gap * 60_000)
            clock += minutes * 60_000
            return { ...worked(String(k), '09:00', '09:01'), startedMs, endedMs: clock, minutes }
          })
          const sum = [...shareSetUp(steps).values()].reduce((total, share) => total + share, 0)
          expect(sum).toBeCloseTo(0, 9)
        },
      ),
    )
  })
})

describe('fans and heat guns', () => {
  const on = (kind: 'assisted' | 'unassisted', when: string, assist: 'fan' | 'heatGun', partId = 'part') =>
    entry(kind, at(when), { partId, assist })

  test('a fan stands from its on to its off, beside this part alone', () => {
    const log = [on('assisted', '09:00', 'fan'), on('assisted', '09:10', 'fan', 'other'), on('unassisted', '11:00', 'fan')]
    expect(assistanceOf(log, 'part')).toEqual([{ kind: 'fan', from: at('09:00'), to: at('11:00') }])
  })
  test('a heat gun that nobody switched off is believed for an hour', () => {
    expect(assistanceOf([on('assisted', '09:00', 'heatGun')], 'part')).toEqual([
      { kind: 'heatGun', from: at('09:00'), to: at('10:00') },
    ])
  })
  test('two taps on are one fan, and an off without an on is none', () => {
    const log = [
      on('unassisted', '08:00', 'fan'),
      on('assisted', '09:00', 'fan'),
      on('assisted', '09:05', 'fan'),
      on('unassisted', '09:30', 'fan'),
    ]
    const help = assistanceOf(log, 'part')
    expect(help).toEqual([{ kind: 'fan', from: at('09:00'), to: at('09:30') }])
    expect([assistsNow(help, ms('09:10')), assistsNow(help, ms('09:30'))]).toEqual([['fan'], []])
  })
})
