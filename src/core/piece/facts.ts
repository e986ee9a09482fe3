/** A part as the planner sees it: its facts, and what the log says has been done on it. */
import type { FinishablePart } from '../finish/planFinish'
import { areaOfPart } from './area'
import type { PartJourney } from './journey'
import type { Part, PlanStep } from './piece'

export const factsOf = (part: Omit<Part, 'plan' | 'earlier'>): FinishablePart => ({
  substrate: part.substrate,
  existing: part.existing,
  lead: part.lead,
  use: part.use,
  bleeds: part.bleeds,
  knots: part.knots ?? undefined,
  areaM2: areaOfPart(part),
})

/** Steps that are behind a part, of its plan and of earlier ones, in the order they were worked. */
export const doneOn = ({ part, steps }: Pick<PartJourney, 'part' | 'steps'>): PlanStep[] => [
  ...part.earlier,
  ...steps.filter(({ state }) => state.status === 'done' || state.status === 'left-out').map(({ step }) => step),
]
