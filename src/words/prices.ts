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

/** By what it is known what a piece brings. */
export const bringsWords = {
  said: 'as you say',
  'like-pieces': 'as like pieces brought',
  'rate-card': 'by the rate card',
} as const

/** A chance as so many of twenty; `few`: less than one of them. */
export function ofTwenty(share: number): number | 'few' | 'none' {
  const count = Math.round(share * 20)
  return count > 0 ? count : share > 0.005 ? 'few' : 'none'
}
