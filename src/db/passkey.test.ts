import { afterAll, beforeAll, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { listHappened } from './happened'
import { addPasskey, endPasskey, findPasskey, listPasskeys, takePasskey } from './passkey'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)
const somebody = async () => (await sessionOf(await comeIn(db.owner, db.here, 'painter'))).accountId
let count = 0
const keyOf = (accountId: string) => ({
  id: `passkey-number-${(count += 1)}`,
  accountId,
  publicKey: new Uint8Array(64).fill(count),
  host: 'studio.test',
  name: 'This phone',
  counter: 0,
})
const add = (key: ReturnType<typeof keyOf>) => atDoor((client) => addPasskey(client, key))
const take = (id: string, askedMs: number, counter = 0) => atDoor((client) => takePasskey(client, { id, askedMs, counter }))

test('what was signed comes in once, and nothing that was asked before it', async () => {
  const key = keyOf(await somebody())
  expect(await add(key)).toBe(true)
  expect(await atDoor((client) => findPasskey(client, key.id))).toMatchObject({ accountId: key.accountId, usedAt: null })
  // many at once: one comes in
  expect((await Promise.all([100, 100, 100].map((at) => take(key.id, at)))).filter(Boolean)).toHaveLength(1)
  expect([await take(key.id, 99), await take(key.id, 100), await take(key.id, 101)]).toEqual([false, false, true])
  expect((await atDoor((client) => findPasskey(client, key.id)))?.usedAt).not.toBeNull()
})
test('one that counts comes in by a higher count alone: of two alike the slower is out', async () => {
  const key = keyOf(await somebody())
  await add(key)
  expect([await take(key.id, 1, 7), await take(key.id, 2, 7), await take(key.id, 3, 6), await take(key.id, 4, 0)]).toEqual([
    true,
    false,
    false,
    false,
  ])
  expect(await take(key.id, 5, 8)).toBe(true)
})
test('is kept once, whoever brings it; one has twenty at most', async () => {
  const [one, other] = [await somebody(), await somebody()]
  const key = keyOf(one)
  expect([await add(key), await add(key), await add({ ...key, accountId: other })]).toEqual([true, false, false])
  for (let k = 1; k < 20; k += 1) expect(await add(keyOf(one))).toBe(true)
  expect(await add(keyOf(one))).toBe(false)
  expect(await atDoor((client) => listPasskeys(client, one))).toHaveLength(20)
  expect(await atDoor((client) => listPasskeys(client, other))).toEqual([])
})
test('ended by its owner alone; ended, it opens nothing, and both are told', async () => {
  const [one, other] = [await somebody(), await somebody()]
  const key = keyOf(one)
  await add(key)
  expect(await atDoor((client) => endPasskey(client, other, key.id))).toBe(false)
  expect(await atDoor((client) => endPasskey(client, one, key.id))).toBe(true)
  expect(await atDoor((client) => endPasskey(client, one, key.id))).toBe(false)
  expect(await take(key.id, 9)).toBe(false)
  expect(await atDoor((client) => findPasskey(client, key.id))).toBeNull()
  // and comes back under no other name
  expect(await add(key)).toBe(false)
  const told = await atDoor((client) => listHappened(client, db.here, { of: one, limit: 10 }))
  expect(told.slice(0, 2).map(({ what, agent }) => [what, agent])).toEqual([
    ['passkey-ended', 'This phone'],
    ['passkey-made', 'This phone'],
  ])
})
