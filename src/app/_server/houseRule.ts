/** Whether a code from an app is asked of everybody who comes in: said by an owner who has one. */
import 'server-only'
import * as rules from '@/db/houseRule'
import type { Session } from '@/db/session'
import { atDoor, readDoor } from './doorWay'
import { type Asked, findOwnFactor, proveOwn, type Refusal } from './secondFactor'

export const findHouseRule = ({ studioId }: Session): Promise<rules.HouseRule> =>
  readDoor((client) => rules.findHouseRule(client, studioId))

/** `own-first`: who asks it of others has one themself, or would be the first who is shut out. */
export async function askCodes(
  session: Session,
  { ask, ...asked }: Asked & { ask: boolean },
  address: string,
): Promise<{ ok: true } | Refusal | { issue: 'own-first' | 'not-yours' }> {
  if (session.role !== 'owner' || session.isDemo) return { issue: 'not-yours' }
  if (ask && !(await findOwnFactor(session)).isOn) return { issue: 'own-first' }
  const account = await proveOwn(session, asked, address)
  if ('issue' in account) return account
  await atDoor((client) => rules.saveHouseRule(client, session.studioId, ask))
  return { ok: true }
}
