import { describe, expect, test } from 'vitest'
import { usualHours } from '@/core/measure/workingHours'
import { step, wait } from '@/core/testing/timed'
import { listShared } from './sharedWork'
import { layOut } from './timeline'
import { wholePiece } from './wholePiece'

const at = (day: number, hour: number, minute = 0) => day * 1440 + hour * 60 + minute
const starts = (...[parts, ...rest]: Parameters<typeof layOut>) =>
  layOut(parts, ...rest).slots.map(({ partId, start }) => [partId, start])

describe('one painter’s days', () => {
  test('a coat of 30 minutes that dries an hour: the next at 10:30', () => {
    const steps = [step('coat', 30, wait(60)), step('coat', 30)]
    expect(starts([{ id: 'top', steps }])).toEqual([
      ['top', at(0, 9)],
      ['top', at(0, 10, 30)],
    ])
  })
  test('another part is worked while the first dries', () => {
    const legs = { id: 'legs', steps: [step('clean', 40)] }
    const top = { id: 'top', steps: [step('coat', 30, wait(60)), step('glaze', 30)] }
    expect(starts([legs, top])).toEqual([
      ['top', at(0, 9)],
      ['legs', at(0, 9, 30)],
      ['top', at(0, 10, 30)],
    ])
  })
  test('what does not fit before 17:00 waits for the morning, and Friday’s for Monday', () => {
    const steps = [step('coat', 30, wait(60)), step('coat', 30)]
    // day 0 is a Friday, begun at 15:45: the second coat would open at 17:15
    expect(starts([{ id: 'top', steps }], usualHours, at(0, 15, 45), 5)).toEqual([
      ['top', at(0, 15, 45)],
      ['top', at(3, 9)],
    ])
  })
  test('a night: what does not fit before six waits for the evening, and work goes on over midnight', () => {
    const nights = { from: 1320, to: 1800, days: [1, 2, 3, 4, 5] }
    const steps = [step('coat', 30, wait(60)), step('coat', 30)]
    expect(starts([{ id: 'top', steps }], nights, at(0, 23))).toEqual([
      ['top', at(0, 23)],
      ['top', at(1, 0, 30)],
    ])
    // Monday night's work ends on Tuesday at six; at five it is still Monday's
    expect(starts([{ id: 'top', steps }], nights, at(1, 5), 1)).toEqual([
      ['top', at(1, 5)],
      ['top', at(1, 22)],
    ])
    // Saturday, two in the morning, is Friday night's
    expect(starts([{ id: 'top', steps }], nights, at(0, 2), 6)[0]).toEqual(['top', at(0, 2)])
    expect(layOut([{ id: 'top', steps }], nights, at(0, 23)).days).toBe(1)
  })
  test('a wax that must come off within the hour is not begun at 16:30', () => {
    const steps = [step('clear-wax', 20, wait(30, 60)), step('wax-off', 10)]
    expect(starts([{ id: 'top', steps }], usualHours, at(0, 16, 30))).toEqual([
      ['top', at(1, 9)],
      ['top', at(1, 9, 50)],
    ])
  })
  test('while a window is short nothing is begun that would keep the painter from it', () => {
    const waxed = { id: 'a', steps: [step('clear-wax', 20, wait(30, 60)), step('wax-off', 10)] }
    const long = { id: 'b', steps: [step('sand', 90)] }
    expect(starts([waxed, long])).toEqual([
      ['a', at(0, 9)],
      ['a', at(0, 9, 50)],
      ['b', at(0, 10)],
    ])
  })
  test('alike steps in a row share their set-up: two coats of 30 take 30 and 22', () => {
    const two = ['a', 'b'].map((id) => ({ id, steps: [step('coat', 30)] }))
    expect(layOut(two)).toMatchObject({ attendedMinutes: 52, savedMinutes: 8, days: 1 })
  })
  test('three alike steps worked in one go are one set-up: named with their parts and what they save', () => {
    const parts = ['a', 'b', 'c'].map((id) => ({ id, steps: [step('coat', 30)] }))
    expect(listShared(layOut(parts).slots, parts)).toEqual([
      { step: parts[0]?.steps[0], partIds: ['a', 'b', 'c'], savedMinutes: 16 },
    ])
  })
  test('two colours are two mixes: nothing is shared', () => {
    const coat = (hex: string) => ({ ...step('coat', 30), colour: { name: hex, hex } })
    const parts = [
      { id: 'a', steps: [coat('#111111')] },
      { id: 'b', steps: [coat('#222222')] },
    ]
    expect(listShared(layOut(parts).slots, parts)).toEqual([])
  })
  test('upside down first: legs before the top, whichever was named first', () => {
    const parts = [
      { id: 'a', kind: 'top' as const, steps: [step('coat', 30)] },
      { id: 'b', kind: 'legs' as const, steps: [step('coat', 30)] },
    ]
    expect(starts(parts)).toEqual([
      ['b', at(0, 9)],
      ['a', at(0, 9, 30)],
    ])
  })
  test('a part that is still wet begins when it opens', () => {
    expect(starts([{ id: 'top', steps: [step('coat', 30)], readyAt: at(0, 11, 20) }])).toEqual([['top', at(0, 11, 20)]])
  })
  test('a window that no working hour can keep is said to be so', () => {
    const steps = [step('coat', 30, wait(600, 700)), step('scrape-distress', 30)]
    expect(layOut([{ id: 'top', steps }]).awkward).toBeGreaterThan(0)
  })
  test('no working day is an error that says what to do', () => {
    expect(() => layOut([], { from: 540, to: 1020, days: [] })).toThrow(/choose at least one day/)
  })
})

describe('the whole piece with one part more', () => {
  const hours = { from: 540, to: 1020, days: [1, 2, 3, 4, 5] }

  test('its hours are added, and no day where it fits into the drying of the others', () => {
    // the top: 30 min, an hour's wait, 30 min; the base fits in between
    const top = { id: 'top', steps: [step('coat', 30, wait(60)), step('smooth', 30)] }
    const base = [step('clean', 20)]
    expect(wholePiece([top], { id: 'base' }, [], base, hours)).toEqual({ minutes: 80, days: 1, more: { minutes: 20, days: 0 } })
  })
  test('a night more where it dries overnight', () => {
    const top = { id: 'top', steps: [step('coat', 30, wait(60)), step('smooth', 30)] }
    const base = [step('undercoat', 20, wait(720)), step('clean', 10)]
    expect(wholePiece([top], { id: 'base' }, [], base, hours)).toMatchObject({ days: 2, more: { days: 1 } })
  })
  test('against the plan it had: less, where less is to do; alone, only itself', () => {
    const top = { id: 'top', steps: [step('coat', 30)] }
    const [long, short] = [[step('clean', 50)], [step('clean', 20)]]
    expect(wholePiece([top], { id: 'base' }, long, short, hours).more).toEqual({ minutes: -30, days: 0 })
    expect(wholePiece([], { id: 'base' }, [], short, hours)).toEqual({ minutes: 20, days: 1, more: { minutes: 20, days: 1 } })
  })
})
