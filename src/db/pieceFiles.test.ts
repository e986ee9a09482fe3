import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { PieceFile } from '@/core/piece/piece'
import { comeIn, makeDatabase, type TestDatabase, testOwnerUrl } from '@/db/testing/database'
import { at, partRow, pieceRow, planRow, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addClientLink } from './clientPage'
import { addEntries, type NewEntry } from './entry'
import { addPhoto } from './photo'
import { findPieces, listPieceFiles } from './piece'
import { readPieceFiles } from './pieceFiles'
import { keepOfPieces, listPieceMarks } from './pieceMark'
import { addParts, addPlan, changeFaces, changePart, changePiece, countPiece, promisePieces, takePartOut } from './pieceWrite'
import { type Client, inSession } from './pool'
import { freshSecret } from './secret'

let db: TestDatabase
let whole: Whole
let other: Whole
beforeAll(async () => {
  db = await makeDatabase()
  ;[whole, other] = [wholePiece(), wholePiece()]
  for (const each of [whole, other]) await db.as(db.here, (client) => storeWhole(client, db.here, each))
})
afterAll(() => db.drop())

const kept = keepOfPieces<PieceFile>(10)
const ids = () => [whole.piece.id, other.piece.id]
/** Out of what is kept, and from the records themselves, at one moment. */
const both = (secret: string) =>
  inSession(
    db.pool,
    secret,
    async (client) => {
      const found = await findPieces(client, ids())
      const pieces = found.sort((a) => (a.id === whole.piece.id ? -1 : 1))
      return { kept: await readPieceFiles(client, kept, pieces), read: await listPieceFiles(client, pieces) }
    },
    { to: 'read' },
  )
const write = (work: (client: Client) => Promise<unknown>) => db.as(db.here, work)
const entry = (more: object) => ({ id: uuidv7(), pieceId: whole.piece.id, at, ...more }) as NewEntry
const add = (more: object) => (client: Client) => addEntries(client, db.here, [entry(more)])

describe('the files that are kept', () => {
  test('stand as the records do after every kind of change, and are read again only then', async () => {
    const secret = await comeIn(db.owner, db.here, 'owner')
    const { part, piece, plan } = whole
    const stepId = plan.steps[0]?.id ?? ''
    const newPart = partRow({ name: 'Drawers' })
    const noted = entry({ kind: 'note', note: 'It creaks.' })
    const at2 = { id: uuidv7(), partId: null, stepId: null, moment: 'during', takenAt: at, width: 4, height: 3, alt: '' } as const
    const changes: [string, (client: Client) => Promise<unknown>][] = [
      ['a piece', (client) => changePiece(client, piece.id, { ...piece, name: 'Bow-fronted washstand' })],
      ['what it should bring', (client) => changePiece(client, piece.id, { ...piece, expected: 99_900 })],
      ['its day', (client) => promisePieces(client, [{ pieceId: piece.id, day: '2026-07-07' }])],
      ['what was counted', (client) => countPiece(client, piece.id, { holes: 4 })],
      ['a part more', (client) => addParts(client, db.here, piece.id, 1, [newPart])],
      ['a part', (client) => changePart(client, newPart.id, { ...newPart, name: 'Two drawers', takenOutAt: null } as never)],
      [
        'its faces',
        (client) => changeFaces(client, db.here, newPart.id, [{ ...newPart.surfaces[0], id: uuidv7(), count: 9 } as never], at),
      ],
      ['a part taken out', (client) => takePartOut(client, newPart.id, at)],
      ['a plan', (client) => addPlan(client, db.here, part.id, { ...planRow(), madeAt: '2026-05-06T08:00:00.000Z' })],
      ['a note', (client) => addEntries(client, db.here, [noted])],
      ['a correction', add({ kind: 'note', note: 'It no longer creaks.', corrects: noted.id })],
      ['a cost', add({ kind: 'cost', costKind: 'hardware', money: 450, note: null })],
      ['a clock', add({ kind: 'started', partId: part.id, stepId, personId: null })],
      [
        'a photograph',
        (client) => addPhoto(client, db.here, piece.id, at2, { small: Buffer.from('s'), large: Buffer.from('l') }),
      ],
    ]
    await both(secret)
    for (const [what, work] of changes) {
      const before = (await both(secret)).kept
      await write(work)
      const after = await both(secret)
      expect(after.kept, what).toEqual(after.read)
      expect(after.kept[0], what).not.toBe(before[0])
      expect(after.kept[0], what).not.toEqual(before[0])
      // what did not change is the very same
      expect(after.kept[1], what).toBe(before[1])
      expect((await both(secret)).kept[0], what).toBe(after.kept[0])
    }
  })

  test('hold no money for who sees none, whoever read first', async () => {
    const [owner, helper] = [await comeIn(db.owner, db.here, 'owner'), await comeIn(db.owner, db.here, 'helper')]
    for (const secret of [owner, helper, owner, helper]) {
      const { kept: own, read } = await both(secret)
      expect(own).toEqual(read)
      const seesCost = own[0]?.log.some(({ kind }) => kind === 'cost')
      expect([seesCost, own[0]?.piece.expected !== null]).toEqual(secret === owner ? [true, true] : [false, false])
    }
  })

  test('are nobody’s who came by a client’s link, nor another studio’s', async () => {
    const link = { id: uuidv7(), secret: freshSecret() }
    await write((client) => addClientLink(client, db.here, { ...link, pieceId: whole.piece.id, days: 30 }))
    const { kept: shown, read } = await both(link.secret)
    expect(shown).toEqual(read)
    expect(shown).toHaveLength(1)
    expect(shown[0]?.log.some(({ kind }) => kind === 'note' || kind === 'cost')).toBe(false)
    expect((await inSession(db.pool, link.secret, (client) => listPieceMarks(client, ids()))).size).toBe(0)
    expect((await db.as(db.elsewhere, (client) => listPieceMarks(client, ids()))).size).toBe(0)
    expect((await db.as(db.here, (client) => listPieceMarks(client, ids()))).size).toBe(2)
  })

  test('know of what was begun before another’s change and came after it', async () => {
    const secret = await comeIn(db.owner, db.here, 'owner')
    let written = () => undefined as void
    const isWritten = new Promise<void>((done) => (written = done))
    let goOn = () => undefined as void
    const may = new Promise<void>((done) => (goOn = done))
    const slow = write(async (client) => {
      await add({ kind: 'note', note: 'Begun first.' })(client)
      written()
      await may
    })
    await isWritten
    await write(add({ kind: 'note', note: 'Begun second.' }))
    const notes = async () => {
      const { kept: own, read } = await both(secret)
      expect(own).toEqual(read)
      return own[0]?.log.flatMap((each) => (each.kind === 'note' && each.note?.startsWith('Begun') ? [each.note] : [])).sort()
    }
    expect(await notes()).toEqual(['Begun second.'])
    goOn()
    await slow
    expect(await notes()).toEqual(['Begun first.', 'Begun second.'])
  })

  test('do not take what was undone for what came in its place', async () => {
    const secret = await comeIn(db.owner, db.here, 'owner')
    const undone = write(async (client) => {
      await add({ kind: 'note', note: 'Undone.' })(client)
      await readPieceFiles(client, kept, await findPieces(client, ids()))
      throw new Error('no')
    })
    await expect(undone).rejects.toThrow('no')
    await write(add({ kind: 'note', note: 'In its place.' }))
    const { kept: own, read } = await both(secret)
    expect(own).toEqual(read)
  })
})

test('every table that a file is read from leaves a mark, however it is written', async () => {
  const asked: string[] = []
  await db.as(db.here, async (client) => {
    const pieces = await findPieces(client, ids())
    const listening = new Proxy(client, {
      get: (target, key) =>
        key === 'query'
          ? (given: pg.QueryConfig, ...rest: unknown[]) => {
              asked.push(given.text)
              return (target.query as (...all: unknown[]) => unknown)(given, ...rest)
            }
          : Reflect.get(target, key),
    })
    await listPieceFiles(listening, pieces)
  })
  const named = [...asked.join(' ').matchAll(/\b(?:from|join) (?:seen_)?(\w+)/g)].map(([, name = '']) => name)
  const tables = [...new Set([...named, 'piece'])].sort()
  expect(tables).toEqual(['entry', 'mix_component', 'mix_step', 'part', 'photo', 'piece', 'plan', 'step', 'surface'])
  const { rows } = await db.owner.query<{ name: string; marks: string[] }>(
    `select c.relname::text as name, array_agg(t.tgname::text || t.tgenabled::text order by t.tgname) as marks
     from pg_trigger t join pg_class c on c.oid = t.tgrelid where t.tgname like 'mark\\_%' group by 1 order by 1`,
  )
  expect(rows).toEqual(tables.map((name) => ({ name, marks: ['mark_changedA', 'mark_goneA', 'mark_madeA'] })))
})

test('marks can be neither read nor written past their function', async () => {
  for (const sql of ['select from door.piece_mark', 'insert into door.piece_mark default values', 'delete from door.piece_mark'])
    await expect(
      db.as(db.here, (client) => client.query(sql)),
      sql,
    ).rejects.toThrow(/permission denied/)
  const piece = pieceRow()
  expect((await db.as(db.here, (client) => listPieceMarks(client, [piece.id]))).size).toBe(0)
})

describe('marks are folded', () => {
  const countOf = async (id: string) => {
    const { rows } = await db.owner.query<{ count: number }>(
      'select count(*)::int as count from door.piece_mark where piece_id = $1',
      [id],
    )
    return rows[0]?.count ?? 0
  }
  const known = () => db.as(db.here, (client) => listPieceMarks(client, ids()))
  const note = (text: string) => db.as(db.here, add({ kind: 'note', note: text }))

  test('into one, by which a piece is known as before; who folds beside another passes by, and what is written meanwhile counts', async () => {
    const [one = '', another = ''] = ids()
    for (let k = 0; k < 5; k += 1) await note(`Before, ${k}.`)
    const before = await known()
    await db.owner.query('select door.fold_marks($1)', [ids()])
    expect(await known()).toEqual(before)
    expect([await countOf(one), await countOf(another)]).toEqual([1, 1])

    const [first, second] = [0, 1].map(() => new pg.Client({ connectionString: testOwnerUrl(db.name) }))
    if (!first || !second) throw new Error('there are two')
    for (const client of [first, second]) {
      await client.connect()
      await client.query('begin')
    }
    await first.query('select door.fold_marks($1)', [[one]])
    await second.query('select door.fold_marks($1)', [ids()])
    await note('Meanwhile.')
    await first.query('commit')
    await second.query('rollback')
    await Promise.all([first.end(), second.end()])
    const after = await known()
    expect(after.get(one)).not.toEqual(before.get(one))
    expect(after.get(another)).toEqual(before.get(another))
    await db.owner.query('select door.fold_marks($1)', [ids()])
    expect(await known()).toEqual(after)
  })

  test('while much is written of a piece', async () => {
    await db.owner.query(
      `do $$ begin
         for k in 1..2000 loop
           insert into entry (id, studio_id, piece_id, kind, at, note)
           select gen_random_uuid(), studio_id, id, 'note', now(), 'Looked at it again.' from piece where id = '${whole.piece.id}';
         end loop;
       end $$`,
    )
    // of two thousand a hundred are left after the last time, more or less
    expect(await countOf(whole.piece.id)).toBeLessThan(1_800)
    const secret = await comeIn(db.owner, db.here, 'owner')
    const { kept: own, read } = await both(secret)
    expect(own).toEqual(read)
    expect(own[0]?.log.length).toBeGreaterThan(2_000)
  })
})
