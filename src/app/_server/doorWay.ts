/** The way to the database of the door's own role: what the app asks for goes another way. */
import 'server-only'
import type pg from 'pg'
import { patiently } from '@/db/patiently'
import { type Client, inTransaction, makePool, onConnection } from '@/db/pool'
import { sessionSecret } from './session'

const holder = globalThis as { itinerumDoor?: pg.Pool }
function pool(): pg.Pool {
  const url = process.env.DOOR_DATABASE_URL
  if (!url) throw new Error('DOOR_DATABASE_URL is not set. Start the server with ./itinerum start or ./itinerum demo.')
  return (holder.itinerumDoor ??= makePool(url, 4))
}

/** In one transaction; what happens in it is told as done by who is in. */
export const atDoor = <T>(work: (client: Client) => Promise<T>): Promise<T> =>
  inTransaction(pool(), async (client) => {
    await client.query('select enter($1)', [await sessionSecret()])
    return work(client)
  })
/** a database that was killed is back sooner */
const patienceMs = 5_000
/** One question, which needs no transaction: asked with every page. */
export const readDoor = <T>(work: (client: Client) => Promise<T>, waitMs = patienceMs): Promise<T> =>
  patiently(() => onConnection(pool(), work), waitMs)
