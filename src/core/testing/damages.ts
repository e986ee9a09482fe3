/**
 * Every single way of spoiling a right plan, for tests: a step dropped, doubled, taken before its neighbour, worked in another
 * family, film or mix, or too early or too late.
 */
import { defaultMethod, type HouseMethod } from '@/core/craft/method'
import { getSubstrate } from '@/core/craft/parts'
import { allFamiliesFor } from '@/core/craft/takes'
import { findPlannedWindow } from '@/core/craft/windows'
import { filmMinutes } from '@/core/drying/windowFor'
import { type PlannedStep, withWindows } from '@/core/finish/step'
import type { FinishablePart } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'

export const damageKinds = ['drop', 'double', 'swap', 'family', 'film', 'mix', 'early', 'late'] as const
export type DamageKind = (typeof damageKinds)[number]
export interface Damaged {
  kind: DamageKind
  /** the step, and what it became or changed places with */
  what: string
  acts: Act[]
}

/** The steps at the times that they ask for, minutes from the first. */
export function atTheirTimes(
  steps: readonly PlannedStep[],
  part: FinishablePart,
  method: HouseMethod = defaultMethod,
): (Act & { at: { start: number; end: number } })[] {
  let now = 0
  return withWindows(steps, part, method).map((step, k, all) => {
    const before = all[k - 1]
    const start = now + (before?.window?.opens[0] ?? 0) * filmMinutes[before?.film ?? 'normal']
    now = start + step.minutes
    return { ...step, at: { start, end: now } }
  })
}

const mixes = ['paint : water 1 : 3', 'as it comes'] as const
const films = ['thin', 'normal', 'heavy'] as const

/** Every damage of a plan, one at a time. */
export function damagesOf(steps: readonly PlannedStep[], part: FinishablePart): Damaged[] {
  const right: Act[] = steps.map((step) => ({ ...step }))
  const timed = atTheirTimes(steps, part)
  return steps.flatMap((step, k): Damaged[] => {
    const { operation } = step
    const next = steps[k + 1]
    const laid = step.family !== null && step.amount !== null
    const instead = (over: Partial<Act>) => right.with(k, { ...(right[k] as Act), ...over })
    const moved = (by: number) =>
      timed.map((act, at) => (at < k ? act : { ...act, at: { start: act.at.start + by, end: act.at.end + by } }))
    const before = steps[k - 1]
    const window =
      before &&
      findPlannedWindow(before, operation, {
        kind: getSubstrate(part.substrate).kind,
        method: defaultMethod,
      })
    return [
      { kind: 'drop', what: operation, acts: right.toSpliced(k, 1) },
      { kind: 'double', what: operation, acts: right.toSpliced(k, 0, right[k] as Act) },
      ...(next
        ? [
            {
              kind: 'swap' as const,
              what: `${operation} ↔ ${next.operation}`,
              acts: right.toSpliced(k, 2, right[k + 1] as Act, right[k] as Act),
            },
          ]
        : []),
      ...(laid
        ? allFamiliesFor(operation)
            .filter((family) => family !== step.family)
            .map((family) => ({
              kind: 'family' as const,
              what: `${operation}: ${step.family} → ${family}`,
              acts: instead({ family }),
            }))
        : []),
      ...(laid
        ? films
            .filter((film) => film !== step.film)
            .map((film) => ({ kind: 'film' as const, what: `${operation}: ${film}`, acts: instead({ film }) }))
        : []),
      ...(laid && step.colour
        ? mixes
            .filter((mix) => mix !== step.mix)
            .map((mix) => ({ kind: 'mix' as const, what: `${operation} ${step.family}: ${mix}`, acts: instead({ mix }) }))
        : []),
      ...(window && before && window.opens[0] > 0
        ? [
            {
              kind: 'early' as const,
              what: `${before.operation} → ${operation}`,
              acts: moved(-0.6 * window.opens[0] * filmMinutes[before.film]),
            },
          ]
        : []),
      ...(window?.closes && before
        ? [{ kind: 'late' as const, what: `${before.operation} → ${operation}`, acts: moved(window.closes[1] * 2) }]
        : []),
    ]
  })
}
