/** The till: by its secret what is written is reckoned with what things cost, also where who writes sees no money. */
import { createHash } from 'node:crypto'
import type { Client } from './pool'
import { digestOfSecret } from './secret'
import { serversOf } from './server'

/** One a server, made of what only the server has: the door's own way to the database. Throws where there is none. */
export function tillSecret(doorUrl: string | undefined): string {
  if (!doorUrl) throw new Error('DOOR_DATABASE_URL is not set. Start the server with ./itinerum start or ./itinerum demo.')
  return createHash('sha256')
    .update(`till ${new URL(serversOf(doorUrl)[0] ?? '').password}`)
    .digest('base64url')
}
/** By the owner of the database: this till is the one that counts. */
export async function keepTill(client: Client, secret: string): Promise<void> {
  await client.query('delete from door.till')
  await client.query('insert into door.till (digest) values ($1)', [digestOfSecret(secret)])
}
