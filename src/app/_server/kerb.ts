/** What a card at the kerb is reckoned by, as plain data: it goes along on the phone. */
import 'server-only'
import type { KerbData } from '@/core/house/kerb'
import { readMarket } from './market'
import { loadStudio, readStudio } from './session'

export async function loadKerb(): Promise<KerbData> {
  const { hourRate, overheadRate, taxMode, taxShare, wish, haggle, step, consumables, pricing, ...studio } = await loadStudio()
  const { method, hours, zone, hidesMoney } = studio
  const market = await readStudio((client, studioId, nowMs) => readMarket(client, studioId, { hidesMoney, nowMs }))
  return {
    terms: { hourRate, overheadRate, taxMode, taxShare, wish, haggle, step, consumables, pricing },
    ...{ ...market, method, hours, zone, standing: [...market.standing] },
  }
}
