import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { paintCodes } from '@/core/craft/families'
import { addOnCodes, lookCodes } from '@/core/craft/looks'
import { defaultMethod, type HouseMethod, schools } from '@/core/craft/method'
import { codesOf, existingFinishes, substrates, uses } from '@/core/craft/parts'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { checkStack } from '@/core/stack/checkStack'
import { planFinish } from './planFinish'
import { planPiece } from './planPiece'
import { replan } from './replan'
import { positionAfter } from './stepsAfter'
import { layOut } from './timeline'

const warnings = (...[input]: Parameters<typeof checkStack>) => checkStack(input).filter(({ severity }) => severity !== 'advice')

/** Advice too: what is left out of a plan is never passed over in silence. */
const spoken = (...[input]: Parameters<typeof checkStack>) => checkStack(input)

const anyPart: fc.Arbitrary<FinishablePart> = fc.record({
  substrate: fc.constantFrom(...codesOf(substrates)),
  existing: fc.constantFrom(...codesOf(existingFinishes)),
  lead: fc.constantFrom('unknown' as const, 'clear' as const, 'unlikely' as const, 'suspected' as const, 'found' as const),
  use: fc.constantFrom(...codesOf(uses)),
  areaM2: fc.double({ min: 0.05, max: 6, noNaN: true }),
  knots: fc.integer({ min: 0, max: 30 }),
  bleeds: fc.boolean(),
})
const colour = fc
  .constantFrom('#3d5661', '#f1ece0', '#9a4b35', '#d9b25f', '#2c2f33', '#c23b2a')
  .map((hex) => ({ name: hex, hex }))
const anyMethod: fc.Arbitrary<HouseMethod> = fc.record(
  Object.fromEntries(Object.entries(schools).map(([code, table]) => [code, fc.constantFrom(...Object.keys(table))])),
) as unknown as fc.Arbitrary<HouseMethod>
const anyWish: fc.Arbitrary<FinishWish> = fc.record({
  look: fc.constantFrom(...lookCodes),
  with: fc.oneof(
    fc.constant([]),
    fc.constantFrom(...addOnCodes).map((code) => [code]),
  ),
  paint: fc.constantFrom(...paintCodes),
  colours: fc.record({ a: colour, b: colour }),
})
/** A wish that can be had: the wished one, else its nearest. */
const anyPlanned = fc
  .tuple(anyPart, anyWish, anyMethod)
  .map(([part, wish, method]) => {
    const outcome = planFinish(part, wish, method)
    if ('plan' in outcome) return { part, wish, method, steps: outcome.plan.steps }
    const nearer = { ...wish, ...outcome.refusal.nearest }
    const again = planFinish(part, nearer, method)
    return 'plan' in again ? { part, wish: nearer, method, steps: again.plan.steps } : null
  })
  .filter((each) => each !== null)

describe('any plan', () => {
  test('is the same however often it is made', () => {
    fc.assert(
      fc.property(anyPlanned, ({ part, wish, method, steps }) => {
        expect(planFinish(part, wish, method)).toMatchObject({ plan: { steps } })
      }),
    )
  })

  test('done exactly as it says, in its painter’s hours, never brings a warning', () => {
    fc.assert(
      fc.property(anyPlanned, ({ part, wish, method, steps }) => {
        const { slots } = layOut([{ id: 'part', steps }])
        const acts = steps.map((step, k) => ({ ...step, at: slots.find(({ index }) => index === k) }))
        expect(warnings({ part, wish, method, acts }).map(({ code }) => code)).toEqual([])
      }),
      { numRuns: 300 },
    )
  })

  test('has no step marked as needed that can be left out without a warning; of coats alike, once those that are a choice are left out', () => {
    const survivors = new Set<string>()
    fc.assert(
      fc.property(anyPlanned, ({ part, wish, method, steps }) => {
        steps.forEach((step, k) => {
          if (!step.needed) return
          // with a coat that is a choice goes the rub before the next
          const isChoice = (each: PlannedStep) =>
            !each.needed && ((each.operation === step.operation && each.family === step.family) || each.operation === 'smooth')
          const alike = steps.filter((each) => !isChoice(each))
          const whole = spoken({ part, wish, method, acts: alike })
          const acts = alike.filter((each) => each !== steps[k])
          const without = spoken({ part, wish, method, acts })
          const anew = without.some(({ code }) => !whole.some((known) => known.code === code))
          if (!anew && without.length <= whole.length)
            survivors.add(
              `${step.operation} (${step.reason}) in ${wish.look}, ${wish.paint}, on ${part.existing} ${part.substrate}`,
            )
        })
      }),
      { numRuns: 400 },
    )
    expect([...survivors]).toEqual([])
  })

  test('taken up again after any number of its steps is the rest of itself', () => {
    fc.assert(
      fc.property(anyPlanned, ({ part, wish, method, steps }) => {
        for (let k = 0; k <= steps.length; k += 1) {
          const again = replan(part, wish, steps.slice(0, k), method)
          expect('steps' in again && again.steps).toEqual(steps.slice(k))
          expect(positionAfter(steps, steps.slice(0, k))).toBe(k)
        }
      }),
      { numRuns: 60 },
    )
  })

  test('of one part is no other for a part being added', () => {
    fc.assert(
      fc.property(anyPlanned, anyPlanned, (one, other) => {
        const alone = planPiece({ parts: [{ id: 'one', facts: one.part, wish: one.wish }] })
        const both = planPiece({
          parts: [
            { id: 'one', facts: one.part, wish: one.wish },
            { id: 'other', facts: other.part, wish: other.wish },
          ],
        })
        expect(both.parts.find(({ id }) => id === 'one')).toEqual(alone.parts[0])
        expect(both.timeline.attendedMinutes).toBeGreaterThanOrEqual(alone.timeline.attendedMinutes)
      }),
      { numRuns: 60 },
    )
  })
})

test('six parts are laid into the days so that none of their windows is missed, or say which', () => {
  let [days, hurried] = [0, 0]
  fc.assert(
    fc.property(fc.array(anyPlanned, { minLength: 2, maxLength: 6 }), (all) => {
      const parts = all.map(({ steps }, k) => ({ id: String(k), steps }))
      const { slots, awkward } = layOut(parts)
      // one painter, one thing at a time, and within the working day
      slots.slice(1).forEach((slot, k) => expect(slot.start).toBeGreaterThanOrEqual(slots[k]?.end ?? 0))
      for (const { start, end } of slots)
        if (end - start <= 480) expect([start % 1440 >= 540, (end - 1) % 1440 < 1020]).toEqual([true, true])
      days += 1
      if (awkward > 0) {
        hurried += 1
        return
      }
      all.forEach(({ part, wish, method, steps }, id) => {
        const acts = steps.map((step, k) => ({
          ...step,
          at: slots.find(({ partId, index }) => partId === String(id) && index === k),
        }))
        expect(warnings({ part, wish, method, acts }).map(({ code }) => code)).toEqual([])
      })
    }),
    { numRuns: 40 },
  )
  expect(hurried).toBeLessThan(days / 4)
})

test('the default method is one of each school', () => {
  for (const [code, table] of Object.entries(schools))
    expect(Object.keys(table)).toContain(defaultMethod[code as keyof HouseMethod])
})
