import { expect, test } from 'vitest'
import { calibrate, scatterOf } from './calibrate'
import { takeOf, takesBy } from './takes'

test('coats that took more than was planned, by family; of what was never laid practice says', () => {
  const takes = takesBy([
    ...[130, 130, 130, 130].map((actual) => ({ family: 'chalk-style' as const, planned: 100, actual })),
    { family: 'clear-wax', planned: 0, actual: 20 },
  ])
  // four of them count as much as what is usual: half way to 1.3
  expect(takes['chalk-style']?.factor).toBeCloseTo(Math.sqrt(1.3))
  expect(takes['chalk-style']?.scatter).toBeCloseTo(scatterOf(calibrate({ ratios: [1.3, 1.3, 1.3, 1.3] })))
  expect(takes['chalk-style']?.count).toBe(4)
  expect(takeOf(takes, 'clear-wax')).toEqual({ factor: 1, scatter: 0.2 })
})
