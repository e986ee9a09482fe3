import { describe, expect, test } from 'vitest'
import { getOperation } from '@/core/craft/operations'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Entry } from '@/core/log/entry'
import { mend } from '@/core/plan/mend'
import { replan } from '@/core/plan/replan'
import { coatFigures, entry, fileWith, ms, partWith } from '@/core/testing/piece'
import { plannedSteps } from '@/core/testing/planned'
import { aheadOn, doneOn } from './facts'
import { readPiece } from './journey'
import type { Part, PlanStep } from './piece'
import { sectionOf } from './section'
import { storyOf } from './story'

const facts: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1 }
const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const husk = { name: 'Oat Husk', hex: '#e3d7bd' }
const looks: FinishWish[] = [
  { look: 'smooth-solid', paint: 'chalk-mineral', colours: { a: slate } },
  { look: 'two-colour-distress', paint: 'clay', colours: { a: slate, b: husk } },
  { look: 'crackle', paint: 'chalk-style', colours: { a: slate, b: husk } },
]

let made = 0
const withIds = (steps: readonly PlannedStep[]): PlanStep[] =>
  steps.map((step, position) => ({ ...step, id: `step-${(made += 1)}`, position }))
const planned = (wish: FinishWish) => withIds(plannedSteps(facts, wish))
/** A plan put in place of another: what the log speaks of stays beside it. */
function inPlaceOf(part: Part, steps: PlanStep[], log: readonly Entry[]): Part {
  const spoken = new Set(log.map(({ stepId }) => stepId))
  const kept = (part.plan?.steps ?? []).filter(({ id }) => spoken.has(id))
  return { ...partWith(steps, { id: 'part' }), earlier: [...part.earlier, ...kept] }
}

describe('everything that was done stays', () => {
  test.each(looks)(
    'in $look, planned anew after every step, every coat is in the record, the section and the steps behind',
    (wish) => {
      let part = { ...partWith(planned(wish), { id: 'part' }), earlier: [] as PlanStep[] }
      const log: Entry[] = []
      const worked: PlanStep[] = []
      for (let k = 0; k < 60; k += 1) {
        const at = (minute: number) => new Date(ms('06:00') + (k * 60 + minute) * 60_000).toISOString()
        const before = readPiece(fileWith([part], log), { climate: [], nowMs: Date.parse(at(0)) }).parts[0]
        const step = before?.next
        if (!before || !step) break
        worked.push(step)
        const on = { partId: 'part', stepId: step.id }
        log.push(entry('started', at(0), on), entry('ended', at(20), { ...on, minutes: 20 }))
        if (getOperation(step.operation).layer && step.family)
          log.push(entry('coat', at(20), { ...on, money: 100, coat: coatFigures({ family: step.family, amount: 10 }) }))
        const journey = readPiece(fileWith([part], log), { climate: [], nowMs: Date.parse(at(30)) })
        const now = journey.parts[0]
        if (!now) throw new Error('the part is there')
        const outcome = replan(facts, wish, doneOn(now))
        if ('refusal' in outcome) throw new Error(outcome.refusal.code)
        part = inPlaceOf(part, withIds(outcome.steps), log)
      }
      const journey = readPiece(fileWith([part], log), { climate: [], nowMs: ms('06:00', 9) })
      const [own] = journey.parts
      expect(worked.length).toBeGreaterThan(5)
      // the steps behind, in the order they were worked
      expect(own?.done.map(({ step }) => step.id)).toEqual(worked.map(({ id }) => id))
      expect(journey.minutesDone).toBe(20 * worked.length)
      // the record's coats
      const laid = worked.filter(({ operation, family }) => getOperation(operation).layer && family)
      expect(own?.done.flatMap(({ state }) => state.coats)).toHaveLength(laid.length)
      // the section: the old finish below, then each layer, all of them there
      const section = own && sectionOf(own)
      expect(section?.layers.filter(({ kind }) => !kind.startsWith('old')).map(({ state }) => state)).toEqual(
        worked.filter(({ operation }) => getOperation(operation).layer).map(() => 'there'),
      )
      expect(own?.finishedAt).not.toBeNull()
      // the story: the section grows with every layer, and no minute is lost
      const days = storyOf(fileWith([part], log), { climate: [], nowMs: ms('06:00', 9) }, 'UTC')
      expect(days.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(20 * worked.length)
    },
  )

  test('a mending keeps what was done before it', () => {
    const [wish] = looks as [FinishWish, ...FinishWish[]]
    const steps = planned(wish)
    const upTo = steps.findIndex(({ operation }) => operation === 'coat') + 1
    const log = steps.slice(0, upTo).flatMap((step, k): Entry[] => {
      const on = { partId: 'part', stepId: step.id }
      return [entry('ended', new Date(ms('08:00') + k * 3_600_000).toISOString(), { ...on, minutes: 10 })]
    })
    const before = readPiece(fileWith([partWith(steps, { id: 'part' })], log), { climate: [], nowMs: ms('20:00') }).parts[0]
    if (!before) throw new Error('the part is there')
    const mended = withIds(mend('runs', { part: facts, wish, done: doneOn(before) }, aheadOn(before)))
    const part = inPlaceOf(before.part, mended, log)
    const after = readPiece(fileWith([part], log), { climate: [], nowMs: ms('20:00') }).parts[0]
    expect(after?.done.map(({ step }) => step.id)).toEqual(steps.slice(0, upTo).map(({ id }) => id))
  })

  test('a coat that was written down on a step nobody ended is in the record all the same', () => {
    const steps = planned(looks[0] as FinishWish)
    const coat = steps.find(({ operation }) => operation === 'coat') as PlanStep
    const log = [entry('coat', '2026-05-04T10:00:00.000Z', { partId: 'part', stepId: coat.id, money: 90, coat: coatFigures() })]
    const [own] = readPiece(fileWith([partWith(steps, { id: 'part' })], log), { climate: [], nowMs: ms('20:00') }).parts
    expect(own?.steps.find(({ step }) => step.id === coat.id)?.state.coats).toHaveLength(1)
  })
})
