/** Where the strokes of the chances lie: a scale of prices, and the marks on it so that no two words meet. Pure. */

export interface Mark {
  key: string
  words: string
  price: number
}
export interface PlacedMark extends Mark {
  /** share of the width */
  x: number
  /** 0 is next to the strokes; each further row lies beyond it */
  row: number
}

/** From somewhat below the least to somewhat above the most. */
export function scaleOf(prices: readonly number[]): { low: number; high: number; at: (price: number) => number } {
  const known = prices.filter((price) => Number.isFinite(price))
  const [least, most] = [Math.min(...known), Math.max(...known)]
  const room = Math.max(1, most - least) * 0.08
  const [low, high] = known.length === 0 ? [0, 1] : [Math.max(0, least - room), most + room]
  return { low, high, at: (price) => Math.max(0, Math.min(1, (price - low) / (high - low))) }
}

/** Each mark on the first row where its words (so wide, as a share) stand free of those before it. */
export function placeMarks(marks: readonly Mark[], at: (price: number) => number, wide: number): PlacedMark[] {
  const ends: number[] = []
  return [...marks]
    .sort((one, other) => one.price - other.price)
    .map((mark) => {
      const x = at(mark.price)
      const from = Math.max(0, Math.min(1 - wide, x - wide / 2))
      const free = ends.findIndex((end) => end <= from)
      const row = free === -1 ? ends.length : free
      ends[row] = from + wide
      return { ...mark, x, row }
    })
}
