/** What a coat is likely to be: its amount, mix, tool and tin, from the plan, the mixes made up, and how a like one went. Pure. */
import { type FamilyCode, getFamily, isPaint, unitOf } from '@/core/craft/families'
import { amountBy } from '@/core/craft/label'
import { componentsOf, type NamedColour, shadeMix } from '@/core/craft/mixes'
import { type Sheen, shines } from '@/core/craft/sheen'
import { type Batch, batchesFor, batchesIn, isGood, volumeFor } from '@/core/log/batch'
import { effectiveLog } from '@/core/log/effectiveLog'
import type { Entry } from '@/core/log/entry'
import { findLastLike, type LoggedCoat } from '@/core/log/lastLike'
import type { Film } from '@/core/measure/film'
import { parseMix } from '@/core/measure/mixParts'
import type { EntryId, ProductId, StepId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import type { PlanStep } from '@/core/piece/piece'
import { lotsInTurn, type Product, productFor, type ShelfLot } from '@/core/stock/product'
import { coatsAhead, stepsAhead } from './coatsAhead'

export interface ShelfProduct {
  id: ProductId
  name: string
  family: FamilyCode
  unit: 'ml' | 'g'
  size: number
  hex: string | null
  /** as it says; null where it does not */
  sheen: Sheen | null
  /** what stands on the shelf of it, the one to reach for first */
  lots: ShelfLot[]
}
export interface CoatPlan {
  family: FamilyCode
  amount: number
  unit: 'ml' | 'g'
  mix: string
  applicator: string
  film: Film
  /** as it is planned, else as the tin says; '' where neither does */
  sheen: Sheen | ''
  productId: ProductId
  /** of the coat's own family */
  products: ShelfProduct[]
  /** mixes of this family that can still be used; the one made for this step first */
  batches: Batch[]
  /** the mix it is taken from unless somebody says otherwise; '' for the tin */
  batchId: EntryId
  /** how it is mixed from parts, or keeps for a while only; else null */
  making: MixPlan | null
}
export interface MixPlan {
  /** how much the coats ahead of this piece take while it keeps */
  volume: number
  /** the same for every piece at the bench, where that is more */
  volumeOfAll: number | null
  /** the steps it is made for */
  stepIds: StepId[]
  /** what it is made of */
  mix: string
  /** every product that a component may come from */
  products: ShelfProduct[]
  /** the paint that a mix calls paint */
  paint: FamilyCode
  /** what its components may be called by */
  colours: NamedColour[]
  /** by family: what a component of it is likely taken from */
  likely: Partial<Record<FamilyCode, string>>
}

/** What the coat is planned beside: the shelf, the mixes, and the coats that were logged before. */
export interface CoatContext {
  products: readonly Product[]
  lots: readonly ShelfLot[]
  batches: readonly Batch[]
  /** those of this piece first, then every piece that one mix may serve */
  journeys: readonly Journey[]
  coats: readonly LoggedCoat[]
  nowMs: number
}

const onShelf = ({ id, name, family, unit, size, colourHex: hex, sheen }: Product, lots: readonly ShelfLot[]): ShelfProduct => ({
  id,
  name,
  family,
  unit,
  size,
  hex,
  sheen: sheen ?? null,
  lots: lotsInTurn(lots, id),
})

/** The plan of a step's coat with what this device has mixed since it was made: what was mixed for it is what it takes. */
export function withMixes(plan: CoatPlan, stepId: StepId, written: readonly Entry[], nowMs: number): CoatPlan {
  const known = new Set(plan.batches.map(({ id }) => id))
  const own = batchesIn([{ log: effectiveLog(written), climate: [] }]).filter(
    (batch) => batch.stepIds.includes(stepId) && batch.family === plan.family && !known.has(batch.id) && isGood(batch, nowMs),
  )
  return { ...plan, batches: [...own, ...plan.batches], batchId: own[0]?.id ?? plan.batchId }
}

export function coatPlanOf(
  step: PlanStep,
  journey: Pick<Journey, 'file' | 'parts' | 'ending'>,
  paint: FamilyCode | null,
  { products, lots, batches, journeys, coats, nowMs }: CoatContext,
): CoatPlan | null {
  const { family, operation } = step
  if (!family || step.amount === null) return null
  const hex = step.colour?.hex ?? null
  const fitting = products.filter(
    (product) => product.family === family && (hex === null || product.colourHex === hex) && shines(product, step.sheen),
  )
  const last = findLastLike(coats, { operation, family, productIds: new Set(fitting.map(({ id }) => id)) })
  const usual = productFor(products, family, hex, step.sheen)
  const shade = step.colour?.parts
  // a shade is mixed of its colours, unless it stands on the shelf ready mixed; then its tin says of what
  const mix = shade && !usual?.colourHex ? shadeMix(shade, step.mix) : (step.mix ?? last?.mix ?? '')
  const formula = shade ? shadeMix(shade, step.mix) : (usual?.formula ?? mix)
  const productId = fitting.find(({ id }) => id === last?.productId)?.id ?? usual?.id ?? ''
  const { all, own } = batchesFor(batches, { id: step.id, family, mix, productId: productId || null }, nowMs)
  const mixed = parseMix(formula) !== null || getFamily(family).potLife !== undefined
  return {
    family,
    amount: Math.round(amountBy(step.amount, family, products.find(({ id }) => id === productId)?.label ?? null) * 10) / 10,
    unit: usual?.unit ?? unitOf(family),
    mix,
    applicator: last?.applicator ?? step.applicator ?? '',
    film: step.film,
    sheen: step.sheen ?? products.find(({ id }) => id === productId)?.sheen ?? '',
    productId,
    products: products.filter((product) => product.family === family).map((product) => onShelf(product, lots)),
    batches: all,
    batchId: own?.id ?? '',
    making: mixed ? makingOf() : null,
  }

  function makingOf(): MixPlan {
    const paintFamily = paint ?? (family && isPaint(family) ? family : 'chalk-style')
    const colours = [
      ...(shade ?? []),
      ...products.flatMap(({ family: own, colourName: name, colourHex }) =>
        own === paintFamily && name !== null && colourHex !== null ? [{ name, hex: colourHex }] : [],
      ),
    ].map(({ name, hex: value }) => ({ name, hex: value }))
    const wanted = new Set<FamilyCode>([
      family as FamilyCode,
      paintFamily,
      ...(componentsOf(formula, 1, family as FamilyCode, paintFamily, colours) ?? []).flatMap((each) => each.family ?? []),
    ])
    const volume = Math.ceil(volumeFor(family as FamilyCode, coatsAhead([journey], step)))
    const ofAll = Math.ceil(volumeFor(family as FamilyCode, coatsAhead(journeys, step)))
    return {
      volume,
      volumeOfAll: ofAll > volume ? ofAll : null,
      stepIds: stepsAhead([journey], step),
      products: products.filter((product) => wanted.has(product.family)).map((product) => onShelf(product, lots)),
      paint: paintFamily,
      mix: formula,
      colours,
      likely: Object.fromEntries(
        [...wanted].map((code) => [code, code === family ? productId : (productFor(products, code, hex)?.id ?? '')]),
      ),
    }
  }
}
