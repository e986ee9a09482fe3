/** The offer that a piece's plan makes: its price shared out over its parts by what each costs, how each will look. Money in minor units; pure. */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import type { HouseMethod } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { sheens } from '@/core/craft/sheen'
import { getTopcoat, type TopcoatCode, topcoatCodes } from '@/core/craft/topcoats'
import { findRefusal } from '@/core/finish/refusals'
import type { PlannedStep } from '@/core/finish/step'
import { chooseTopcoat, sheensWith } from '@/core/finish/topcoat'
import type { FinishablePart } from '@/core/finish/wish'
import type { PartId } from '@/core/measure/named'
import { factsOf } from '@/core/piece/facts'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { PricingTerms } from '@/core/piece/ledger'
import type { Part } from '@/core/piece/piece'
import { gathered, sectionOf } from '@/core/piece/section'
import { usedUpCost } from '@/core/piece/usedUp'
import { materialsOf } from '@/core/plan/amounts'
import { replan } from '@/core/plan/replan'
import { type OfferChoice, type OfferSection, shareOut } from '@/core/price/offer'

export interface PartCosts {
  terms: Pick<PricingTerms, 'hourRate' | 'consumables'>
  unitPrice: Partial<Record<FamilyCode, number>>
}
/** A step: hands, what is laid, what is used up. */
export function costOfStep(step: PlannedStep, part: Part, { terms, unitPrice }: PartCosts): number {
  const laid = materialsOf(step, part.plan?.paint ?? null).reduce(
    (money, { family, amount }) => money + amount * (unitPrice[family] ?? 0),
    0,
  )
  const used = terms.consumables ? usedUpCost(step, part, terms.consumables) : 0
  return (step.minutes / 60) * terms.hourRate + laid + used
}
/** What a part's whole plan costs, behind and ahead. It weighs; nobody pays by it. */
export const costOfPart = ({ part, steps }: Pick<PartJourney, 'part' | 'steps'>, around: PartCosts): number =>
  steps.filter(({ state }) => state.status !== 'left-out').reduce((sum, { step }) => sum + costOfStep(step, part, around), 0)

export interface DraftLine {
  partId: PartId
  words: string
  /** what lies on top; null where nothing does */
  protection: string | null
  money: number
}
/** A line a part, which come to the price; the work around the paint is borne by all. `step`: what prices are rounded to. */
export function draftLines(journey: Journey, price: number, step: number, around: PartCosts): DraftLine[] {
  const shares = shareOut(
    price,
    journey.parts.map((part) => costOfPart(part, around)),
    step,
  )
  return journey.parts.map(({ part, steps }, index) => ({
    partId: part.id,
    words: part.count > 1 ? `${part.count} × ${part.name}` : part.name,
    protection: protectionOf(steps.filter(({ state }) => state.status !== 'left-out').map(({ step }) => step)),
    money: shares[index] ?? 0,
  }))
}
/** Each part as it shall be: kept with the offer, so that it is drawn as it was offered. */
export const draftSections = (parts: readonly PartJourney[]): OfferSection[] =>
  parts.map((journey) => {
    const { substrate, layers } = sectionOf(journey)
    return {
      part: journey.part.name,
      wood: substrate.wood,
      layers: gathered(layers, (one, other) => one.kind === other.kind && one.tone === other.tone).map(
        ({ layer: { kind, tone }, count }) => ({ kind, tone, count }),
      ),
    }
  })

/** What lies on top for protection; null where nothing does. */
function protectionOf(steps: readonly PlannedStep[]): string | null {
  const last = steps.findLast(({ operation, family }) => {
    const { layer } = getOperation(operation)
    return family !== null && (layer === 'clear' || layer === 'wax' || layer === 'oil')
  })
  return last?.family ? getFamily(last.family).words : null
}

/** The same part protected another way: what it costs more, at the price's own measure. */
export interface OtherWay {
  partId: PartId
  /** as it is planned first */
  ways: Pick<OfferChoice, 'words' | 'extra' | 'plans'>[]
}
/** In what else a part's topcoat is made: a tin of it costs as much, so a client may choose. As it is planned first. */
export function otherSheens(journey: Journey, method: HouseMethod): OtherWay[] {
  return journey.parts.flatMap(({ part }): OtherWay[] => {
    const { plan } = part
    if (!plan || plan.care) return []
    const facts = factsOf(part)
    const wish = { ...plan, seal: plan.seal ?? undefined }
    if (findRefusal(facts, wish)) return []
    const planned = { ...wish, seal: chooseTopcoat(facts, wish, { ...method, ...plan.departures }) }
    const had = sheensWith(planned.seal, planned)
    const [usual] = plan.sheen ? [plan.sheen] : had
    const others = had.filter((sheen) => sheen !== usual)
    if (!usual || others.length === 0) return []
    return [
      {
        partId: part.id,
        ways: [usual, ...others].map((sheen) => ({ words: sheens[sheen], extra: 0, plans: { partId: part.id, sheen } })),
      },
    ]
  })
}
/** Plans of a part by its topcoat, as long as the part stands as it is: each is the same however often it is made. */
const planned = new WeakMap<Part, Map<string, readonly PlannedStep[] | null>>()
function stepsWith(
  part: Part,
  facts: FinishablePart,
  method: HouseMethod,
  seal: TopcoatCode | undefined,
): readonly PlannedStep[] | null {
  const { plan } = part
  if (!plan) return null
  const known = planned.get(part) ?? new Map<string, readonly PlannedStep[] | null>()
  planned.set(part, known)
  const key = JSON.stringify([seal, method])
  const before = known.get(key)
  if (before !== undefined) return before
  const outcome = replan(facts, { ...plan, seal }, [], method)
  const steps = 'steps' in outcome ? outcome.steps : null
  known.set(key, steps)
  return steps
}
/** How each painted part may be protected instead, of what suits its use, each by its own plan; parts with one way alone are left out. */
export function otherWays(
  journey: Journey,
  price: number,
  step: number,
  around: PartCosts & { method: HouseMethod },
): OtherWay[] {
  const all = journey.parts.reduce((sum, part) => sum + costOfPart(part, around), 0)
  if (all <= 0) return []
  return journey.parts.flatMap(({ part }): OtherWay[] => {
    const { plan } = part
    if (!plan || plan.care) return []
    const facts = factsOf(part)
    const method = { ...around.method, ...plan.departures }
    const planWith = (seal: TopcoatCode | undefined) => {
      const steps = stepsWith(part, facts, method, seal)
      if (!steps) return null
      const cost = steps.reduce((sum, each) => sum + costOfStep(each, part, around), 0)
      return { cost, words: protectionOf(steps) }
    }
    const wish = { ...plan, seal: plan.seal ?? undefined }
    const usual = planWith(wish.seal)
    if (!usual?.words) return []
    const plansOf = (seal: TopcoatCode) => ({ partId: part.id, seal })
    const known = new Set([usual.words])
    const others = topcoatCodes.flatMap((code) => {
      const other = getTopcoat(code).uses.includes(part.use) ? planWith(code) : null
      if (!other?.words || known.has(other.words)) return []
      known.add(other.words)
      const extra = Math.round((((other.cost - usual.cost) / all) * price) / step) * step || 0
      return [{ words: other.words, extra, plans: plansOf(code) }]
    })
    if (others.length === 0) return []
    const asPlanned = { words: usual.words, extra: 0, plans: plansOf(chooseTopcoat(facts, wish, method)) }
    return [{ partId: part.id, ways: [asPlanned, ...others.sort((one, other) => one.extra - other.extra)] }]
  })
}
