import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { effectiveLog } from '@/core/log/effectiveLog'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addEntries, listEntries, type NewEntry } from './entry'
import { findPieceFile } from './piece'
import { addPiece } from './pieceWrite'
import { digestOf, takeDelivery } from './sent'

let db: TestDatabase
let whole: Whole
const add = (entries: NewEntry[]) => db.as(db.here, (client) => addEntries(client, db.here, entries))
const log = (pieceId = whole.piece.id) => db.as(db.here, (client) => listEntries(client, [pieceId]))
const note = (over: object = {}) =>
  ({ id: uuidv7(), pieceId: whole.piece.id, kind: 'note', at, note: 'One thing.', ...over }) as NewEntry
/** as it comes from a device */
const send = (entry: NewEntry) =>
  db.as(db.here, async (client) => {
    const delivery = await takeDelivery(client, db.here, entry.id, digestOf('entry', entry))
    return delivery === 'new' ? addEntries(client, db.here, [entry]) : delivery
  })

beforeAll(async () => {
  db = await makeDatabase()
  whole = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, whole))
})
afterAll(() => db.drop())

describe('sending twice', () => {
  test('each write, sent twice, is stored once', async () => {
    const count = async () => {
      const tables = [
        'person',
        'channel',
        'product',
        'reading',
        'piece',
        'part',
        'surface',
        'plan',
        'step',
        'entry',
        'photo',
        'photo_rendition',
      ]
      const { rows } = await db.owner.query<{ n: string }>(
        tables.map((name) => `select '${name} ' || count(*) as n from ${name}`).join(' union all '),
      )
      return rows.map(({ n }) => n).sort()
    }
    const before = await count()
    const file = await db.as(db.here, (client) => findPieceFile(client, whole.piece.id))
    await db.as(db.here, (client) => storeWhole(client, db.here, whole))
    await db.as(db.here, (client) => storeWhole(client, db.here, whole))
    expect(await count()).toEqual(before)
    expect(await db.as(db.here, (client) => findPieceFile(client, whole.piece.id))).toEqual(file)
  })

  test('two connections sending the same entry at once store it once, and both are told it is stored', async () => {
    const entry = note()
    expect((await Promise.all([send(entry), send(entry), send(entry)])).sort()).toEqual([null, 'same', 'same'].sort())
    expect((await log()).filter(({ id }) => id === entry.id)).toHaveLength(1)
  })

  test('another body under a number that was sent is told from it, and the first stands', async () => {
    const entry = note()
    expect(await send(entry)).toBeNull()
    expect(await send({ ...entry, note: 'Another thing.' })).toBe('other')
    expect((await log()).find(({ id }) => id === entry.id)).toMatchObject({ note: 'One thing.' })
    expect(await add([{ ...entry, note: 'Past the list of what was sent.' }])).toEqual({ issue: 'id-taken' })
  })

  test('an id that another studio holds is refused, not silently dropped', async () => {
    const other = wholePiece()
    await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, other))
    expect(await add([note({ id: other.entries[0]?.id ?? '' })])).toEqual({ issue: 'id-taken' })
  })
})

describe('correcting', () => {
  test('a correction stands in place of the old entry, which stays in the log', async () => {
    const wrong = note({ note: 'Oat Husk' })
    const right = note({ note: 'Salt Ledger', corrects: wrong.id })
    await add([wrong])
    expect(await add([right])).toBeNull()
    const all = await log()
    expect(all.map(({ id }) => id)).toEqual(expect.arrayContaining([wrong.id, right.id]))
    const counted = effectiveLog(all).map(({ id }) => id)
    expect(counted).toContain(right.id)
    expect(counted).not.toContain(wrong.id)
  })

  test('of two people who correct the same entry at once one is told so, and nothing is lost', async () => {
    const wrong = note()
    await add([wrong])
    const answers = await Promise.all([add([note({ corrects: wrong.id })]), add([note({ corrects: wrong.id })])])
    expect(answers.filter((answer) => answer === null)).toHaveLength(1)
    expect(answers).toContainEqual({ issue: 'already-corrected' })
  })

  test('a correction of another piece’s entry is refused', async () => {
    const other = wholePiece()
    await db.as(db.here, (client) => storeWhole(client, db.here, other))
    expect(await add([note({ corrects: other.entries[0]?.id })])).toEqual({ issue: 'not-found' })
  })

  test('striking out names what it strikes', async () => {
    expect(await add([note({ kind: 'struck', note: null })])).toEqual({ issue: 'not-whole' })
    const wrong = note()
    await add([wrong])
    expect(await add([note({ kind: 'struck', note: null, corrects: wrong.id })])).toBeNull()
    expect(effectiveLog(await log()).some(({ id }) => id === wrong.id)).toBe(false)
  })
})

describe('the log only grows', () => {
  test('the application may neither change nor delete an entry', async () => {
    await expect(db.as(db.here, (client) => client.query("update entry set note = 'x'"))).rejects.toThrow(/permission denied/)
  })
  test('the owner is stopped by the table itself', async () => {
    await expect(db.owner.query("update entry set note = 'x'")).rejects.toThrow(/only grows/)
    await expect(db.owner.query('delete from entry')).rejects.toThrow(/only grows/)
  })
})

describe('what an entry must have', () => {
  test.each<[string, object]>([
    ['a started clock without a step', { kind: 'started' }],
    ['a coat without its figures', { kind: 'coat', money: 3 }],
    ['a cost without an amount', { kind: 'cost', costKind: 'bought' }],
    ['a listing without a channel', { kind: 'listed', money: 100 }],
    ['a sale without fees', { kind: 'sold', money: 100 }],
    ['an empty note', { note: '' }],
    ['a negative cost', { kind: 'cost', costKind: 'other', money: -1 }],
  ])('%s is refused', async (_, over) => {
    const here = wholePiece()
    await db.as(db.here, (client) => addPiece(client, db.here, here.piece))
    expect(await add([note({ note: null, pieceId: here.piece.id, ...over })])).toEqual({ issue: 'not-whole' })
  })
  test('more than a day of minutes is not believed', async () => {
    expect(await add([note({ minutes: 1441 })])).toEqual({ issue: 'not-believable' })
  })
  test('an entry for a piece that is not there is refused', async () => {
    expect(await add([note({ pieceId: uuidv7() })])).toEqual({ issue: 'not-found' })
  })
  test('one refused entry takes its whole delivery with it', async () => {
    const good = note()
    expect(await add([good, note({ minutes: 9999 })])).not.toBeNull()
    expect((await log()).some(({ id }) => id === good.id)).toBe(false)
  })
  test('figures come back as they went in', async () => {
    const coat = (await log()).find(({ kind }) => kind === 'coat')
    expect(coat).toMatchObject({ money: 338, at, coat: { amount: 80.5, unit: 'ml', film: 'normal', productId: whole.productId } })
  })
})
