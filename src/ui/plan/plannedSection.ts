/** The section as it will be when a plan is done: for the drawing of looks and plans. Pure. */
import type { PlannedStep } from '@/core/finish/step'
import type { FinishWish } from '@/core/finish/wish'
import { untouched } from '@/core/log/stepStates'
import { type CrossSection, sectionOf } from '@/core/piece/section'
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
    departures: {},
    madeAt: '',
    steps: steps.map(({ step }) => step),
  }
  return sectionOf({ part: { ...part, plan, earlier: [] }, steps, done: steps, window: null })
}
