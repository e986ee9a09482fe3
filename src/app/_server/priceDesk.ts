/** What the price desk reads beside a piece: what things cost, what the studio has learned, what it sold. */
import 'server-only'
import { referenceAir } from '@/core/drying/air'
import { type PriceDesk, priceDesk } from '@/core/house/priceDesk'
import { daysAhead } from '@/core/piece/daysAhead'
import { unitPricesOf } from '@/core/stock/product'
import { countStanding, listSold } from '@/db/sold'
import { listProducts } from '@/db/studio'
import type { PieceView } from './load'
import { loadEstimator } from './pace'
import { readStudio } from './session'

/** sales looked back on */
const mostSold = 60

export interface DeskView extends PriceDesk {
  /** pieces and steps that the hours are learned from */
  learnedFrom: { pieces: number; steps: number }
}
export const loadPriceDesk = ({ studio, journey, channels, nowMs, air, around }: PieceView): Promise<DeskView> =>
  readStudio(async (client, studioId) => {
    const sold = await listSold(client, mostSold)
    const estimator = await loadEstimator(client, studioId, nowMs)
    const { zone, hours } = studio
    const ahead = daysAhead(journey, { nowMs, zone, hours, air: air ?? referenceAir, learned: around.learned ?? {} })
    const desk = priceDesk(journey, {
      terms: studio,
      unitPrice: unitPricesOf(await listProducts(client)),
      estimator,
      channels,
      sold,
      isCut: sold.length === mostSold,
      standing: await countStanding(client),
      nowMs,
      daysAhead: ahead.days,
    })
    return { ...desk, learnedFrom: { pieces: estimator.whole.pieces, steps: estimator.steps } }
  })
