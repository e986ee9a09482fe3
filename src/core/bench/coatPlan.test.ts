import { describe, expect, test } from 'vitest'
import { componentsOf } from '@/core/craft/mixes'
import type { EntryOf } from '@/core/log/entry'
import { readPiece } from '@/core/piece/journey'
import type { Product } from '@/core/stock/product'
import { at, coatFigures, entry, fileWith, ms, onStep, partWith, planStep } from '@/core/testing/piece'
import { coatPlanOf, withMixes } from './coatPlan'

const tin = (id: string, colourName: string, colourHex: string): Product => ({
  ...{ id, name: `Clay paint, ${colourName}`, family: 'clay', colourName, colourHex, size: 500, unit: 'ml', price: 2100 },
})
const products = [tin('slate', 'Ferry Slate', '#3d5661'), tin('oat', 'Oat Husk', '#e3d7bd')]
const parts = [
  { name: 'Ferry Slate', hex: '#3d5661', parts: 3 },
  { name: 'Oat Husk', hex: '#e3d7bd', parts: 1 },
]
const step = planStep('one', {
  family: 'clay',
  colour: { name: 'Dusk', hex: '#66757a', parts },
  mix: 'paint : water 1 : 1',
  amount: 120,
})
const journey = readPiece(fileWith([partWith([step])], []), { climate: [], nowMs: ms('09:00') })
const planWith = (shelf: Product[]) => {
  const plan = coatPlanOf(step, journey, 'clay', {
    products: shelf,
    lots: [],
    batches: [],
    journeys: [journey],
    coats: [],
    nowMs: ms('09:00'),
  })
  if (!plan?.making) throw new Error('a shade is mixed')
  return { ...plan, making: plan.making }
}
const mixed = (over: Partial<EntryOf<'mixed'>['batch']> = {}) =>
  entry('mixed', at('09:10'), {
    ...onStep('one'),
    money: 300,
    batch: {
      ...{
        productId: 'slate',
        lotId: null,
        family: 'clay',
        mix: 'Ferry Slate : Oat Husk : water 3 : 1 : 4',
        volume: 200,
        unit: 'ml',
      },
      ...{ components: [], stepIds: ['one'], ...over },
    },
  })

describe('a coat in a shade of two tins', () => {
  test('is mixed of both, as the wash that it is: of 200 ml 75 and 25, and 100 of water', () => {
    const { making, productId } = planWith(products)
    expect([making.mix, productId]).toEqual(['Ferry Slate : Oat Husk : water 3 : 1 : 4', ''])
    const taken = componentsOf(making.mix, 200, 'clay', making.paint, making.colours)
    expect(taken?.map(({ hex, amount }) => [hex, amount])).toEqual([
      ['#3d5661', 75],
      ['#e3d7bd', 25],
      [undefined, 100],
    ])
  })
  test('is taken from its own tin where one was kept; then it is thinned as any', () => {
    const kept = { ...tin('dusk', 'Dusk', '#66757a'), formula: 'Ferry Slate : Oat Husk 3 : 1' }
    expect(planWith([...products, kept])).toMatchObject({ productId: 'dusk', mix: 'paint : water 1 : 1' })
  })
})

describe('what this device has just mixed', () => {
  const plan = planWith(products)
  test('for a step is what its coat takes', () => {
    const made = mixed()
    expect(withMixes(plan, 'one', [made], ms('09:20'))).toMatchObject({ batchId: made.id, batches: [{ left: 200 }] })
  })
  test('for another step, of another family, used up or known already, changes nothing', () => {
    const made = mixed()
    const used = entry('coat', at('09:15'), { ...onStep('one'), money: 0, coat: coatFigures({ batchId: made.id, amount: 200 }) })
    expect(withMixes(plan, 'two', [made], ms('09:20')).batches).toEqual([])
    expect(withMixes(plan, 'one', [mixed({ family: 'latex' })], ms('09:20')).batches).toEqual([])
    expect(withMixes(plan, 'one', [made, used], ms('09:20')).batches).toEqual([])
    const known = withMixes(plan, 'one', [made], ms('09:20'))
    expect(withMixes(known, 'one', [made], ms('09:20')).batches).toHaveLength(1)
  })
})
