/** Tins and mixes, in words. */
import type { CoatPlan } from '@/core/bench/coatPlan'
import { getFamily } from '@/core/craft/families'
import { sheens } from '@/core/craft/sheen'
import type { CoatText } from '@/core/input/entry'
import type { House } from '@/core/input/fields'
import type { Batch } from '@/core/log/batch'
import type { CoatFigures } from '@/core/log/figures'
import { type AmountUnit, formatAmount } from '@/core/measure/amount'
import type { Measuring } from '@/core/measure/units'
import type { ShelfLot } from '@/core/stock/product'
import { momentWords } from './time'

/** "Tin 4417, 310 ml left" */
export const lotWords = ({ code, remaining, openedAt }: ShelfLot, unit: AmountUnit, house: Measuring): string =>
  `${code ? `Tin ${code}` : 'A tin'}, ${formatAmount(remaining, unit, house)} left${openedAt ? '' : ', not opened'}`

/** "paint : water 1 : 1, 180 ml left, good until 14:20" */
export const batchWords = ({ mix, left, unit, goodUntil, madeAt }: Batch, house: House, nowMs: number): string =>
  [
    mix,
    `mixed ${momentWords(madeAt, house, nowMs)}`,
    `${formatAmount(left, unit, house)} left`,
    goodUntil && `good until ${momentWords(goodUntil, house, nowMs)}`,
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
    said.sheen ? sheens[said.sheen] : null,
  ]
    .filter(Boolean)
    .join(', ')
}

/** "clay paint, 80 ml, paint : water 1 : 1, bristle brush": a coat as a record tells it. */
export const laidWords = ({ family, amount, unit, mix, applicator, film, sheen, place }: CoatFigures, house: Measuring): string =>
  [
    getFamily(family).words,
    formatAmount(amount, unit, house),
    mix,
    applicator,
    film === 'normal' ? null : `${film} film`,
    sheen && sheens[sheen],
    place,
  ]
    .filter(Boolean)
    .join(', ')

/** How far a colour is from the one that was wanted, as the eye has it. */
export const nearWords = (distance: number): string =>
  ([
    [0.005, 'the very colour'],
    [0.03, 'hardly told apart from it'],
    [0.1, 'near it'],
  ].find(([within]) => distance <= (within as number))?.[1] as string | undefined) ?? 'another colour'
