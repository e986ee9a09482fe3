import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import * as accounts from './account'
import { listHappened } from './happened'
import * as invitations from './invitation'
import { inSession } from './pool'
import { freshSecret } from './secret'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)

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
