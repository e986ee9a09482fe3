import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { consumablesOf, usualPrices } from '@/core/craft/consumables'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { at, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { readPiece } from './journey'
import { ledgerSoFar, ledgerWhenDone, type PricingTerms } from './ledger'
import { usedUpBy, usedUpCost, usedUpOn } from './usedUp'

const top = partWith([])
const terms: PricingTerms = {
  ...{ hourRate: 0, overheadRate: 0, taxMode: 'none', taxShare: 0, wish: { profit: 0 }, haggle: 0, step: 500 },
  consumables: usualPrices,
}

describe('small things used up', () => {
  test('a square metre scuffed: half a sheet and three quarters; waxed off: two rags', () => {
    expect(usedUpBy(planStep('a', { operation: 'scuff' }), top)).toEqual([{ code: 'abrasive', amount: 1.25 }])
    expect(usedUpCost(planStep('a', { operation: 'scuff' }), top, usualPrices)).toBe(75)
    expect(usedUpBy(planStep('a', { operation: 'wax-off' }), top)).toEqual([{ code: 'rag', amount: 2 }])
  })
  test('four chairs of a square metre each take four times the abrasive; a third of it a third', () => {
    const four = partWith([], { count: 4 })
    expect(usedUpBy(planStep('a', { operation: 'scuff' }), four)).toEqual([{ code: 'abrasive', amount: 3.5 }])
    const [part] = usedUpBy(planStep('a', { operation: 'scuff', where: { share: 1 / 3 } }), top)
    expect(part?.amount).toBeCloseTo(0.75, 6)
  })
  test('by the metre and by the hole, as many as its minutes tell', () => {
    // 2 to set up, two a metre: eleven metres
    expect(consumablesOf({ operation: 'tape', areaM2: 1, minutes: 24 })).toEqual([{ code: 'tape', amount: 11 }])
    expect(consumablesOf({ operation: 'fill', areaM2: 0, minutes: 24 })).toContainEqual({ code: 'filler', amount: 8 })
  })
  test('what was written down counts as it was reckoned then, what is ahead by today’s price; a trip stands with delivery', () => {
    const steps = [planStep('one', { operation: 'scuff' }), planStep('two', { operation: 'scuff' })]
    const whole = partWith([planStep('go', { operation: 'deliver', amount: null })], { id: 'whole', surfaces: [] })
    const ended = entry('ended', at('09:00'), { ...onStep('one'), money: 50 })
    const file = { ...fileWith([partWith(steps)], [ended]), whole }
    const journey = readPiece(file, { climate: [], nowMs: ms('10:00') })
    expect(ledgerSoFar(journey, terms).lines).toEqual([{ kind: 'consumables', amount: 50 }])
    expect(ledgerWhenDone(journey, terms, {}).lines).toEqual([
      { kind: 'consumables', amount: 125 },
      { kind: 'delivery', amount: 1000 },
    ])
    expect(usedUpOn(journey)).toContainEqual({ code: 'abrasive', amount: 2.5 })
  })
  test('two who ended one step used it up once', () => {
    const ends = [
      entry('ended', at('09:00'), { ...onStep('one'), money: 50 }),
      entry('ended', at('09:05'), { ...onStep('one'), money: 50 }),
    ]
    const journey = readPiece(fileWith([partWith([planStep('one')])], ends), { climate: [], nowMs: ms('10:00') })
    expect(ledgerSoFar(journey, terms).total).toBe(50)
  })
  test('never less than nothing, and more of a thing never takes less', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...codesOf(operations)),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.integer({ min: 1, max: 600 }),
        (operation, areaM2, minutes) => {
          const cost = (area: number, taken: number) =>
            consumablesOf({ operation, areaM2: area, minutes: taken }).reduce((sum, each) => sum + each.amount, 0)
          expect(cost(areaM2, minutes)).toBeGreaterThanOrEqual(0)
          expect(cost(areaM2 + 1, minutes + 30)).toBeGreaterThanOrEqual(cost(areaM2, minutes))
        },
      ),
    ))
})
