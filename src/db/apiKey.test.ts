import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { KeyMay } from '@/core/house/keys'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addApiKey, countKeyUse, endApiKey, findApiKey, keySecret, listApiKeys } from './apiKey'
import { addEntries, listEntries } from './entry'
import { listHappened } from './happened'
import { inSession, SignedOut } from './pool'
import { freshSecret } from './secret'
import { findSession, listSessions } from './session'
import { getStudio } from './studio'

let db: TestDatabase
let own: Whole
beforeAll(async () => {
  db = await makeDatabase()
  own = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, own))
  await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, wholePiece()))
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)

/** A key of somebody who is that here. */
async function keyOf(role: 'owner' | 'helper', may: readonly KeyMay[]) {
  const session = await sessionOf(await comeIn(db.owner, db.here, role))
  const [id, token] = [uuidv7(), freshSecret()]
  await atDoor((client) =>
    addApiKey(client, { id, token, studioId: db.here, membershipId: session.membershipId, name: 'the till', may, days: 30 }),
  )
  return { id, token, session }
}
const by = <T>(token: string, work: Parameters<typeof inSession<T>>[2]) => inSession(db.pool, keySecret(token), work)
const note = () => ({ id: uuidv7(), kind: 'note', pieceId: own.piece.id, at, note: 'by a key' }) as const

describe('a key', () => {
  test('reads its studio, writes only where it may, and sees money only where it may', async () => {
    const reads = await keyOf('owner', ['read'])
    const writes = await keyOf('owner', ['read', 'write'])
    const sees = await keyOf('owner', ['read', 'money'])
    const pieces = (token: string) => by(token, async (client) => (await client.query('select from piece')).rowCount)
    for (const { token } of [reads, writes, sees]) expect(await pieces(token)).toBe(1)
    const add = (token: string) => by(token, (client, studioId) => addEntries(client, studioId, [note()]))
    expect(await add(reads.token)).toMatchObject({ issue: 'not-yours' })
    expect(await add(sees.token)).toMatchObject({ issue: 'not-yours' })
    await add(writes.token)
    expect((await by(writes.token, (client) => listEntries(client, [own.piece.id]))).some((each) => each.kind === 'note')).toBe(
      true,
    )
    const rate = async (token: string) => (await by(token, getStudio)).hourRate
    expect([await rate(reads.token), await rate(writes.token), await rate(sees.token)]).toEqual([0, 0, 1800])
  })
  test('is no more than whoever made it', async () => {
    const { token } = await keyOf('helper', ['read', 'write', 'money'])
    expect((await by(token, getStudio)).hourRate).toBe(0)
    await expect(
      by(token, (client) => client.query(`update piece set name = 'mine' where id = $1`, [own.piece.id])),
    ).rejects.toThrow(/row-level security|permission denied/)
  })
  test('ends when it is taken back, on its day, and with whoever made it; nobody else takes it back', async () => {
    const { id, token, session } = await keyOf('owner', ['read'])
    expect(await atDoor((client) => findApiKey(client, token))).toMatchObject({ id, name: 'the till', may: ['read'] })
    expect((await atDoor((client) => listApiKeys(client, db.here))).map((each) => each.id)).toContain(id)
    expect(await atDoor((client) => listApiKeys(client, db.elsewhere))).toEqual([])
    expect(await atDoor((client) => endApiKey(client, db.elsewhere, id, at))).toBe(false)
    await expect(by(token, getStudio)).resolves.toBeDefined()
    expect(await atDoor((client) => endApiKey(client, db.here, id, new Date().toISOString()))).toBe(true)
    await expect(by(token, getStudio)).rejects.toThrow(SignedOut)
    expect(await atDoor((client) => findApiKey(client, token))).toBeNull()
    const told = await atDoor((client) => listHappened(client, db.here, { of: session.accountId, limit: 5 }))
    expect(told.map(({ what, agent }) => [what, agent]).slice(0, 2)).toEqual([
      ['key-ended', 'the till'],
      ['key-made', 'the till'],
    ])
    const over = await keyOf('owner', ['read'])
    await db.owner.query('update door.session set expires_at = now() where id = $1', [over.id])
    await expect(by(over.token, getStudio)).rejects.toThrow(SignedOut)
    const gone = await keyOf('owner', ['read'])
    await db.owner.query('update door.membership set ended_at = now() where id = $1', [gone.session.membershipId])
    await expect(by(gone.token, getStudio)).rejects.toThrow(SignedOut)
  })
  test('is no session: not by its token, nor by what that is known by, and is listed among none', async () => {
    const { token, session } = await keyOf('owner', ['read', 'write', 'money'])
    await expect(inSession(db.pool, token, getStudio)).rejects.toThrow(SignedOut)
    for (const secret of [token, keySecret(token)]) expect(await atDoor((client) => findSession(client, secret))).toBeNull()
    expect((await atDoor((client) => listSessions(client, session.accountId))).map(({ id }) => id)).toEqual([session.id])
  })
  test('is counted by the minute, however many ask at once', async () => {
    const { id } = await keyOf('owner', ['read'])
    const counts = await Promise.all(Array.from({ length: 12 }, () => atDoor((client) => countKeyUse(client, id))))
    // the minute may turn once
    expect(counts.filter((each) => each === 1).length).toBeLessThanOrEqual(2)
    expect(Math.max(...counts)).toBeGreaterThanOrEqual(6)
  })
})
