import { afterAll, beforeAll, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { listHappened } from './happened'
import { findHouseRule, saveHouseRule } from './houseRule'
import { listOpenPieces } from './piece'
import { inSession, SignedOut } from './pool'
import { beginSecondFactor, endSecondFactor } from './secondFactor'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)

test('where a code is asked of everybody, who has none reads and writes nothing, in the database itself', async () => {
  const [withOne, without] = [await comeIn(db.owner, db.here, 'owner'), await comeIn(db.owner, db.here, 'painter')]
  const elsewhere = await comeIn(db.owner, db.elsewhere, 'painter')
  const { accountId } = await sessionOf(withOne)
  await atDoor((client) => beginSecondFactor(client, accountId, 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP', 1))
  const before = await atDoor((client) => findHouseRule(client, db.here))
  expect(before.asksCodes).toBe(false)
  const reads = (secret: string) => inSession(db.pool, secret, listOpenPieces)
  await expect(reads(without)).resolves.toEqual([])

  await atDoor((client) => saveHouseRule(client, db.here, true))
  await atDoor((client) => saveHouseRule(client, db.here, true))
  expect(await atDoor((client) => findHouseRule(client, db.here))).toEqual({ asksCodes: true, without: before.without })
  await expect(reads(without)).rejects.toThrow(SignedOut)
  await expect(reads(withOne)).resolves.toEqual([])
  expect(await sessionOf(without)).toMatchObject({ isOpen: false, lacksCode: true, isRevoked: false })
  expect(await sessionOf(withOne)).toMatchObject({ isOpen: true, lacksCode: false })
  // another studio asks what it asks
  await expect(reads(elsewhere)).resolves.toEqual([])

  // with a code they are in by the very session they had; without it again they are not
  const { accountId: theirs } = await sessionOf(without)
  await atDoor((client) => beginSecondFactor(client, theirs, 'KRSXG5CTMVRXEZLUKRSXG5CTMVRXEZLU', 1))
  await expect(reads(without)).resolves.toEqual([])
  expect(await atDoor((client) => findHouseRule(client, db.here))).toEqual({ asksCodes: true, without: before.without - 1 })
  await atDoor((client) => endSecondFactor(client, theirs))
  await expect(reads(without)).rejects.toThrow(SignedOut)

  // nobody of the demo has one, and all come in
  await db.owner.query('update door.account set is_demo = true where id = $1', [theirs])
  await expect(reads(without)).resolves.toEqual([])
  await db.owner.query('update door.account set is_demo = false where id = $1', [theirs])

  await atDoor((client) => saveHouseRule(client, db.here, false))
  await expect(reads(without)).resolves.toEqual([])
  const told = await atDoor((client) => listHappened(client, db.here, { of: null, limit: 20 }))
  expect(told.map(({ what }) => what).filter((what) => /^codes-(asked|left)/.test(what))).toEqual(['codes-left', 'codes-asked'])
})
