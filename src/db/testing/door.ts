/** Asking as the door's own role does, in tests. */
import { type Client, inSession } from '../pool'
import { findSession, type Session } from '../session'
import type { TestDatabase } from './database'

export function doorOf(db: () => TestDatabase) {
  async function atDoor<T>(work: (client: Client) => Promise<T>): Promise<T> {
    const client = await db().door.connect()
    try {
      return await work(client)
    } finally {
      client.release()
    }
  }
  return {
    atDoor,
    /** the studio that a session opens; throws where it opens none */
    studioOf: (secret: string) => inSession(db().pool, secret, (_, studioId) => Promise.resolve(studioId)),
    sessionOf: async (secret: string): Promise<Session> => {
      const session = await atDoor((client) => findSession(client, secret))
      if (!session) throw new Error('no session')
      return session
    },
  }
}
