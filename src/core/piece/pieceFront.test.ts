import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { PartKind } from '@/core/craft/parts'
import type { MeasuredFace } from '@/core/measure/surfaceArea'
import { asks } from './article'
import { type ArticleCode, articles, getArticle } from './articles'
import { type Corner, pieceFront, pointOf, spotAt } from './pieceFront'

const panel = (width: number, height: number): MeasuredFace => ({ shape: 'panel', relief: 'flat', count: 1, width, height })
const part = (id: string, kind: PartKind, count: number, ...surfaces: MeasuredFace[]) => ({ id, kind, count, surfaces })
/** by the shoelace */
const areaOf = (shape: readonly Corner[]) =>
  Math.abs(
    shape.reduce((sum, [x, y], k) => {
      const [nextX, nextY] = shape[(k + 1) % shape.length] ?? [x, y]
      return sum + x * nextY - nextX * y
    }, 0),
  ) / 2

describe('a piece from the front', () => {
  test('a chest: three drawers inside its carcass, its top above, seen from above by the depth it has', () => {
    const { width, height, parts } = pieceFront([
      part('carcass', 'carcass', 1, panel(480, 800)),
      part('top', 'top', 1, panel(900, 500)),
      part('drawers', 'drawer-fronts', 3, panel(840, 230)),
    ])
    expect(width).toBe(900)
    // 800 of body, a front edge of 27, and 38 % of the depth of 500
    expect(height).toBeCloseTo(800 + 27 + 190, 6)
    const drawers = parts.find(({ partId }) => partId === 'drawers')
    expect(drawers?.shapes).toHaveLength(3)
    // drawn within the body's rim of 5 %
    expect(drawers?.bounds.x).toBeGreaterThan(40)
    expect((drawers?.bounds.y ?? 0) + (drawers?.bounds.height ?? 0)).toBeLessThan(760)
    expect(parts.find(({ partId }) => partId === 'top')?.bounds.y).toBe(800)
  })
  test('of four alike one is drawn, with its share of everything', () => {
    const { alike, parts } = pieceFront([
      part('seat', 'seat', 4, panel(420, 400)),
      part('fronts', 'drawer-fronts', 8, panel(400, 100)),
    ])
    expect(alike).toBe(4)
    expect(parts.find(({ partId }) => partId === 'fronts')?.shapes).toHaveLength(2)
  })
  test('legs carry what stands on them', () => {
    const { parts } = pieceFront([
      part('legs', 'legs', 1, { shape: 'taperedLeg', relief: 'flat', count: 4, top: 50, foot: 30, length: 700 }),
      part('top', 'top', 1, panel(1200, 800)),
    ])
    expect(parts.map(({ partId, bounds: { y, height } }) => [partId, y, Math.round(height)])).toEqual([
      ['legs', 0, 700],
      // 36 of front edge and 38 % of 800
      ['top', 700, 340],
    ])
  })
  test('what can’t be seen from the front stands beside it; a piece without a part is nothing', () => {
    const { parts } = pieceFront([
      part('body', 'carcass', 1, panel(800, 900)),
      part('doors', 'doors', 2, panel(380, 850)),
      part('boards', 'shelves', 2, panel(760, 380)),
    ])
    expect(parts.find(({ partId }) => partId === 'boards')?.bounds.x).toBeGreaterThan(800)
    expect(pieceFront([])).toMatchObject({ width: 0, height: 0, parts: [] })
  })
})

const anyKind = fc.constantFrom<PartKind>(
  ...(['top', 'leaf', 'carcass', 'drawer-fronts', 'doors', 'legs', 'base', 'seat', 'back', 'feet', 'shelves', 'other'] as const),
)
const anyFace = fc.oneof(
  fc
    .record({ width: fc.integer({ min: 1, max: 3000 }), height: fc.integer({ min: 1, max: 3000 }) })
    .map(({ width, height }) => panel(width, height)),
  fc
    .integer({ min: 1, max: 2000 })
    .map((length): MeasuredFace => ({ shape: 'roundLeg', relief: 'flat', count: 4, diameter: 40, length })),
)
const anyPart = fc.record({
  kind: anyKind,
  count: fc.integer({ min: 1, max: 12 }),
  surfaces: fc.array(anyFace, { maxLength: 4 }),
})

describe('whatever a piece is made of', () => {
  const holds = (parts: Parameters<typeof pieceFront>[0]) => {
    const front = pieceFront(parts)
    expect(new Set(front.parts.map(({ partId }) => partId))).toEqual(new Set(parts.map(({ id }) => id)))
    for (const { shapes, bounds } of front.parts) {
      expect(shapes.length).toBeGreaterThan(0)
      expect(shapes.reduce((sum, shape) => sum + areaOf(shape), 0)).toBeGreaterThan(0)
      expect(Math.min(bounds.x, bounds.y)).toBeGreaterThanOrEqual(-1e-6)
      expect(bounds.x + bounds.width).toBeLessThanOrEqual(front.width + 1e-6)
      expect(bounds.y + bounds.height).toBeLessThanOrEqual(front.height + 1e-6)
    }
  }
  test('each part has one place, inside the drawing', () => {
    fc.assert(
      fc.property(fc.array(anyPart, { minLength: 1, maxLength: 7 }), (parts) => {
        holds(parts.map((each, k) => ({ ...each, id: String(k) })))
      }),
      { numRuns: 500 },
    )
  })
  test('every article as it comes in, with few or many of what it has', () => {
    for (const code of Object.keys(articles) as ArticleCode[])
      for (const many of [0, 1, 2, 6]) {
        const article = getArticle(code)
        const of = Object.fromEntries(
          asks.filter((ask) => article.of[ask] !== undefined).map((ask) => [ask, Math.max(many, ask === 'alike' ? 1 : 0)]),
        )
        holds(article.parts({ ...article.size, of }).map((each, k) => ({ ...each, id: String(k) })))
      }
  })
  test('a ninth that was pointed at is the ninth that is drawn', () => {
    fc.assert(
      fc.property(fc.array(anyPart, { minLength: 1, maxLength: 5 }), fc.nat(8), (parts, spot) => {
        for (const each of pieceFront(parts.map((one, k) => ({ ...one, id: String(k) }))).parts)
          expect(spotAt(each, pointOf(each, spot))).toBe(spot)
      }),
      { numRuns: 300 },
    )
  })
})
