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
