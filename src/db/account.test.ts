import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Role } from '@/core/house/roles'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import * as accounts from './account'
import * as invitations from './invitation'
import { SignedOut } from './pool'
import { freshSecret } from './secret'
import * as sessions from './session'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor, sessionOf, studioOf } = doorOf(() => db)

describe('a way to a new password', () => {
  const hashed = (mark: string) => `$argon2id$v=19$m=19456,t=2,p=1$${mark}`
  test('opens once, the newest alone, and whoever was in by the old one is out', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId } = await sessionOf(secret)
    const [first, second] = [freshSecret(), freshSecret()]
    for (const each of [first, second]) await atDoor((client) => accounts.addPasswordKey(client, accountId, each, 24))
    const find = (each: string) => atDoor((client) => accounts.findByPasswordKey(client, each))
    expect([await find(first), (await find(second))?.id]).toEqual([null, accountId])
    const both = await Promise.all([1, 2].map(() => atDoor((client) => accounts.usePasswordKey(client, second))))
    expect(both.sort()).toEqual([false, true])
    await atDoor((client) => accounts.setPassword(client, accountId, hashed('new'), null))
    await expect(studioOf(secret)).rejects.toThrow(SignedOut)
    expect(await atDoor((client) => accounts.getAccount(client, accountId))).toMatchObject({ password: hashed('new') })
  })
  test('one’s own session stays where one changes it oneself', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId, id, membershipId } = await sessionOf(secret)
    const phone = freshSecret()
    await atDoor((client) =>
      sessions.openSession(client, { id: uuidv7(), secret: phone, studioId: db.here, membershipId, days: 1 }),
    )
    await atDoor((client) => accounts.setPassword(client, accountId, hashed('own'), id))
    expect(await studioOf(secret)).toBe(db.here)
    await expect(studioOf(phone)).rejects.toThrow(SignedOut)
  })
  test('is an owner’s to make for people of that studio alone', async () => {
    const secret = await comeIn(db.owner, db.here, 'painter')
    const { accountId, membershipId } = await sessionOf(secret)
    const find = (studioId: string) => atDoor((client) => accounts.findOwnMember(client, studioId, membershipId))
    expect([(await find(db.here))?.id, await find(db.elsewhere)]).toEqual([accountId, null])
    const personId = uuidv7()
    await atDoor((client) => invitations.addPersonAtDoor(client, db.elsewhere, personId, 'The same'))
    await atDoor((client) =>
      accounts.addMembership(client, { id: uuidv7(), accountId, studioId: db.elsewhere, personId, role: 'helper' }),
    )
    expect(await find(db.here)).toBeNull()
  })
})

test('a studio is never left without an owner', async () => {
  const listOwners = async () =>
    (await atDoor((client) => accounts.listMembers(client, db.elsewhere)))
      .filter(({ role }) => role === 'owner')
      .map((each) => each.membershipId)
  const [only = '', ...none] = await listOwners()
  expect(none).toEqual([])
  const end = (id: string) => atDoor((client) => accounts.endMembership(client, db.elsewhere, id))
  expect(await end(only)).toBe(false)
  const change = (id: string, role: Role) => atDoor((client) => accounts.changeRole(client, db.elsewhere, id, role))
  expect(await change(only, 'helper')).toBe(false)
  const helper = await comeIn(db.owner, db.elsewhere, 'helper')
  const { membershipId } = await sessionOf(helper)
  expect(await change(membershipId, 'owner')).toBe(true)
  // what they were in as is over; what they wrote on their device stays theirs
  expect(await sessionOf(helper)).toMatchObject({ isOpen: false, isRevoked: false, role: 'owner' })
  // two owners who both stop at once: one stays
  for (let turn = 0; turn < 6; turn += 1) {
    const [one, two, ...more] = await listOwners()
    expect(more).toEqual([])
    const both = await Promise.all([change(one ?? '', 'painter'), change(two ?? '', 'painter')])
    expect(both.filter(Boolean)).toHaveLength(1)
    for (const id of [one, two]) await change(id ?? '', 'owner')
  }
  expect((await Promise.all([change(only, 'painter'), end(membershipId)])).filter(Boolean)).toHaveLength(1)
  expect(await listOwners()).toHaveLength(1)
})

test('hands are one person’s at a time; who comes again has their own, unless they are somebody else’s now', async () => {
  const { accountId, membershipId, personId } = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
  const before = () => atDoor((client) => accounts.findHandsBefore(client, accountId, db.here))
  const join = (account: string) =>
    atDoor((client) =>
      accounts.addMembership(client, { id: uuidv7(), accountId: account, studioId: db.here, personId, role: 'helper' }),
    )
  const other = await sessionOf(await comeIn(db.owner, db.elsewhere, 'painter'))
  expect(await join(other.accountId)).toBe(false)
  expect(await before()).toBeNull()
  expect(await atDoor((client) => accounts.endMembership(client, db.here, membershipId))).toBe(true)
  expect(await before()).toBe(personId)
  expect(await join(other.accountId)).toBe(true)
  expect(await before()).toBeNull()
})

test('the studio somebody was in last is the one they come into', async () => {
  const { accountId, studioId } = await sessionOf(await comeIn(db.owner, db.here, 'painter'))
  const personId = uuidv7()
  await atDoor((client) => invitations.addPersonAtDoor(client, db.elsewhere, personId, 'Two studios'))
  const second = uuidv7()
  await atDoor((client) =>
    accounts.addMembership(client, { id: second, accountId, studioId: db.elsewhere, personId, role: 'helper' }),
  )
  const studios = async () => (await atDoor((client) => accounts.listMemberships(client, accountId))).map((each) => each.studioId)
  expect(await studios()).toEqual([studioId, db.elsewhere])
  await atDoor((client) =>
    sessions.openSession(client, { id: uuidv7(), secret: freshSecret(), studioId: db.elsewhere, membershipId: second, days: 1 }),
  )
  expect(await studios()).toEqual([db.elsewhere, studioId])
})

test('names differ by more than capitals', async () => {
  const add = (name: string) => atDoor((client) => accounts.addAccount(client, { id: uuidv7(), name, password: null }))
  // many at once make one
  expect((await Promise.all(['Orla', 'ORLA', 'orla'].map(add))).filter(Boolean)).toHaveLength(1)
  expect(await atDoor((client) => accounts.findAccount(client, 'oRLa'))).toMatchObject({ password: null })
  // a password that is not hashed is no password
  const plain = atDoor((client) => accounts.addAccount(client, { id: uuidv7(), name: 'Plain', password: 'plain words' }))
  await expect(plain).rejects.toThrow(/account_password_check/)
})
