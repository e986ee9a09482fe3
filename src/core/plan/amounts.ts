/** What steps take from the shelf. Amounts in ml, or g for wax; pure. */
import { getFamily, type FamilyCode } from '../finish/families'
import type { PlannedStep } from '../finish/planFinish'
import type { Shelf } from '../stock/product'

export interface Amount {
  family: FamilyCode
  hex: string | null
  /** the colour's name */
  name: string | null
  /** ml, or g for wax */
  amount: number
}
/** What steps take in all, by product family and colour. */
export function sumAmounts(steps: readonly PlannedStep[]): Amount[] {
  const sums = new Map<string, Amount>()
  for (const { family, colour, amount } of steps) {
    if (family === null || amount === null) continue
    const hex = colour?.hex ?? null
    const key = `${family} ${hex}`
    sums.set(key, { family, hex, name: colour?.name ?? null, amount: (sums.get(key)?.amount ?? 0) + amount })
  }
  return [...sums.values()]
}

/** Families of which the shelf has not enough for these amounts. Cleaners are not reckoned; a mix counts as if all of it were paint. */
export function lackingOn(shelf: Shelf, amounts: readonly Amount[]): FamilyCode[] {
  const needs = new Map<FamilyCode, number>()
  for (const { family, amount } of amounts) needs.set(family, (needs.get(family) ?? 0) + amount)
  return [...needs].flatMap(([family, needed]) =>
    (shelf[family] ?? 0) < needed && getFamily(family).role !== 'cleaner' ? [family] : [],
  )
}

/** What `after` takes more (or, negative, less) than `before`, by product family and colour. */
export function amountDifference(before: readonly PlannedStep[], after: readonly PlannedStep[]): Amount[] {
  const [old, own] = [sumAmounts(before), sumAmounts(after)]
  const alike = (one: Amount) => (other: Amount) => one.family === other.family && one.hex === other.hex
  return [
    ...own.map((each) => ({ ...each, amount: each.amount - (old.find(alike(each))?.amount ?? 0) })),
    ...old.filter((each) => !own.some(alike(each))).map((each) => ({ ...each, amount: -each.amount })),
  ].filter(({ amount }) => amount !== 0)
}
