import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Touch } from '@/core/finish/touch'
import { coatFigures } from '@/core/testing/piece'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, partRow, pieceRow, planRow, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { findUnknownCodes, keepCodes } from './codes'
import { addEntries, type NewEntry } from './entry'
import { addPhoto } from './photo'
import { findPieceFile, listOpenPieces, listPieces } from './piece'
import { addParts, addPiece, addPlan, changeFaces, takePartOut } from './pieceWrite'
import { addLot, listLots } from './stock'

let db: TestDatabase
let one: Whole
let other: Whole
beforeAll(async () => {
  db = await makeDatabase()
  one = wholePiece()
  other = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, one))
  await db.as(db.here, (client) => storeWhole(client, db.here, other))
})
afterAll(() => db.drop())

const add = (entry: object) =>
  db.as(db.here, (client) => addEntries(client, db.here, [{ id: uuidv7(), at, ...entry } as NewEntry]))
const stepOf = (whole: Whole) => whole.plan.steps[0]?.id ?? ''

describe('what an entry names is of each other', () => {
  test('a part of another piece, a step of another part, a photograph of another piece are refused by the database', async () => {
    const here = { pieceId: one.piece.id, partId: one.part.id }
    expect(await add({ kind: 'ended', pieceId: one.piece.id, partId: other.part.id, stepId: stepOf(other) })).toEqual({
      issue: 'not-found',
    })
    expect(await add({ kind: 'ended', ...here, stepId: stepOf(other) })).toEqual({ issue: 'not-found' })
    const mark = { photoId: other.photoId, x: 0.5, y: 0.5 }
    expect(await add({ kind: 'snag', ...here, severity: 'slight', note: 'Here.', mark })).toEqual({ issue: 'not-found' })
    expect(await add({ kind: 'ended', ...here, stepId: stepOf(one) })).toBeNull()
  })
  test('a tin of another product, and a mix that is none', async () => {
    const coat = (over: object) => ({
      kind: 'coat',
      pieceId: one.piece.id,
      partId: one.part.id,
      money: 0,
      coat: coatFigures({ family: 'clay', ...over }),
    })
    expect(await add(coat({ productId: one.productId, lotId: other.lotId }))).toEqual({ issue: 'not-found' })
    expect(await add(coat({ productId: null, lotId: one.lotId }))).toEqual({ issue: 'not-whole' })
    const noMix = one.entries.find(({ kind }) => kind === 'cost')?.id
    expect(await add(coat({ productId: one.productId, batchId: noMix }))).toEqual({ issue: 'not-found' })
  })
  test('a photograph of a part of another piece', async () => {
    const photo = { partId: other.part.id, stepId: null, moment: 'during', takenAt: at, width: 4, height: 3, alt: '' } as const
    const bytes = { small: Buffer.from('s'), large: Buffer.from('l') }
    const put = db.as(db.here, (client) => addPhoto(client, db.here, one.piece.id, { ...photo, id: uuidv7() }, bytes))
    await expect(put).rejects.toMatchObject({ constraint: 'photo_part_of_piece' })
  })
})

describe('a piece ends once', () => {
  const fresh = async () => {
    const piece = pieceRow()
    await db.as(db.here, (client) => addPiece(client, db.here, piece))
    return piece.id
  }
  test('three sold at one moment are one, and the two others are told', async () => {
    const pieceId = await fresh()
    const sell = () => add({ kind: 'sold', pieceId, channelId: one.channelId, money: 10_000, fees: 0 })
    const answers = await Promise.all([sell(), sell(), sell()])
    expect(answers.filter((answer) => answer === null)).toHaveLength(1)
    expect(answers.filter((answer) => answer?.issue === 'already-ended')).toHaveLength(2)
  })
  test('its ending put right stands in its place; struck out it may leave again', async () => {
    const pieceId = await fresh()
    const sold = uuidv7()
    const left = async () =>
      (await db.as(db.here, (client) => listPieces(client, { limit: 100 }))).some(({ id, endedAt }) => id === pieceId && endedAt)
    await add({ id: sold, kind: 'kept', pieceId })
    expect(await left()).toBe(true)
    const right = uuidv7()
    expect(await add({ id: right, kind: 'given', pieceId, corrects: sold })).toBeNull()
    expect(await left()).toBe(true)
    expect(await add({ kind: 'struck', pieceId, corrects: right })).toBeNull()
    expect(await left()).toBe(false)
    expect((await db.as(db.here, listOpenPieces)).some(({ id }) => id === pieceId)).toBe(true)
    expect(await add({ kind: 'scrapped', pieceId })).toBeNull()
  })
})

describe('parts put right', () => {
  test('a part under a number that another piece has takes everything with it: nothing is half applied', async () => {
    const piece = pieceRow()
    const taken = db.as(db.here, async (client) => {
      await addPiece(client, db.here, piece)
      await addParts(client, db.here, piece.id, 0, [partRow({ id: one.part.id })])
    })
    await expect(taken).rejects.toThrow(/duplicate key/)
    const file = await db.as(db.here, (client) => findPieceFile(client, one.piece.id))
    expect(file?.parts[0]?.surfaces).toHaveLength(1)
    expect(await db.as(db.here, (client) => findPieceFile(client, piece.id))).toBeNull()
  })
  test('new measurements stand in place of the old, which stay in the database', async () => {
    const face = { id: uuidv7(), shape: 'panel', relief: 'flat', count: 1, width: 500, height: 400 } as const
    await db.as(db.here, (client) => changeFaces(client, db.here, other.part.id, [face], at))
    const file = await db.as(db.here, (client) => findPieceFile(client, other.piece.id))
    expect(file?.parts[0]?.surfaces).toEqual([{ shape: 'panel', relief: 'flat', count: 1, width: 500, height: 400 }])
    const { rows } = await db.owner.query('select from surface where part_id = $1', [other.part.id])
    expect(rows).toHaveLength(2)
  })
  test('a part taken out is no part of the piece, and its log and steps are kept', async () => {
    await db.as(db.here, (client) => takePartOut(client, other.part.id, at))
    const file = await db.as(db.here, (client) => findPieceFile(client, other.piece.id))
    expect(file?.parts).toEqual([])
    expect(file?.takenOut.map(({ id }) => id)).toEqual([other.part.id])
    expect(file?.log.some(({ partId }) => partId === other.part.id)).toBe(true)
    await db.as(db.here, (client) => takePartOut(client, other.part.id, null))
    expect((await db.as(db.here, (client) => findPieceFile(client, other.piece.id)))?.parts).toHaveLength(1)
  })
})

describe('time has bounds', () => {
  test.each(['0001-01-01T00:00:00.000Z', '1999-12-31T23:59:59.000Z', '2100-01-01T00:00:00.000Z'])(
    '%s is refused',
    async (when) => {
      expect(await add({ kind: 'note', pieceId: one.piece.id, note: 'Then.', at: when })).toEqual({ issue: 'not-believable' })
    },
  )
})

describe('codes that are not known', () => {
  test('are refused where they are written, the owner’s hand too', async () => {
    await expect(db.owner.query("update product set family = 'powdery' where id = $1", [one.productId])).rejects.toMatchObject({
      constraint: 'known_code',
    })
    await expect(db.owner.query("update part set substrate = 'marble' where id = $1", [one.part.id])).rejects.toThrow(/not known/)
  })
  test('are refused in a list of layers too', async () => {
    const touches = [{ id: 'one', operation: 'coat', family: 'powdery', by: 'painter' }] as unknown as Touch[]
    const plan = { ...planRow(), touches }
    await expect(db.as(db.here, (client) => addPlan(client, db.here, one.part.id, plan))).rejects.toMatchObject({
      constraint: 'known_code',
    })
  })
  test('that were known once are named with their row at the next start', async () => {
    await db.owner.query("insert into code (kind, code) values ('family', 'powdery')")
    await db.owner.query("update product set family = 'powdery' where id = $1", [one.productId])
    await keepCodes(db.owner)
    expect(await findUnknownCodes(db.owner)).toEqual([{ table: 'product', column: 'family', id: one.productId, code: 'powdery' }])
    await db.owner.query("update product set family = 'clay' where id = $1", [one.productId])
    expect(await findUnknownCodes(db.owner)).toEqual([])
  })
})

describe('a tin that is used up', () => {
  test('stands on the shelf no more, and is back when its coat is struck out', async () => {
    const lotId = uuidv7()
    await db.as(db.here, (client) =>
      addLot(client, db.here, { id: lotId, productId: one.productId, code: '99', size: 10, price: 100, boughtAt: at }),
    )
    const coat = uuidv7()
    const stands = async () => (await db.as(db.here, listLots)).some(({ id }) => id === lotId)
    await add({
      id: coat,
      kind: 'coat',
      pieceId: one.piece.id,
      partId: one.part.id,
      money: 100,
      coat: coatFigures({ family: 'clay', productId: one.productId, lotId, amount: 10 }),
    })
    await db.owner.query('insert into draw (entry_id, studio_id, lot_id, amount, money) values ($1, $2, $3, 10, 100)', [
      coat,
      db.here,
      lotId,
    ])
    expect(await stands()).toBe(false)
    await add({ kind: 'struck', pieceId: one.piece.id, corrects: coat })
    expect(await stands()).toBe(true)
  })
})
