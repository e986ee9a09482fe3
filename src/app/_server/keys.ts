/** Keys by which other programs come in, made and taken back by an owner. */
import 'server-only'
import type * as z from 'zod'
import type { keyInput } from '@/core/input/door'
import { addApiKey, endApiKey } from '@/db/apiKey'
import type { Session } from '@/db/session'
import { atDoor } from './doorWay'
import { proveOwn, type Refusal } from './secondFactor'

type Done = { ok: true } | Refusal | { issue: 'not-yours' }
/** In the demo nobody says a password: its keys open the demo alone. */
export async function makeKey(
  session: Session,
  { id, token, name, may, days, ...asked }: z.output<typeof keyInput>,
  address: string,
): Promise<Done> {
  if (session.role !== 'owner') return { issue: 'not-yours' }
  if (!session.isDemo) {
    const account = await proveOwn(session, asked, address)
    if ('issue' in account) return account
  }
  const { studioId, membershipId } = session
  await atDoor((client) => addApiKey(client, { id, token, studioId, membershipId, name, may, days }))
  return { ok: true }
}
export async function endKey(session: Session, id: string): Promise<Done> {
  if (session.role !== 'owner') return { issue: 'not-yours' }
  await atDoor((client) => endApiKey(client, session.studioId, id, new Date().toISOString()))
  return { ok: true }
}
