import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { leftOpen } from '@/core/craft/ways'
import type { Touch } from '@/core/finish/touch'
import { planFinish } from './planFinish'
import { replan } from './replan'
import { layOut } from './timeline'

const part = { substrate: 'close-grained', existing: 'water-paint', lead: 'unlikely', use: 'light', areaM2: 2 } as const
const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const wishOf = (touches: Touch[]) => ({ look: 'smooth-solid', paint: 'chalk-mineral', colours: {}, touches }) as const
const stepsOf = (touches: Touch[]) => {
  const planned = planFinish(part, wishOf(touches), defaultMethod)
  if (!('plan' in planned)) throw new Error(JSON.stringify(planned.refusal))
  return planned.plan.steps
}
const coat = (over: Partial<Touch>): Touch => ({
  ...{ id: 'a', operation: 'coat', family: 'chalk-mineral', colour: slate, repeat: 'as-it-covers', by: 'painter' },
  ...over,
})

describe('sprayed', () => {
  const brushed = stepsOf([coat({})]).filter(({ operation }) => operation === 'coat')
  const sprayed = stepsOf([coat({ applicator: 'sprayer' })])
  const passes = sprayed.filter(({ operation }) => operation === 'coat')

  test('two thin passes for each brushed coat; each takes 0.6 × 1.33 of its amount', () => {
    expect(passes).toHaveLength(2 * brushed.length)
    expect(passes.every(({ film }) => film === 'thin')).toBe(true)
    expect(passes[0]?.amount).toBe(Math.round((brushed[0]?.amount ?? 0) * 0.6 * 1.33))
  })
  test('the first pass: 8 to set up, 15 to clean the gun, a third of 20 minutes', () => expect(passes[0]?.minutes).toBe(30))
  test('what stays bare is masked once, before the first', () => {
    const order = sprayed.map(({ operation }) => operation)
    expect(order.filter((operation) => operation === 'mask')).toHaveLength(1)
    expect(order.indexOf('mask')).toBeLessThan(order.indexOf('coat'))
    expect(brushed.some(({ operation }) => operation === 'mask')).toBe(false)
  })
  test('with the first pass laid nothing is masked again, and one pass fewer is ahead', () => {
    const first = sprayed.findIndex(({ operation }) => operation === 'coat')
    const again = replan(part, wishOf([coat({ applicator: 'sprayer' })]), sprayed.slice(0, first + 1), defaultMethod)
    const ahead = 'steps' in again ? again.steps.map(({ operation }) => operation) : []
    expect(ahead).toEqual(sprayed.slice(first + 1).map(({ operation }) => operation))
  })
  test('passes that the painter counted stay as many', () =>
    expect(stepsOf([coat({ applicator: 'sprayer', repeat: 3 })]).filter(({ operation }) => operation === 'coat')).toHaveLength(3))
})

describe('paint that thickens by standing open', () => {
  const steps = stepsOf([
    coat({ repeat: 1 }),
    coat({ id: 'b', operation: 'texture-coat', repeat: 1, mix: leftOpen, colour: { name: 'Oat Husk', hex: '#e3d7bd' } }),
  ])
  const at = steps.findIndex(({ operation }) => operation === 'stand-open')
  test('is poured out before its coat, two hours', () => {
    expect(steps[at]).toMatchObject({ minutes: 3, window: { opens: [120, 120] } })
    expect(steps.slice(at).some(({ operation }) => operation === 'texture-coat')).toBe(true)
  })
  test('while the coat below still dries: the two run beside each other', () => {
    // the coat wants an hour, the paint two: laid at 9, the thick one may be laid 2 h and 3 min after the brush is down
    const two = [steps[at - 1], steps[at], steps[at + 1]].filter((step) => step !== undefined)
    const { slots } = layOut([{ id: 'part', steps: two }])
    expect((slots[2]?.start ?? 0) - (slots[0]?.end ?? 0)).toBe(123)
  })
})
