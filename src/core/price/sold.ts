/** What was sold, and how much a place sells. Money in minor units; pure. */

export interface Sold {
  pieceId: string
  name: string
  article: string | null
  areaM2: number
  looks: readonly string[]
  price: number
  channelId: string | null
  at: string
  /** from listing to sale; null where it was never listed */
  daysOnSale: number | null
}

const dayMs = 86_400_000
const monthDays = 30.4375
/** sales older than this say little of what a place sells now */
const lookedBackDays = 183

/**
 * How many pieces a place sold lately, and in how many months: of the last half year, or of so long as the list reaches where it is
 * cut short. `sold` is the latest sales; `isCut`: there are earlier ones.
 */
export function salesLately(
  sold: readonly Sold[],
  channelId: string,
  nowMs: number,
  isCut: boolean,
): { sales: number; months: number } {
  const from = nowMs - lookedBackDays * dayMs
  const oldest = Math.min(nowMs, ...sold.map(({ at }) => Date.parse(at)))
  const since = isCut ? Math.max(from, oldest) : from
  const sales = sold.filter((each) => each.channelId === channelId && Date.parse(each.at) >= since).length
  return { sales, months: (nowMs - since) / dayMs / monthDays }
}
