/** Going out: on this device by a tap, on others by whoever says again that it is them. */
import 'server-only'
import { endSessions, type Session } from '@/db/session'
import { atDoor } from './doorWay'
import { type Asked, proveOwn, type Refusal } from './secondFactor'

/** Ends the sessions named, of whoever is in; ended from elsewhere, what is kept on their devices goes. Nobody of the demo has a password. */
export async function signOut(
  session: Session,
  ids: readonly string[],
  asked: Asked,
  address: string,
): Promise<{ ok: true } | Refusal> {
  const { accountId, id: own } = session
  const others = ids.filter((id) => id !== own)
  if (others.length > 0 && !session.isDemo) {
    const account = await proveOwn(session, asked, address)
    if ('issue' in account) return account
  }
  await atDoor(async (client) => {
    if (others.length > 0) await endSessions(client, { accountId, ids: others, revoked: true })
    if (ids.includes(own)) await endSessions(client, { accountId, ids: [own], revoked: false })
  })
  return { ok: true }
}
