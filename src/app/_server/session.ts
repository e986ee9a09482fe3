/** Who is asking: the session that the request carries; its studio is found by the database, and can't be chosen here. */
import 'server-only'
import { AsyncLocalStorage } from 'node:async_hooks'
import { cookies, headers } from 'next/headers'
import type pg from 'pg'
import { cache } from 'react'
import type { Person, Studio } from '@/core/house/studio'
import { tokenInput } from '@/core/input/door'
import type { StudioId } from '@/core/measure/named'
import { patiently } from '@/db/patiently'
import { type Client, inSession, makePool } from '@/db/pool'
import { getStudio, listPeople } from '@/db/studio'
import { tillSecret } from '@/db/till'
import { isTls, sessionCookie } from '@/sessionCookie'
import { noteWritten } from './live'

const holder = globalThis as { itinerumPool?: pg.Pool }

export function pool(): pg.Pool {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set. Start the server with ./itinerum start or ./itinerum demo.')
  return (holder.itinerumPool ??= makePool(url))
}

const acting = new AsyncLocalStorage<string>()
/** Works with a secret other than the request's own: a calendar's address, a machine's key. */
export const actingWith = <T>(secret: string, work: () => Promise<T>): Promise<T> => acting.run(secret, work)

/** The secret of the request's session; empty where it carries none. */
export async function sessionSecret(): Promise<string> {
  const given = acting.getStore()
  if (given !== undefined) return given
  const sent = await headers()
  const secret = (await cookies()).get(sessionCookie(sent.get('host'), isTls(sent)).name)?.value ?? ''
  // what is no token, as what a key is known by, opens nothing in a browser
  return tokenInput.safeParse(secret).success ? secret : ''
}

type Work<T> = (client: Client, studioId: StudioId) => Promise<T>
/** `beganMs`: before the moment as which everything stands. */
type Reading<T> = (client: Client, studioId: StudioId, beganMs: number) => Promise<T>
/**
 * Writes in one transaction as the session's studio; what is written is reckoned with what it costs, whoever writes, and only an answer
 * comes back. Throws `SignedOut` where there is no session.
 */
export const withStudio = async <T>(work: Work<T>): Promise<T> => {
  let written: StudioId | null = null
  const noted: Work<T> = (client, studioId) => {
    written = studioId
    return work(client, studioId)
  }
  try {
    return await inSession(pool(), await sessionSecret(), noted, { till: tillSecret(process.env.DOOR_DATABASE_URL) })
  } finally {
    // it may have been written where its acknowledgement was lost, too
    if (written) noteWritten(written)
  }
}

/** a database that was killed is back sooner */
const patienceMs = 5_000
/** Reads in one transaction, all of it as it stood at one moment; waits a while for records that can't be reached. */
export const readStudio = async <T>(work: Reading<T>, waitMs = patienceMs): Promise<T> => {
  const secret = await sessionSecret()
  const read = () => {
    const beganMs = Date.now()
    return inSession(pool(), secret, (client, studioId) => work(client, studioId, beganMs), { to: 'read' })
  }
  return patiently(read, waitMs)
}

/** The studio's facts and its people, read once a request. */
export const loadHouse = cache((): Promise<{ studio: Studio; people: Person[] }> =>
  readStudio(async (client) => {
    const [studio, people] = await Promise.all([getStudio(client), listPeople(client)])
    return { studio, people }
  }),
)
export const loadStudio = async (): Promise<Studio> => (await loadHouse()).studio
