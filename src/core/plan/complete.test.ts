import { expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { plannedSteps } from '@/core/testing/planned'
import { complete } from './complete'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const wish: FinishWish = { look: 'light-distress', paint: 'chalk-style', colours: { a: { name: 'Ferry Slate', hex: '#3d5661' } } }
const whole = plannedSteps(part, wish)
const operations = (steps: readonly { operation: string }[]) => steps.map(({ operation }) => operation)
const own = whole.filter(({ rule }) => rule === undefined)

test('what the look wants alone is completed to the whole plan, each added step with its rule', () => {
  const steps = complete({ part, wish, method: defaultMethod, done: [], wanted: own })
  expect(operations(steps)).toEqual(operations(whole))
  expect(steps.flatMap(({ rule }) => rule ?? [])).toEqual([
    'soiled-under-coat',
    'cleaner-not-rinsed',
    'no-key',
    'dust-under-coat',
  ])
})
test('completed again, nothing is added', () => {
  expect(complete({ part, wish, method: defaultMethod, done: [], wanted: whole })).toEqual(whole)
})
test('a departure is kept in what was planned, and never in a repair', () => {
  const at = whole.findIndex(({ operation }) => operation === 'coat') + 1
  const [sand] = plannedSteps({ ...part, existing: 'bare' }, wish).filter(({ operation }) => operation === 'sand')
  const coat = whole[at - 1]
  if (!sand || !coat) throw new Error('the plans have both')
  // the painter left the dusting out after the wear
  const ahead = whole.slice(at).filter(({ operation }) => operation !== 'dust-off')
  const steps = complete({
    part,
    wish,
    method: defaultMethod,
    done: whole.slice(0, at),
    wanted: [sand, coat, ...ahead],
    departed: ['dust-under-coat'],
    small: { share: 0.1, until: 2 },
  })
  expect(operations(steps)).toEqual(['sand', 'dust-off', 'coat', ...operations(ahead)])
})
