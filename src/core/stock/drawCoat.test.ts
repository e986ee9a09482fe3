import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { drawCoat } from './drawCoat'
import type { Lot } from './drawFromLots'
import { lotsInTurn, type Product, productFor, type ShelfLot, shelfOf, unitPricesOf } from './product'

const lot = (id: string, remaining: number, over: Partial<Lot> = {}): Lot => ({
  id,
  size: 500,
  remaining,
  price: 2000,
  openedAt: null,
  boughtAt: '2026-03-01T09:00:00.000Z',
  ...over,
})
const fallback = { price: 2000, size: 500 }
const opened = { openedAt: '2026-04-01T09:00:00.000Z' }

describe('what a coat takes', () => {
  test('the tin in hand goes first, though another is open', () => {
    const lots = [lot('open', 300, opened), lot('new', 500)]
    expect(drawCoat({ lots, chosenId: 'new', amount: 100, fallback }).draws).toEqual([{ lot: 'new', amount: 100, cost: 400 }])
    expect(drawCoat({ lots, chosenId: null, amount: 100, fallback }).draws).toEqual([{ lot: 'open', amount: 100, cost: 400 }])
  })
  test('what it lacks comes from the others in turn', () => {
    const lots = [lot('b', 500), lot('a', 60, opened), lot('c', 40, opened)]
    expect(drawCoat({ lots, chosenId: 'c', amount: 150, fallback }).draws.map(({ lot: id, amount }) => [id, amount])).toEqual([
      ['c', 40],
      ['a', 60],
      ['b', 50],
    ])
  })
  test('more than there is: counted by the label, and said', () => {
    // 60 of a tin of 500 at 20.00 are 2.40; 40 by the label 1.60
    expect(drawCoat({ lots: [lot('a', 60)], chosenId: null, amount: 100, fallback })).toMatchObject({ cost: 400, shortBy: 40 })
    expect(drawCoat({ lots: [], chosenId: 'gone', amount: 100, fallback })).toEqual({ draws: [], cost: 400, shortBy: 100 })
  })
  test('never more from a tin than is in it, and all of it told', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 500 }), fc.boolean()), { maxLength: 6 }),
        fc.integer({ min: 1, max: 2000 }),
        fc.nat(6),
        (tins, amount, chosen) => {
          const lots = tins.map(([remaining, isOpen], k) => lot(`lot ${k}`, remaining, isOpen ? opened : {}))
          const { draws, shortBy, cost } = drawCoat({ lots, chosenId: `lot ${chosen}`, amount, fallback })
          for (const draw of draws)
            expect(draw.amount).toBeLessThanOrEqual(lots.find(({ id }) => id === draw.lot)?.remaining ?? 0)
          expect(new Set(draws.map(({ lot: id }) => id)).size).toBe(draws.length)
          expect(draws.reduce((sum, draw) => sum + draw.amount, shortBy)).toBe(amount)
          expect(cost).toBeGreaterThanOrEqual(draws.reduce((sum, draw) => sum + draw.cost, 0))
        },
      ),
    ))
})

describe('the tin to reach for', () => {
  const product = (id: string, over: Partial<Product>): Product => ({
    id,
    name: id,
    family: 'clay',
    colourName: null,
    colourHex: null,
    size: 500,
    unit: 'ml',
    price: 2100,
    ...over,
  })
  const shelf = [
    product('slate', { colourHex: '#3d5661', price: 2100 }),
    product('plain', { price: 1900 }),
    product('wax', { family: 'clear-wax', unit: 'g', size: 400, price: 1600 }),
  ]
  test('is the colour wanted, else one without a colour, else none', () => {
    expect(productFor(shelf, 'clay', '#3d5661')?.id).toBe('slate')
    expect(productFor(shelf, 'clay', '#ffffff')?.id).toBe('plain')
    expect(productFor(shelf, 'clay', null)?.id).toBe('slate')
    expect(productFor(shelf, 'casein', null)).toBeNull()
  })
  test('the cheapest of a family gives its price', () => expect(unitPricesOf(shelf)).toEqual({ clay: 3.8, 'clear-wax': 4 }))
  test('what is left of a family stands by its colours, all tins of each together; what is nobody’s is none', () => {
    const lots: ShelfLot[] = [
      { ...lot('a', 120), productId: 'slate', code: null },
      { ...lot('b', 300), productId: 'plain', code: null },
      { ...lot('c', 80), productId: 'gone', code: null },
    ]
    const left = shelfOf(shelf, [...lots, { ...lot('d', 30), productId: 'slate', code: null }])
    expect(left.map(({ family, hex, amount }) => [family, hex, amount])).toEqual([
      ['clay', '#3d5661', 150],
      ['clay', null, 300],
      ['clear-wax', null, 0],
    ])
  })
  test('what is left of a mix is reached for by its colour alone, and sets no price', () => {
    const rest = (over: Partial<Product>): Product => ({
      ...{
        id: 'rest',
        name: 'Left of a wash',
        family: 'clay',
        colourName: null,
        colourHex: null,
        size: 100,
        unit: 'ml',
        price: 10,
      },
      ...{ formula: 'paint : water 1 : 1', ...over },
    })
    const pale = rest({ colourName: 'Tarn Milk', colourHex: '#dfe3dc' })
    const cut = rest({ id: 'cut', family: 'clear-wax', unit: 'g' })
    const all = [cut, pale, ...shelf]
    expect(unitPricesOf(all)).toEqual({ clay: 3.8, 'clear-wax': 4 })
    expect([productFor(all, 'clay', '#dfe3dc')?.id, productFor(all, 'clay', null)?.id]).toEqual(['rest', 'slate'])
    expect(productFor(all, 'clear-wax', null)?.id).not.toBe('cut')
    const left = shelfOf(all, [
      { ...lot('a', 60), productId: 'cut', code: null },
      { ...lot('b', 90), productId: 'rest', code: null },
    ])
    expect(left.filter(({ amount }) => amount > 0).map(({ hex, amount }) => [hex, amount])).toEqual([['#dfe3dc', 90]])
  })
  test('its open tins first, none that is used up, none of another product', () => {
    const lots: ShelfLot[] = [
      { ...lot('new', 500), productId: 'slate', code: null },
      { ...lot('used up', 0, opened), productId: 'slate', code: null },
      { ...lot('open', 80, opened), productId: 'slate', code: '4417' },
      { ...lot('other', 80), productId: 'plain', code: null },
    ]
    expect(lotsInTurn(lots, 'slate').map(({ id }) => id)).toEqual(['open', 'new'])
  })
})
