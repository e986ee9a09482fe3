import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { storeWhole, wholePiece } from '@/db/testing/rows'
import * as accounts from './account'
import { listHappened } from './happened'
import * as invitations from './invitation'
import { type Client, inSession, SignedOut } from './pool'
import { freshSecret } from './secret'
import * as sessions from './session'
import { addTry, noteCameIn } from './signInTry'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
  await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, wholePiece()))
})
afterAll(() => db.drop())

/** Asks as the door's own role. */
async function atDoor<T>(work: (client: Client) => Promise<T>): Promise<T> {
  const client = await db.door.connect()
  try {
    return await work(client)
  } finally {
    client.release()
  }
}
const studioOf = (secret: string) => inSession(db.pool, secret, (_, studioId) => Promise.resolve(studioId))
const sessionOf = async (secret: string) => {
  const session = await atDoor((client) => sessions.findSession(client, secret))
  if (!session) throw new Error('no session')
  return session
}

describe('a session', () => {
  test('opens its own studio, and is known by its digest alone', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    expect(await studioOf(secret)).toBe(db.here)
    expect(await sessionOf(secret)).toMatchObject({ studioId: db.here, role: 'painter', isOpen: true, isRevoked: false })
    const { rows } = await db.owner.query<{ text: string }>('select string_agg(s::text, chr(10)) as text from door.session s')
    expect(rows[0]?.text).not.toContain(secret)
  })
  test('that is none, is ended, over, or of somebody who comes in no more opens nothing', async () => {
    for (const secret of ['', 'x', freshSecret()]) await expect(studioOf(secret)).rejects.toThrow(SignedOut)
    const ended = await comeIn(db.owner, db.here, 'painter')
    const { id, accountId } = await sessionOf(ended)
    // nobody ends another's
    const other = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
    const end = (by: string) => atDoor((client) => sessions.endSessions(client, { accountId: by, ids: [id], revoked: true }))
    expect(await end(other.accountId)).toBe(0)
    expect(await studioOf(ended)).toBe(db.here)
    expect(await end(accountId)).toBe(1)
    await expect(studioOf(ended)).rejects.toThrow(SignedOut)
    expect(await sessionOf(ended)).toMatchObject({ isOpen: false, isRevoked: true })

    const over = await comeIn(db.owner, db.here, 'painter')
    const { id: overId } = await sessionOf(over)
    await db.owner.query(`update door.session set expires_at = now() - interval '1 second' where id = $1`, [overId])
    await expect(studioOf(over)).rejects.toThrow(SignedOut)

    const gone = await comeIn(db.owner, db.here, 'painter')
    const { membershipId } = await sessionOf(gone)
    expect(await atDoor((client) => accounts.endMembership(client, db.elsewhere, membershipId))).toBe(false)
    expect(await atDoor((client) => accounts.endMembership(client, db.here, membershipId))).toBe(true)
    await expect(studioOf(gone)).rejects.toThrow(SignedOut)
  })
  test('lists the devices of its own account, the newest seen first', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId, membershipId, id } = await sessionOf(secret)
    const second = { id: uuidv7(), secret: freshSecret(), studioId: db.here, membershipId, days: 1, agent: 'a phone' }
    await atDoor((client) => sessions.openSession(client, second))
    await db.owner.query(`update door.session set seen_at = now() - interval '1 hour' where id = $1`, [id])
    const listed = await atDoor((client) => sessions.listSessions(client, accountId))
    expect(listed.map((each) => [each.id, each.agent])).toEqual([
      [second.id, 'a phone'],
      [id, null],
    ])
    expect((await sessionOf(secret)).isStale).toBe(true)
    await atDoor((client) => sessions.noteSeen(client, id))
    expect((await sessionOf(secret)).isStale).toBe(false)
  })
})

describe('whoever writes their own statements', () => {
  const tables = ['account', 'happened', 'may_write', 'membership', 'password_key', 'session', 'sign_in_try']
  test('reaches nothing behind the door', async () => {
    for (const table of tables) {
      const attempt = (sql: string) => db.as(db.here, (client) => client.query(sql))
      await expect(attempt(`select from door.${table}`), table).rejects.toThrow(/permission denied/)
      await expect(attempt(`delete from door.${table}`), table).rejects.toThrow(/permission denied/)
      await expect(attempt(`insert into door.${table} default values`), table).rejects.toThrow(/permission denied/)
    }
    const { rows } = await db.owner.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'door'::regnamespace and relkind = 'r' order by 1`,
    )
    expect(rows.map(({ name }) => name)).toEqual(tables)
  })
  test('stays inside their studio, whatever they set', async () => {
    for (const sql of [
      `select set_config('itinerum.studio', '${db.elsewhere}', true)`,
      `select set_config('itinerum.session', '${db.elsewhere}', true)`,
      `select enter('${db.elsewhere}')`,
      `set local itinerum.session = ''`,
    ]) {
      const seen = await db.as(db.here, async (client) => {
        await client.query(sql)
        return (await client.query('select from piece')).rowCount
      })
      expect(seen, sql).toBe(0)
    }
    const becomes = (role: string) => db.as(db.here, (client) => client.query(`set local role ${role}`))
    await expect(becomes('itinerum_door')).rejects.toThrow(/permission denied/)
    await expect(becomes('itinerum_owner')).rejects.toThrow(/permission denied/)
  })
  test('at the door sees names of studios and people, and no work', async () => {
    const { rows } = await db.owner.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'p')
         and has_table_privilege('itinerum_door', oid, 'select') order by 1`,
    )
    expect(rows.map(({ name }) => name)).toEqual(['invitation', 'person', 'studio'])
    const roles = await db.owner.query(
      `select rolsuper, rolbypassrls, rolcreaterole from pg_roles where rolname = 'itinerum_door'`,
    )
    expect(roles.rows[0]).toEqual({ rolsuper: false, rolbypassrls: false, rolcreaterole: false })
  })
})

describe('a way to a new password', () => {
  const hashed = (mark: string) => `$argon2id$v=19$m=19456,t=2,p=1$${mark}`
  test('opens once, the newest alone, and whoever was in by the old one is out', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId } = await sessionOf(secret)
    const [first, second] = [freshSecret(), freshSecret()]
    for (const each of [first, second]) await atDoor((client) => accounts.addPasswordKey(client, accountId, each, 24))
    const find = (each: string) => atDoor((client) => accounts.findByPasswordKey(client, each))
    expect([await find(first), (await find(second))?.id]).toEqual([null, accountId])
    const both = await Promise.all([1, 2].map(() => atDoor((client) => accounts.usePasswordKey(client, second))))
    expect(both.sort()).toEqual([false, true])
    await atDoor((client) => accounts.setPassword(client, accountId, hashed('new'), null))
    await expect(studioOf(secret)).rejects.toThrow(SignedOut)
    expect(await atDoor((client) => accounts.getAccount(client, accountId))).toMatchObject({ password: hashed('new') })
  })
  test('one’s own session stays where one changes it oneself', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId, id, membershipId } = await sessionOf(secret)
    const phone = freshSecret()
    await atDoor((client) =>
      sessions.openSession(client, { id: uuidv7(), secret: phone, studioId: db.here, membershipId, days: 1 }),
    )
    await atDoor((client) => accounts.setPassword(client, accountId, hashed('own'), id))
    expect(await studioOf(secret)).toBe(db.here)
    await expect(studioOf(phone)).rejects.toThrow(SignedOut)
  })
  test('is an owner’s to make for people of that studio alone', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId, membershipId } = await sessionOf(secret)
    const find = (studioId: string) => atDoor((client) => accounts.findOwnMember(client, studioId, membershipId))
    expect([(await find(db.here))?.id, await find(db.elsewhere)]).toEqual([accountId, null])
    const personId = uuidv7()
    await atDoor((client) => invitations.addPersonAtDoor(client, db.elsewhere, personId, 'The same'))
    await atDoor((client) =>
      accounts.addMembership(client, { id: uuidv7(), accountId, studioId: db.elsewhere, personId, role: 'helper' }),
    )
    expect(await find(db.here)).toBeNull()
  })
})

describe('an invitation', () => {
  const invitation = (over: Partial<invitations.NewInvitation> = {}): invitations.NewInvitation => ({
    ...{ id: uuidv7(), secret: freshSecret(), role: 'helper', personId: null, hours: 72 },
    ...over,
  })
  const find = (secret: string) => atDoor((client) => invitations.findInvited(client, secret))
  test('is made by an owner alone, opens once, and for the first who comes', async () => {
    for (const role of ['painter', 'bookkeeper', 'helper'] as const) {
      const secret = await comeIn(db.owner, db.here, role)
      const attempt = inSession(db.pool, secret, (client, id) => invitations.addInvitation(client, id, invitation()))
      await expect(attempt, role).rejects.toThrow(/row-level security/)
    }
    const made = invitation()
    await db.as(db.here, (client) => invitations.addInvitation(client, db.here, made))
    expect(await find(made.secret)).toMatchObject({ studioId: db.here, studioName: 'A studio', role: 'helper', personName: null })
    const both = await Promise.all([1, 2].map(() => atDoor((client) => invitations.useInvitation(client, made.id))))
    expect(both.sort()).toEqual([false, true])
    expect(await find(made.secret)).toBeNull()
  })
  test('that was taken back or is over opens nothing', async () => {
    const [back, over] = [invitation(), invitation({ hours: 0 })]
    for (const each of [back, over]) await db.as(db.here, (client) => invitations.addInvitation(client, db.here, each))
    expect((await db.as(db.here, invitations.listInvitations)).map(({ id }) => id)).toEqual([back.id])
    // not by anybody else, and not by who is no owner
    await db.as(db.elsewhere, (client) => invitations.revokeInvitation(client, back.id, new Date().toISOString()))
    const painter = await comeIn(db.owner, db.here, 'painter')
    await inSession(db.pool, painter, (client) => invitations.revokeInvitation(client, back.id, new Date().toISOString()))
    expect(await find(back.secret)).not.toBeNull()
    await db.as(db.here, (client) => invitations.revokeInvitation(client, back.id, new Date().toISOString()))
    expect([await find(back.secret), await find(over.secret)]).toEqual([null, null])
  })
})

describe('what happened', () => {
  test('is told by the database itself, with who did it, and nobody changes it', async () => {
    const owner = await comeIn(db.owner, db.here, 'owner')
    const painter = await comeIn(db.owner, db.here, 'painter')
    const [by, about] = [await sessionOf(owner), await sessionOf(painter)]
    await inSession(db.pool, owner, (client, id) =>
      invitations.addInvitation(client, id, { id: uuidv7(), secret: freshSecret(), role: 'helper', personId: null, hours: 1 }),
    )
    await atDoor(async (client) => {
      await client.query('begin')
      await client.query('select enter($1)', [owner])
      await accounts.endMembership(client, db.here, about.membershipId)
      await client.query('commit')
    })
    const told = (of: string | null) => atDoor((client) => listHappened(client, db.here, { of, limit: 6 }))
    expect((await told(about.accountId)).map((each) => [each.what, each.by, each.about])).toEqual([
      ['signed-out', by.accountName, about.accountName],
      ['sent-away', by.accountName, about.accountName],
      ['came-in', null, about.accountName],
      ['joined', null, about.accountName],
    ])
    expect((await told(null)).map((each) => each.what).slice(0, 3)).toEqual(['signed-out', 'sent-away', 'invited'])
    expect((await told(by.accountId)).map((each) => [each.what, each.role])).toContainEqual(['invited', 'helper'])
    expect(await atDoor((client) => listHappened(client, db.elsewhere, { of: by.accountId, limit: 6 }))).toEqual([])
    for (const sql of [
      'delete from door.happened',
      `update door.happened set what = 'joined'`,
      `insert into door.happened default values`,
    ])
      await expect(
        atDoor((client) => client.query(sql)),
        sql,
      ).rejects.toThrow(/permission denied/)
    const forged = `select door.tell('joined', '${db.here}', null, null, null, null)`
    await expect(db.as(db.here, (client) => client.query(forged))).rejects.toThrow(/permission denied/)
    await expect(atDoor((client) => client.query(forged))).rejects.toThrow(/permission denied/)
  })
})

test('a studio is never left without an owner', async () => {
  const members = await atDoor((client) => accounts.listMembers(client, db.elsewhere))
  const owners = members.filter(({ role }) => role === 'owner')
  expect(owners).toHaveLength(1)
  const only = owners[0]?.membershipId ?? ''
  const end = (id: string) => atDoor((client) => accounts.endMembership(client, db.elsewhere, id))
  expect(await end(only)).toBe(false)
  await comeIn(db.owner, db.elsewhere, 'owner')
  expect(await end(only)).toBe(true)
})

describe('tries to come in', () => {
  const tryOnce = (name: string, address: string, minutes = 15) =>
    atDoor((client) => addTry(client, { id: uuidv7(), name, address }, minutes))
  test('are counted by name, whatever its capitals, and by address; who came in is not counted', async () => {
    expect(await tryOnce('Hedda', 'one')).toEqual({ byName: 1, byAddress: 1 })
    expect(await tryOnce('hedda ', 'two')).toEqual({ byName: 2, byAddress: 1 })
    expect(await tryOnce('Nobody', 'two')).toEqual({ byName: 1, byAddress: 2 })
    const id = uuidv7()
    await atDoor((client) => addTry(client, { id, name: 'hedda', address: 'three' }, 15))
    await atDoor((client) => noteCameIn(client, id))
    expect(await tryOnce('HEDDA', 'three')).toEqual({ byName: 3, byAddress: 1 })
  })
  test('many at once are all counted', async () => {
    const counts = await Promise.all(Array.from({ length: 8 }, () => tryOnce('crowd', 'street')))
    expect(Math.max(...counts.map(({ byName }) => byName))).toBe(8)
  })
})

test('names differ by more than capitals', async () => {
  const add = (name: string) => atDoor((client) => accounts.addAccount(client, { id: uuidv7(), name, password: null }))
  await add('Orla')
  await expect(add('ORLA')).rejects.toThrow(/duplicate key/)
  expect(await atDoor((client) => accounts.findAccount(client, 'oRLa'))).toMatchObject({ name: 'Orla', password: null })
  // a password that is not hashed is no password
  const plain = atDoor((client) => accounts.addAccount(client, { id: uuidv7(), name: 'Plain', password: 'plain words' }))
  await expect(plain).rejects.toThrow(/account_password_check/)
})
