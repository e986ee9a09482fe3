import { describe, expect, test } from 'vitest'
import type { FamilyCode } from '@/core/craft/families'
import type { LookCode } from '@/core/craft/looks'
import { getOperation } from '@/core/craft/operations'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { CoatFigures } from '@/core/log/figures'
import { coatFigures, entry, fileWith, ms, partWith } from '@/core/testing/piece'
import { plannedSteps } from '@/core/testing/planned'
import { readPiece } from './journey'
import { judgedOf } from './judged'
import type { PlanStep } from './piece'

const facts: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const wished = (look: LookCode, paint: FamilyCode): FinishWish => ({
  look,
  paint,
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
})
const planned = (wish: FinishWish): PlanStep[] =>
  plannedSteps(facts, wish).map((step, position) => ({ ...step, id: `step-${position}`, position }))
const at = (k: number) => new Date(ms('06:00') + k * 3 * 3_600_000).toISOString()

/** What is said once so many steps were worked as planned, the last of them logged otherwise where said. */
function saidAfter(
  wish: FinishWish,
  steps: readonly PlanStep[],
  done: number,
  last: Partial<CoatFigures> = {},
  temperature = 20,
  humidity = 50,
) {
  const log = steps.slice(0, done).flatMap((step, k) => {
    const on = { partId: 'part', stepId: step.id }
    const laid = step.family !== null && getOperation(step.operation).layer !== undefined
    const figures = { family: step.family ?? 'clay', mix: step.mix, film: step.film, ...(k === done - 1 && last) }
    return [
      entry('ended', at(k), { ...on, minutes: 10 }),
      ...(laid ? [entry('coat', at(k), { ...on, money: 100, coat: coatFigures(figures) })] : []),
    ]
  })
  const part = partWith([...steps], { id: 'part' })
  const file = fileWith([{ ...part, plan: part.plan && { ...part.plan, ...wish, with: [], seal: null } }], log)
  const nowMs = Date.parse(at(done))
  const climate = [{ at: new Date(nowMs - 60_000).toISOString(), temperature, humidity }]
  const [own] = readPiece(file, { climate, nowMs }).parts
  if (!own) throw new Error('the part is there')
  const { behind, next, ahead, air } = judgedOf(own)
  const codes = (some: typeof behind) => some.map(({ code }) => code)
  return { behind: codes(behind), next: codes(next), ahead: codes(ahead), air }
}

describe('worked as it says', () => {
  test.each<[LookCode, FamilyCode]>([
    ['smooth-solid', 'chalk-mineral'],
    ['two-colour-distress', 'clay'],
    ['crackle', 'chalk-style'],
    ['chippy-casein', 'casein'],
    ['whitewash', 'chalk-style'],
    ['glaze-lift', 'latex'],
    ['stripes', 'latex'],
    ['smooth-solid', 'all-in-one'],
  ])('%s in %s: nothing is said at any step', (look, paint) => {
    const wish = wished(look, paint)
    const steps = planned(wish)
    for (let done = 0; done <= steps.length; done += 1)
      expect([done, saidAfter(wish, steps, done)]).toEqual([done, { behind: [], next: [], ahead: [], air: null }])
  })
})

describe('what was logged', () => {
  test('all-in-one with water in it is spoken of at once', () => {
    const wish = wished('smooth-solid', 'all-in-one')
    const steps = planned(wish)
    const done = steps.findIndex(({ operation }) => operation === 'coat') + 1
    expect(saidAfter(wish, steps, done, { mix: 'paint : water 10 : 1' }).behind).toEqual(['all-in-one-thinned'])
  })
  test('another paint over raw clay is spoken of at once', () => {
    const wish = wished('smooth-solid', 'clay')
    const steps = planned(wish)
    const done = steps.findLastIndex(({ operation }) => operation === 'coat') + 1
    expect(saidAfter(wish, steps, done, { family: 'latex' }).behind).toContain('rewets-below-another')
  })
})

describe('what is about to be begun', () => {
  test('a plan taken without its seal carries the stop until the coat, and says it there', () => {
    const wish = wished('two-colour-distress', 'clay')
    const steps = planned(wish).filter(({ operation }) => operation !== 'seal-between')
    expect(saidAfter(wish, steps, 0).ahead).toEqual(['mud'])
    const first = steps.findIndex(({ operation }) => operation === 'coat')
    expect(saidAfter(wish, steps, first + 1)).toMatchObject({ next: ['mud'], ahead: [] })
  })
  test('too cold or too damp for a water-based coat is said before the tin is open; a wax does not mind', () => {
    const wish = wished('smooth-solid', 'chalk-mineral')
    const steps = planned(wish)
    const coat = steps.findIndex(({ operation }) => operation === 'coat')
    expect(saidAfter(wish, steps, coat, {}, 8).air).toBe('cold')
    expect(saidAfter(wish, steps, coat, {}, 20, 90).air).toBe('damp')
    expect(saidAfter(wish, steps, coat, {}, 10, 85).air).toBeNull()
    expect(saidAfter(wish, steps, 0, {}, 8).air).toBeNull()
    const waxed = { ...wish, seal: 'wax' as const }
    const waxSteps = planned(waxed)
    expect(
      saidAfter(
        waxed,
        waxSteps,
        waxSteps.findIndex(({ operation }) => operation === 'clear-wax'),
        {},
        8,
      ).air,
    ).toBeNull()
  })
})
