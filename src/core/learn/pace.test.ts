import { describe, expect, test } from 'vitest'
import { scatterOf } from './calibrate'
import { minutesHere, paceOf } from './pace'

const worked = (actual: number, planned = 20) => ({ operation: 'coat' as const, planned, actual })

describe('how long it takes here', () => {
  test('four times twice as long: half way there, for what is usual counts as four', () => {
    const pace = paceOf([worked(40), worked(40), worked(40), worked(40)])
    expect(pace.coat?.p50).toBeCloseTo(Math.SQRT2)
    expect(minutesHere({ operation: 'coat', minutes: 30 }, pace)).toBeCloseTo(30 * Math.SQRT2)
    expect(minutesHere({ operation: 'sand', minutes: 30 }, pace)).toBe(30)
    // what the painter wrote for it stands
    expect(minutesHere({ operation: 'coat', minutes: 30, changed: true }, pace)).toBe(30)
  })
  test('a clock that ran on over the night and one that was tapped teach nothing', () =>
    expect(paceOf([worked(600), worked(1), worked(0), worked(20, 0)])).toEqual({}))
  test('the scatter is the spread of what was seen, a usual one before anything was', () => {
    expect(scatterOf()).toBeCloseTo(0.35)
    // four alike: the usual spread about a middle that has moved, √((4 · 0.35² + 4 · (ln 2 / 2)²) / 8)
    expect(scatterOf(paceOf([40, 40, 40, 40].map((minutes) => worked(minutes))).coat)).toBeCloseTo(
      Math.sqrt((4 * 0.35 ** 2 + 4 * (Math.log(2) / 2) ** 2) / 8),
    )
  })
})
