/** Who is asking. Until there is sign-in the server listens on loopback alone, and the starter names the one studio. */
import 'server-only'
import type pg from 'pg'
import { cache } from 'react'
import type { Person, Studio } from '@/core/house/studio'
import type { StudioId } from '@/core/measure/named'
import { patiently } from '@/db/patiently'
import { asStudio, type Client, makePool } from '@/db/pool'
import { getStudio, listPeople } from '@/db/studio'

const holder = globalThis as { itinerumPool?: pg.Pool }

function pool(): pg.Pool {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set. Start the server with ./itinerum start or ./itinerum demo.')
  return (holder.itinerumPool ??= makePool(url))
}

/** The studio of this session. Sign-in will replace this function and nothing else. */
export function currentStudioId(): string {
  const id = process.env.ITINERUM_STUDIO
  if (!id) throw new Error('ITINERUM_STUDIO is not set. Start the server with ./itinerum start or ./itinerum demo.')
  return id
}

/** Works in one transaction as the session's studio. */
export const withStudio = <T>(work: (client: Client, studioId: StudioId) => Promise<T>): Promise<T> => {
  const id = currentStudioId()
  return asStudio(pool(), id, (client) => work(client, id))
}

/** a database that was killed is back sooner */
const patienceMs = 5_000
/** Reads in one transaction, all of it as it stood at one moment; waits a while for records that can't be reached. */
export const readStudio = <T>(work: (client: Client, studioId: StudioId) => Promise<T>, waitMs = patienceMs): Promise<T> => {
  const id = currentStudioId()
  return patiently(() => asStudio(pool(), id, (client) => work(client, id), 'read'), waitMs)
}

/** The studio's facts and its people, read once a request. */
export const loadHouse = cache((): Promise<{ studio: Studio; people: Person[] }> =>
  readStudio(async (client) => ({ studio: await getStudio(client), people: await listPeople(client) })),
)
export const loadStudio = async (): Promise<Studio> => (await loadHouse()).studio
