/** What has to be bought for all planned pieces: what they still take, what stands on the shelf, in what it is sold. */
import 'server-only'
import type { FamilyCode } from '@/core/craft/families'
import { shines } from '@/core/craft/sheen'
import { takeOf, takesBy } from '@/core/learn/takes'
import { latelyOr, makeLately } from '@/core/measure/kept'
import type { StudioId } from '@/core/measure/named'
import { needsOf, type PiecesNeed } from '@/core/piece/needs'
import { takenAhead } from '@/core/stock/ahead'
import { type Need, type Offer, type ToBuy, toBuy } from '@/core/stock/buy'
import { labelledTins, type Product, type ShelfLot, shelfOf } from '@/core/stock/product'
import { listOpenPieces } from '@/db/piece'
import type { Client } from '@/db/pool'
import { listLots } from '@/db/stock'
import { listProducts } from '@/db/studio'
import { listTakes } from '@/db/takes'
import { findWeek } from '@/db/week'
import { readPieceFiles } from './pieceFiles'
import { readStudio } from './session'

/** coats looked back on */
const mostTakes = 80
/** What coats take here stands for so long: it moves by a coat in eighty. */
const takesMs = 10 * 60_000
/** studios that are kept in mind */
const mostStudios = 200
const takesLately = makeLately<StudioId, ReturnType<typeof takesBy>>(mostStudios, takesMs)
const loadTakes = (client: Client, studioId: StudioId, nowMs: number) =>
  latelyOr(takesLately, studioId, nowMs, async () => takesBy(await listTakes(client, mostTakes)))

export interface ShopOffer extends Offer {
  /** null: another colour of it is sold so; this one was never bought here */
  productId: string | null
  name: string
}
/** In what a need is sold: as its own colour was bought, else as other colours of its family were. */
function offersFor({ family, hex, sheen }: Need, products: readonly Product[], lots: readonly ShelfLot[]): ShopOffer[] {
  const sold = products.filter((product) => product.family === family && !product.formula)
  const own = sold.filter((product) => (hex === null || product.colourHex === hex) && shines(product, sheen))
  const offers = new Map<number, ShopOffer>()
  for (const { id, name, size, price } of own.length > 0 ? own : sold)
    for (const tin of [{ size, price }, ...lots.filter(({ productId }) => productId === id)]) {
      const known = offers.get(tin.size)
      if (!known || tin.price < known.price)
        offers.set(tin.size, { size: tin.size, price: tin.price, name, productId: own.length > 0 ? id : null })
    }
  return [...offers.values()]
}
/** What all planned pieces still take, what stands on the shelf, and what coats took here lately. */
async function readNeeds(client: Client, studioId: StudioId, nowMs: number) {
  const files = await readPieceFiles(client, await listOpenPieces(client))
  const [products, lots] = [await listProducts(client), await listLots(client)]
  const week = await findWeek(client)
  const takes = await loadTakes(client, studioId, nowMs)
  const needs = needsOf(files, new Map(week?.lines.map(({ stepId, at }) => [stepId, at])), labelledTins(products))
  return { needs, products, lots, takeOf: (family: FamilyCode) => takeOf(takes, family) }
}
export interface Shopping {
  lines: ToBuy<PiecesNeed, ShopOffer>[]
  readAt: string
}
/** `share`: in how many of such jobs it is to be enough. */
export async function loadToBuy(share: number): Promise<Shopping> {
  const nowMs = Date.now()
  return readStudio(async (client, studioId) => {
    const { needs, products, lots, ...rest } = await readNeeds(client, studioId, nowMs)
    const shelf = shelfOf(products, lots)
    const lines = toBuy(needs, { ...rest, shelf, share, offersFor: (need) => offersFor(need, products, lots) })
    return { lines, readAt: new Date(nowMs).toISOString() }
  })
}
/** The shelf, and what the plans ahead take of it in so many of such jobs at most. */
export const loadShelf = (share: number) =>
  readStudio(async (client, studioId, nowMs) => {
    const { needs, products, lots, ...rest } = await readNeeds(client, studioId, nowMs)
    return { products, lots, ahead: takenAhead(needs, { ...rest, products, lots, share }) }
  })
