/** What like pieces brought: own sales, the more alike and the later the more they count. Money in minor units; pure. */
import type { Sold } from './sold'

export interface Alike {
  article: string | null
  areaM2: number
  looks: readonly string[]
}
export interface LikePiece extends Sold {
  /** 0 to 1 */
  weight: number
}
export interface LikePrices {
  pieces: LikePiece[]
  /** weighted: half of them brought at most so much; and the least and the most */
  middle: number
  low: number
  high: number
  /** how what they brought scatters about the middle, in logarithms */
  scatter: number
}

/** an article of another kind counts so much, and one of its kind that has no size */
const otherArticle = 0.15
const sameLook = 1.5
/** what was sold so long ago counts half */
const halfLifeDays = 540
const dayMs = 86_400_000
/** less alike than this is not alike */
const leastWeight = 0.12
const mostShown = 6
/** what practice says of how prices scatter, worth so many pieces */
export const usualScatter = 0.3
const usualWorth = 2

function weightOf(piece: Alike, sold: Sold, nowMs: number): number {
  const isSame = piece.article !== null && piece.article === sold.article
  const isSized = piece.areaM2 > 0 && sold.areaM2 > 0
  const size = isSized ? Math.exp(-Math.abs(Math.log(piece.areaM2 / sold.areaM2)) * 1.2) : 0.5
  const look = piece.looks.some((each) => sold.looks.includes(each)) ? sameLook : 1
  const age = 0.5 ** (Math.max(0, nowMs - Date.parse(sold.at)) / dayMs / halfLifeDays)
  return Math.min(1, (isSame ? 1 : otherArticle) * size * look * age)
}

function scatterAbout(middle: number, pieces: readonly LikePiece[]): number {
  const known = pieces.filter(({ price }) => price > 0 && middle > 0)
  const worth = known.reduce((sum, { weight }) => sum + weight, usualWorth)
  const squares = known.reduce(
    (sum, { price, weight }) => sum + weight * Math.log(price / middle) ** 2,
    usualWorth * usualScatter ** 2,
  )
  return Math.sqrt(squares / worth)
}

/** Null where nothing like it was ever sold. */
export function likePrices(piece: Alike, sold: readonly Sold[], nowMs: number): LikePrices | null {
  const pieces = sold
    .map((each) => ({ ...each, weight: weightOf(piece, each, nowMs) }))
    .filter(({ weight }) => weight >= leastWeight)
    .sort((one, other) => other.weight - one.weight || one.pieceId.localeCompare(other.pieceId))
    .slice(0, mostShown)
  if (pieces.length === 0) return null
  const byPrice = [...pieces].sort((one, other) => one.price - other.price)
  const half = byPrice.reduce((sum, { weight }) => sum + weight, 0) / 2
  let sum = 0
  const middle = byPrice.find(({ weight }) => (sum += weight) >= half)
  return {
    pieces,
    middle: middle?.price ?? 0,
    low: byPrice[0]?.price ?? 0,
    high: byPrice.at(-1)?.price ?? 0,
    scatter: scatterAbout(middle?.price ?? 0, pieces),
  }
}
