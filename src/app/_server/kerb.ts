/** What a card at the kerb is reckoned by, as plain data: it goes along on the phone. */
import 'server-only'
import type { KerbData } from '@/core/house/kerb'
import { unitPricesOf } from '@/core/stock/product'
import { countStanding, listSold } from '@/db/sold'
import { listChannels, listProducts } from '@/db/studio'
import { loadEstimator } from './pace'
import { loadStudio, readStudio } from './session'

/** sales looked back on */
const mostSold = 60

export async function loadKerb(): Promise<KerbData> {
  const studio = await loadStudio()
  const { hourRate, overheadRate, taxMode, taxShare, wish, haggle, step, consumables, pricing, method, hours, zone } = studio
  return readStudio(async (client, studioId) => {
    const sold = await listSold(client, mostSold)
    return {
      terms: { hourRate, overheadRate, taxMode, taxShare, wish, haggle, step, consumables, pricing },
      ...{ method, hours, zone, sold, isCut: sold.length === mostSold },
      unitPrice: unitPricesOf(await listProducts(client)),
      estimator: await loadEstimator(client, studioId, Date.now()),
      channels: await listChannels(client),
      standing: [...(await countStanding(client))],
    }
  })
}
