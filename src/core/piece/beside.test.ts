import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { at, coatFigures, entry, fileWith, ms, onStep, partWith, planStep, worked } from '@/core/testing/piece'
import { besidesOf, sumBesides, weightOf } from './beside'
import { readPiece } from './journey'

const around = { hourRate: 1_800, unitPrice: { 'chalk-style': 4 } } as const
const steps = [planStep('one', { minutes: 20 }), planStep('two', { minutes: 20 })]
const read = (log: Parameters<typeof fileWith>[1]) =>
  besidesOf(readPiece(fileWith([partWith(steps)], log), { climate: [], nowMs: ms('20:00') }), around)

describe('planned beside what it took', () => {
  test('ten minutes longer, 25 ml more, a dearer tin: 3.00, 1.00 and 1.00', () => {
    const coat = entry('coat', at('09:30'), { ...onStep('one'), coat: coatFigures({ amount: 125, productId: 'p' }), money: 600 })
    const [line, ...more] = read([coat, ...worked('one', '09:00', '09:30')])
    expect(more).toEqual([])
    expect(line).toMatchObject({
      planned: { minutes: 20, material: 400 },
      actual: { minutes: 30, material: 600 },
      because: { hands: 300, amount: 100, price: 100, later: 0 },
      isUnpriced: false,
    })
    expect(line && weightOf(line)).toBe(500)
  })
  test('a coat from no tin is told as unpriced, and makes nothing cheaper; a step without a coat is as planned', () => {
    const coat = entry('coat', at('09:30'), { ...onStep('one'), coat: coatFigures({ amount: 125 }), money: 0 })
    const [unpriced, bare] = read([coat, ...worked('one', '09:00', '09:20'), ...worked('two', '10:00', '10:20')])
    expect(unpriced).toMatchObject({ isUnpriced: true, because: { hands: 0, amount: 0, price: 0, later: 0 } })
    expect(bare).toMatchObject({
      isUnpriced: false,
      actual: { material: 400 },
      because: { hands: 0, amount: 0, price: 0, later: 0 },
    })
  })
  test('a step that came later to mend a snag was never planned: all of it is why', () => {
    const mending = [{ ...planStep('one', { minutes: 20 }), mends: 'snag' }]
    const coat = entry('coat', at('09:30'), { ...onStep('one'), coat: coatFigures({ amount: 125, productId: 'p' }), money: 600 })
    const file = fileWith([partWith(mending)], [coat, ...worked('one', '09:00', '09:30')])
    const all = besidesOf(readPiece(file, { climate: [], nowMs: ms('20:00') }), around)
    // half an hour at 18.00, and the 6.00 that were laid
    expect(sumBesides(all)).toEqual({
      planned: { minutes: 0, material: 0 },
      actual: { minutes: 30, material: 600 },
      because: { hands: 0, amount: 0, price: 0, later: 1_500 },
    })
  })
  test('what it took is what was planned and why it differs, to the coin, whatever was done', () => {
    const did = fc.record({
      minutes: fc.integer({ min: 1, max: 300 }),
      amount: fc.integer({ min: 1, max: 900 }),
      money: fc.integer({ min: 1, max: 9_000 }),
    })
    fc.assert(
      fc.property(fc.array(did, { minLength: 1, maxLength: 2 }), (all) => {
        const log = all.flatMap(({ amount, money }, k) => {
          const id = k === 0 ? 'one' : 'two'
          const coat = entry('coat', at('09:30'), { ...onStep(id), coat: coatFigures({ amount, productId: 'p' }), money })
          return [coat, ...worked(id, k === 0 ? '09:00' : '11:00', k === 0 ? '09:30' : '11:45')]
        })
        const { planned, actual, because } = sumBesides(read(log))
        expect(actual.material).toBe(planned.material + because.amount + because.price)
        expect(actual.material).toBe(all.reduce((sum, { money }) => sum + money, 0))
      }),
      { numRuns: 60 },
    )
  })
})
