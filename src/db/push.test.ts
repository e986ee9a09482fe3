import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import * as push from './push'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)

const place = (endpoint: string): push.PushPlace => ({
  id: uuidv7(),
  endpoint,
  p256dh: 'p'.repeat(87),
  auth: 'a'.repeat(22),
})
const told = async () => (await atDoor(push.listPlaces)).map(({ endpoint }) => endpoint)

describe('where a browser is told', () => {
  test('is one place however often it says so, of whoever is in it now, and ends with the session', async () => {
    const [one, other] = [
      await sessionOf(await comeIn(db.owner, db.here, 'painter')),
      await sessionOf(await comeIn(db.owner, db.here, 'owner')),
    ]
    const keep = (session: string) =>
      atDoor((client) => push.keepPlace(client, session, place('https://push.itinerum.example/1')))
    await keep(one.id)
    await keep(one.id)
    expect(await told()).toEqual(['https://push.itinerum.example/1'])
    // one that has another address by now has that alone
    await atDoor((client) => push.keepPlace(client, one.id, place('https://push.itinerum.example/moved')))
    expect(await told()).toEqual(['https://push.itinerum.example/moved'])
    await keep(one.id)
    await keep(other.id)
    await atDoor((client) => push.endPlaces(client, one.id))
    expect(await told()).toHaveLength(1)
    await db.owner.query('update door.session set ended_at = now() where id = $1', [other.id])
    expect(await told()).toEqual([])
    // the browser comes in again
    const again = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
    await keep(again.id)
    expect(await told()).toHaveLength(1)
    await atDoor((client) => push.endPlaces(client, again.id))
    expect(await told()).toEqual([])
  })
  test('is told a thing once, of two servers at the same moment by one; what could not be told is told again', async () => {
    const session = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
    const there = place('https://push.itinerum.example/2')
    await atDoor((client) => push.keepPlace(client, session.id, there))
    const tell = () => atDoor((client) => push.tellOnce(client, there.id, 'wax closes'))
    expect((await Promise.all([tell(), tell(), tell()])).filter(Boolean)).toHaveLength(1)
    await atDoor((client) => push.notTold(client, there.id, 'wax closes'))
    expect(await tell()).toBe(true)
    await db.owner.query(`update door.push_told set at = now() - interval '8 days'`)
    await atDoor(push.forgetTold)
    expect((await db.owner.query('select from door.push_told')).rowCount).toBe(0)
  })
})
test('one pair of keys for the house, whoever asks first', async () => {
  const made = ['x', 'y', 'z'].map((each) => () => ({ public: each, private: each }))
  const found = await Promise.all(made.map((make) => atDoor((client) => push.pushKeys(client, make))))
  expect(new Set(found.map((each) => each.public)).size).toBe(1)
})
test('one server does what is done once; another takes it up when the first stops', async () => {
  const [a, b] = [uuidv7(), uuidv7()]
  const holds = (who: string, seconds = 60) => atDoor((client) => push.holds(client, 'trial', who, seconds))
  expect([await holds(a), await holds(b), await holds(a)]).toEqual([true, false, true])
  await db.owner.query(`update door.clerk set until = now() - interval '1 second'`)
  expect([await holds(b), await holds(a)]).toEqual([true, false])
})
