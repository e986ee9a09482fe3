/** The shelf counted: what was found in a tin, and what that says of what it cost. Amounts in ml or g, money in minor units; pure. */
import type { Instant, LotId } from '@/core/measure/named'
import { costSoFar, type Lot } from './drawFromLots'

export const countReasons = {
  counted: 'counted: the log was off',
  spilled: 'spilled',
  'dried-up': 'dried up, or skinned over',
  frozen: 'frozen, or gone off',
  'given-away': 'given away, or lent',
} as const
export type CountReason = keyof typeof countReasons

/** A tin as the log knew it at the moment it was counted. */
export interface TinThen extends Pick<Lot, 'size' | 'price'> {
  id: LotId
  /** what it held */
  held: number
  /** what all that was taken of it, or is gone, had cost until today */
  spent: number
  /** nothing was taken of it since */
  isLast: boolean
}
/** What is gone of it, and what that had cost; below nothing where more was found than was thought. */
export function countTin(tin: TinThen, found: number): { gone: number; money: number } {
  const gone = Math.round((tin.held - found) * 1000) / 1000
  // who finds a tin empty closes it to the coin
  if (found === 0 && tin.isLast) return { gone, money: tin.price - tin.spent }
  return { gone, money: costSoFar(tin, found) - costSoFar(tin, tin.held) || 0 }
}

/** What was counted, as it is looked back on. */
export interface Count {
  id: string
  at: Instant
  product: string
  unit: 'ml' | 'g'
  code: string | null
  reason: CountReason
  found: number
  gone: number
  money: number
  by: string | null
}
