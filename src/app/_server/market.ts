/** What a studio's prices are reckoned by beside a piece: what things cost, what it has learned, where it sells and what it sold. */
import 'server-only'
import type { DeskAround } from '@/core/house/priceDesk'
import type { StudioId } from '@/core/measure/named'
import { unitPricesOf } from '@/core/stock/product'
import { keepOfPieces, type KeptOfPieces } from '@/db/pieceMark'
import type { Client } from '@/db/pool'
import { countStanding, type Likeness, listSold } from '@/db/sold'
import { listChannels, listProducts } from '@/db/studio'
import { loadEstimator } from './pace'
import { makeUnchanged } from './unchanged'

/** sales looked back on */
const mostSold = 60
/** of every studio that this server reads */
const holder = globalThis as { itinerumLikenesses?: KeptOfPieces<Likeness> }
const likenesses = (holder.itinerumLikenesses ??= keepOfPieces(2_000))

export type Market = Pick<DeskAround, 'unitPrice' | 'estimator' | 'channels' | 'sold' | 'isCut' | 'standing'>
/** studios that are kept in mind */
const mostStudios = 200
/** What every change of is told. */
type Trade = Omit<Market, 'estimator' | 'channels'>
const asItStood = makeUnchanged<Trade>(mostStudios)

/** `hidesMoney`: whether whoever reads sees none; `nowMs`: when the reading began, or before. */
export async function readMarket(
  client: Client,
  studioId: StudioId,
  { hidesMoney, nowMs }: { hidesMoney: boolean; nowMs: number },
): Promise<Market> {
  const [trade, channels, estimator] = await Promise.all([
    asItStood.or(studioId, hidesMoney ? 'without money' : 'with money', nowMs, () => readTrade(client)),
    listChannels(client),
    loadEstimator(client, studioId, nowMs),
  ])
  return { ...trade, channels, estimator }
}
async function readTrade(client: Client): Promise<Trade> {
  const [sold, products, standing] = await Promise.all([
    listSold(client, mostSold, likenesses),
    listProducts(client),
    countStanding(client),
  ])
  return { sold, isCut: sold.length === mostSold, unitPrice: unitPricesOf(products), standing }
}
