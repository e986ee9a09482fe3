import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import {
  addClientLink,
  addClientWord,
  findClientPage,
  findOwnLink,
  listClientLinks,
  listClientWords,
  listUnanswered,
  noteOpening,
  revokeClientLink,
  saveClientPage,
} from './clientPage'
import { addEntries, listEntries } from './entry'
import { addPhoto, findRendition } from './photo'
import { findPieceFile } from './piece'
import { type Client, inSession, SignedOut } from './pool'
import { freshSecret } from './secret'
import { getStudio } from './studio'

let db: TestDatabase
let own: Whole
let other: Whole
let hidden: string
const link = { id: uuidv7(), secret: freshSecret() }
beforeAll(async () => {
  db = await makeDatabase()
  own = wholePiece()
  other = wholePiece()
  hidden = uuidv7()
  await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, wholePiece()))
  await db.as(db.here, async (client) => {
    await storeWhole(client, db.here, own)
    await storeWhole(client, db.here, other)
    await addEntries(client, db.here, [{ id: uuidv7(), kind: 'note', pieceId: own.piece.id, at, note: 'She haggles.' }])
    const photo = { id: hidden, partId: null, stepId: null, moment: 'during', takenAt: at, width: 4, height: 3, alt: '' } as const
    await addPhoto(client, db.here, own.piece.id, photo, { small: Buffer.from('s'), large: Buffer.from('l') })
    await addClientLink(client, db.here, { ...link, pieceId: own.piece.id, days: 30 })
  })
})
afterAll(() => db.drop())

const byLink = <T>(work: (client: Client) => Promise<T>, secret = link.secret) => inSession(db.pool, secret, work)
const names = async (kind: 'r' | 'v') =>
  (
    await db.owner.query<{ name: string; key: string }>(
      `select c.relname as name, (select min(a.attname) from pg_attribute a where a.attrelid = c.oid and a.attname in ('piece_id')) as key
       from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = $1
         and c.relname not in ('schema_version', 'code') order by 1`,
      [kind],
    )
  ).rows

describe('whoever comes by a client’s link', () => {
  /** what is no piece's own, and is read all the same */
  const shared = ['air_mean', 'drying_figure', 'reading', 'room', 'seen_studio', 'studio']
  /** what was offered them, and what they said and paid */
  const deals = ['payment', 'payment_request', 'quote', 'quote_answer', 'receipt']
  const ofPiece = [
    ...['client_page', 'client_photo', 'client_word', 'entry', 'mix_component', 'mix_step', 'part', 'photo', 'photo_rendition'],
    ...['piece', 'plan', 'seen_entry', 'seen_piece', 'step', 'surface'],
    ...deals,
    ...deals.map((name) => `seen_${name}`),
  ]
  test('reads their own piece alone, in every table and view the catalogue knows', async () => {
    const read: string[] = []
    for (const { name } of [...(await names('r')), ...(await names('v'))]) {
      // what the application's role may not ask for at all is asked for by columns it may
      const rows = await byLink(async (client) => (await client.query(`select from ${name}`)).rowCount)
      if ((rows ?? 0) > 0) read.push(name)
    }
    expect(
      read.filter((name) => !shared.includes(name)).every((name) => ofPiece.includes(name)),
      read.join(),
    ).toBe(true)
    for (const name of ['piece', 'part', 'entry', 'photo', 'step']) expect(read).toContain(name)
    await byLink(async (client) => {
      expect(await findOwnLink(client)).toMatchObject({ pieceId: own.piece.id })
      expect(await findPieceFile(client, other.piece.id)).toBeNull()
      expect((await findPieceFile(client, own.piece.id))?.parts).toHaveLength(1)
      const of = async (sql: string) => (await client.query<{ piece: string }>(sql)).rows.map(({ piece }) => piece)
      for (const table of ['part', 'entry', 'photo', 'client_photo', 'client_word', 'client_page'])
        expect([table, [...new Set(await of(`select piece_id as piece from ${table}`))]]).toEqual([table, [own.piece.id]])
      expect((await client.query('select from plan')).rowCount).toBe(1)
      expect((await client.query('select from surface')).rowCount).toBe(1)
    })
  })
  test('finds no money, no note of the workshop’s, and no photograph that was not chosen', async () => {
    await byLink(async (client) => {
      expect(await getStudio(client)).toMatchObject({ hidesMoney: true, hourRate: 0 })
      const kinds = (await listEntries(client, [own.piece.id])).map(({ kind }) => kind)
      expect(kinds).toContain('coat')
      for (const kind of ['note', 'cost', 'listed']) expect(kinds).not.toContain(kind)
      expect(await findRendition(client, own.photoId, 'small')).toEqual(Buffer.from('small'))
      expect([await findRendition(client, hidden, 'small'), await findRendition(client, other.photoId, 'small')]).toEqual([
        null,
        null,
      ])
    })
  })
  test('writes nothing in any table but a question about it, as the client', async () => {
    for (const { name } of await names('r')) {
      // quotes have a test of their own
      if (['client_word', 'quote_answer', 'payment_request'].includes(name)) continue
      const { rows } = await db.owner.query<{ row: unknown; columns: string }>(
        `select to_jsonb(t) as row, (select string_agg(quote_ident(column_name), ', ') from information_schema.columns
           where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER') as columns from ${name} t limit 1`,
        [name],
      )
      const { row, columns = '' } = rows[0] ?? {}
      const adds = byLink((client) =>
        client.query(`insert into ${name} (${columns}) select ${columns} from jsonb_populate_record(null::${name}, $1)`, [row]),
      )
      await expect(adds, name).rejects.toThrow(/row-level security|permission denied/)
    }
    const changes = await db.owner.query<{ name: string; column: string }>(
      `select c.relname as name, min(a.attname) as column from pg_class c join pg_attribute a on a.attrelid = c.oid
       where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and a.attnum > 0 and not a.attisdropped
         and has_column_privilege('itinerum_app', c.oid, a.attname, 'update') group by 1`,
    )
    expect(changes.rows.length).toBeGreaterThan(5)
    for (const { name, column } of changes.rows) {
      const sql = `update ${name} set ${column} = ${column}`
      const { rowCount } = await byLink((client) => client.query(sql)).catch(() => ({ rowCount: 0 }))
      expect([name, rowCount]).toEqual([name, 0])
    }
    const id = uuidv7()
    const word = { id, pieceId: own.piece.id, words: 'May the grain show?' }
    await byLink((client) => addClientWord(client, db.here, word))
    // sent twice it is kept once
    await byLink((client) => addClientWord(client, db.here, { ...word, words: 'Another one' }))
    await expect(
      byLink((client) => addClientWord(client, db.here, { ...word, id: uuidv7(), pieceId: other.piece.id })),
    ).rejects.toThrow(/row-level security/)
    const said = await db.as(db.here, (client) => listClientWords(client, own.piece.id))
    expect(said.map(({ personId, words }) => [personId === null, words])).toEqual([
      [false, 'It dries.'],
      [true, 'May the grain show?'],
    ])
    // nobody of the studio writes as the client, and nobody as somebody else
    const forged = `insert into client_word (id, studio_id, piece_id, person_id, words) values ($1, $2, $3, $4, 'x') returning person_id as by`
    for (const person of [null, own.personId]) {
      const { rows } = await db.as(db.here, async (client) => {
        const mine = await client.query<{ me: string }>('select current_person() as me')
        const { rows: written } = await client.query<{ by: string }>(forged, [uuidv7(), db.here, other.piece.id, person])
        return { rows: [mine.rows[0]?.me, written[0]?.by] }
      })
      expect(rows[1]).toBe(rows[0])
    }
    const helper = await comeIn(db.owner, db.here, 'helper')
    await expect(
      inSession(db.pool, helper, (client) => addClientWord(client, db.here, { ...word, id: uuidv7() })),
    ).rejects.toThrow(/row-level security/)
  })
})

test('who waits for an answer is told until one is given', async () => {
  const unanswered = () => db.as(db.here, listUnanswered)
  expect(await unanswered()).toMatchObject([{ pieceId: own.piece.id, name: own.piece.name, words: 'May the grain show?' }])
  await db.as(db.here, (client) => addClientWord(client, db.here, { id: uuidv7(), pieceId: own.piece.id, words: 'It may.' }))
  expect(await unanswered()).toEqual([])
})

test('what a page shows is chosen anew, of its own piece’s photographs alone', async () => {
  const save = (photoIds: string[]) =>
    db.as(db.here, (client) =>
      saveClientPage(client, db.here, own.piece.id, { shows: ['ready', 'talk'], language: 'fr', photoIds }),
    )
  await save([hidden])
  expect(await byLink((client) => findClientPage(client, own.piece.id))).toEqual({
    ...{ shows: ['ready', 'talk'], language: 'fr' },
    photoIds: [hidden],
  })
  expect(await byLink((client) => findRendition(client, own.photoId, 'small'))).toBeNull()
  await expect(save([other.photoId, hidden])).resolves.toBeUndefined()
  // that of another piece is somebody else's already, and stays so
  expect((await db.as(db.here, (client) => findClientPage(client, own.piece.id)))?.photoIds).toEqual([hidden])
  expect((await db.as(db.here, (client) => findClientPage(client, other.piece.id)))?.photoIds).toEqual([other.photoId])
})

test('a link is counted, ends on its day and when it is taken back; what leads nowhere opens nothing', async () => {
  const links = () => db.as(db.here, (client) => listClientLinks(client, own.piece.id))
  await byLink(noteOpening)
  // read anew within a minute it is the same opening
  await byLink(noteOpening)
  await db.owner.query(`update client_link set opened_at = opened_at - interval '2 minutes' where id = $1`, [link.id])
  await byLink(noteOpening)
  expect((await links()).find(({ id }) => id === link.id)).toMatchObject({ opened: 2 })
  await expect(byLink(findOwnLink, freshSecret())).rejects.toThrow(SignedOut)
  // who is in as somebody of the studio came by no link
  expect(await db.as(db.here, findOwnLink)).toBeNull()
  await db.owner.query(`update client_link set expires_at = now() where id = $1`, [link.id])
  await expect(byLink(findOwnLink)).rejects.toThrow(SignedOut)
  await db.owner.query(`update client_link set expires_at = now() + interval '1 day' where id = $1`, [link.id])
  await db.as(db.here, (client) => revokeClientLink(client, link.id, at))
  await expect(byLink(findOwnLink)).rejects.toThrow(SignedOut)
  expect(await links()).toHaveLength(1)
})
