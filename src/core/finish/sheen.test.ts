import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lookCodes, paintFor } from '@/core/craft/looks'
import { defaultMethod } from '@/core/craft/method'
import { codesOf, uses } from '@/core/craft/parts'
import { nearestSheen, type Sheen, sheenCodes, sheensOf } from '@/core/craft/sheen'
import { getTopcoat, sheensUnder, topcoatCodes } from '@/core/craft/topcoats'
import { sumAmounts, takeFrom } from '@/core/plan/amounts'
import { planFinish } from '@/core/plan/planFinish'
import { replan } from '@/core/plan/replan'
import { checkStack } from '@/core/stack/checkStack'
import { decidesSheen, inSheen } from './sheen'
import type { FinishablePart, FinishWish } from './wish'

const chest: FinishablePart = {
  ...({ substrate: 'close-grained', existing: 'bare', lead: 'clear', use: 'light', areaM2: 2 } as const),
}
const colours = { a: { name: 'Slate', hex: '#3d5661' }, b: { name: 'Oat', hex: '#e3d7bd' } }
const smooth = (over: Partial<FinishWish> = {}): FinishWish => ({ look: 'smooth-solid', paint: 'clay', colours, ...over })
const planOf = (part: FinishablePart, wish: FinishWish) => {
  const outcome = planFinish(part, wish)
  if ('refusal' in outcome) throw new Error(outcome.refusal.code)
  return outcome.plan
}
const lastOf = (part: FinishablePart, wish: FinishWish) => planOf(part, wish).steps.findLast(decidesSheen)

describe('the sheen that is wished for', () => {
  test('the topcoat follows it: wax shines softly, dead flat is a clear, and a house that waxes does not wax then', () => {
    const shown = { ...chest, use: 'display' } as const
    expect(planOf(shown, smooth()).seal).toBe('wax')
    expect(planOf(shown, smooth({ sheen: 'satin' })).seal).toBe('wax')
    expect(lastOf(shown, smooth({ sheen: 'flat' }))).toMatchObject({ family: 'water-clear', sheen: 'flat' })
    expect(lastOf(shown, smooth({ sheen: 'gloss' }))).toMatchObject({ family: 'water-clear', sheen: 'gloss' })
    const house = planFinish(shown, smooth({ sheen: 'flat' }), { ...defaultMethod, topcoat: 'wax' })
    expect('plan' in house && house.plan.seal).toBe('clear')
  })
  test('outdoors nothing is made dead flat: the nearest is matt, and it can be had', () => {
    const gate = { ...chest, use: 'outdoors' } as const
    const outcome = planFinish(gate, smooth({ sheen: 'flat' }))
    expect(outcome).toMatchObject({ refusal: { code: 'sheen', nearest: { sheen: 'matt' } } })
    expect(lastOf(gate, smooth({ sheen: 'matt' }))).toMatchObject({ family: 'hard-clear', sheen: 'matt' })
  })
  test('a topcoat that is not made so gives way to one that is', () => {
    const outcome = planFinish(chest, smooth({ seal: 'wax', sheen: 'gloss' }))
    expect(outcome).toMatchObject({ refusal: { code: 'sheen', nearest: { seal: 'clear' } } })
  })
  test('a thin satin below the hard clear stays satin, whatever lies over it', () => {
    const { steps } = planOf({ ...chest, use: 'heavy' }, smooth({ seal: 'hard', sheen: 'gloss' }))
    const clears = steps.filter(({ operation }) => operation === 'clear-coat')
    expect(clears.map(({ family, sheen }) => [family, sheen])).toEqual([
      ['water-clear', 'satin'],
      ['hard-clear', 'gloss'],
      ['hard-clear', 'gloss'],
    ])
  })
  test('where nothing lies over the paint its own tin is to have it, the coats below it too', () => {
    const { steps, seal } = planOf({ ...chest, use: 'display' }, smooth({ paint: 'all-in-one', sheen: 'satin' }))
    expect(seal).toBe('none')
    const coats = steps.filter(({ operation }) => operation === 'coat')
    expect(coats.length).toBeGreaterThan(0)
    expect(new Set(coats.map(({ sheen }) => sheen))).toEqual(new Set(['satin']))
  })
  test('cleared in satin, wished dead flat since: one more clear, and nothing else is laid', () => {
    const satin = planOf(chest, smooth({ seal: 'clear', sheen: 'satin' })).steps
    const flat = smooth({ seal: 'clear', sheen: 'flat' })
    const outcome = replan(chest, flat, satin)
    const steps = 'steps' in outcome ? outcome.steps : []
    expect(steps.filter(({ family }) => family).map(({ operation, sheen }) => [operation, sheen])).toEqual([
      ['clear-coat', 'flat'],
    ])
    expect(checkStack({ part: chest, wish: flat, acts: [...satin, ...steps] })).toEqual([])
    expect(checkStack({ part: chest, wish: flat, acts: satin }).map(({ code }) => code)).toEqual(['sheen-other', 'sheen-missed'])
  })
  test('the painter’s own list ends in it too', () => {
    const touches = [
      { id: 'one', operation: 'coat', family: 'clay', colour: colours.a, repeat: 2, by: 'painter' },
      { id: 'two', operation: 'clear-coat', family: 'water-clear', repeat: 2, by: 'painter' },
    ] as const
    expect(lastOf(chest, smooth({ touches, sheen: 'gloss' }))).toMatchObject({ operation: 'clear-coat', sheen: 'gloss' })
    const waxed = [touches[0], { id: 'two', operation: 'clear-wax', family: 'clear-wax', by: 'painter' }] as const
    expect(planFinish(chest, smooth({ touches: waxed, sheen: 'gloss' }))).toMatchObject({
      refusal: { code: 'sheen', nearest: { sheen: 'satin' } },
    })
  })
})

test('any look, use and sheen: what can be had ends in that sheen and quarrels with nothing; what can’t names what can', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...lookCodes),
      fc.constantFrom(...codesOf(uses)),
      fc.constantFrom(...sheenCodes),
      fc.constantFrom(undefined, ...topcoatCodes),
      (look, use, sheen, seal) => {
        const part = { ...chest, use }
        const wish: FinishWish = { look, paint: paintFor(look, 'chalk-mineral'), colours, sheen, seal }
        const outcome = planFinish(part, wish)
        if ('plan' in outcome) {
          const last = outcome.plan.steps.findLast(decidesSheen)
          if (last?.family) {
            expect(sheensOf(last.family)).toContain(sheen)
            expect(last.sheen ?? sheen).toBe(sheen)
          }
          const codes = checkStack({ part, wish, acts: outcome.plan.steps }).map(({ code }) => code)
          expect(codes).not.toContain('sheen-missed')
          expect(codes).not.toContain('sheen-other')
        } else if (outcome.refusal.code === 'sheen') {
          expect(planFinish(part, { ...wish, ...outcome.refusal.nearest })).toHaveProperty('plan')
        } else if (outcome.refusal.nearest) {
          const next = planFinish(part, { ...wish, ...outcome.refusal.nearest })
          expect('refusal' in next ? next.refusal.code : 'planned').not.toBe('sheen')
        }
      },
    ),
    { numRuns: 600 },
  )
})

test('the nearest sheen is the one a step away, the duller of two', () => {
  expect(nearestSheen('flat', ['gloss', 'satin', 'matt'])).toBe('matt')
  expect(nearestSheen('satin', ['gloss', 'matt'])).toBe('matt')
  expect(nearestSheen('gloss', ['flat'])).toBe('flat')
  expect(nearestSheen('gloss', [])).toBeNull()
})
test('a topcoat shines as its last coat, no topcoat as the paint', () => {
  expect(sheensUnder('hard', 'clay')).toEqual(['satin', 'matt', 'gloss'])
  expect(sheensUnder('none', 'all-in-one')).toEqual(['matt', 'satin'])
  for (const code of topcoatCodes)
    if (getTopcoat(code).recipe.length > 0) expect(sheensUnder(code, 'clay').length).toBeGreaterThan(0)
})
test('only the last product is laid in it: what is covered is any tin’s', () => {
  const coat = (over: object) =>
    ({ operation: 'coat', family: 'latex', colour: { hex: '#111111' }, needed: true, ...over }) as const
  const below = coat({})
  const over = coat({ colour: { hex: '#eeeeee' } })
  expect(inSheen([below, over, over], 'gloss').map((step) => 'sheen' in step && step.sheen)).toEqual([false, 'gloss', 'gloss'])
  expect(inSheen([below], 'flat')).toEqual([below])
})

test('a clear that was a choice is none where the one below it was laid in another sheen', () => {
  const wish = smooth({ seal: 'clear', sheen: 'satin' })
  const { steps } = planOf(chest, wish)
  const at = steps.findIndex(({ operation }) => operation === 'clear-coat') + 1
  const aheadOf = (sheen: Sheen) => {
    const done = steps.slice(0, at).map((step) => (step.operation === 'clear-coat' ? { ...step, sheen } : step))
    const rest = replan(chest, wish, done)
    return 'steps' in rest && rest.steps.filter(decidesSheen).map((step) => [step.sheen, step.needed])
  }
  expect(aheadOf('satin')).toEqual([['satin', false]])
  expect(aheadOf('matt')).toEqual([['satin', true]])
})

test('the shelf gives a sheen from a tin of it, then from one that says none, never from another', () => {
  const tin = (sheen: Sheen | null, amount: number) => ({ family: 'water-clear', hex: null, name: null, sheen, amount }) as const
  const need = (sheen: Sheen | undefined, amount: number) =>
    ({ family: 'water-clear', hex: null, name: null, amount, ...(sheen && { sheen }) }) as const
  const shelf = [tin(null, 100), tin('satin', 100), tin('flat', 30)]
  expect(takeFrom(shelf, [need('satin', 120)])).toEqual({ left: [80, 0, 30], lacking: [] })
  expect(takeFrom(shelf, [need('gloss', 101)])).toMatchObject({ left: [0, 100, 30], lacking: ['water-clear'] })
  // what asks for nothing comes last, and takes what is left of any
  expect(takeFrom(shelf, [need(undefined, 130), need('flat', 100)])).toEqual({ left: [0, 0, 0], lacking: [] })
  const { steps } = planOf(chest, smooth({ seal: 'clear', sheen: 'flat' }))
  expect(
    sumAmounts(steps)
      .filter(({ family }) => family === 'water-clear')
      .map(({ sheen }) => sheen),
  ).toContain('flat')
})
