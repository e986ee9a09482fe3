import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { LotId, ProductId } from '@/core/measure/named'
import { type NeedOf, takenAhead } from './ahead'
import { enoughFor } from './buy'
import type { Product, ShelfLot } from './product'

const take = { factor: 1, scatter: 0 }
const around = { takeOf: () => take, share: 0.8 }
const [soot, lamp] = ['#20242a', '#d8b05c']
const product = (id: string, over: Partial<Product> = {}): Product => ({
  ...{ id: id, name: id, family: 'clay', colourName: id, colourHex: soot, size: 500, unit: 'ml', price: 2_000 },
  ...over,
})
const tin = (id: string, of: string, remaining: number, openedAt: string | null = null): ShelfLot => ({
  ...{ id: id, productId: of, code: id, size: 500, remaining, price: 2_000 },
  ...{ openedAt: openedAt, boughtAt: '2026-03-01T09:00:00Z' },
})
const need = (hex: string | null, uses: number[], name = 'Chest'): NeedOf => ({
  ...{ family: 'clay', hex, name: hex, uses },
  pieces: [{ id: name, name }],
})

describe('what plans take of the shelf', () => {
  test('four of five jobs take no more than 1.106 times the plan: of the opened tin first, the rest of the next', () => {
    const lots = [tin('new', 'soot', 500), tin('open', 'soot', 120, '2026-04-01T09:00:00Z')]
    const { byProduct, neverHere } = takenAhead([need(soot, [150, 150])], { ...around, products: [product('soot')], lots })
    const taken = byProduct['soot' as ProductId]
    // 300 × e^(0.12 × 0.8416) = 331.9, by a thousand draws
    expect(taken?.amount).toBeGreaterThan(328)
    expect(taken?.amount).toBeLessThan(336)
    expect(taken?.ofLots['open' as LotId]).toBe(120)
    expect(taken?.ofLots['new' as LotId]).toBe((taken?.amount ?? 0) - 120)
    expect(taken).toMatchObject({ short: 0, pieces: [{ name: 'Chest' }] })
    expect(neverHere).toEqual([])
  })
  test('a colour that has run out is short, one that never was here has no place, one nothing takes of is not told', () => {
    const products = [product('soot'), product('lamp', { colourHex: lamp })]
    const { byProduct, neverHere } = takenAhead([need(soot, [100]), need('#aa3311', [100])], {
      ...{ ...around, products, lots: [tin('a', 'soot', 40), tin('b', 'lamp', 500)] },
    })
    const wanted = enoughFor([100], 0.8, take)
    expect(byProduct).toEqual({
      soot: { amount: 40, short: wanted - 40, pieces: [{ id: 'Chest', name: 'Chest' }], ofLots: { a: 40 } },
    })
    expect(neverHere).toEqual([{ family: 'clay', hex: '#aa3311', name: '#aa3311', short: wanted }])
  })
  test('of one family, satin and matt that were never here are two, and told apart', () => {
    const clear = (sheen: 'satin' | 'matt'): NeedOf => ({ ...need(null, [100]), family: 'water-clear', sheen })
    const { neverHere } = takenAhead([clear('satin'), clear('matt')], { ...around, products: [], lots: [] })
    expect(neverHere.map(({ family, sheen }) => [family, sheen])).toEqual([
      ['water-clear', 'satin'],
      ['water-clear', 'matt'],
    ])
  })
  test('what is wanted in any colour takes what its colours leave, of several if it must; each piece is told once', () => {
    const products = [product('soot'), product('plain', { colourHex: null })]
    const lots = [tin('a', 'soot', 300), tin('b', 'plain', 60)]
    const wanted = [enoughFor([200], 0.8, take), enoughFor([100], 0.8, take)] as const
    const { byProduct } = takenAhead([need(null, [100]), need(soot, [200])], { ...around, products, lots })
    const [own, plain] = [byProduct['soot' as ProductId], byProduct['plain' as ProductId]]
    // 300 less 221 or 222 of its own
    expect((own?.amount ?? 0) + (plain?.amount ?? 0)).toBe(wanted[0] + wanted[1])
    expect(own?.amount).toBe(300)
    expect(own?.pieces).toEqual([{ id: 'Chest', name: 'Chest' }])
  })
  test('no tin gives more than is in it, and what is taken and short is what is wanted', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ hex: fc.constantFrom(soot, lamp, '#123456', null), uses: fc.array(fc.integer({ min: 1, max: 400 })) }),
          { maxLength: 5 },
        ),
        fc.array(fc.record({ of: fc.constantFrom('soot', 'lamp'), left: fc.integer({ min: 0, max: 500 }) }), { maxLength: 6 }),
        (wishes, stand) => {
          const byColour = new Map(wishes.map((wish) => [wish.hex, wish]))
          const needs = [...byColour.values()].map(({ hex, uses }) => need(hex, uses))
          const lots = stand.map(({ of, left }, index) => tin(`${index}`, of, left))
          const products = [product('soot'), product('lamp', { colourHex: lamp })]
          const { byProduct, neverHere } = takenAhead(needs, { ...around, products, lots })
          const wanted = needs.reduce((sum, { uses }) => sum + enoughFor(uses, 0.8, take), 0)
          const told = Object.values(byProduct)
          const short = [...told, ...neverHere].reduce((sum, each) => sum + each.short, 0)
          expect(told.reduce((sum, { amount }) => sum + amount, 0) + short).toBeCloseTo(wanted, 6)
          for (const { amount, ofLots } of told) {
            expect(Object.values(ofLots).reduce((sum, each) => sum + each, 0)).toBeCloseTo(amount, 6)
            for (const [id, each] of Object.entries(ofLots)) expect(each).toBeLessThanOrEqual(stand[Number(id)]?.left ?? -1)
          }
        },
      ),
    ))
})
