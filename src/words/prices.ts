/** What prices go by, in words. */
import type { Studio } from '@/core/house/studio'
import { formatNumber } from '@/core/measure/number'

/** What a house wishes a piece to earn. */
export function wishSentence(studio: Studio, money: (minor: number) => string): string {
  const { wish } = studio
  if ('earnedRate' in wish) return `${money(wish.earnedRate)} earned an hour`
  if ('margin' in wish) return `${formatNumber(wish.margin * 100, studio, 1)} % of the price, every hour paid`
  return `${money(wish.profit)} on the piece, every hour paid`
}
