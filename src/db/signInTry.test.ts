import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import { addTry, listFailed, noteCameIn } from './signInTry'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const { atDoor } = doorOf(() => db)

describe('tries to come in', () => {
  const tryOnce = (name: string, address: string, minutes = 15) =>
    atDoor((client) => addTry(client, { id: uuidv7(), name, address }, minutes))
  test('are counted by name, whatever its capitals, and by address; who came in is not counted', async () => {
    expect(await tryOnce('Hedda', 'one')).toEqual({ byName: 1, byAddress: 1 })
    expect(await tryOnce('hedda ', 'two')).toEqual({ byName: 2, byAddress: 1 })
    expect(await tryOnce('Nobody', 'two')).toEqual({ byName: 1, byAddress: 2 })
    const id = uuidv7()
    await atDoor((client) => addTry(client, { id, name: 'hedda', address: 'three' }, 15))
    await atDoor((client) => noteCameIn(client, id))
    expect(await tryOnce('HEDDA', 'three')).toEqual({ byName: 3, byAddress: 1 })
  })
  test('that failed are told to whose name it was, by where from', async () => {
    for (const from of ['attic', 'cellar', 'attic']) await tryOnce('Tamsin', from)
    const id = uuidv7()
    await atDoor((client) => addTry(client, { id, name: 'tamsin', address: 'home' }, 15))
    await atDoor((client) => noteCameIn(client, id))
    const told = await atDoor((client) => listFailed(client, 'Tamsin', 7))
    expect(told.map(({ address, count }) => [address, count])).toEqual([
      ['attic', 2],
      ['cellar', 1],
    ])
    expect(await atDoor((client) => listFailed(client, 'Hedda of elsewhere', 7))).toEqual([])
  })
  test('many at once are all counted', async () => {
    const counts = await Promise.all(Array.from({ length: 8 }, () => tryOnce('crowd', 'street')))
    expect(Math.max(...counts.map(({ byName }) => byName))).toBe(8)
  })
})
