import { describe, expect, test } from 'vitest'
import { type RemedyCode, remedyCodes } from '@/core/craft/remedies'
import { planFinish } from '@/core/plan/planFinish'
import { checkStack } from '@/core/stack/checkStack'
import { remedySteps } from './remedySteps'
import type { FinishablePart, FinishWish } from './wish'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 2 }
const wish = (over: Partial<FinishWish>): FinishWish => ({
  look: 'smooth-solid',
  paint: 'chalk-style',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
  ...over,
})

/** Where a mistake shows itself: the look it belongs to, and the step after which it is found. */
const found: Partial<Record<RemedyCode, [over: Partial<FinishWish>, after: string]>> = {
  'brush-marks': [{}, 'coat'],
  runs: [{}, 'coat'],
  drips: [{}, 'coat'],
  'bleed-through': [{}, 'coat'],
  'too-far': [{ look: 'light-distress' }, 'dry-distress'],
  'no-cracks': [{ look: 'crackle' }, 'crackle-coat'],
  mud: [{ look: 'wet-blend', paint: 'clay' }, 'blend'],
  'ragged-edges': [{ look: 'stripes' }, 'pull-tape'],
  'wax-dull': [{ seal: 'wax' }, 'buff'],
  'wax-tacky': [{ seal: 'wax' }, 'wax-off'],
  'clear-lint': [{ seal: 'clear' }, 'clear-coat'],
}

test('every mistake has steps that mend it, each with minutes and a reason', () => {
  expect(remedyCodes.length).toBeGreaterThanOrEqual(30)
  for (const code of remedyCodes) {
    const steps = remedySteps(code, part, wish({}))
    expect([code, steps.length > 0]).toEqual([code, true])
    for (const step of steps) expect(step.minutes).toBeGreaterThan(0)
  }
})

test('touching in a run on two square metres takes minutes, not the coat’s half hour', () => {
  // a tenth of 2 m²: rub 3 + 0.2 × 6, coat 8 + 0.2 × 10
  expect(remedySteps('runs', part, wish({})).map(({ operation, minutes }) => [operation, minutes])).toEqual([
    ['smooth', 4],
    ['coat', 10],
  ])
})

describe('put into the plan where it is found, the mending leaves no stop', () => {
  test.each(Object.entries(found))('%s', (code, [over, after]) => {
    const wished = wish(over)
    const outcome = planFinish(part, wished)
    if ('refusal' in outcome) throw new Error(outcome.refusal.code)
    const { steps } = outcome.plan
    const at = steps.findLastIndex(({ operation }) => operation === after) + 1
    const acts = [...steps.slice(0, at), ...remedySteps(code as RemedyCode, part, wished), ...steps.slice(at)]
    const stops = checkStack({ part, wish: wished, acts }).filter(({ severity }) => severity === 'stop')
    expect(stops).toEqual([])
  })
})
