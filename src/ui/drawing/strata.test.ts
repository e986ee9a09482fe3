import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { places } from '@/core/finish/touch'
import { profileOf, type Stratum } from './strata'

/** Where a path goes, by how its signs are read: `M` and `L` say where, `l` how far from there. */
function points(path: string): [number, number][] {
  const list: [number, number][] = []
  for (const [, sign, rest = ''] of path.matchAll(/([MLl])([^MLlZ]*)/g)) {
    const numbers = (rest.match(/-?(\d+(\.\d+)?|\.\d+)/g) ?? []).map(Number)
    for (let k = 0; k < numbers.length; k += 2) {
      const [fromX, fromY] = (sign === 'l' && list.at(-1)) || [0, 0]
      list.push([Math.round((fromX + (numbers[k] ?? NaN)) * 10) / 10, Math.round((fromY + (numbers[k + 1] ?? NaN)) * 10) / 10])
    }
  }
  return list
}
const area = (path: string): number => {
  const list = points(path)
  return Math.abs(
    list.reduce((sum, [x, y], k) => {
      const [nextX, nextY] = list[(k + 1) % list.length] ?? [0, 0]
      return sum + x * nextY - nextX * y
    }, 0) / 2,
  )
}
const anyStratum = fc.record({
  thick: fc.integer({ min: 4, max: 40 }),
  where: fc.option(
    fc.record({ places: fc.subarray([...places], { minLength: 1 }), share: fc.constantFrom(0.1, 0.33, 0.66, 1) }),
    { nil: undefined },
  ),
  wears: fc.integer({ min: 0, max: 3 }),
})

describe('a sawn edge', () => {
  test('whatever lies on it stays in the picture, twenty layers too', () => {
    fc.assert(
      fc.property(fc.array(anyStratum, { maxLength: 20 }), (strata) => {
        const { laid, width, height } = profileOf(strata)
        expect(laid).toHaveLength(strata.length)
        const isOutside = ([x, y]: [number, number]) => !(x >= 0 && x <= width && y >= 0 && y <= height)
        expect(laid.flatMap(({ top }) => points(top)).filter(isOutside)).toEqual([])
      }),
    )
  })
  test('each layer lies on the one below it: nothing is nearer the wood than what was there', () => {
    fc.assert(
      fc.property(fc.array(anyStratum, { minLength: 2, maxLength: 8 }), (strata) => {
        const { laid } = profileOf(strata.map((each) => ({ ...each, wears: 0 })))
        laid.slice(1).forEach(({ top }, k) => {
          const [above, below] = [points(top), points(laid[k]?.top ?? '')]
          expect(above).toHaveLength(below.length)
          expect(above.filter(([, y], at) => y > (below[at]?.[1] ?? -Infinity) + 0.11)).toEqual([])
        })
      }),
    )
  })
  test('a layer on the edges is a small part of a whole one, and none of it lies in the hollow', () => {
    const all: Stratum = { thick: 20 }
    const edges: Stratum = { thick: 20, where: { places: ['edges'] } }
    const [whole, part] = [profileOf([all]).laid[0], profileOf([edges]).laid[0]]
    expect(area(part?.path ?? '')).toBeLessThan(area(whole?.path ?? '') / 3)
    const bare = points(profileOf([{ thick: 0 }]).laid[0]?.top ?? '')
    const shift = 20
    const hollow = points(part?.top ?? '').findIndex(([x]) => x > 110)
    expect(points(part?.top ?? '')[hollow]?.[1]).toBeCloseTo((bare[hollow]?.[1] ?? 0) + shift, 0)
  })
  test('about half of a layer is about half of it', () => {
    const whole = area(profileOf([{ thick: 20 }]).laid[0]?.path ?? '')
    const half = area(profileOf([{ thick: 20, where: { share: 0.5 } }]).laid[0]?.path ?? '')
    expect(half / whole).toBeGreaterThan(0.35)
    expect(half / whole).toBeLessThan(0.65)
  })
  test('worn: the layer below is bare at the arris, and whole in the hollow', () => {
    const [worn, whole] = [
      profileOf([{ thick: 20 }, { thick: 0, wears: 1 }]).laid[0],
      profileOf([{ thick: 20 }, { thick: 0 }]).laid[0],
    ]
    expect(area(worn?.path ?? '')).toBeLessThan(area(whole?.path ?? '') * 0.95)
    const at = (path: string, x: number) => points(path).find(([each]) => each >= x)?.[1]
    expect(at(worn?.top ?? '', 110)).toBe(at(whole?.top ?? '', 110))
  })
})
