/** A phone brought in by whoever is in already: a picture at the desk, good once, for two minutes. */
import 'server-only'
import * as pairings from '@/db/pairing'
import { freshSecret } from '@/db/secret'
import type { Session } from '@/db/session'
import { outwardHost } from '@/origin'
import { begin, type Came, type CameIn } from './door'
import { atDoor, readDoor } from './doorWay'
import { type Qr, qrOf } from './qr'
import { type Asked, proveOwn, type Refusal } from './secondFactor'

const seconds = 120
export interface Pairing {
  seconds: number
  /** as a phone opens it; of the workshop's network where there is one, else of this machine alone */
  address: string
  picture: Qr
}
/**
 * Whoever stands at a desk that was left open brings no phone in: they say again that it is them; in the demo there is nothing to say.
 * `own`: how the one who asks called this server.
 */
export async function makePairing(
  session: Session,
  asked: Asked,
  { address: from, own }: { address: string; own: string },
): Promise<Pairing | Refusal> {
  if (!session.isDemo) {
    const account = await proveOwn(session, asked, from)
    if ('issue' in account) return account
  }
  const { membershipId } = session
  const secret = freshSecret()
  await atDoor((client) => pairings.addPairing(client, membershipId, secret, seconds))
  const host = outwardHost()
  const address = `${host ? `https://${host}` : own}/pair/${secret}`
  return { seconds, address, picture: qrOf(address) }
}
/** Whether anything but this machine itself can come here. */
export const isReached = (): boolean => outwardHost() !== null

export const findPairing = (secret: string): Promise<pairings.Paired | null> =>
  readDoor((client) => pairings.findPairing(client, secret))
export const pair = (secret: string, came: Came): Promise<CameIn | { issue: 'gone' }> =>
  atDoor(async (client) => {
    const paired = await pairings.findPairing(client, secret)
    if (!paired || !(await pairings.takePairing(client, secret))) return { issue: 'gone' as const }
    return begin(client, paired, came)
  })
