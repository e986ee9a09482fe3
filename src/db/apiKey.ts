/** Keys by which other programs come in: of whoever made one, for what it may, until it is taken back. Asked by the door's own role alone. */
import * as z from 'zod'
import { type KeyMay, keyMay } from '@/core/house/keys'
import type { Instant, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'
import { digestOfSecret } from './secret'

/** What a session is entered by that is a key's: no cookie is written so. */
export const keySecret = (token: string): string => `key ${token}`

export interface NewKey {
  id: string
  token: string
  studioId: StudioId
  membershipId: string
  name: string
  may: readonly KeyMay[]
  days: number
}
export async function addApiKey(client: Client, { id, token, studioId, membershipId, name, may, days }: NewKey): Promise<void> {
  await client.query(
    `insert into door.session (digest, id, studio_id, membership_id, expires_at, key_name, key_may)
     values ($1, $2, $3, $4, now() + make_interval(days => $5), $6, $7) on conflict (id) do nothing`,
    [digestOfSecret(keySecret(token)), id, studioId, membershipId, days, name, may],
  )
}
const keyRow = z.object({
  id: z.string(),
  name: z.string(),
  may: z.array(z.enum(keyMay)),
  by: z.string(),
  madeAt: z.string(),
  seenAt: z.string(),
  expiresAt: z.string(),
})
export type ApiKey = z.output<typeof keyRow>
const columns = `e.id, e.key_name as name, e.key_may as may, a.name as "by", e.made_at as "madeAt", e.seen_at as "seenAt", e.expires_at as "expiresAt"`
const isGood = `e.key_name is not null and e.ended_at is null and e.expires_at > now() and e.seen_at > now() - door.idle() and m.ended_at is null`
const joined = 'door.session e join door.membership m on m.id = e.membership_id join door.account a on a.id = m.account_id'
const keysOf = query(
  'a key',
  keyRow,
  `select ${columns} from ${joined} where e.studio_id = $1 and ${isGood} order by e.made_at, e.id limit 50`,
)
export const listApiKeys = (client: Client, studioId: StudioId): Promise<ApiKey[]> => many(client, keysOf, [studioId])
const keyBy = query('a key', keyRow, `select ${columns} from ${joined} where e.digest = $1 and ${isGood}`)
/** A key that is good; null for any other. */
export const findApiKey = (client: Client, token: string): Promise<ApiKey | null> =>
  maybe(client, keyBy, [digestOfSecret(keySecret(token))])
/** Takes a key back, of whoever's in this studio; false where there is none. */
export async function endApiKey(client: Client, studioId: StudioId, id: string, at: Instant): Promise<boolean> {
  const { rowCount } = await client.query(
    `update door.session set ended_at = $3, is_revoked = true where id = $2 and studio_id = $1 and key_name is not null and ended_at is null`,
    [studioId, id, at],
  )
  return rowCount === 1
}
const used = query(
  'how often a key was used',
  z.object({ count: z.number() }),
  `insert into door.key_use (session_id, minute, count) values ($1, date_trunc('minute', now()), 1)
   on conflict (session_id, minute) do update set count = door.key_use.count + 1 returning count`,
)
/** Counts a use, and tells how many there were in this minute, this one counted. */
export async function countKeyUse(client: Client, id: string): Promise<number> {
  const { count } = await one(client, used, [id])
  // the first of a minute notes that it is used, and clears what nobody counts any more
  if (count === 1) {
    await client.query('update door.session set seen_at = now() where id = $1', [id])
    await client.query(`delete from door.key_use where session_id = $1 and minute < now() - interval '1 hour'`, [id])
  }
  return count
}
