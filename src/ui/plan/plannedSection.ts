/** The section as it will be when a plan is done, and where in it two layers do not get on. Pure. */
import { getOperation } from '@/core/craft/operations'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishWish } from '@/core/finish/wish'
import { untouched } from '@/core/log/stepStates'
import { type CrossSection, sectionOf } from '@/core/piece/section'
import type { Conflict } from '@/core/stack/checkStack'
import type { PlanPart } from './planPart'

export function plannedSection(part: PlanPart, wish: FinishWish, planned: readonly PlannedStep[]): CrossSection {
  const steps = planned.map((step, position) => ({
    step: { ...step, id: String(position), position },
    state: { ...untouched, status: 'done' as const, endedAt: new Date(0).toISOString() },
  }))
  const plan = {
    id: '',
    look: wish.look,
    with: [...(wish.with ?? [])],
    paint: wish.paint,
    colours: wish.colours,
    seal: null,
    touches: wish.touches,
    departures: {},
    madeAt: '',
    steps: steps.map(({ step }) => step),
  }
  return sectionOf({ part: { ...part, plan, earlier: [] }, steps, done: steps, window: null })
}

/** The layers of the section at whose lower edge two do not get on. */
export function clashesIn(acts: readonly PlannedStep[], conflicts: readonly Conflict[], section: CrossSection): Set<number> {
  const laid = acts.flatMap(({ operation }, k) => (getOperation(operation).layer ? [k] : []))
  const found = section.layers.length - laid.length
  return new Set(
    conflicts
      .filter(({ severity }) => severity !== 'advice')
      .flatMap(({ acts: concerned }) => {
        const layer = laid.findIndex((k) => k >= (concerned.at(-1) ?? Infinity))
        return layer < 0 ? [] : [layer + found]
      }),
  )
}
