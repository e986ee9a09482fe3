import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { doorOf } from '@/db/testing/door'
import * as letters from './letter'

let db: TestDatabase
let accountId = ''
beforeAll(async () => {
  db = await makeDatabase()
  accountId = (await sessionOf(await comeIn(db.owner, db.here, 'owner'))).accountId
})
afterAll(() => db.drop())
const { atDoor, sessionOf } = doorOf(() => db)

const written = async (over: Partial<letters.NewLetter> = {}): Promise<string> => {
  const letter = {
    id: uuidv7(),
    studioId: db.here,
    accountId,
    about: 'for',
    recipient: 'ada@mill.example',
    subject: 'Peg rail',
    words: 'Here',
    ...over,
  } as const
  await atDoor((client) => letters.addLetter(client, letter))
  return letter.id
}
const take = () => atDoor((client) => letters.takeDue(client, 10))
const listed = async (id: string) =>
  (await atDoor((client) => letters.listLetters(client, db.here))).find((each) => each.id === id)

describe('a letter', () => {
  test('is written once under its number, taken by one of three at once, and forgotten once it went', async () => {
    const id = await written()
    await written({ id, recipient: 'another@mill.example' })
    const taken = (await Promise.all([take(), take(), take()])).flat()
    expect(taken).toEqual([{ id, recipient: 'ada@mill.example', subject: 'Peg rail', words: 'Here', tries: 1 }])
    await atDoor((client) => letters.noteSent(client, id))
    expect(await listed(id)).toMatchObject({ shownTo: 'a…@mill.example', sentAt: expect.any(String) as string, failed: null })
    const { rows } = await db.owner.query<{ text: string }>('select string_agg(l::text, chr(10)) as text from door.letter l')
    expect(rows[0]?.text).not.toMatch(/ada@|Peg rail|Here/)
  })
  test('that nobody took is due again after five minutes, then twenty-five, and is given up with why', async () => {
    const id = await written()
    await take()
    const due = async () =>
      (
        await db.owner.query<{ minutes: number }>(
          `select round(extract(epoch from next_try - now()) / 60)::int as minutes from door.letter where id = $1`,
          [id],
        )
      ).rows[0]?.minutes
    const passed = () => db.owner.query('update door.letter set next_try = now() where id = $1', [id])
    expect(await due()).toBe(1)
    expect(await take()).toEqual([])
    await passed()
    expect((await take())[0]).toMatchObject({ id, tries: 2 })
    expect(await due()).toBe(5)
    await passed()
    await take()
    expect(await due()).toBe(25)
    await atDoor((client) => letters.giveUp(client, id, 'No mail server took it.'))
    expect(await listed(id)).toMatchObject({ tries: 3, sentAt: null, failed: 'No mail server took it.' })
    await expect(passed()).rejects.toThrow(/check constraint/)
  })
  test('is forgotten a month after it went, and not while it waits', async () => {
    const [went, waits] = [await written(), await written()]
    await atDoor((client) => letters.noteSent(client, went))
    await db.owner.query(`update door.letter set made_at = now() - interval '31 days' where id = any($1)`, [[went, waits]])
    await atDoor(letters.forgetOld)
    const { rows } = await db.owner.query<{ id: string }>('select id from door.letter where id = any($1)', [[went, waits]])
    expect(rows).toEqual([{ id: waits }])
  })
  test('is counted by its studio, and told to no other', async () => {
    await written()
    expect(await atDoor((client) => letters.countLetters(client, db.here))).toBeGreaterThanOrEqual(3)
    expect(await atDoor((client) => letters.countLetters(client, db.elsewhere))).toBe(0)
    expect(await atDoor((client) => letters.listLetters(client, db.elsewhere))).toEqual([])
  })
})
