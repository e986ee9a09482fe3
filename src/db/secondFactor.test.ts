import { afterAll, beforeAll, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { findAccount, getAccount } from './account'
import { listHappened } from './happened'
import { addRecoveryCodes, beginSecondFactor, endSecondFactor, findFactor, takeRecoveryCode, takeStep } from './secondFactor'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)
const secret = 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP'
const somebody = async () => (await sessionOf(await comeIn(db.owner, db.here, 'painter'))).accountId

test('figures come in once, and none of before them', async () => {
  const id = await somebody()
  const begin = (by: string) => atDoor((client) => beginSecondFactor(client, id, by, 99))
  // asked for twice at once, one has begun; and no other takes its place
  expect((await Promise.all([begin(secret), begin(secret)])).filter(Boolean)).toHaveLength(1)
  expect(await begin('KRSXG5CTMVRXEZLUKRSXG5CTMVRXEZLU')).toBe(false)
  expect(await atDoor((client) => getAccount(client, id))).toMatchObject({ secondFactor: secret })
  const step = (at: number) => atDoor((client) => takeStep(client, id, at))
  // many at once: one comes in
  expect((await Promise.all([100, 100, 100].map(step))).filter(Boolean)).toHaveLength(1)
  expect([await step(99), await step(100), await step(101)]).toEqual([false, false, true])
  // ended and begun again the clock begins anew, after the figures it was begun with
  await atDoor((client) => endSecondFactor(client, id))
  expect(await atDoor((client) => beginSecondFactor(client, id, secret, 80))).toBe(true)
  expect([await step(80), await step(90)]).toEqual([false, true])
})

test('a printed code comes in once, for its own account, until others are printed', async () => {
  const [id, other] = [await somebody(), await somebody()]
  await atDoor((client) => addRecoveryCodes(client, id, ['wren', 'lark', 'rook']))
  await atDoor((client) => addRecoveryCodes(client, other, ['swan']))
  const use = (account: string, code: string) => atDoor((client) => takeRecoveryCode(client, account, code))
  expect((await Promise.all(['wren', 'wren'].map((code) => use(id, code)))).sort()).toEqual([false, true])
  expect([await use(id, 'swan'), await use(other, 'lark'), await use(id, '')]).toEqual([false, false, false])
  expect(await atDoor((client) => findFactor(client, id))).toEqual({ isOn: false, left: 2 })
  await atDoor((client) => addRecoveryCodes(client, id, ['tern']))
  expect([await use(id, 'lark'), await use(id, 'tern')]).toEqual([false, true])
  const { rows } = await db.owner.query<{ text: string }>('select string_agg(c::text, chr(10)) as text from door.recovery_code c')
  expect(rows[0]?.text).not.toMatch(/wren|lark|tern/)
})

test('what becomes of it is told; ended, its codes end with it', async () => {
  const id = await somebody()
  await atDoor(async (client) => {
    await beginSecondFactor(client, id, secret, 1)
    await addRecoveryCodes(client, id, ['ffff', 'gggg'])
  })
  await atDoor((client) => takeRecoveryCode(client, id, 'ffff'))
  await atDoor((client) => endSecondFactor(client, id))
  expect(await atDoor((client) => takeRecoveryCode(client, id, 'gggg'))).toBe(false)
  const told = await atDoor((client) => listHappened(client, db.here, { of: id, limit: 10 }))
  expect(told.map(({ what }) => what)).toEqual(['codes-off', 'printed-code', 'codes-on', 'came-in', 'joined'])
  const account = await atDoor((client) => getAccount(client, id))
  expect(await atDoor((client) => findAccount(client, account.name))).toMatchObject({ secondFactor: null })
})
