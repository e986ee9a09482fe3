/** The door: who comes in and goes out. Asks the database by the door's own role; what the app asks for goes another way. */
import 'server-only'
import { hash, type Options, verify } from '@node-rs/argon2'
import type pg from 'pg'
import { cache } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { signInText } from '@/core/input/door'
import * as accounts from '@/db/account'
import { type Happened, listHappened } from '@/db/happened'
import * as invitations from '@/db/invitation'
import { patiently } from '@/db/patiently'
import { type Client, inTransaction, makePool, onConnection } from '@/db/pool'
import { freshSecret } from '@/db/secret'
import * as sessions from '@/db/session'
import * as tries from '@/db/signInTry'
import { sessionSecret } from './session'
import { inTurns } from './turns'

const holder = globalThis as { itinerumDoor?: pg.Pool }
function pool(): pg.Pool {
  const url = process.env.DOOR_DATABASE_URL
  if (!url) throw new Error('DOOR_DATABASE_URL is not set. Start the server with ./itinerum start or ./itinerum demo.')
  return (holder.itinerumDoor ??= makePool(url, 4))
}

/** In one transaction; what happens in it is told as done by who is in. */
const atDoor = <T>(work: (client: Client) => Promise<T>): Promise<T> =>
  inTransaction(pool(), async (client) => {
    await client.query('select enter($1)', [await sessionSecret()])
    return work(client)
  })
/** a database that was killed is back sooner */
const patienceMs = 5_000
/** One question, which needs no transaction: asked with every page. */
const readDoor = <T>(work: (client: Client) => Promise<T>, waitMs = patienceMs): Promise<T> =>
  patiently(() => onConnection(pool(), work), waitMs)

/** The session behind a secret, seen just now; null where there never was one. */
export async function lookUp(secret: string): Promise<sessions.Session | null> {
  if (secret === '') return null
  return readDoor(async (client) => {
    const session = await sessions.findSession(client, secret)
    if (session?.isOpen && session.isStale) await sessions.noteSeen(client, session.id)
    return session
  })
}
/** Who is signed in, once a request; null for nobody. */
export const whoIsIn = cache(async (): Promise<sessions.Session | null> => {
  const session = await lookUp(await sessionSecret())
  return session?.isOpen ? session : null
})

// ---- coming in ----------------------------------------------------------------------------------------------------

/** what the password-hashing guidance of the day asks for at least: 19 MiB, two passes, one lane */
const argon: Options = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }
/** each takes its memory: so many at once, and so many may wait */
const hashing = inTurns(4, 40)
/** a password that nobody has, worked for names that nobody bears: a wrong name takes as long as a wrong password */
const nobody = hash('nobody comes in by this', argon)

/** failed tries within so many minutes after which one has to wait: for one name, and from one address */
const slow = { minutes: 15, byName: 10, byAddress: 60 }
/** a session stands so long, used or not */
const sessionDays = 60

export interface Came {
  agent: string
  address: string
  /** the secret of the session that was there before; it ends */
  before: string
}
export type CameIn = { secret: string; days: number } | { issue: 'wrong' | 'wait' }

export async function signIn(typed: { name: string; password: string }, came: Came): Promise<CameIn> {
  const { name, password } = signInText.parse(typed)
  const tryId = uuidv7()
  const counted = await atDoor((client) => tries.addTry(client, { id: tryId, name, address: came.address }, slow.minutes))
  if (counted.byName > slow.byName || counted.byAddress > slow.byAddress) return { issue: 'wait' }
  const account = await atDoor((client) => accounts.findAccount(client, name))
  const kept = account?.password ?? (await nobody)
  const fits = await hashing(() => verify(kept, password))
  if (!account?.password || !fits) return { issue: 'wrong' }
  return atDoor(async (client) => {
    await tries.noteCameIn(client, tryId)
    const [membership] = await accounts.listMemberships(client, account.id)
    return membership ? begin(client, membership, came) : { issue: 'wrong' as const }
  })
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

/** Takes up an invitation: makes the account and its membership, and comes in by it. */
export async function join(
  { token, name, password, called }: { token: string; name: string; password: string; called: string },
  came: Came,
): Promise<CameIn | { issue: 'gone' | 'taken' }> {
  const kept = await hashing(() => hash(password, argon))
  return atDoor(async (client) => {
    const invited = await invitations.findInvited(client, token)
    if (!invited) return { issue: 'gone' as const }
    if (await accounts.findAccount(client, name)) return { issue: 'taken' as const }
    if (!(await invitations.useInvitation(client, invited.id))) return { issue: 'gone' as const }
    const { studioId } = invited
    const personId = invited.personId ?? uuidv7()
    if (!invited.personId) await invitations.addPersonAtDoor(client, studioId, personId, called || name)
    const [accountId, id] = [uuidv7(), uuidv7()]
    await accounts.addAccount(client, { id: accountId, name, password: kept })
    await accounts.addMembership(client, { id, accountId, studioId, personId, role: invited.role })
    return begin(client, { id, studioId }, came)
  })
}

async function begin(
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
  const counted = await atDoor((client) => tries.addTry(client, { id: tryId, name, address: came.address }, slow.minutes))
  if (counted.byName > slow.byName) return 'wait'
  const account = await atDoor((client) => accounts.getAccount(client, session.accountId))
  const kept = account.password ?? (await nobody)
  const fits = await hashing(() => verify(kept, old.normalize('NFC')))
  if (!account.password || !fits) return 'wrong'
  const made = await hashing(() => hash(password, argon))
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
  { token, password }: { token: string; password: string },
  came: Came,
): Promise<CameIn | { issue: 'gone' }> {
  const made = await hashing(() => hash(password, argon))
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

/** Ends the sessions named, of whoever is in; ended from elsewhere, what is kept on their devices goes. */
export const signOut = (session: sessions.Session, ids: readonly string[]): Promise<number> =>
  atDoor(async (client) => {
    const { accountId, id: own } = session
    const others = ids.filter((id) => id !== own)
    const ended = others.length > 0 ? await sessions.endSessions(client, { accountId, ids: others, revoked: true }) : 0
    return ended + (ids.includes(own) ? await sessions.endSessions(client, { accountId, ids: [own], revoked: false }) : 0)
  })
export const listOwnSessions = (session: sessions.Session): Promise<sessions.OpenSession[]> =>
  readDoor((client) => sessions.listSessions(client, session.accountId))
/** What happened at the doors: of the whole studio for its owner, of oneself for anybody else. */
export const listOwnHappened = ({ studioId, accountId, role }: sessions.Session, limit: number): Promise<Happened[]> =>
  readDoor((client) => listHappened(client, studioId, { of: role === 'owner' ? null : accountId, limit }))
export const listMembers = (session: sessions.Session): Promise<accounts.Member[]> =>
  readDoor((client) => accounts.listMembers(client, session.studioId))
/** Somebody comes in no more; false where that would leave nobody who owns it. */
export const sendAway = (session: sessions.Session, membershipId: string): Promise<boolean> =>
  atDoor((client) => accounts.endMembership(client, session.studioId, membershipId))
