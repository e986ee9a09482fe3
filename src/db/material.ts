/**
 * What a coat or a mix takes of which tin or batch, and what that costs: reckoned when it is written down, from the tins as
 * they stand, and left as it was on that day.
 */
import { usualPrices } from '@/core/craft/consumables'
import type { IssueCode } from '@/core/input/issues'
import { shareOfBatch } from '@/core/log/batch'
import type { EntryOf } from '@/core/log/entry'
import type { BatchFigures, CoatFigures, MixComponent } from '@/core/log/figures'
import type { LotId, ProductId, StepId, StudioId } from '@/core/measure/named'
import { usedUpCost } from '@/core/piece/usedUp'
import { drawCoat } from '@/core/stock/drawCoat'
import type { Draw } from '@/core/stock/drawFromLots'
import { addEntries, type NewEntry } from './entry'
import type { Client } from './pool'
import { findStepWork } from './stepWork'
import { addDraws, takeBatchInHand, takeLotsInHand } from './stock'
import { findProduct } from './studio'

/** A coat or a mix on its way in. */
export type MaterialEntry = Extract<NewEntry, { kind: 'coat' | 'mixed' }>
const isMaterial = (entry: NewEntry): entry is MaterialEntry => entry.kind === 'coat' || entry.kind === 'mixed'

interface Taken {
  draws: Draw[]
  money: number
  lotId: LotId | null
  unit: 'ml' | 'g'
}
/** What is taken off the shelf: the product, the tin in hand, how much; null where there is no such product. */
async function fromShelf(
  client: Client,
  want: { productId: ProductId; lotId: LotId | null; amount: number },
  without: string | null,
): Promise<Taken | null> {
  const product = await findProduct(client, want.productId)
  if (!product) return null
  const lots = await takeLotsInHand(client, want.productId, without)
  const { draws, cost } = drawCoat({ lots, chosenId: want.lotId, amount: want.amount, fallback: product })
  return { draws, money: cost, lotId: draws[0]?.lot ?? null, unit: product.unit }
}

interface Reckoned<T> {
  figures: T
  money: number
  draws: Draw[]
}

/** As if `without` had taken nothing; null where what it is taken from is not there. */
async function reckonCoat(client: Client, coat: CoatFigures, without: string | null): Promise<Reckoned<CoatFigures> | null> {
  if (coat.batchId) {
    const made = await takeBatchInHand(client, coat.batchId, without)
    // what was mixed is what it takes: its tins gave theirs when it was made
    return (
      made && {
        draws: [],
        money: shareOfBatch(made, coat.amount),
        figures: { ...coat, productId: made.productId, lotId: null, mix: made.mix },
      }
    )
  }
  const { productId, lotId, amount } = coat
  if (!productId) return { draws: [], money: 0, figures: { ...coat, lotId: null } }
  const taken = await fromShelf(client, { productId, lotId, amount }, without)
  return taken && { draws: taken.draws, money: taken.money, figures: { ...coat, lotId: taken.lotId, unit: taken.unit } }
}

/** Each component from its own tin; of two from one product the second takes what the first left. */
async function reckonBatch(client: Client, batch: BatchFigures, without: string | null): Promise<Reckoned<BatchFigures> | null> {
  const wanted = new Map<string, number>()
  const chosen = new Map<string, string | null>()
  for (const { productId, lotId, amount } of batch.components) {
    if (productId === null) continue
    wanted.set(productId, (wanted.get(productId) ?? 0) + amount)
    chosen.set(productId, chosen.get(productId) ?? lotId)
  }
  const taken = new Map<string, Taken>()
  // in one order for everybody, so that two mixers never wait for each other
  for (const productId of [...wanted.keys()].sort()) {
    const own = await fromShelf(
      client,
      { productId, lotId: chosen.get(productId) ?? null, amount: wanted.get(productId) ?? 0 },
      without,
    )
    if (!own) return null
    taken.set(productId, own)
  }
  const lotOf = (productId: ProductId | null) => (productId === null ? null : (taken.get(productId)?.lotId ?? null))
  const components = batch.components.map((each): MixComponent => ({ ...each, lotId: lotOf(each.productId) }))
  return {
    draws: [...taken.values()].flatMap(({ draws }) => draws),
    money: [...taken.values()].reduce((sum, { money }) => sum + money, 0),
    figures: { ...batch, lotId: lotOf(batch.productId), components },
  }
}

/** What small things a step used up, by what they cost here today; null where there is no such step. */
async function usedUpIn(client: Client, stepId: StepId): Promise<number | null> {
  const work = await findStepWork(client, stepId)
  return work && usedUpCost(work.step, work.part, { ...usualPrices, ...work.consumables })
}

/** Adds an entry with what it took off the shelf; a correction takes in place of what it corrects. */
export async function addWithMaterial(client: Client, studioId: StudioId, entry: NewEntry): Promise<{ issue: IssueCode } | null> {
  if (entry.kind === 'ended') {
    // put right, it has used up what it had
    const money = entry.corrects && typeof entry.money === 'number' ? entry.money : await usedUpIn(client, entry.stepId)
    return addEntries(client, studioId, [{ ...entry, money }])
  }
  if (!isMaterial(entry)) return addEntries(client, studioId, [entry])
  const reckoned =
    entry.kind === 'coat'
      ? await reckonCoat(client, entry.coat, entry.corrects ?? null)
      : await reckonBatch(client, entry.batch, entry.corrects ?? null)
  if (!reckoned) return { issue: 'not-found' }
  const { draws, money, figures } = reckoned
  const whole =
    entry.kind === 'coat'
      ? { ...entry, money, coat: figures as EntryOf<'coat'>['coat'] }
      : { ...entry, money, batch: figures as EntryOf<'mixed'>['batch'] }
  const trouble = await addEntries(client, studioId, [whole])
  if (!trouble && draws.length > 0) await addDraws(client, studioId, entry.id, draws)
  return trouble
}
