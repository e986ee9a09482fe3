/** What steps take from the shelf. Amounts in ml, or g for wax; pure. */
import { type FamilyCode, getFamily, isPaint } from '@/core/craft/families'
import { componentsOf } from '@/core/craft/mixes'
import type { PlannedStep } from '@/core/finish/step'

/** How much stands on the shelf of each family and colour, ml or g. */
export type Shelf = readonly { family: FamilyCode; hex: string | null; name: string | null; amount: number }[]

export interface Amount {
  family: FamilyCode
  hex: string | null
  /** the colour's name */
  name: string | null
  /** ml, or g for wax */
  amount: number
}
/**
 * What one step takes of which product: all of its amount where it is used as it comes, else what of a mix comes from a tin; of a
 * shade what of each of its colours.
 * `paint` is the paint that is called so in its mix.
 */
export function materialsOf(step: PlannedStep, paint: FamilyCode | null): Amount[] {
  const parts = step.colour?.parts
  const whole = parts?.reduce((sum, each) => sum + each.parts, 0) ?? 0
  return productsOf(step, paint).flatMap((each) =>
    parts && each.hex !== null
      ? parts.map(({ hex, name, parts: share }) => ({ ...each, hex, name, amount: (each.amount * share) / whole }))
      : [each],
  )
}

/** Of which product how much, a shade as one colour. */
function productsOf({ family, colour, amount, mix }: PlannedStep, paint: FamilyCode | null): Amount[] {
  if (family === null || amount === null) return []
  const components = mix === null ? null : componentsOf(mix, amount, family, paint ?? family)
  if (!components) return [{ family, hex: colour?.hex ?? null, name: colour?.name ?? null, amount }]
  return components.flatMap((each): Amount[] => {
    if (each.family === null) return []
    // the colour is the paint's: a glaze or a wax beside it is as it comes
    const tinted = colour !== null && (isPaint(each.family) || each.family === family) && each.family !== 'glaze'
    return [{ family: each.family, hex: tinted ? colour.hex : null, name: tinted ? colour.name : null, amount: each.amount }]
  })
}

/** What steps take in all, by product family and colour. What a mix calls paint is the paint laid before it. */
export function sumAmounts(steps: readonly PlannedStep[]): Amount[] {
  const sums = new Map<string, Amount>()
  let paint: FamilyCode | null = null
  for (const step of steps) {
    if (step.family !== null && isPaint(step.family)) paint = step.family
    for (const each of materialsOf(step, paint)) {
      const key = `${each.family} ${each.hex}`
      sums.set(key, { ...each, amount: (sums.get(key)?.amount ?? 0) + each.amount })
    }
  }
  return [...sums.values()].map((each) => ({ ...each, amount: Math.round(each.amount * 10) / 10 }))
}

/**
 * What is taken of a shelf, and what is left of each thing on it, in its order. What has a colour is taken of that colour alone, the rest of
 * what is left of its family then. `lacking`: families of which there is not enough. Cleaners are not reckoned.
 */
export function takeFrom(shelf: Shelf, amounts: readonly Amount[]): { left: number[]; lacking: FamilyCode[] } {
  const left = shelf.map(({ amount }) => amount)
  const lacking = new Set<FamilyCode>()
  const inTurn = amounts
    .filter(({ family }) => getFamily(family).role !== 'cleaner')
    .sort((one, other) => Number(one.hex === null) - Number(other.hex === null))
  for (const { family, hex, amount } of inTurn) {
    let wanted = amount
    for (const [k, tin] of shelf.entries()) {
      if (tin.family !== family || (hex !== null && tin.hex !== hex)) continue
      const taken = Math.min(wanted, left[k] as number)
      left[k] = (left[k] as number) - taken
      wanted -= taken
    }
    // a hair of what was summed is nothing
    if (wanted > 1e-6) lacking.add(family)
  }
  return { left, lacking: [...lacking] }
}

/** Families of which the shelf has not enough for these amounts, in the colour where they have one. Cleaners are not reckoned. */
export const lackingOn = (shelf: Shelf, amounts: readonly Amount[]): FamilyCode[] => takeFrom(shelf, amounts).lacking

/** What `after` takes more (or, negative, less) than `before`, by product family and colour. */
export function amountDifference(before: readonly PlannedStep[], after: readonly PlannedStep[]): Amount[] {
  const [old, own] = [sumAmounts(before), sumAmounts(after)]
  const alike = (one: Amount) => (other: Amount) => one.family === other.family && one.hex === other.hex
  return [
    ...own.map((each) => ({ ...each, amount: each.amount - (old.find(alike(each))?.amount ?? 0) })),
    ...old.filter((each) => !own.some(alike(each))).map((each) => ({ ...each, amount: -each.amount })),
  ].filter(({ amount }) => amount !== 0)
}
