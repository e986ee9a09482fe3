/** What a draw takes from which lot, and costs. Amounts in ml or g, money in minor units; pure. */
import { roundMoney } from '@/core/measure/money'
import type { Instant, LotId } from '@/core/measure/named'

export interface Lot {
  id: LotId
  size: number
  remaining: number
  price: number
  openedAt: Instant | null
  boughtAt: Instant
}
export interface Draw {
  lot: string
  amount: number
  cost: number
}

/** What a lot has cost when `remaining` is left of it: the draws of a lot sum to its price. */
export const costSoFar = ({ price, size }: Pick<Lot, 'price' | 'size'>, remaining: number) =>
  roundMoney((price * (size - remaining)) / size)

/** Opened lots first, the earliest opened before; then unopened, the earliest bought before; ties by id. */
export const compareLots = (a: Lot, b: Lot): number => {
  if ((a.openedAt === null) !== (b.openedAt === null)) return a.openedAt === null ? 1 : -1
  const [one, other] = a.openedAt !== null && b.openedAt !== null ? [a.openedAt, b.openedAt] : [a.boughtAt, b.boughtAt]
  return one.localeCompare(other) || a.id.localeCompare(b.id)
}

/** Draws `amount`; all there is where that is too little, and then `shortBy` says by how much. */
export function drawFromLots({ lots, amount }: { lots: readonly Lot[]; amount: number }): {
  draws: Draw[]
  cost: number
  shortBy: number
} {
  const draws: Draw[] = []
  let left = amount
  for (const lot of [...lots].sort(compareLots)) {
    const taken = Math.min(left, lot.remaining)
    if (taken <= 0) continue
    draws.push({ lot: lot.id, amount: taken, cost: costSoFar(lot, lot.remaining - taken) - costSoFar(lot, lot.remaining) })
    left -= taken
  }
  return { draws, cost: draws.reduce((sum, { cost }) => sum + cost, 0), shortBy: left }
}
