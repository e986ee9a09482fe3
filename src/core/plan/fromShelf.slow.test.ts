import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { contrast } from '@/core/craft/colour'
import { type FamilyCode, getFamily, paintCodes } from '@/core/craft/families'
import { getLook, lookCodes } from '@/core/craft/looks'
import { defaultMethod } from '@/core/craft/method'
import { topcoatCodes } from '@/core/craft/topcoats'
import { shadeOf } from '@/core/finish/shade'
import type { Colour, FinishablePart } from '@/core/finish/wish'
import { type Amount, type Shelf, sumAmounts } from './amounts'
import { noMeans } from './figures'
import { whatCanBeMade } from './fromShelf'
import { planFinish } from './planFinish'

const part: FinishablePart = { substrate: 'close-grained', existing: 'water-paint', lead: 'unlikely', use: 'light', areaM2: 0.8 }
const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const husk = { name: 'Oat Husk', hex: '#e3d7bd' }
const tin = (family: FamilyCode, amount: number, colour: Colour | null = null) => ({
  ...{ family, amount, hex: colour?.hex ?? null, name: colour?.name ?? null },
})
const made = (shelf: Shelf, over: Partial<FinishablePart> = {}, wanted: Colour = slate) =>
  whatCanBeMade({
    part: { ...part, ...over },
    wanted: { a: wanted, b: husk },
    method: defaultMethod,
    means: { ...noMeans, shelf },
  })

describe('what can be made with what is here', () => {
  const clear = tin('water-clear', 1_000)
  test('a tin of the very colour and a clear: looks in it, each with what is left of it', () => {
    const found = made([tin('chalk-mineral', 1_000, slate), clear])
    const smooth = found.find(({ look }) => look === 'smooth-solid')
    expect(smooth?.distance).toBe(0)
    expect(smooth?.wish.colours.a).toEqual(slate)
    const [draw] = smooth?.draws ?? []
    // 0.8 m² at 10 m²/l: 80 ml the first coat; the second takes less of it, and one coat is more than nothing
    expect(draw?.takes).toBeGreaterThanOrEqual(80)
    expect(draw?.takes).toBeLessThan(160)
    expect(draw?.left).toBeCloseTo(1_000 - (draw?.takes ?? 0), 6)
  })
  test('too little of two colours, enough of them together: a mix with its formula, and what is left of both', () => {
    const [soot, pale] = [
      { name: 'Harbour Soot', hex: '#2c2f33' },
      { name: 'Salt Ledger', hex: '#f1ece0' },
    ]
    const shelf = [tin('chalk-mineral', 90, soot), tin('chalk-mineral', 90, pale), clear]
    const smooth = made(shelf, {}, { name: 'Pigeon', hex: '#6d7072' }).find(({ look }) => look === 'smooth-solid')
    const { parts = [], hex } = smooth?.wish.colours.a ?? {}
    expect(parts.map(({ name }) => name).sort()).toEqual(['Harbour Soot', 'Salt Ledger'])
    expect(hex).toBe(shadeOf(parts))
    for (const { takes, left } of smooth?.draws ?? []) expect(takes + left).toBeCloseTo(90, 6)
  })
  test('an empty shelf makes nothing that is laid; no clear, no paint that needs one', () => {
    expect(made([])).toEqual([])
    expect(made([tin('clay', 2_000, slate)])).toEqual([])
  })
  test('what leaves the least behind stands first', () => {
    const found = made([tin('chalk-mineral', 400, slate), tin('chalk-style', 900, husk), clear, tin('clear-wax', 500)])
    expect(found.length).toBeGreaterThan(3)
    const over = found.map((each) => each.over)
    expect(over).toEqual([...over].sort((one, other) => one - other))
  })

  test('a clear between two colours is wanted by some pairs alone: what it lacks for one is looked for in the others', () => {
    const [pale, soot] = [
      { name: 'Tarn Glass', hex: '#aed7d8' },
      { name: 'Harbour Soot', hex: '#202020' },
    ]
    const shelf = [tin('clay', 61, pale), tin('clay', 120, soot), tin('clear-wax', 29), tin('water-clear', 146)]
    const stencilled = made(shelf, {}, soot).find(({ look }) => look === 'stencilled')
    // 141 ml of 2 : 3 take 56.4 and 84.6, the stencil 35 more of the soot: 119.6 of 120
    expect(stencilled?.wish.colours.a?.parts?.map(({ parts }) => parts)).toEqual([2, 3])
    expect(stencilled?.wish.seal).toBe('wax')
    expect(stencilled?.draws.map(({ hex, takes }) => [hex, takes])).toEqual([
      [pale.hex, 56.4],
      [soot.hex, 119.6],
    ])
  })

  /** An independent way to say whether a shelf gives it: every ml is carried away by hand. */
  function gives(shelf: Shelf, amounts: readonly Amount[]): boolean {
    const left = new Map(shelf.map((each) => [each, each.amount]))
    const carry = ({ family, hex, amount }: Amount): boolean => {
      let carried = 0
      for (const [each, there] of left) {
        const fits = each.family === family && (hex === null || each.hex === hex)
        const now = fits ? Math.min(there, amount - carried) : 0
        left.set(each, there - now)
        carried += now
      }
      return carried > amount - 1e-6
    }
    const real = amounts.filter(({ family }) => getFamily(family).role !== 'cleaner')
    return [...real.filter(({ hex }) => hex !== null), ...real.filter(({ hex }) => hex === null)].every(carry)
  }
  const formulas = (tins: readonly Colour[]): Colour[] => {
    const [one, other] = tins as [Colour, Colour | undefined]
    if (!other) return [one]
    const mixes = [1, 2, 3, 4, 5].flatMap((a) => [1, 2, 3, 4, 5].filter((b) => a + b <= 6).map((b) => [a, b] as const))
    return [
      one,
      other,
      ...mixes.map(([a, b]): Colour => {
        const parts = [
          { ...one, parts: a },
          { ...other, parts: b },
        ]
        return { name: 'mixed', hex: shadeOf(parts), parts }
      }),
    ]
  }
  const hexes = fc.integer({ min: 0x202020, max: 0xefefef }).map((value) => `#${value.toString(16).padStart(6, '0')}`)
  test('as near as trying every look, mix, second colour and topcoat by itself', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...paintCodes.filter((code) => code !== 'stain')),
        fc.uniqueArray(hexes, { minLength: 2, maxLength: 2 }),
        fc.array(fc.integer({ min: 20, max: 260 }), { minLength: 4, maxLength: 4 }),
        fc.uniqueArray(fc.constantFrom(...lookCodes), { minLength: 4, maxLength: 4 }),
        hexes,
        fc.constantFrom<Partial<FinishablePart>>(
          {},
          { existing: 'oil-paint', foundColour: '#2b1d16' },
          { substrate: 'red-wood', existing: 'bare', bleeds: true },
          { substrate: 'laminate', existing: 'bare', use: 'heavy' },
          { use: 'display', areaM2: 0.3 },
        ),
        (paint, [one = '', other = ''], [a = 0, b = 0, wax = 0, lac = 0], looks, wanted, facts) => {
          const tins = [
            { name: 'One', hex: one },
            { name: 'Other', hex: other },
          ]
          const shelf = [
            ...[tin(paint, a, tins[0]), tin(paint, b, tins[1])],
            ...[tin('clear-wax', wax), tin('water-clear', lac), tin('adhesion-primer', wax), tin('blocking-primer', lac)],
          ]
          const found = made(shelf, facts, { name: 'Wanted', hex: wanted })
          for (const look of looks.filter((code) => getLook(code).paints.includes(paint))) {
            const { slots } = getLook(look)
            let best = Infinity
            for (const first of slots.includes('a') ? formulas(tins) : [null])
              for (const second of slots.includes('b') ? tins : [null])
                for (const seal of [undefined, ...topcoatCodes]) {
                  if (first && second && first.hex === second.hex) continue
                  const colours = { ...(first && { a: first }), ...(second && { b: second }) }
                  const distance = (first ? contrast(first.hex, wanted) : 0) + (second ? contrast(second.hex, husk.hex) : 0)
                  if (distance >= best) continue
                  const outcome = planFinish({ ...part, ...facts }, { look, paint, colours, seal }, defaultMethod)
                  if ('plan' in outcome && gives(shelf, sumAmounts(outcome.plan.steps))) best = distance
                }
            expect([look, found.find((each) => each.look === look)?.distance ?? Infinity]).toEqual([
              look,
              best === Infinity ? Infinity : expect.closeTo(best, 6),
            ])
          }
        },
      ),
      { numRuns: 40 },
    ))
})
