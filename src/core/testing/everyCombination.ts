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

const leads = ['unlikely', 'suspected', 'unknown'] as const

export function tryEverythingOn(some: readonly SubstrateCode[]): Tried {
  const tried: Tried = { plans: 0, refusals: 0, broken: [] }
  const all = codesOf(substrates)
  for (const substrate of some)
    for (const [e, existing] of codesOf(existingFinishes).entries())
      for (const [u, use] of codesOf(uses).entries()) {
        // each material, finish and use meets every lead
        const lead = leads[(all.indexOf(substrate) + e + u) % leads.length] ?? 'unknown'
        tryEveryFinish({ substrate, existing, lead, use, areaM2: 1.2 }, tried)
      }
  return tried
}

/** Every look in every paint on one part; what is named as nearest to a refused one is among them, or planned once more. */
function tryEveryFinish(part: FinishablePart, tried: Tried) {
  const wishes = lookCodes.flatMap((look) =>
    paintCodes.map((paint): FinishWish => ({ look, paint, colours: { a: slate, b: pale } })),
  )
  const nameOf = (wish: Partial<FinishWish>) => JSON.stringify([wish.look, wish.paint])
  const held = new Set<string>()
  const nearest = new Map<string, FinishWish>()
  for (const wish of wishes) {
    const outcome = planFinish(part, wish)
    const where = `${part.substrate} ${part.existing} ${wish.look} ${wish.paint} ${part.use} ${part.lead}`
    if ('refusal' in outcome) {
      tried.refusals += 1
      if (outcome.refusal.nearest) nearest.set(where, { ...wish, ...outcome.refusal.nearest })
      continue
    }
    tried.plans += 1
    held.add(nameOf(wish))
    const first = checkStack({ part, wish, acts: outcome.plan.steps }).find(({ severity }) => severity !== 'advice')
    if (first) tried.broken.push(`${first.code}: ${where}`)
  }
  const plain = Object.keys(wishes[0] ?? {}).length
  for (const [where, wish] of nearest) {
    const can = Object.keys(wish).length === plain ? held.has(nameOf(wish)) : !('refusal' in planFinish(part, wish))
    if (!can) tried.broken.push(`nearest of ${where}`)
  }
}
