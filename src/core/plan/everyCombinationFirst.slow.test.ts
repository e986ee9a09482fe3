import { expect, test } from 'vitest'
import { halves, tryEverythingOn } from '@/core/testing/everyCombination'

test('on every other material, every finish found × look × paint × use the tables know gives a plan that holds, or a refusal that names its reason', () => {
  const { plans, refusals, broken } = tryEverythingOn(halves[0])
  expect(broken.slice(0, 10)).toEqual([])
  // 7 of 14 materials × 11 × 24 × 9 × 6
  expect(plans + refusals).toBe(99_792)
  expect(plans).toBeGreaterThan(15_000)
})
