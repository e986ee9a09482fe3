import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import * as accounts from './account'
import { SignedOut } from './pool'
import { freshSecret } from './secret'
import * as sessions from './session'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf, studioOf } = doorOf(() => db)

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
    // who was not there for a month signs in anew
    const idle = await comeIn(db.owner, db.here, 'painter')
    const { id: idleId } = await sessionOf(idle)
    await db.owner.query(`update door.session set seen_at = now() - interval '29 days' where id = $1`, [idleId])
    expect(await studioOf(idle)).toBe(db.here)
    await db.owner.query(`update door.session set seen_at = now() - interval '31 days' where id = $1`, [idleId])
    await expect(studioOf(idle)).rejects.toThrow(SignedOut)
    expect(await atDoor((client) => sessions.findSession(client, idle))).toMatchObject({ isOpen: false })

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

describe('a secret that has its next', () => {
  const began = async () => {
    const [now, next] = [await comeIn(db.owner, db.here, 'painter'), freshSecret()]
    const { id } = await sessionOf(now)
    return { now, next, id }
  }
  const aged = (id: string, minutes: number) =>
    db.owner.query(`update door.session set renewed_at = now() - make_interval(mins => $2) where id = $1`, [id, minutes])
  const offer = (id: string, now: string, next: string) => atDoor((client) => sessions.offerNext(client, id, now, next))
  const take = (id: string, next: string) => atDoor((client) => sessions.takeUpNext(client, id, next))

  test('is due after two hours; both are good until the next one is come with', async () => {
    const { now, next, id } = await began()
    await aged(id, 119)
    expect((await sessionOf(now)).isDue).toBe(false)
    await aged(id, 121)
    expect(await sessionOf(now)).toMatchObject({ isDue: true, knownBy: 'now' })
    await expect(studioOf(next)).rejects.toThrow(SignedOut)
    expect(await offer(id, now, next)).toBe(true)
    // an answer that was lost costs nobody their sign-in
    for (const secret of [now, next, now]) expect(await studioOf(secret)).toBe(db.here)
    expect(await sessionOf(next)).toMatchObject({ id, knownBy: 'next', isOpen: true })
  })
  test('taken up, the one before is good for what was on its way; later it ends the session for both', async () => {
    const { now, next, id } = await began()
    await offer(id, now, next)
    await take(id, next)
    expect(await sessionOf(next)).toMatchObject({ knownBy: 'now', isDue: false, isOpen: true })
    expect(await studioOf(now)).toBe(db.here)
    expect(await sessionOf(now)).toMatchObject({ knownBy: 'before', isOpen: true, isReplayed: false })
    await aged(id, 3)
    await expect(studioOf(now)).rejects.toThrow(SignedOut)
    expect(await sessionOf(now)).toMatchObject({ isOpen: false, isReplayed: true })
    expect(await studioOf(next)).toBe(db.here)
    await atDoor((client) => sessions.endCopied(client, id))
    await expect(studioOf(next)).rejects.toThrow(SignedOut)
    expect(await sessionOf(next)).toMatchObject({ isOpen: false, isCopied: true, isRevoked: false, isReplayed: false })
    const { rows } = await db.owner.query(`select what from door.happened order by id desc limit 1`)
    expect(rows).toEqual([{ what: 'copied' }])
  })
  test('one that is ended, or known by another, is offered none; a secret is nobody else’s next', async () => {
    const { now, next, id } = await began()
    expect(await offer(id, next, now)).toBe(false)
    await take(id, next)
    expect(await sessionOf(now)).toMatchObject({ knownBy: 'now' })
    await offer(id, now, next)
    const other = await began()
    await expect(offer(other.id, other.now, next)).rejects.toThrow(/session_next/)
    await db.owner.query('update door.session set ended_at = now() where id = $1', [id])
    expect(await offer(id, now, freshSecret())).toBe(false)
    await expect(studioOf(next)).rejects.toThrow(SignedOut)
    expect(await atDoor((client) => sessions.findStanding(client, id))).toMatchObject({ stands: false })
    expect(await atDoor((client) => sessions.findStanding(client, other.id))).toMatchObject({ stands: true })
  })
})
