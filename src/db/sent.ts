/**
 * What was sent, by the number its sender gave it. A delivery that comes twice is known by its words: the same again changes
 * nothing, other words under the same number are refused.
 */
import { createHash } from 'node:crypto'
import type { StudioId } from '@/core/measure/named'
import type { Client } from './pool'

/** `new`: to be worked now; `same`: it was, word for word; `other`: under this number something else was sent. */
export type Delivery = 'new' | 'same' | 'other'

/** Words in an order of their own, so that a form and a device that say the same are told to. */
function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain)
  if (value === null || typeof value !== 'object') return value
  const entries = Object.entries(value).filter(([, each]) => each !== undefined)
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([name, each]) => [name, plain(each)]))
}
export const digestOf = (what: string, body: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify([what, plain(body)]))
    .digest('hex')

/**
 * Takes a delivery in, once; whoever sends the same number at the same moment waits for this transaction to end. `digest` is
 * {@link digestOf} what was sent.
 */
export async function takeDelivery(client: Client, studioId: StudioId, id: string, digest: string): Promise<Delivery> {
  const { rowCount } = await client.query(
    'insert into sent (studio_id, id, digest) values ($1, $2, $3) on conflict (studio_id, id) do nothing',
    [studioId, id, digest],
  )
  if (rowCount === 1) return 'new'
  const { rows } = await client.query<{ digest: string | null }>('select digest from sent where studio_id = $1 and id = $2', [
    studioId,
    id,
  ])
  // what was stored before its words were kept is taken at its number
  const before = rows[0]?.digest ?? null
  return before === null || before === digest ? 'same' : 'other'
}
