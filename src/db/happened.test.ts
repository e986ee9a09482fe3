import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, studioFacts, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { storeWhole, wholePiece } from '@/db/testing/rows'
import * as accounts from './account'
import { addCalendarFeed, revokeCalendarFeed } from './calendarFeed'
import { listHappened } from './happened'
import * as invitations from './invitation'
import { inSession } from './pool'
import { freshSecret } from './secret'
import { saveProduct, saveStudio } from './studio'

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
  test('of terms, prices, hands, plans and links is told by whoever changed them; of loaders nothing', async () => {
    const owner = await comeIn(db.owner, db.here, 'owner')
    const { accountId } = await sessionOf(owner)
    const told = async (limit = 3) =>
      (await atDoor((client) => listHappened(client, db.here, { of: accountId, limit }))).map(
        ({ what, thing, named, facts }) => ({
          ...{ what, thing, named, facts },
        }),
      )
    const product = {
      ...{ id: uuidv7(), name: 'Tide Cup', family: 'clay' as const, colourName: null, colourHex: null, size: 500 },
      ...{ unit: 'ml' as const, price: 2100, formula: null },
    }
    await inSession(db.pool, owner, (client) => saveProduct(client, db.here, product))
    await inSession(db.pool, owner, (client) => saveProduct(client, db.here, { ...product, price: 2350 }))
    // the same again changes nothing
    await inSession(db.pool, owner, (client) => saveProduct(client, db.here, { ...product, price: 2350 }))
    await inSession(db.pool, owner, (client) => saveStudio(client, { ...studioFacts(db.here), hourRate: 2000 }))
    expect(await told()).toEqual([
      { what: 'changed', thing: 'studio', named: null, facts: { hour_rate: [1800, 2000] } },
      { what: 'changed', thing: 'product', named: 'Tide Cup', facts: { price: [2100, 2350] } },
      { what: 'made', thing: 'product', named: 'Tide Cup', facts: null },
    ])
    const feed = { id: uuidv7(), madeAt: new Date().toISOString(), digest: 'd'.repeat(64) }
    await inSession(db.pool, owner, (client) => addCalendarFeed(client, db.here, feed))
    await inSession(db.pool, owner, (client) => revokeCalendarFeed(client, feed.id, new Date().toISOString()))
    expect((await told(2)).map(({ what, thing }) => [what, thing])).toEqual([
      ['ended', 'calendar_feed'],
      ['made', 'calendar_feed'],
    ])
    // a plan is told with its piece and part, by who planned it
    const whole = wholePiece()
    await inSession(db.pool, owner, (client) => storeWhole(client, db.here, whole))
    expect((await told(10)).filter(({ thing }) => thing === 'plan')).toEqual([
      { what: 'made', thing: 'plan', named: `${whole.piece.name}, ${whole.part.name.toLowerCase()}`, facts: null },
    ])
    const count = async () =>
      (await db.owner.query(`select from door.happened where what in ('made', 'changed', 'ended')`)).rowCount
    const before = await count()
    await saveProduct(db.owner, db.here, { ...product, id: uuidv7() })
    expect(await count()).toBe(before)
  })
})
