/** The door: who comes in and goes out. */
import 'server-only'
import { v7 as uuidv7 } from 'uuid'
import { type HappenedGroup, happenedGroups } from '@/core/house/doorEvents'
import { mayRead } from '@/core/house/roles'
import { signInText } from '@/core/input/door'
import * as accounts from '@/db/account'
import { type Happened, listHappened } from '@/db/happened'
import * as invitations from '@/db/invitation'
import type { Client } from '@/db/pool'
import { freshSecret } from '@/db/secret'
import * as sessions from '@/db/session'
import * as tries from '@/db/signInTry'
import { fits, hashed, isTooSoon } from './doorPassword'
import { atDoor, readDoor } from './doorWay'
import { codeFits } from './secondFactor'

// ---- coming in ----------------------------------------------------------------------------------------------------

/** a session stands so long, used or not */
const sessionDays = 60

export interface Came {
  agent: string
  address: string
  /** the secret of the session that was there before; it ends */
  before: string
}
export type CameIn = { secret: string; days: number } | { issue: 'wrong' | 'wait' | 'code' | 'code-wrong' }

export async function signIn(typed: { name: string; password: string; code?: string | undefined }, came: Came): Promise<CameIn> {
  const { name, password, code } = signInText.parse(typed)
  const tryId = uuidv7()
  if (await isTooSoon(tryId, name, came)) return { issue: 'wait' }
  const account = await readDoor((client) => accounts.findAccount(client, name))
  if (!(await fits(account, password)) || !account) return { issue: 'wrong' }
  const missing = await askCode(account, code, tryId)
  if (missing) return missing
  return atDoor(async (client) => {
    await tries.noteCameIn(client, tryId)
    const [membership] = await accounts.listMemberships(client, account.id)
    return membership ? begin(client, membership, came) : { issue: 'wrong' as const }
  })
}

/** What is missing beside the password; null for nothing. That it is asked for is no failed try, a wrong one is. */
async function askCode(account: accounts.Account, code: string, tryId: string): Promise<{ issue: 'code' | 'code-wrong' } | null> {
  if (!account.secondFactor) return null
  if (code !== '') return (await codeFits(account, code)) ? null : { issue: 'code-wrong' }
  await atDoor((client) => tries.noteCameIn(client, tryId))
  return { issue: 'code' }
}

/** Into the demo, by one tap; nobody else's doors open by it. */
export const signInToDemo = (membershipId: string, came: Came): Promise<CameIn> =>
  atDoor(async (client) => {
    const membership = (await accounts.listDemoMemberships(client)).find(({ id }) => id === membershipId)
    return membership ? begin(client, membership, came) : { issue: 'wrong' as const }
  })

export const listDemo = (waitMs?: number): Promise<accounts.Membership[]> => readDoor(accounts.listDemoMemberships, waitMs)
export const findInvited = (secret: string): Promise<invitations.Invited | null> =>
  readDoor((client) => invitations.findInvited(client, secret))

/** Why nobody joined: what was begun is undone. */
class NotJoined extends Error {
  constructor(readonly issue: 'gone' | 'taken' | 'member') {
    super(issue)
  }
}
export interface Joining {
  token: string
  name: string
  password: string
  /** as the log calls them */
  called: string
  code: string
}
/**
 * Takes up an invitation, and comes in by it: with an account made now, or with one's own of before, by its password. `taken`: that
 * name is somebody's, and the password another; `member`: its account comes into that studio already.
 */
export async function join(
  { token, name, password, called, code }: Joining,
  came: Came,
): Promise<CameIn | { issue: 'gone' | 'taken' | 'member' }> {
  if (!(await findInvited(token))) return { issue: 'gone' }
  const own = await readDoor((client) => accounts.findAccount(client, name))
  const tryId = uuidv7()
  if (own) {
    // whoever has a link guesses no faster by it
    if (await isTooSoon(tryId, name, came)) return { issue: 'wait' }
    if (!(await fits(own, password))) return { issue: 'taken' }
    const missing = await askCode(own, code, tryId)
    if (missing) return missing
  }
  const made = own ? null : { id: uuidv7(), name, password: await hashed(password) }
  return atDoor(async (client) => {
    const invited = await invitations.findInvited(client, token)
    if (!invited || !(await invitations.useInvitation(client, invited.id))) throw new NotJoined('gone')
    if (made && !(await accounts.addAccount(client, made))) throw new NotJoined('taken')
    if (own) await tries.noteCameIn(client, tryId)
    const { studioId, role } = invited
    const accountId = (own ?? made)?.id ?? ''
    const before = invited.personId ?? (await accounts.findHandsBefore(client, accountId, studioId))
    const personId = before ?? uuidv7()
    if (!before) await invitations.addPersonAtDoor(client, studioId, personId, called || name)
    const id = uuidv7()
    if (!(await accounts.addMembership(client, { id, accountId, studioId, personId, role })))
      throw new NotJoined(own ? 'member' : 'gone')
    return begin(client, { id, studioId }, came)
  }).catch((error: unknown) => {
    if (error instanceof NotJoined) return { issue: error.issue }
    throw error
  })
}

/** Goes over into another studio of one's own. */
export const switchTo = (session: sessions.Session, membershipId: string, came: Came): Promise<CameIn> =>
  atDoor(async (client) => {
    const membership = (await accounts.listMemberships(client, session.accountId)).find(({ id }) => id === membershipId)
    return membership ? begin(client, membership, came) : { issue: 'wrong' as const }
  })
export const listOwnStudios = (session: sessions.Session): Promise<accounts.Membership[]> =>
  readDoor((client) => accounts.listMemberships(client, session.accountId))

/** Opens a session of a membership in place of the one that was there before. */
export async function begin(
  client: Client,
  { id: membershipId, studioId }: Pick<accounts.Membership, 'id' | 'studioId'>,
  { agent, address, before }: Came,
): Promise<{ secret: string; days: number }> {
  const old = before === '' ? null : await sessions.findSession(client, before)
  if (old?.isOpen) await sessions.endSessions(client, { accountId: old.accountId, ids: [old.id], revoked: false })
  const secret = freshSecret()
  await sessions.openSession(client, { id: uuidv7(), secret, studioId, membershipId, days: sessionDays, agent, address })
  return { secret, days: sessionDays }
}

// ---- passwords ----------------------------------------------------------------------------------------------------

/** One's own password for another; every other device is signed out. */
export async function changePassword(
  session: sessions.Session,
  { old, password }: { old: string; password: string },
  came: Came,
): Promise<'changed' | 'wrong' | 'wait'> {
  const tryId = uuidv7()
  const name = session.accountName
  if (await isTooSoon(tryId, name, came)) return 'wait'
  const account = await readDoor((client) => accounts.getAccount(client, session.accountId))
  if (!(await fits(account, old.normalize('NFC')))) return 'wrong'
  const made = await hashed(password)
  await atDoor(async (client) => {
    await tries.noteCameIn(client, tryId)
    await accounts.setPassword(client, account.id, made, session.id)
  })
  return 'changed'
}
/** Whose new password an address leads to; null where it leads to none. */
export const findByPasswordKey = (secret: string): Promise<accounts.Account | null> =>
  readDoor((client) => accounts.findByPasswordKey(client, secret))
/** A new password by an address that leads to it, and in by it; whoever was in by the old one is out. */
export async function renewPassword(
  { token, password, code }: { token: string; password: string; code: string },
  came: Came,
): Promise<CameIn | { issue: 'gone' }> {
  const asked = await findByPasswordKey(token)
  if (!asked) return { issue: 'gone' }
  // a new password stands in place of the old one, and of nothing else
  const tryId = uuidv7()
  if (asked.secondFactor && (await isTooSoon(tryId, asked.name, came))) return { issue: 'wait' }
  const missing = await askCode(asked, code, tryId)
  if (missing) return missing
  const made = await hashed(password)
  return atDoor(async (client) => {
    const account = await accounts.findByPasswordKey(client, token)
    if (!account || !(await accounts.usePasswordKey(client, token))) return { issue: 'gone' as const }
    await accounts.setPassword(client, account.id, made, null)
    const [membership] = await accounts.listMemberships(client, account.id)
    return membership ? begin(client, membership, came) : { issue: 'gone' as const }
  })
}
/** how long such an address is good for */
const keyHours = 24
/** Makes an address to a new password for somebody of this studio alone; false where they belong to another one too, or to none. */
export const makePasswordKey = (session: sessions.Session, membershipId: string, secret: string): Promise<boolean> =>
  atDoor(async (client) => {
    const account = await accounts.findOwnMember(client, session.studioId, membershipId)
    if (!account) return false
    await accounts.addPasswordKey(client, account.id, secret, keyHours)
    return true
  })

// ---- going out ----------------------------------------------------------------------------------------------------

export const listOwnSessions = (session: sessions.Session): Promise<sessions.OpenSession[]> =>
  readDoor((client) => sessions.listSessions(client, session.accountId))
/** so long a failed try is told */
const toldDays = 7
/** Who tried to come in as oneself and did not. */
export const listFailedTries = (session: sessions.Session): Promise<tries.FailedTries[]> =>
  readDoor((client) => tries.listFailed(client, session.accountName, toldDays))
/** What happened at the doors: of the whole studio for its owner, of oneself for anybody else. */
export const listOwnHappened = async (
  { studioId, accountId, role }: sessions.Session,
  limit: number,
  group: HappenedGroup | null = null,
): Promise<Happened[]> => {
  const of = role === 'owner' ? null : accountId
  const what = group && happenedGroups[group]
  const all = await readDoor((client) => listHappened(client, studioId, { of, limit, what }))
  // what somebody changed while they saw money is not told in figures when they don't
  return role === 'owner' || mayRead[role].includes('money') ? all : all.map((each) => ({ ...each, facts: null }))
}
