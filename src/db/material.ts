/**
 * What a coat or a mix takes of which tin or batch, and what that costs: reckoned when it is written down, from the tins as
 * they stand, and left as it was on that day.
 */
import { componentsOf, shareOfBatch } from '../core/mix/batch'
import { drawCoat } from '../core/stock/drawCoat'
import type { Draw } from '../core/stock/drawFromLots'
import { addEntries, hasEntry, type EntryIssue, type NewEntry } from './entry'
import type { Client } from './pool'
import { addDraws, takeBatchInHand, takeLotsInHand } from './stock'
import { findProduct } from './studio'

type Reckoned = Pick<NewEntry, 'money' | 'coat' | 'batch'> & { draws: Draw[] }

/** What is taken off the shelf: the product, the tin in hand, how much; null where there is no such product. */
async function fromShelf(client: Client, productId: string, lotId: string | null, amount: number, without: string | null) {
  const product = await findProduct(client, productId)
  if (!product) return null
  const lots = await takeLotsInHand(client, productId, without)
  const { draws, cost } = drawCoat({ lots, chosenId: lotId, amount, fallback: product })
  return { draws, money: cost, lotId: draws[0]?.lot ?? null, unit: product.unit }
}

/** As if `without` had taken nothing; null where what it is taken from is not there. */
async function reckon(client: Client, { coat, batch }: NewEntry, without: string | null): Promise<Reckoned | null> {
  if (coat?.batchId) {
    const made = await takeBatchInHand(client, coat.batchId, without)
    if (!made) return null
    return { draws: [], money: shareOfBatch(made, coat.amount), coat: { ...coat, productId: made.productId, lotId: null } }
  }
  if (coat?.productId) {
    const taken = await fromShelf(client, coat.productId, coat.lotId, coat.amount, without)
    return taken && { draws: taken.draws, money: taken.money, coat: { ...coat, lotId: taken.lotId, unit: taken.unit } }
  }
  if (batch?.productId) {
    // the first part of a mix is what it is called by; a mix told by the eye is all of it
    const amount = componentsOf(batch.mix, batch.volume)?.[0]?.ml ?? batch.volume
    const taken = await fromShelf(client, batch.productId, batch.lotId, amount, without)
    return taken && { draws: taken.draws, money: taken.money, batch: { ...batch, lotId: taken.lotId } }
  }
  return { draws: [], money: 0 }
}

/** Adds a coat or a mix with what it took. Sent twice it takes once; a correction takes in place of what it corrects. */
export async function addWithMaterial(client: Client, studioId: string, entry: NewEntry): Promise<{ issue: EntryIssue } | null> {
  const reckoned = await reckon(client, entry, entry.corrects ?? null)
  if (!reckoned) return { issue: 'not-found' }
  // asked once nobody else draws from the same: what was sent before has taken its share
  if (await hasEntry(client, entry.id)) return null
  const { draws, ...figures } = reckoned
  const trouble = await addEntries(client, studioId, [{ ...entry, ...figures }])
  if (!trouble && draws.length > 0) await addDraws(client, studioId, entry.id, draws)
  return trouble
}
