/** A part as the planner sees it: its facts, and what the log says has been done on it. */
import type { FinishablePart } from '@/core/finish/wish'
import { areaOfPart, faceFor, isTwoSided, turnedShare } from './area'
import type { PartJourney } from './journey'
import type { Part, PlanStep } from './piece'

export const factsOf = (part: Omit<Part, 'plan' | 'earlier'>): FinishablePart => ({
  substrate: part.substrate,
  existing: part.existing,
  lead: part.lead,
  use: part.use,
  bleeds: part.bleeds,
  polish: part.polish,
  slips: part.slips,
  foundColour: part.foundColour,
  knots: part.knots ?? undefined,
  areaM2: areaOfPart(part),
  turned: turnedShare(part),
  face: faceFor(part),
  twoSided: isTwoSided(part),
})

/**
 * Steps that a new plan need not ask for again, in the order they were worked: what is behind the part, of its plan and of
 * earlier ones, and what is being worked now, whose clock goes on. Each in the sheen that was noted, where one was.
 */
export function doneOn({ part, steps, done }: Pick<PartJourney, 'part' | 'steps' | 'done'>): PlanStep[] {
  const noted = new Map(done.flatMap(({ step, state }) => (state.coat?.coat.sheen ? [[step.id, state.coat.coat.sheen]] : [])))
  const begun = steps.filter(({ state }) => state.status !== 'waiting').map(({ step }) => step)
  return [...part.earlier, ...begun].map((step) => ({ ...step, sheen: noted.get(step.id) ?? step.sheen }))
}

/** Steps of the plan in force that nobody has begun. */
export const aheadOn = ({ steps }: Pick<PartJourney, 'steps'>): PlanStep[] =>
  steps.filter(({ state }) => state.status === 'waiting').map(({ step }) => step)
