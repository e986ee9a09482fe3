import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import * as invitations from './invitation'
import { inSession } from './pool'
import { freshSecret } from './secret'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor } = doorOf(() => db)

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
