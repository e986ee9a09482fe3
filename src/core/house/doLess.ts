/**
 * What a piece could do without: steps that its look can miss, and quicker looks and topcoats that hold. Each with the hours and the money it
 * saves, and what an hour earns then. Money in minor units; pure.
 */
import { getFamily } from '@/core/craft/families'
import { lookCodes } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { OperationCode } from '@/core/craft/operations'
import { getTopcoat, topcoatCodes } from '@/core/craft/topcoats'
import type { PlannedStep } from '@/core/finish/step'
import type { FinishWish } from '@/core/finish/wish'
import { roundMoney } from '@/core/measure/money'
import type { PartId } from '@/core/measure/named'
import { aheadOn, doneOn, factsOf } from '@/core/piece/facts'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { Change } from '@/core/plan/alternatives'
import { replan } from '@/core/plan/replan'
import { costOfStep, type PartCosts } from './quoteDraft'

export type Lesser = { kind: 'without'; operation: OperationCode; steps: number } | Extract<Change, { kind: 'look' | 'seal' }>
export interface Less {
  partId: PartId
  part: string
  change: Lesser
  /** of hands */
  minutes: number
  /** what is laid and used up */
  material: number
  /** hands at the house's rate, and material: it pays to leave it unless it brings that much more */
  saved: number
  /** what an hour earns then, at the price that it is taken to bring; null where nobody knows that, or no hours are left */
  earned: number | null
}
/** `net`: what is kept of that price, all costs paid; null where nobody knows. */
interface Around extends PartCosts {
  method: HouseMethod
  net: number | null
  hours: number
}

/** The most saving first, at most `most`; nothing that saves neither hours nor money. */
export function doLess(journey: Journey, around: Around, most = 8): Less[] {
  // what has no price would seem to cost nothing
  const isPriced = ({ after }: Way) =>
    after.every(({ family }) => family === null || around.unitPrice[family] !== undefined || getFamily(family).role === 'cleaner')
  return journey.parts
    .flatMap((part) =>
      [...withoutSteps(part), ...quicker(part, around.method)].filter(isPriced).map((way) => lessOf(part, way, around)),
    )
    .filter(({ saved, minutes }) => saved > 0 && minutes >= 0)
    .sort((one, other) => other.saved - one.saved)
    .slice(0, most)
}

interface Way {
  change: Lesser
  before: readonly PlannedStep[]
  after: readonly PlannedStep[]
}
/** Steps ahead that the finish can miss, by what is done. */
function withoutSteps(part: PartJourney): Way[] {
  const ahead = aheadOn(part)
  const can = new Set(ahead.filter(({ needed, own }) => !needed && own === undefined).map(({ operation }) => operation))
  return [...can].map((operation) => {
    const after = ahead.filter((step) => step.operation !== operation || step.needed || step.own !== undefined)
    return { change: { kind: 'without', operation, steps: ahead.length - after.length }, before: ahead, after }
  })
}
/** Looks and topcoats that ask for less of what is still ahead, and hold on what lies there. */
function quicker(journey: PartJourney, method: HouseMethod): Way[] {
  const { part } = journey
  const { plan } = part
  if (!plan || plan.care) return []
  const facts = factsOf(part)
  const done = doneOn(journey)
  const ahead = aheadOn(journey)
  if (ahead.length === 0) return []
  const wish: FinishWish = { ...plan, seal: plan.seal ?? undefined }
  const tried: [Extract<Change, { kind: 'look' | 'seal' }>, FinishWish][] = [
    ...topcoatCodes
      .filter((to) => to !== plan.seal && getTopcoat(to).uses.includes(part.use))
      .map((to) => [{ kind: 'seal', to } as const, { ...wish, seal: to }] as [Extract<Change, { kind: 'seal' }>, FinishWish]),
    ...lookCodes
      .filter((to) => to !== plan.look)
      .map(
        (to) =>
          [{ kind: 'look', to } as const, { ...wish, look: to, with: [], touches: undefined }] as [
            Extract<Change, { kind: 'look' }>,
            FinishWish,
          ],
      ),
  ]
  const minutes = minutesOf(ahead)
  return tried.flatMap(([change, other]): Way[] => {
    const outcome = replan(facts, other, done, method)
    return 'steps' in outcome && minutesOf(outcome.steps) < minutes ? [{ change, before: ahead, after: outcome.steps }] : []
  })
}
const minutesOf = (steps: readonly PlannedStep[]): number => steps.reduce((sum, step) => sum + step.minutes, 0)

function lessOf({ part }: PartJourney, { change, before, after }: Way, around: Around): Less {
  const costOf = (steps: readonly PlannedStep[]) => steps.reduce((sum, step) => sum + costOfStep(step, part, around), 0)
  const minutes = minutesOf(before) - minutesOf(after)
  const saved = roundMoney(costOf(before) - costOf(after))
  const material = saved - roundMoney((minutes / 60) * around.terms.hourRate)
  const hours = around.hours - minutes / 60
  const earned = around.net !== null && hours > 0.05 ? roundMoney((around.net + material) / hours) : null
  return { partId: part.id, part: part.name, change, minutes, material, saved, earned }
}
