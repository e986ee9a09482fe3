/** What is written at the bench, whichever way it comes: from the page at hand, or from a device that had no connection. */
import 'server-only'
import { roundMoney } from '../../core/money/money'
import { benchWrites, type BenchAction } from '../../core/input/bench'
import { mendInput } from '../../core/input/piece'
import { growByMending } from './mending'
import type { NewEntry } from '../../db/entry'
import { store } from './store'
import type { Client } from '../../db/pool'
import { findProduct } from '../../db/studio'
import { Refused, write, type Answer } from './write'

/** One thing said at the bench. Sent twice, it is stored once. */
export function writeAtBench(action: BenchAction, typed: unknown): Promise<Answer> {
  if (action === 'mendPart') return write(mendInput, typed, (client, studio, entered) => growByMending(client, studio, entered))
  const { schema, entry } = benchWrites[action]
  return write(schema as never, typed, async (client, studio, entered) =>
    store(client, studio.id, [await priced(client, entry(entered))]),
  )
}

/** A coat's material cost is reckoned here, from the tin's price, and stays as it was on that day. */
async function priced(client: Client, entry: NewEntry): Promise<NewEntry> {
  const { coat } = entry
  if (!coat?.productId) return entry
  const product = await findProduct(client, coat.productId)
  if (!product) throw new Refused('not-found')
  return {
    ...entry,
    money: roundMoney((product.price * coat.amount) / product.size),
    coat: { ...coat, unit: product.unit },
  }
}
