import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { StepWindow } from '@/core/craft/windows'
import { at } from '@/core/testing/piece'
import { calibrate } from './calibrate'
import { asLearned } from './learned'
import { lessonsOf, minutesSeen, observe, type Seen } from './observations'

describe('calibrating', () => {
  test('no observation: the label, and a third more for the careful', () => {
    const { p50, p80, count } = calibrate({ ratios: [] })
    expect([p50, count]).toEqual([1, 0])
    // e to the 0.8416 × 0.35
    expect(p80).toBeCloseTo(1.34254, 5)
  })
  test('four times twice as long moves it half way, in logarithms', () => {
    expect(calibrate({ ratios: [2, 2, 2, 2] }).p50).toBeCloseTo(Math.SQRT2, 9)
  })
  test('more of the same never moves it away, and the careful figure is never below the usual', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), fc.integer({ min: 1, max: 40 }), (ratio, n) => {
        const few = calibrate({ ratios: Array.from({ length: n }, () => ratio) })
        const more = calibrate({ ratios: Array.from({ length: n + 1 }, () => ratio) })
        expect(Math.abs(Math.log(more.p50 / ratio))).toBeLessThanOrEqual(Math.abs(Math.log(few.p50 / ratio)) + 1e-12)
        expect(few.p80).toBeGreaterThanOrEqual(few.p50)
      }),
    )
  })
  test('nonsense is refused with the figure', () => {
    expect(() => calibrate({ ratios: [1, 0] })).toThrow(/: 0/)
    expect(() => calibrate({ ratios: [NaN] })).toThrow(/NaN/)
  })
})

const label: StepWindow = { clock: 'evaporation', opens: [60, 120], source: 'craft' }
const seen = (
  when: string,
  result: Seen['result'],
  { climate = [], assistance = [], ...over }: Partial<Seen & Parameters<typeof minutesSeen>[1]> = {},
): Seen => {
  const felt = { stepId: 's', family: 'clay', label, film: 'normal', endedAt: at('09:00'), at: at(when), result } as const
  return { ...felt, minutes: minutesSeen(felt, { climate, assistance }), ...over }
}
const ratios = (all: Seen[]) => observe(all).map(({ ratio }) => ratio)

describe('what fingers found', () => {
  test('dry after 90 minutes of a label of 60 to 120 is just the label', () =>
    expect(ratios([seen('10:30', 'dry')])).toEqual([1]))
  test('at half the pace two hours are one: 60 of 90', () => {
    // 75 % at 21 °C halves the deficit
    const climate = [{ at: at('08:00'), temperature: 21, humidity: 75 }]
    expect(ratios([seen('11:00', 'dry', { climate })])[0]).toBeCloseTo(2 / 3, 9)
  })
  test('a fan counts: an hour beside it is an hour and a half', () => {
    const assistance = [{ kind: 'fan' as const, from: at('09:00'), to: at('10:00') }]
    expect(ratios([seen('10:00', 'dry', { assistance })])).toEqual([1])
  })
  test('a heavy film has two and a half times as long', () => {
    expect(ratios([seen('12:45', 'dry', { film: 'heavy' })])).toEqual([1])
  })
  test('a coat teaches once: by its first dry, whatever was wet before and felt after', () => {
    expect(ratios([seen('10:00', 'wet'), seen('12:00', 'wet'), seen('13:00', 'dry'), seen('14:00', 'dry')])).toEqual([
      null,
      null,
      240 / 90,
      null,
    ])
  })
  test('never found dry, by the last still wet that is later than the label; within the label it teaches nothing', () => {
    expect(ratios([seen('10:00', 'wet'), seen('11:30', 'wet'), seen('12:00', 'wet'), seen('12:00', 'wet')])).toEqual([
      null,
      null,
      null,
      2,
    ])
    expect(ratios([seen('10:00', 'wet')])).toEqual([null])
  })
  test('lessons are by family, the most observed first', () => {
    const all = [
      seen('10:30', 'dry', { stepId: 'a', family: 'casein' }),
      seen('10:30', 'dry', { stepId: 'b' }),
      seen('10:30', 'dry', { stepId: 'c' }),
    ]
    expect(lessonsOf(all).map(({ family, count, p50 }) => [family, count, p50])).toEqual([
      ['clay', 2, 1],
      ['casein', 1, 1],
    ])
  })
})

describe('a figure taken up', () => {
  const learned = { clay: { p50: 1.2, p80: 1.5, count: 6 } }
  test('opens later by the careful factor, and says whose figure it is', () => {
    expect(asLearned(label, { family: 'clay' }, learned)).toEqual({ ...label, opens: [72, 180], source: 'studio' })
  })
  test('never closes later than the label, and sooner where it dries faster', () => {
    const closing = { ...label, closes: [150, 180] as const }
    expect(asLearned(closing, { family: 'clay' }, learned).closes).toEqual([150, 180])
    expect(asLearned(closing, { family: 'clay' }, { clay: { p50: 0.8, p80: 0.9, count: 6 } }).closes).toEqual([120, 144])
  })
  test('leaves other products, and what goes on at once, alone', () => {
    expect(asLearned(label, { family: 'casein' }, learned)).toBe(label)
    expect(asLearned(label, { family: null }, learned)).toBe(label)
    const now = { ...label, opens: [0, 0] as const }
    expect(asLearned(now, { family: 'clay' }, learned)).toBe(now)
  })
})
