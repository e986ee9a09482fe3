import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { loadDemo } from '../../demo/load'
import { addClientLink, addClientWord } from './clientPage'
import { addEntries } from './entry'
import { eraseClient, findKnownOfClient } from './erasure'
import { listHappened } from './happened'
import { inSession } from './pool'
import { freshSecret } from './secret'
import { comeIn, makeDatabase, type TestDatabase, till } from './testing/database'
import { doorOf } from './testing/door'
import { storeWhole, type Whole, wholePiece } from './testing/rows'

const demoStudio = '01900000-0000-7000-8000-00000000de40'
let db: TestDatabase
let owner: string
let other: Whole
let nursery: { id: string; client: string }
const as = <T>(work: Parameters<typeof inSession<T>>[2], secret = owner) => inSession(db.pool, secret, work, { till })
beforeAll(async () => {
  db = await makeDatabase()
  await loadDemo(db.owner, new Date(), till)
  owner = await comeIn(db.owner, demoStudio, 'owner')
  const { rows } = await db.owner.query<{ id: string; client: string }>(`select id, client from piece where name like 'Nursery%'`)
  nursery = rows[0] ?? { id: '', client: '' }
  other = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, other))
  await db.owner.query('update piece set client = $2 where id = $1', [other.piece.id, nursery.client])
}, 120_000)
afterAll(() => db.drop())

/** Where a word stands: every table of the catalogue, of the studio. */
async function placesOf(word: string, studioId: string): Promise<string[]> {
  const { rows: tables } = await db.owner.query<{ name: string }>(
    `select c.oid::regclass::text as name from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'studio_id'
     where c.relkind = 'r' and c.relnamespace in ('public'::regnamespace, 'door'::regnamespace) order by 1`,
  )
  const found: string[] = []
  for (const { name } of tables) {
    const { rowCount } = await db.owner.query(`select from ${name} t where studio_id = $1 and to_jsonb(t)::text ilike $2`, [
      studioId,
      `%${word}%`,
    ])
    if (rowCount) found.push(name)
  }
  return found
}
/** What the log comes to: each figure of each line, and how many lines. */
const figures = async () => {
  const { rows } = await db.owner.query<Record<string, string>>(
    `select count(*) as lines, sum(money) as money, sum(fees) as fees, sum(minutes) as minutes, sum(amount) as amount,
            md5(string_agg((to_jsonb(e) - array['note', 'detail'])::text, '' order by id)) as rest,
            (select sum(money) from draw where studio_id = $1) as drawn
     from entry e where studio_id = $1`,
    [demoStudio],
  )
  return rows[0]
}

test('what is known of a client is erased from all that is kept, and the log adds up as before', async () => {
  const second = await db.owner.query<{ id: string }>(
    `update piece set client = $2 where id = (select id from piece where studio_id = $1 and client is null and ended_at is null order by id limit 1) returning id`,
    [demoStudio, ` ${nursery.client.toUpperCase()} `],
  )
  const secondId = second.rows[0]?.id ?? ''
  const at = new Date().toISOString()
  const link = freshSecret()
  await as(async (client) => {
    await addEntries(client, demoStudio, [
      {
        id: uuidv7(),
        kind: 'note',
        pieceId: nursery.id,
        at,
        note: 'Rang Ferrow (Maude), she wants FERROW on the back. Ferrowhead stays.',
      },
      { id: uuidv7(), kind: 'note', pieceId: secondId, at, note: 'Paid by Mrs Ferrow' },
    ])
    await addClientWord(client, demoStudio, { id: uuidv7(), pieceId: nursery.id, words: 'Dear Ferrows, dear Maude: Monday.' })
    await addClientLink(client, demoStudio, { id: uuidv7(), secret: link, pieceId: nursery.id, days: 30 })
  })
  await inSession(db.pool, link, (client) =>
    addClientWord(client, demoStudio, { id: uuidv7(), pieceId: nursery.id, words: 'It is for our daughter Posy, 12 Mill Lane.' }),
  )
  await db.owner.query(`update part set name = 'Maude’s drawers' where id = (select id from part where piece_id = $1 limit 1)`, [
    nursery.id,
  ])
  await db.owner.query(
    `update step set words = 'As Maude showed' where id = (select s.id from step s join part a on a.id = s.part_id where a.piece_id = $1 limit 1)`,
    [nursery.id],
  )
  await db.owner.query(
    `update photo set alt = 'Maude by the window' where id = (select id from photo where piece_id = $1 limit 1)`,
    [nursery.id],
  )
  await db.owner.query(`update piece set condition = 'Maude says: from her mother' where id = $1`, [nursery.id])
  expect((await placesOf('Ferrow', demoStudio)).length).toBeGreaterThan(2)
  const before = await figures()
  expect(await as((client) => findKnownOfClient(client, nursery.id))).toMatchObject({ pieces: 2 })

  const erased = await as((client) => eraseClient(client, nursery.id, ['Ferrow', 'Ferrows', 'Maude']))
  expect(erased.pieces).toBe(2)
  expect(erased.asked).toBeGreaterThan(0)
  expect(await placesOf('Maude', demoStudio)).toEqual([])
  expect(await placesOf('Posy', demoStudio)).toEqual([])
  // a longer word that only begins so is another one
  expect(await placesOf('Ferrow', demoStudio)).toEqual(['entry'])
  const { rows: notes } = await db.owner.query<{ note: string }>(`select note from entry where note like '%Ferrow%'`)
  expect(notes).toEqual([{ note: 'Rang the client (the client), she wants the client on the back. Ferrowhead stays.' }])
  expect(await figures()).toEqual(before)
  // their link opens nothing, and another studio's client of that name is another
  await expect(inSession(db.pool, link, () => Promise.resolve())).rejects.toThrow(/nobody is signed in/)
  expect(await placesOf('Ferrow', db.here)).toEqual(['piece'])
  const { rows: left } = await db.owner.query('select client from piece where id = any ($1)', [[nursery.id, secondId]])
  expect(left).toEqual([{ client: null }, { client: null }])
  const told = await doorOf(() => db).atDoor((client) => listHappened(client, demoStudio, { of: null, limit: 3 }))
  expect(told.map(({ what, thing }) => [what, thing])).toContainEqual(['ended', 'client'])
  // asked again, there is nothing more
  expect(await as((client) => eraseClient(client, nursery.id, ['Maude']))).toEqual({ pieces: 1, asked: 0, places: 0 })
})

test('by an owner alone; and nobody changes a figure of the log, whoever they are', async () => {
  for (const role of ['painter', 'bookkeeper', 'helper'] as const) {
    const secret = await comeIn(db.owner, demoStudio, role)
    await expect(as((client) => eraseClient(client, nursery.id, []), secret)).rejects.toThrow(/owners_erase/)
  }
  // a piece of another studio is none
  await expect(db.as(db.elsewhere, (client) => eraseClient(client, other.piece.id, ['The']))).rejects.toThrow(/no such piece/)
  expect(await placesOf('Ferrow', db.here)).toEqual(['piece'])
  const entry = (set: string) => db.owner.query(`update entry set ${set} where studio_id = $1`, [demoStudio])
  for (const set of [
    'money = money + 1 where money is not null and studio_id is not null --',
    `at = now() where true --`,
    `detail = jsonb_build_object('minutes', 7) where true --`,
    `kind = 'note' where kind <> 'note' --`,
  ])
    await expect(entry(set.replace('--', 'and $1::uuid is not null --')), set).rejects.toThrow(/the log only grows/)
  await expect(db.owner.query('delete from entry')).rejects.toThrow(/the log only grows/)
  await expect(as((client) => client.query(`update entry set note = ''`))).rejects.toThrow(/permission denied/)
})
