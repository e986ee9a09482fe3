import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { usualHours } from '@/core/measure/workingHours'
import { step, wait } from '@/core/testing/timed'
import { halvesOf } from './halves'
import { planFinish } from './planFinish'
import { layOut } from './timeline'

const at = (hour: number, minute = 0) => hour * 60 + minute
const coat = (minutes: number, window = wait(60)) => ({ ...step('coat', minutes, window), turns: 30 })

describe('a door has two sides', () => {
  test('a coat of 40 minutes: 20, half an hour to dry, 20; the next coat an hour after the second side', () => {
    const { slots, attendedMinutes } = layOut([{ id: 'doors', steps: [coat(40), step('smooth', 10)] }])
    expect(slots.map(({ index, side, start, end }) => [index, side, start, end])).toEqual([
      [0, 1, at(9), at(9, 20)],
      [0, 2, at(9, 50), at(10, 10)],
      [1, undefined, at(11, 10), at(11, 20)],
    ])
    expect(attendedMinutes).toBe(50)
  })
  test('while the first side dries another part is worked', () => {
    const legs = { id: 'legs', steps: [step('clean', 25)] }
    const { slots } = layOut([{ id: 'doors', steps: [coat(40)] }, legs])
    expect(slots.map(({ partId, side, start }) => [partId, side, start])).toEqual([
      ['doors', 1, at(9)],
      ['legs', undefined, at(9, 20)],
      ['doors', 2, at(9, 50)],
    ])
  })
  test('with its first side laid it waits to be turned, then half of it is left', () => {
    const doors = { id: 'doors', steps: [coat(40), step('smooth', 10)], firstLaid: true, readyAt: at(10) }
    const { slots } = layOut([doors], usualHours, at(9, 30))
    expect(slots.map(({ side, start, end }) => [side, start, end])).toEqual([
      [2, at(10), at(10, 20)],
      [undefined, at(11, 20), at(11, 30)],
    ])
  })
  test('no minute is lost or made, however long a step is', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 2, max: 200 }), { maxLength: 6 }), (all) => {
        const halves = halvesOf(all.map((minutes) => coat(minutes)))
        expect(halves.reduce((sum, each) => sum + each.step.minutes, 0)).toBe(all.reduce((sum, each) => sum + each, 0))
        expect(halves.map(({ index }) => index)).toEqual(all.flatMap((_, k) => [k, k]))
      }),
    ))

  const part = { substrate: 'close-grained', existing: 'water-paint', lead: 'unlikely', use: 'light', areaM2: 1 } as const
  const colours = { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } }
  const turnsOf = (look: 'smooth-solid' | 'salt-texture', twoSided: boolean) => {
    const planned = planFinish({ ...part, twoSided }, { look, paint: 'chalk-style', colours }, defaultMethod)
    const steps = 'plan' in planned ? planned.plan.steps : []
    return steps.map(({ operation, turns }) => [operation, turns] as const)
  }
  test('its paint is turned when it is touch dry; what is wiped, rubbed or cleaned is not, nor is a part with one side', () => {
    const turns = turnsOf('smooth-solid', true)
    expect(turns.filter(([operation]) => operation === 'coat').every(([, minutes]) => minutes === 30)).toBe(true)
    expect(turns.filter(([, minutes]) => minutes !== undefined).map(([operation]) => operation)).not.toContain('clear-wax')
    expect(turnsOf('smooth-solid', false).every(([, minutes]) => minutes === undefined)).toBe(true)
  })
  test('what must be followed up while the first side is wet is worked a side at a time', () => {
    const texture = turnsOf('salt-texture', true).filter(([operation]) => operation === 'texture-coat')
    expect(texture.length).toBeGreaterThan(0)
    expect(texture.every(([, minutes]) => minutes === undefined)).toBe(true)
  })
})
