/** What the stack check says of times. */
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { plannedSteps } from '@/core/testing/planned'
import { partOf, worn } from './cases/stacks'
import { checkStack } from './checkStack'
import type { Act } from './surface'

describe('times', () => {
  const facts = partOf({})
  const wished = worn('chalk-mineral')
  const timed = (waits: Partial<Record<number, number>>) => {
    let now = 0
    return plannedSteps(facts, wished).map((step, k) => {
      const start = now + (waits[k] ?? 1500)
      now = start + step.minutes
      return { ...step, at: { start, end: now } }
    })
  }
  const codes = (acts: Act[]) => checkStack({ part: facts, wish: wished, acts }).map((each) => each.code)
  // clean rinse scuff dust-off coat coat dry-distress dust-off clear-wax wax-off buff
  const good = { 6: 70, 9: 20, 10: 1500 }

  test('a coat after 30 minutes where the label wants an hour is too early', () => {
    expect(codes(timed({ ...good, 5: 30 }))).toContain('too-early')
    expect(codes(timed({ ...good, 5: 60 }))).not.toContain('too-early')
  })
  test('worn back after a night, the easy window of chalk mineral paint is missed', () => {
    expect(codes(timed({ ...good, 6: 900 }))).toContain('window-missed')
    expect(codes(timed(good))).not.toContain('window-missed')
  })
  test('loaded after ten days it is in use before cure; after thirty it is not', () => {
    const acts = timed(good)
    const end = acts.at(-1)?.at.end ?? 0
    const usedAfter = (days: number) =>
      checkStack({ part: facts, wish: wished, acts, usedAt: end + days * 1440, method: defaultMethod }).map((each) => each.code)
    expect(usedAfter(10)).toContain('used-before-cure')
    expect(usedAfter(30)).not.toContain('used-before-cure')
  })
})
