/** What steps take from the shelf. Amounts in ml, or g for wax; pure. */
import { type FamilyCode, getFamily, isPaint } from '@/core/craft/families'
import { componentsOf } from '@/core/craft/mixes'
import type { Sheen } from '@/core/craft/sheen'
import type { PlannedStep } from '@/core/finish/step'

/** How much stands on the shelf of each family and colour, ml or g. */
export type Shelf = readonly {
  family: FamilyCode
  hex: string | null
  name: string | null
  /** as its tin says; absent or null where it does not */
  sheen?: Sheen | null | undefined
  amount: number
}[]

export interface Amount {
  family: FamilyCode
  hex: string | null
  /** the colour's name */
  name: string | null
  /** the sheen that its tin is to have; any unless given */
  sheen?: Sheen | undefined
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
function productsOf({ family, colour, amount, mix, sheen }: PlannedStep, paint: FamilyCode | null): Amount[] {
  if (family === null || amount === null) return []
  const components = mix === null ? null : componentsOf(mix, amount, family, paint ?? family)
  const shining = (code: FamilyCode) => (sheen && code === family ? { sheen } : {})
  if (!components) return [{ family, hex: colour?.hex ?? null, name: colour?.name ?? null, ...shining(family), amount }]
  return components.flatMap((each): Amount[] => {
    if (each.family === null) return []
    // the colour is the paint's: a glaze or a wax beside it is as it comes
    const tinted = colour !== null && (isPaint(each.family) || each.family === family) && each.family !== 'glaze'
    return [
      {
        ...{ family: each.family, hex: tinted ? colour.hex : null, name: tinted ? colour.name : null },
        ...shining(each.family),
        amount: each.amount,
      },
    ]
  })
}

/** One product: what has its own colour or sheen is another. */
export const productKey = ({ family, hex, sheen }: Pick<Amount, 'family' | 'hex' | 'sheen'>): string =>
  `${family} ${hex} ${sheen ?? ''}`

/** What steps take in all, by product family and colour. What a mix calls paint is the paint laid before it. */
export function sumAmounts(steps: readonly PlannedStep[]): Amount[] {
  const sums = new Map<string, Amount>()
  let paint: FamilyCode | null = null
  for (const step of steps) {
    if (step.family !== null && isPaint(step.family)) paint = step.family
    for (const each of materialsOf(step, paint)) {
      const key = productKey(each)
      sums.set(key, { ...each, amount: (sums.get(key)?.amount ?? 0) + each.amount })
    }
  }
  return [...sums.values()].map((each) => ({ ...each, amount: Math.round(each.amount * 10) / 10 }))
}

/** What asks for most is served first: of its own colour and sheen, then of its colour, its sheen, anything. */
const asks = ({ hex, sheen }: Pick<Amount, 'hex' | 'sheen'>) => (hex === null ? 0 : 2) + (sheen === undefined ? 0 : 1)
export const mostAskedFirst = <N extends Pick<Amount, 'hex' | 'sheen'>>(needs: readonly N[]): N[] =>
  [...needs].sort((one, other) => asks(other) - asks(one))
/** Takes as much as there is of what serves a need; a tin that says its sheen before one that says none. `left`: of each, in the shelf's order; it is taken of. */
export function serve(shelf: Shelf, left: number[], need: Pick<Amount, 'family' | 'hex' | 'sheen'>, wanted: number): number {
  let taken = 0
  const serves = (sheens: readonly unknown[]) => {
    for (const [k, tin] of shelf.entries()) {
      if (tin.family !== need.family || (need.hex !== null && tin.hex !== need.hex)) continue
      if (need.sheen && !sheens.includes(tin.sheen ?? null)) continue
      const here = Math.min(wanted - taken, left[k] as number)
      left[k] = (left[k] as number) - here
      taken += here
    }
  }
  serves([need.sheen])
  if (need.sheen) serves([null])
  return taken
}

/**
 * What is taken of a shelf, and what is left of each thing on it, in its order. What has a colour or a sheen is taken of that alone, the
 * rest of what is left of its family then. `lacking`: families of which there is not enough. Cleaners are not reckoned.
 */
export function takeFrom(shelf: Shelf, amounts: readonly Amount[]): { left: number[]; lacking: FamilyCode[] } {
  const left = shelf.map(({ amount }) => amount)
  const lacking = new Set<FamilyCode>()
  for (const need of mostAskedFirst(amounts.filter(({ family }) => getFamily(family).role !== 'cleaner')))
    // a hair of what was summed is nothing
    if (need.amount - serve(shelf, left, need, need.amount) > 1e-6) lacking.add(need.family)
  return { left, lacking: [...lacking] }
}

/** Families of which the shelf has not enough for these amounts, in the colour where they have one. Cleaners are not reckoned. */
export const lackingOn = (shelf: Shelf, amounts: readonly Amount[]): FamilyCode[] => takeFrom(shelf, amounts).lacking

/** What `after` takes more (or, negative, less) than `before`, by product family and colour. */
export function amountDifference(before: readonly PlannedStep[], after: readonly PlannedStep[]): Amount[] {
  const [old, own] = [sumAmounts(before), sumAmounts(after)]
  const alike = (one: Amount) => (other: Amount) => productKey(one) === productKey(other)
  return [
    ...own.map((each) => ({ ...each, amount: each.amount - (old.find(alike(each))?.amount ?? 0) })),
    ...old.filter((each) => !own.some(alike(each))).map((each) => ({ ...each, amount: -each.amount })),
  ].filter(({ amount }) => amount !== 0)
}
