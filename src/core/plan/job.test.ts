/** The work around the paint: what counts ask for, with minutes worked by hand, and how a list follows them. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { countCodes, type Counted } from '@/core/craft/job'
import { beginJob, type DraftStep, followCounts, jobPlanStep, keyOf, proposeJob, recount, takeOutStep } from './job'

const chest: Counted = { fittings: 8, newFittings: 8, holes: 8, drawers: 4, joints: 2 }
let made = 0
const newId = () => `s${(made += 1)}`
const draft = (counted: Counted) => followCounts([], proposeJob(counted, false), new Set(), newId)

describe('what is counted asks for its work, in its order', () => {
  test('a chest of four drawers with new handles: 2 a fitting off, 3 on, 3 a hole, 10 a joint and 5, 6 a new handle; 8 a drawer to wash out and 5, 2 to wax; 4 a fitting to polish and 5', () => {
    expect(proposeJob(chest, false).map(({ operation, side, minutes }) => [operation, side, minutes])).toEqual([
      ['photograph', 'before', 5],
      ['take-apart', 'before', 16],
      ['clean-out', 'before', 37],
      ['glue', 'before', 25],
      ['fill', 'before', 24],
      ['ease', 'after', 8],
      ['polish', 'after', 37],
      ['hardware', 'after', 48],
      ['reassemble', 'after', 24],
      ['inspect', 'after', 10],
      ['photograph', 'after', 5],
    ])
  })
  test('nothing counted is photographed and looked over; what somebody waits for is delivered', () => {
    expect(proposeJob({}, true).map(({ operation }) => operation)).toEqual(['photograph', 'inspect', 'photograph', 'deliver'])
  })
  test('glue has its night, filler its hours; a blade says so, and lead where lead may be', () => {
    const [, , , glue, fill] = proposeJob(chest, false).map((step) => jobPlanStep(step, false))
    expect(glue?.window).toMatchObject({ clock: 'reaction', opens: [720, 720] })
    expect(fill?.window?.opens).toEqual([30, 120])
    expect(glue?.cautions).toEqual(['blade'])
    // a pilot hole goes through whatever is on it
    const fit = { operation: 'hardware', side: 'after', words: null, minutes: 12 } as const
    expect([jobPlanStep(fit, false).cautions, jobPlanStep(fit, true).cautions]).toEqual([['dust'], ['lead', 'dust']])
    const cut = { operation: 'cut-down', side: 'before', words: null, minutes: 32 } as const
    expect([jobPlanStep(cut, false).cautions, jobPlanStep(cut, true).cautions]).toEqual([
      ['blade', 'dust'],
      ['lead', 'blade', 'dust'],
    ])
  })
})

describe('a list follows its counts', () => {
  test('more holes more minutes; none, no filling; what was changed by hand stays', () => {
    const first = draft(chest)
    const more = followCounts(first, proposeJob({ ...chest, holes: 10 }, false), new Set(), newId)
    expect(more.find(({ operation }) => operation === 'fill')?.minutes).toBe(30)
    const own = more.map((step): DraftStep => (step.operation === 'fill' ? { ...step, minutes: 50, own: true } : step))
    const none = followCounts(own, proposeJob({ ...chest, holes: 0 }, false), new Set(), newId)
    expect(none.find(({ operation }) => operation === 'fill')?.minutes).toBe(50)
    expect(followCounts(more, proposeJob({ ...chest, holes: 0 }, false), new Set(), newId).map(keyOf)).not.toContain(
      'fill before',
    )
  })
  test('what was taken out does not come back, what the painter put in stays where it is', () => {
    const own: DraftStep = { id: 'o', operation: 'own', side: 'before', words: 'Steam the dents', minutes: 20, own: true }
    const with_ = draft(chest).toSpliced(2, 0, own)
    const next = followCounts(with_, proposeJob({ ...chest, panes: 2 }, false), new Set(['fill before']), newId)
    expect(next.map(keyOf).slice(0, 6)).toEqual([
      'photograph before',
      'take-apart before',
      'own before',
      'clean-out before',
      'glue before',
      'mask before',
    ])
  })
  test('what was taken out comes back when more of its own is counted, and of nothing else', () => {
    const around = { commission: false, done: [] }
    const without = takeOutStep(beginJob(chest, null, around, newId), 'none')
    const apart = without.steps.find((step) => keyOf(step) === 'take-apart before')
    const out = takeOutStep(without, apart?.id ?? '')
    const keys = ({ steps }: { steps: readonly DraftStep[] }) => steps.map(keyOf)
    expect(keys(recount(out, 'drawers', 9, around, newId))).not.toContain('take-apart before')
    expect(keys(recount(out, 'fittings', 7, around, newId))).not.toContain('take-apart before')
    expect(keys(recount(out, 'fittings', 9, around, newId))).toContain('take-apart before')
    // what is done is asked for no more
    expect(keys(recount(out, 'fittings', 9, { ...around, done: ['take-apart before'] }, newId))).not.toContain(
      'take-apart before',
    )
  })
  test('one of two photographs taken out, the other stays though a count changes', () => {
    const around = { commission: false, done: [] }
    const begun = beginJob({}, null, around, newId)
    const twice = { ...begun, steps: [{ ...begun.steps[0], id: 'second', own: true } as DraftStep, ...begun.steps] }
    const after = recount(takeOutStep(twice, 'second'), 'holes', 2, around, newId)
    expect(after.steps.map(keyOf)).toEqual(['photograph before', 'fill before', 'inspect after', 'photograph after'])
  })
  test('taken up from a plan: what it does without stays out, minutes of its own stay', () => {
    const plan = proposeJob(chest, false).flatMap((step) =>
      step.operation === 'glue' ? [] : [step.operation === 'fill' ? { ...step, minutes: 50 } : step],
    )
    const begun = beginJob(chest, plan, { commission: false, done: [] }, newId)
    expect(begun.steps.map(({ operation, minutes }) => [operation, minutes])).toEqual(
      plan.map(({ operation, minutes }) => [operation, minutes]),
    )
    expect(begun.steps.filter(({ own }) => own).map(({ operation }) => operation)).toEqual(['fill'])
  })
  test('in any order of counting the same counts give the same work', () => {
    const count = fc.dictionary(fc.constantFrom(...countCodes), fc.integer({ min: 0, max: 9 }), {
      maxKeys: 8,
    }) as fc.Arbitrary<Counted>
    fc.assert(
      fc.property(fc.array(count, { minLength: 1, maxLength: 6 }), fc.boolean(), (counts, commission) => {
        const last = counts.at(-1) ?? {}
        const followed = counts.reduce<DraftStep[]>(
          (steps, each) => followCounts(steps, proposeJob(each, commission), new Set(), newId),
          [],
        )
        expect(followed.map(({ id: _, own: __, ...step }) => step)).toEqual(proposeJob(last, commission))
      }),
    )
  })
})
