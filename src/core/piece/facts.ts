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
 * earlier ones, and what is being worked now, whose clock goes on.
 */
export const doneOn = ({ part, steps }: Pick<PartJourney, 'part' | 'steps'>): PlanStep[] => [
  ...part.earlier,
  ...steps.filter(({ state }) => state.status !== 'waiting').map(({ step }) => step),
]

/** Steps of the plan in force that nobody has begun. */
export const aheadOn = ({ steps }: Pick<PartJourney, 'steps'>): PlanStep[] =>
  steps.filter(({ state }) => state.status === 'waiting').map(({ step }) => step)
