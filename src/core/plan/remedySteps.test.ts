import { expect, test } from 'vitest'
import { remedyCodes } from '@/core/craft/remedies'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'
import { remedySteps } from './remedySteps'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 2 }
const wish = (over: Partial<FinishWish>): FinishWish => ({
  look: 'smooth-solid',
  paint: 'chalk-style',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
  ...over,
})

test('every mistake has steps that mend it, each with minutes and a reason', () => {
  expect(remedyCodes.length).toBeGreaterThanOrEqual(30)
  for (const code of remedyCodes) {
    const steps = remedySteps(code, { part, wish: wish({}), done: [] })
    expect([code, steps.length > 0]).toEqual([code, true])
    for (const step of steps) expect(step.minutes).toBeGreaterThan(0)
  }
})

test('touching in a run on two square metres takes minutes, not the coat’s half hour', () => {
  // a tenth of 2 m²: rub 3 + 0.2 × 6, coat 8 + 0.2 × 10
  expect(remedySteps('runs', { part, wish: wish({}), done: [] }).map(({ operation, minutes }) => [operation, minutes])).toEqual([
    ['smooth', 4],
    ['coat', 10],
  ])
})

test('what was tinted is tinted again in its own wax', () => {
  for (const family of ['dark-wax', 'black-wax', 'white-wax'] as const) {
    const tint: Act = {
      operation: 'tinted-wax',
      family,
      colour: null,
      mix: null,
      grit: null,
      film: 'normal',
      check: null,
      cautions: [],
    }
    const put = remedySteps('wax-murky', { part, wish: wish({}), done: [tint] })
    expect(put.filter(({ operation }) => operation === 'tinted-wax').map((step) => step.family)).toEqual([family])
    expect(put.at(-1)).toMatchObject({ operation: 'buff', family })
  }
})
