import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { areaOfSurface } from '@/core/measure/surfaceArea'
import { proposeJob } from '@/core/plan/job'
import { planPiece } from '@/core/plan/planPiece'
import { areaOfPart } from './area'
import type { ArticleFacts } from './article'
import { type ArticleCode, articles, getArticle } from './articles'

const codes = Object.keys(articles) as ArticleCode[]
const factsOf = (code: ArticleCode, of: ArticleFacts['of'] = {}): ArticleFacts => {
  const { size, of: usual } = getArticle(code)
  return { ...size, of: { ...usual, ...of } }
}
/** Attended hours of two colours, worn and waxed, over varnish, with everything counted by the template alone. */
function hoursOf(code: ArticleCode, of?: ArticleFacts['of'], turned = 0): number {
  const facts = factsOf(code, of)
  const article = getArticle(code)
  const { timeline, refused } = planPiece({
    parts: article.parts(facts).map((part, k) => ({
      id: String(k),
      kind: part.kind,
      facts: {
        substrate: 'close-grained',
        existing: 'varnish',
        lead: 'clear',
        use: part.use ?? 'light',
        areaM2: areaOfPart({ surfaces: [...part.surfaces], count: part.count }),
        turned,
      },
      wish: {
        look: 'two-colour-distress',
        paint: 'clay',
        colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
      },
    })),
  })
  expect(refused).toEqual([])
  const around = proposeJob(article.counted(facts), false).reduce((sum, { minutes }) => sum + minutes, 0)
  return (timeline.attendedMinutes + around) / 60
}

describe('articles', () => {
  // practice: a small table or a bedside cabinet 3 to 6 hours, a chest of drawers 8 to 14, a set of four chairs 6 to 10
  test.each<[string, ArticleCode, ArticleFacts['of'], number, [number, number]]>([
    ['a small table', 'table', {}, 0, [3, 6]],
    ['a small table with a drawer', 'table', { drawers: 1 }, 0, [3, 6]],
    ['a bedside cabinet, a drawer and a door', 'bedside', {}, 0, [3, 6]],
    ['a bedside cabinet of two drawers', 'bedside', { drawers: 2, doors: 0 }, 0, [3, 6]],
    ['a bedside cabinet with a door', 'bedside', { drawers: 0, doors: 1 }, 0, [3, 6]],
    ['a chest of three drawers', 'chest', { drawers: 3 }, 0, [8, 14]],
    ['a chest of four drawers', 'chest', {}, 0, [8, 14]],
    ['a chest of five drawers', 'chest', { drawers: 5 }, 0, [8, 14]],
    ['a chest of six drawers', 'chest', { drawers: 6 }, 0, [8, 14]],
    ['a sideboard', 'sideboard', {}, 0, [8, 14]],
    ['a set of four chairs', 'chair', { alike: 4 }, 0, [6, 10]],
    ['a set of four chairs, a third of them turned', 'chair', { alike: 4 }, 0.33, [6, 10]],
  ])('%s takes as long as in practice', (_, code, of, turned, [low, high]) => {
    const hours = hoursOf(code, of, turned)
    expect(hours).toBeGreaterThanOrEqual(low)
    expect(hours).toBeLessThanOrEqual(high)
  })
  test('a top knows that it is one; a chest of drawers by hand', () => {
    const parts = getArticle('chest').parts({ width: 1000, depth: 500, height: 950, of: { drawers: 4 } })
    expect(parts.map(({ kind, count }) => [kind, count])).toEqual([
      ['carcass', 1],
      ['top', 1],
      ['drawer-fronts', 4],
    ])
    // 1 m by half a metre, and the 24 mm of its four edges: 0.5 + 3 × 0.024
    const top = parts[1]?.surfaces.reduce((sum, face) => sum + areaOfSurface(face), 0)
    expect(top).toBeCloseTo(0.572, 6)
    expect(getArticle('table').parts(factsOf('table'))[0]).toMatchObject({ kind: 'top', use: 'heavy' })
  })
  test('whatever it measures and holds, every face is a face, and the drawing stays within it', () => {
    const facts = fc.record({
      code: fc.constantFrom(...codes),
      width: fc.integer({ min: 150, max: 3000 }),
      depth: fc.integer({ min: 20, max: 2500 }),
      height: fc.integer({ min: 200, max: 2600 }),
      many: fc.nat(9),
    })
    fc.assert(
      fc.property(facts, ({ code, width, depth, height, many }) => {
        const { of, parts, front, counted } = getArticle(code)
        const asked = { width, depth, height, of: Object.fromEntries(Object.keys(of).map((ask) => [ask, Math.max(1, many)])) }
        for (const { surfaces } of parts(asked)) for (const face of surfaces) expect(areaOfSurface(face)).toBeGreaterThan(0)
        for (const box of front(asked)) {
          expect(box.x).toBeGreaterThanOrEqual(-12)
          expect(Number.isFinite(box.width + box.height + box.y)).toBe(true)
        }
        for (const times of Object.values(counted(asked))) expect(Number.isInteger(times)).toBe(true)
      }),
    )
  })
  test('more drawers, more to take off, to wash out and to wax', () => {
    const { counted } = getArticle('chest')
    expect(counted(factsOf('chest', { drawers: 3 }))).toMatchObject({ fittings: 6, drawers: 3 })
    expect(counted(factsOf('chest', { drawers: 6 }))).toMatchObject({ fittings: 12, drawers: 6 })
  })
})
