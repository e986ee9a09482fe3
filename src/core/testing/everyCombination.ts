/**
 * Every combination of substrate × existing finish × look × paint × use that the tables know, for tests: planned, checked,
 * and where it is refused the nearest wish planned too.
 */
import { paintCodes } from '@/core/craft/families'
import { lookCodes } from '@/core/craft/looks'
import { codesOf, existingFinishes, type SubstrateCode, substrates, uses } from '@/core/craft/parts'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { planFinish } from '@/core/plan/planFinish'
import { checkStack } from '@/core/stack/checkStack'

const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const pale = { name: 'Salt Ledger', hex: '#f1ece0' }

export interface Tried {
  plans: number
  refusals: number
  /** plans that would not hold, and refusals whose nearest can't be had */
  broken: string[]
}

/** The substrates in two halves: each half is a test file of its own, so that two processors share them. */
export const halves = ((all) => [all.filter((_, k) => k % 2 === 0), all.filter((_, k) => k % 2 === 1)] as const)(
  codesOf(substrates),
)

export function tryEverythingOn(some: readonly SubstrateCode[]): Tried {
  let [plans, refusals] = [0, 0]
  const broken: string[] = []
  for (const substrate of some)
    for (const existing of codesOf(existingFinishes))
      for (const look of lookCodes)
        for (const paint of paintCodes)
          for (const use of codesOf(uses)) {
            // every other combination may hold lead, so that both halves see every pair of tables
            const lead = (['unlikely', 'suspected', 'unlikely', 'unknown'] as const)[(plans + refusals) % 4] ?? 'unknown'
            const part: FinishablePart = { substrate, existing, lead, use, areaM2: 1.2 }
            const wish: FinishWish = { look, paint, colours: { a: slate, b: pale } }
            const outcome = planFinish(part, wish)
            if ('refusal' in outcome) {
              refusals += 1
              // the nearest wish is one that can be had
              const { nearest } = outcome.refusal
              if (nearest && 'refusal' in planFinish(part, { ...wish, ...nearest }))
                broken.push(`nearest of ${look} ${paint} ${substrate} ${use}`)
              continue
            }
            plans += 1
            const first = checkStack({ part, wish, acts: outcome.plan.steps }).find(({ severity }) => severity !== 'advice')
            if (first) broken.push(`${first.code}: ${substrate} ${existing} ${look} ${paint} ${use} ${lead}`)
          }
  return { plans, refusals, broken }
}
