/** A piece at the price desk. */
import 'server-only'
import { referenceAir } from '@/core/drying/air'
import { type PriceDesk, priceDesk } from '@/core/house/priceDesk'
import { daysAhead } from '@/core/piece/daysAhead'
import type { PieceView } from './load'
import { readMarket } from './market'
import { readStudio } from './session'

export interface DeskView extends PriceDesk {
  /** pieces and steps that the hours are learned from */
  learnedFrom: { pieces: number; steps: number }
}
export async function loadPriceDesk({ studio, journey, nowMs, air, around }: PieceView): Promise<DeskView> {
  const market = await readStudio((client, studioId) => readMarket(client, studioId, { hidesMoney: studio.hidesMoney, nowMs }))
  const { zone, hours } = studio
  const { days } = daysAhead(journey, { nowMs, zone, hours, air: air ?? referenceAir, learned: around.learned ?? {} })
  const { whole, steps } = market.estimator
  return {
    ...priceDesk(journey, { ...market, terms: studio, nowMs, daysAhead: days }),
    learnedFrom: { pieces: whole.pieces, steps },
  }
}
