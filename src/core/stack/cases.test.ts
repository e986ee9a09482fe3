/** Wrong stacks are spoken of, right ones are not; where a painter who found one is answered instead, the answer stands in argued.ts. */
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { filmMinutes } from '@/core/drying/windowFor'
import type { PlannedStep } from '@/core/finish/step'
import { planFinish } from '@/core/plan/planFinish'
import { arguedRight, arguedWrong } from './cases/argued'
import { colour } from './cases/colour'
import { colourMore } from './cases/colourMore'
import { preparation } from './cases/preparation'
import { right } from './cases/right'
import { rightLast } from './cases/rightLast'
import { rightMore } from './cases/rightMore'
import { sealing } from './cases/sealing'
import { sealingMore } from './cases/sealingMore'
import { partOf, type Timed, type WrongStack } from './cases/stacks'
import { times } from './cases/times'
import { wearAndCloth } from './cases/wearAndCloth'
import { whole } from './cases/whole'
import { wholeLaid } from './cases/wholeLaid'
import { checkStack } from './checkStack'
import type { Act } from './surface'

const wrong = [...preparation, ...colour, ...colourMore, ...wearAndCloth, ...sealing, ...sealingMore, ...times]

/** The plan's steps begun as early as each may be, but for one that comes so many minutes after the step before it. */
function atTimes(steps: readonly PlannedStep[], { first, timed: [after, next, minutes] }: Timed): Act[] {
  const acts = first ? (first([...steps]) as PlannedStep[]) : steps
  const [, operation, nth = '1'] = /^(\D+?)(\d*)$/.exec(after) ?? []
  const all = acts.flatMap((each, k) => (each.operation === operation ? [k] : []))
  const at = all[Number(nth || '1') - 1]
  if (at === undefined || acts[at + 1]?.operation !== next)
    throw new Error(`${after} is followed by ${at === undefined ? 'nothing' : acts[at + 1]?.operation}, not by ${next}`)
  let now = 0
  return acts.map((each, k) => {
    const before = acts[k - 1]
    if (before) now += k === at + 1 ? minutes : Math.ceil((before.window?.opens[1] ?? 0) * filmMinutes[before.film])
    const start = now
    now += each.minutes
    return { ...each, at: { start, end: now } }
  })
}
/** Codes that the damage brings and the right plan does not; a wish that is refused altogether counts as spoken of. */
function spokenOf(each: WrongStack): string[] {
  const [, part, wish, damage, departures] = each
  const method = { ...defaultMethod, ...departures }
  const outcome = planFinish(partOf(part), wish, method)
  if ('refusal' in outcome) return [outcome.refusal.code]
  const codesOf = (acts: readonly Act[]) =>
    checkStack({ part: partOf(part), wish, method, acts })
      .filter(({ severity }) => severity !== 'advice')
      .map(({ code }) => code)
  const usual = new Set(codesOf(outcome.plan.steps))
  const acts =
    typeof damage === 'function' ? damage(outcome.plan.steps.map((step) => ({ ...step }))) : atTimes(outcome.plan.steps, damage)
  return [...new Set(codesOf(acts))].filter((code) => !usual.has(code))
}

describe('wrong stacks', () => {
  test('are as many as were found', () => expect(wrong).toHaveLength(277))
  test.each(wrong.map((each) => [each[0], each] as const))('%s', (name, each) => {
    if (name in arguedWrong) expect(spokenOf(each)).toEqual([])
    else expect(spokenOf(each)).not.toEqual([])
  })
})

describe('stacks written out whole', () => {
  test.each([...whole, ...wholeLaid].map((each) => [each[0], each] as const))('%s', (_, [, part, wish, acts, code]) => {
    const found = checkStack({ part: partOf(part), wish, method: defaultMethod, acts })
      .filter(({ severity }) => severity !== 'advice')
      .map((conflict) => conflict.code)
    if (code === null) expect(found).toEqual([])
    else expect(found).toContain(code)
  })
})

describe('right stacks', () => {
  test.each([...right, ...rightMore, ...rightLast].map((each) => [each[0], each] as const))(
    '%s',
    (name, [, part, wish, acts, departures]) => {
      const found = checkStack({ part: partOf(part), wish, method: { ...defaultMethod, ...departures }, acts })
        .filter(({ severity }) => severity !== 'advice')
        .map(({ code }) => code)
      if (name in arguedRight) expect(found).not.toEqual([])
      else expect(found).toEqual([])
    },
  )
})
