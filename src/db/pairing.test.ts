import { afterAll, beforeAll, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { endMembership } from './account'
import { addPairing, findPairing, takePairing } from './pairing'
import { freshSecret } from './secret'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)

test('a picture brings one phone in, the newest alone, until it is over', async () => {
  const { membershipId } = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
  const [first, second, over] = [freshSecret(), freshSecret(), freshSecret()]
  const make = (secret: string, seconds = 120) => atDoor((client) => addPairing(client, membershipId, secret, seconds))
  const find = async (secret: string) => (await atDoor((client) => findPairing(client, secret)))?.id ?? null
  const take = (secret: string) => atDoor((client) => takePairing(client, secret))
  await make(first)
  expect(await find(first)).toBe(membershipId)
  await make(second)
  expect([await find(first), await take(first)]).toEqual([null, false])
  expect((await Promise.all([second, second].map(take))).sort()).toEqual([false, true])
  expect(await find(second)).toBeNull()
  await make(over, 0)
  expect([await find(over), await take(over)]).toEqual([null, false])
  const { rows } = await db.owner.query<{ text: string }>('select string_agg(g::text, chr(10)) as text from door.pairing g')
  for (const secret of [first, second, over]) expect(rows[0]?.text).not.toContain(secret)
})

test('nobody comes in as somebody who comes in no more', async () => {
  const { membershipId } = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
  const secret = freshSecret()
  await atDoor((client) => addPairing(client, membershipId, secret, 120))
  await atDoor((client) => endMembership(client, db.here, membershipId))
  expect(await atDoor((client) => findPairing(client, secret))).toBeNull()
})
