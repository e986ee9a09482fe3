/** Who asks: the session behind a secret, and the secret that follows it. */
import 'server-only'
import { createHmac } from 'node:crypto'
import { cache } from 'react'
import * as sessions from '@/db/session'
import { tillSecret } from '@/db/till'
import { readDoor } from './doorWay'
import { sessionSecret } from './session'

/** The session behind a secret, seen just now; null where there never was one. */
export async function lookUp(secret: string, waitMs?: number): Promise<sessions.Session | null> {
  if (secret === '') return null
  return readDoor(async (client) => {
    const session = await sessions.findSession(client, secret)
    if (session?.isReplayed) await sessions.endCopied(client, session.id)
    if (session?.isOpen && session.isStale) await sessions.noteSeen(client, session.id)
    return session
  }, waitMs)
}
/** Made of the secret before it and of what only the servers have: asked twice, all of them say the same. */
const nextOf = (secret: string) =>
  createHmac('sha256', `next ${tillSecret(process.env.DOOR_DATABASE_URL)}`)
    .update(secret)
    .digest('base64url')
/**
 * The secret that a browser is to come with from now on, and for how many seconds; null where the one it has is not old. One that it
 * came with for the first time is taken up.
 */
export async function renew(session: sessions.Session, secret: string): Promise<{ secret: string; seconds: number } | null> {
  const { id, knownBy, isDue, left } = session
  if (knownBy === 'next') await readDoor((client) => sessions.takeUpNext(client, id, secret), 0)
  if (knownBy !== 'now' || !isDue) return null
  const next = nextOf(secret)
  return (await readDoor((client) => sessions.offerNext(client, id, secret, next), 0)) ? { secret: next, seconds: left } : null
}
/** Whether a session that was found open is so still; it is seen by that. */
export const stillIn = ({ id }: sessions.Session): Promise<boolean> =>
  readDoor(async (client) => {
    const found = await sessions.findStanding(client, id)
    if (found?.stands && found.isStale) await sessions.noteSeen(client, id)
    return found?.stands ?? false
  })
/** Who is signed in, once a request; null for nobody. */
export const whoIsIn = cache(async (): Promise<sessions.Session | null> => {
  const session = await lookUp(await sessionSecret())
  return session?.isOpen ? session : null
})
