/** Every try to come in, counted before it is known how it ends. */
import * as z from 'zod'
import type { Instant } from '@/core/measure/named'
import type { Client } from './pool'
import { many, one, query } from './rows'
import { digestOfSecret } from './secret'

const triesRow = z.object({ byName: z.number(), byAddress: z.number() })
const triesOf = query(
  'tries to come in',
  triesRow,
  `select (select count(*) from door.sign_in_try where name_digest = $1 and not came_in and at > now() - make_interval(mins => $3))::int
            as "byName",
          (select count(*) from door.sign_in_try where address = $2 and kind = 'sign-in' and not came_in and at > now() - make_interval(mins => $3))::int
            as "byAddress"`,
)
export interface Try {
  id: string
  name: string
  address: string
}
/** Writes a try down and tells how many failed within the last minutes, by name and by address, this one counted. */
export async function addTry(client: Client, { id, name, address }: Try, minutes: number): Promise<z.output<typeof triesRow>> {
  const digest = digestOfSecret(name.trim().toLowerCase())
  await client.query('insert into door.sign_in_try (id, name_digest, address) values ($1, $2, $3)', [id, digest, address])
  return one(client, triesOf, [digest, address, minutes])
}
/** An address of a client's page that opened nothing: counted apart from those who try to come in. */
export async function addLinkTry(client: Client, { id, address }: Omit<Try, 'name'>): Promise<void> {
  await client.query(`insert into door.sign_in_try (id, address, kind) values ($1, $2, 'link')`, [id, address])
}
const linkTriesFrom = query(
  'links that opened nothing, from one address',
  z.object({ count: z.number() }),
  `select count(*)::int as count from door.sign_in_try
   where address = $1 and kind = 'link' and not came_in and at > now() - make_interval(mins => $2)`,
)
/** How many links that were asked for from one address opened nothing within the last minutes. */
export const countLinkTries = async (client: Client, address: string, minutes: number): Promise<number> =>
  (await one(client, linkTriesFrom, [address, minutes])).count
const failedAs = query(
  'tries that failed',
  z.object({ address: z.string(), count: z.number(), at: z.string() }),
  `select address, count(*)::int as count, max(at) as at from door.sign_in_try
   where name_digest = $1 and not came_in and at > now() - make_interval(days => $2) group by address order by max(at) desc limit 5`,
)
export type FailedTries = { address: string; count: number; at: Instant }
/** Who tried to come in by a name and did not, by where from, the latest first. */
export const listFailed = (client: Client, name: string, days: number): Promise<FailedTries[]> =>
  many(client, failedAs, [digestOfSecret(name.trim().toLowerCase()), days])
export async function noteCameIn(client: Client, tryId: string): Promise<void> {
  await client.query('update door.sign_in_try set came_in = true where id = $1', [tryId])
}
