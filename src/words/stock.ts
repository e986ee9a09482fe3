/** Tins and mixes, in words. */
import type { CoatPlan } from '@/core/bench/coatPlan'
import { getFamily } from '@/core/craft/families'
import type { CoatText } from '@/core/input/entry'
import type { Batch } from '@/core/log/batch'
import type { CoatFigures } from '@/core/log/entry'
import { formatVolume, type UnitSystem } from '@/core/measure/length'
import type { ShelfLot } from '@/core/stock/product'
import { momentWords } from './time'

/** "Tin 4417, 310 ml left" */
export const lotWords = ({ code, remaining, openedAt }: ShelfLot, unit: string): string =>
  `${code ? `Tin ${code}` : 'A tin'}, ${Math.round(remaining)} ${unit} left${openedAt ? '' : ', not opened'}`

/** "paint : water 1 : 1, 180 ml left, good until 14:20" */
export const batchWords = ({ mix, left, unit, goodUntil, madeAt }: Batch, zone: string, nowMs: number): string =>
  [
    mix,
    `mixed ${momentWords(madeAt, zone, nowMs)}`,
    `${Math.round(left)} ${unit} left`,
    goodUntil && `good until ${momentWords(goodUntil, zone, nowMs)}`,
  ]
    .filter(Boolean)
    .join(', ')

/** "Ferry Slate, clay paint, from the mix paint : water 1 : 1, bristle brush": a coat as it is about to be written down. */
export function coatWords(said: Partial<CoatText>, plan: CoatPlan): string {
  const batch = plan.batches.find(({ id }) => id === said.batchId)
  const product = plan.products.find(({ id }) => id === said.productId)
  const lot = product?.lots.find(({ id }) => id === said.lotId)
  return [
    product?.name ?? getFamily(plan.family).words,
    batch ? `from the mix ${batch.mix}` : product ? (lot?.code ? `from tin ${lot.code}` : 'from the tin') : 'not from the shelf',
    batch ? null : said.mix,
    said.applicator,
    said.film === 'normal' ? null : `${said.film} film`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** "clay paint, 80 ml, paint : water 1 : 1, bristle brush": a coat as a record tells it. */
export const laidWords = ({ family, amount, unit, mix, applicator, film, place }: CoatFigures, units: UnitSystem): string =>
  [
    getFamily(family).words,
    unit === 'g' ? `${amount} g` : formatVolume(amount, units),
    mix,
    applicator,
    film === 'normal' ? null : `${film} film`,
    place,
  ]
    .filter(Boolean)
    .join(', ')
