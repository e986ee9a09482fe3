/** Passkeys: keys that somebody's devices keep, by whose signature they come in. Asked by the door's own role alone. */
import * as z from 'zod'
import type { Client } from './pool'
import { many, maybe, query } from './rows'

export interface NewPasskey {
  /** as whoever keeps it names it, base64url */
  id: string
  accountId: string
  publicKey: Uint8Array
  /** the name of the server that it is for */
  host: string
  /** as its owner calls it */
  name: string
  counter: number
}
/** so many of one's own are enough */
const mostOwn = 20
/** False where it is kept already, or one has too many. */
export async function addPasskey(
  client: Client,
  { id, accountId, publicKey, host, name, counter }: NewPasskey,
): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into door.passkey (id, account_id, public_key, host, name, counter)
     select $1, $2, $3, $4, $5, $6
     where (select count(*) from door.passkey where account_id = $2 and ended_at is null) < $7
     on conflict (id) do nothing`,
    [id, accountId, Buffer.from(publicKey), host, name, counter, mostOwn],
  )
  return rowCount === 1
}
const passkeyRow = z.object({
  id: z.string(),
  accountId: z.string(),
  publicKey: z.instanceof(Buffer),
  host: z.string(),
  name: z.string(),
  counter: z.number(),
  madeAt: z.string(),
  usedAt: z.string().nullable(),
})
export type Passkey = z.output<typeof passkeyRow>
const columns = `k.id, k.account_id as "accountId", k.public_key as "publicKey", k.host, k.name, k.counter, k.made_at as "madeAt", k.used_at as "usedAt"`
const passkeyById = query('a passkey', passkeyRow, `select ${columns} from door.passkey k where k.id = $1 and k.ended_at is null`)
/** One that is good; null for any other. */
export const findPasskey = (client: Client, id: string): Promise<Passkey | null> => maybe(client, passkeyById, [id])
const passkeysOf = query(
  'a passkey',
  passkeyRow,
  `select ${columns} from door.passkey k where k.account_id = $1 and k.ended_at is null order by k.made_at, k.id limit ${mostOwn}`,
)
export const listPasskeys = (client: Client, accountId: string): Promise<Passkey[]> => many(client, passkeysOf, [accountId])

/**
 * Takes up what a passkey signed, by whoever is first: `askedMs` is when that was asked. False where this was used, or anything asked
 * later, or where its keeper counts backwards: then there are two of it.
 */
export async function takePasskey(
  client: Client,
  { id, askedMs, counter }: { id: string; askedMs: number; counter: number },
): Promise<boolean> {
  const { rowCount } = await client.query(
    `update door.passkey set last_asked = $2, counter = $3, used_at = now()
     where id = $1 and ended_at is null and last_asked < $2 and ($3 > counter or ($3 = 0 and counter = 0))`,
    [id, askedMs, counter],
  )
  return rowCount === 1
}
/** One's own comes in no more; false where there is none. */
export async function endPasskey(client: Client, accountId: string, id: string): Promise<boolean> {
  const { rowCount } = await client.query(
    'update door.passkey set ended_at = now() where id = $2 and account_id = $1 and ended_at is null',
    [accountId, id],
  )
  return rowCount === 1
}
