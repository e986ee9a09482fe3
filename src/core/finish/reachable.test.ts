import fc from 'fast-check'
import { Color, mix } from 'spectral.js'
import { describe, expect, test } from 'vitest'
import { contrast } from '@/core/craft/colour'
import { reachableFrom, type Standing } from './reachable'

const hexes = fc.integer({ min: 0x101010, max: 0xefefef }).map((value) => `#${value.toString(16).padStart(6, '0')}`)
const tins = (most: number) =>
  fc.array(fc.record({ name: fc.constant('Tin'), hex: hexes, amount: fc.integer({ min: 0, max: 500 }) }), {
    minLength: 1,
    maxLength: most,
  })

/** An independent way: every cupful from nothing to six of every tin, mixed by the library itself. */
function byCups(wanted: string, standing: readonly Standing[]): number {
  const there = standing.filter(({ amount }) => amount > 0)
  const colours = [...new Set(there.map(({ hex }) => hex))]
  let best = Infinity
  const pour = (cups: number[], left: number): void => {
    if (cups.length < colours.length) {
      for (let cup = 0; cup <= left; cup += 1) pour([...cups, cup], left - cup)
      return
    }
    const used = colours.flatMap((hex, k): [Color, number][] => (cups[k] ? [[new Color(hex), cups[k]]] : []))
    if (used.length === 0 || used.length > 3) return
    best = Math.min(best, contrast(used.length === 1 ? (colours[cups.findIndex(Boolean)] as string) : `${mix(...used)}`, wanted))
  }
  pour([], 6)
  return best
}

describe('shades that can be had', () => {
  test('a tin in the wanted colour is the first, and as much as stands there', () => {
    const [first] = reachableFrom('#3d5661', [
      { name: 'Oat Husk', hex: '#d9b25f', amount: 300 },
      { name: 'Ferry Slate', hex: '#3d5661', amount: 120 },
      { name: 'Ferry Slate', hex: '#3d5661', amount: 80 },
    ])
    expect(first).toEqual({ colour: { name: 'Ferry Slate', hex: '#3d5661' }, distance: 0, most: 200 })
  })
  test('two parts and one: the tin that runs out first says how much there is', () => {
    // 2 : 1 of 100 ml and 200 ml: 50 ml of the second go with the 100
    const mixed = reachableFrom('#808080', [
      { name: 'Salt Ledger', hex: '#f1ece0', amount: 100 },
      { name: 'Harbour Soot', hex: '#2c2f33', amount: 200 },
    ]).find(({ colour }) => colour.parts?.[0]?.parts === 2 && colour.parts[1]?.parts === 1)
    expect(mixed?.most).toBe(150)
    expect(mixed?.colour.name).toBe('2 Salt Ledger : 1 Harbour Soot')
  })
  test('nothing stands there: nothing can be had', () => expect(reachableFrom('#808080', [])).toEqual([]))
  test('no formula stands there twice: none is 2 : 2', () => {
    const found = reachableFrom('#7f7f7f', [
      { name: 'Salt Ledger', hex: '#f1ece0', amount: 100 },
      { name: 'Harbour Soot', hex: '#2c2f33', amount: 100 },
    ])
    const names = found.map(({ colour }) => colour.name)
    expect(new Set(names).size).toBe(names.length)
    // two tins; 1:1, 1:2, 1:3, 1:4, 1:5, 2:3 and the other way round but for the first
    expect(names).toHaveLength(2 + 11)
  })
  test('the nearest is what pouring every cup of every tin finds', () =>
    fc.assert(
      fc.property(hexes, tins(5), (wanted, standing) => {
        const [nearest] = reachableFrom(wanted, standing)
        const best = byCups(wanted, standing)
        expect(nearest?.distance ?? Infinity).toBeCloseTo(best, 6)
      }),
      { numRuns: 60 },
    ))
  test('what it gives is what its tins give: no part asks for more than stands there', () =>
    fc.assert(
      fc.property(hexes, tins(6), (wanted, standing) => {
        const there = (hex: string) => standing.reduce((sum, tin) => sum + (tin.hex === hex ? tin.amount : 0), 0)
        for (const { colour, most } of reachableFrom(wanted, standing)) {
          const parts = colour.parts ?? [{ hex: colour.hex, parts: 1 }]
          const whole = parts.reduce((sum, each) => sum + each.parts, 0)
          for (const { hex, parts: share } of parts) expect((most * share) / whole).toBeLessThanOrEqual(there(hex) + 1e-9)
        }
      }),
      { numRuns: 60 },
    ))
})
