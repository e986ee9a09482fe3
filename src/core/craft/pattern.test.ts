import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { Touch } from '@/core/finish/touch'
import { editTouches, type TouchEdit } from '@/core/finish/touchList'
import { planFinish } from '@/core/plan/planFinish'
import { type Face, marksOf, type Pattern, patternFault, patternShare, type Stripes, tapeMetres } from './pattern'

const top: Face = { width: 1000, height: 500, count: 1 }
const stripes = (over: Partial<Stripes> = {}): Stripes => ({
  kind: 'stripes',
  count: 3,
  width: 40,
  gap: 60,
  run: 'upright',
  from: 'middle',
  ...over,
})

describe('stripes set out on a top of a metre by half a metre', () => {
  test('three of 4 cm, 6 cm apart from the middle: at 38, 48 and 58 cm; 3 m of tape; 12 % of it', () => {
    expect(marksOf(stripes(), top).map(({ x }) => x)).toEqual([380, 480, 580])
    expect(tapeMetres(stripes(), top)).toBe(3)
    // 3 × 40 × 500 of 500,000 mm²
    expect(patternShare(stripes(), top, 0.5)).toBe(0.12)
  })
  test('from one side, across: half a metre high, the tape goes the long way', () => {
    const across = stripes({ run: 'across', from: 'edge', count: 2 })
    expect(marksOf(across, top).map(({ y }) => y)).toEqual([60, 160])
    expect(tapeMetres(across, top)).toBe(4)
  })
  test('on four faces alike four times the tape; of twice the part half the share', () => {
    expect(tapeMetres(stripes(), { ...top, count: 4 })).toBe(12)
    expect(patternShare(stripes(), top, 1)).toBe(0.06)
  })
  test('what lies at the face’s own edge is not taped there', () => {
    // a stripe the whole way from edge to edge
    expect(tapeMetres(stripes({ count: 1, width: 1000 }), top)).toBe(0)
    expect(tapeMetres(stripes({ count: 11, width: 60, gap: 40 }), top)).toBeCloseTo(10, 6)
  })
  test('wider than the face is said', () => {
    expect(patternFault(stripes({ count: 10 }), top)).toBeNull()
    expect(patternFault(stripes({ count: 11 }), top)).toBe('too-wide')
    const stencil: Pattern = { kind: 'stencil', across: 3, down: 2, width: 200, height: 200, gap: 50 }
    expect(patternFault(stencil, top)).toBeNull()
    expect(patternFault({ ...stencil, down: 3 }, top)).toBe('too-wide')
    expect(tapeMetres(stencil, top)).toBe(0)
  })
  test('whatever its measures, every mark lies on the face, and its tape along the marks alone', () =>
    fc.assert(
      fc.property(
        fc.record({
          count: fc.integer({ min: 1, max: 30 }),
          width: fc.integer({ min: 1, max: 400 }),
          gap: fc.integer({ min: 1, max: 400 }),
          run: fc.constantFrom('upright' as const, 'across' as const),
          from: fc.constantFrom('middle' as const, 'edge' as const),
        }),
        (over) => {
          const marks = marksOf(stripes(over), top)
          for (const { x, y, width, height } of marks) {
            expect(Math.min(x, y)).toBeGreaterThanOrEqual(0)
            expect(x + width).toBeLessThanOrEqual(1000 + 1e-6)
            expect(y + height).toBeLessThanOrEqual(500 + 1e-6)
          }
          expect(tapeMetres(stripes(over), top)).toBeLessThanOrEqual(2 * marks.length * (over.run === 'upright' ? 0.5 : 1) + 1e-9)
        },
      ),
    ))
})

describe('a layer laid in stripes', () => {
  const list: Touch[] = [
    {
      id: 'a',
      operation: 'coat',
      family: 'chalk-mineral',
      colour: { name: 'Ferry Slate', hex: '#3d5661' },
      repeat: 2,
      by: 'painter',
    },
    { id: 'b', operation: 'coat', family: 'chalk-mineral', colour: { name: 'Oat Husk', hex: '#e3d7bd' }, by: 'painter' },
  ]
  const edit = (pattern: Pattern | null): TouchEdit => ({
    ...{ kind: 'pattern', id: 'b', pattern, share: pattern ? 0.12 : 1, tapeId: 'tape', pullId: 'pull' },
  })
  const ids = (touches: readonly Touch[]) => touches.map(({ id }) => id)

  test('brings its tape, before it and after it, once; all over again it goes', () => {
    const striped = editTouches(list, edit(stripes()))
    expect(ids(striped)).toEqual(['a', 'tape', 'b', 'pull'])
    expect(striped[2]?.where).toEqual({ share: 0.12, pattern: stripes() })
    expect(ids(editTouches(striped, { ...edit(stripes({ count: 4 })), tapeId: 'other' } as TouchEdit))).toEqual([
      'a',
      'tape',
      'b',
      'pull',
    ])
    const bare = editTouches(striped, edit(null))
    expect(ids(bare)).toEqual(['a', 'b'])
    expect(bare[1]?.where).toBeUndefined()
  })
  test('its steps take the minutes of their own metres: three of tape, 2 to set out and 2 a metre', () => {
    const part = {
      substrate: 'close-grained',
      existing: 'water-paint',
      lead: 'unlikely',
      use: 'light',
      areaM2: 0.5,
      face: top,
    } as const
    const wish = {
      look: 'smooth-solid',
      paint: 'chalk-mineral',
      colours: {},
      touches: editTouches(list, edit(stripes())),
    } as const
    const planned = planFinish(part, wish, defaultMethod)
    const steps = 'plan' in planned ? planned.plan.steps : []
    expect(steps.find(({ operation }) => operation === 'tape')?.minutes).toBe(8)
    // half a minute a metre
    expect(steps.find(({ operation }) => operation === 'pull-tape')?.minutes).toBe(2)
  })
})
