/** What a coat or a mix took from the shelf: the tin in hand first, then the others in turn. Amounts in ml or g; pure. */
import { roundMoney } from '@/core/measure/money'
import { type Draw, drawFromLots, type Lot } from './drawFromLots'

export interface Taken {
  draws: Draw[]
  /** minor units; what the tins did not hold is counted at `fallback` */
  cost: number
  /** more than all tins held: one of them was fuller than the log thought */
  shortBy: number
}

/** `fallback`: what the product costs by its label, `price` for `size`. */
export function drawCoat({
  lots,
  chosenId,
  amount,
  fallback,
}: {
  lots: readonly Lot[]
  chosenId: string | null
  amount: number
  fallback: { price: number; size: number }
}): Taken {
  const first = drawFromLots({ lots: lots.filter(({ id }) => id === chosenId), amount })
  const then = drawFromLots({ lots: lots.filter(({ id }) => id !== chosenId), amount: first.shortBy })
  const beyond = roundMoney((fallback.price * then.shortBy) / fallback.size)
  return { draws: [...first.draws, ...then.draws], cost: first.cost + then.cost + beyond, shortBy: then.shortBy }
}
