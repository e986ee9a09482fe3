import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { benchWrites } from '@/core/input/bench'
import { mixInput } from '@/core/input/entry'
import { type Entry, type EntryOf, ofKind } from '@/core/log/entry'
import type { CoatFigures } from '@/core/log/figures'
import { coatFigures } from '@/core/testing/piece'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { listEntries, listMixLog, type NewEntry } from './entry'
import { addWithMaterial } from './material'
import { digestOf, takeDelivery } from './sent'
import { addLot, emptyLot, listLots, putLotBack } from './stock'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

/** A piece whose tin of 500 ml at 21.00 has 419.5 ml left: 80.5 were drawn of it. */
async function aPiece(): Promise<Whole> {
  const whole = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, whole))
  return whole
}
const coatOn = (
  { piece, part, plan, productId }: Whole,
  amount: number,
  over: Partial<CoatFigures> = {},
): Extract<NewEntry, { kind: 'coat' }> => ({
  id: uuidv7(),
  kind: 'coat',
  pieceId: piece.id,
  partId: part.id,
  stepId: plan.steps[0]?.id ?? null,
  at,
  money: 0,
  coat: coatFigures({ productId, family: 'clay', amount, ...over }),
})
/** as it comes from a device: a second time changes nothing */
const add = (entry: NewEntry) =>
  db.as(db.here, async (client) =>
    (await takeDelivery(client, db.here, entry.id, digestOf('entry', entry))) === 'same'
      ? null
      : addWithMaterial(client, db.here, entry),
  )
const lotOf = async (id: string) => (await db.as(db.here, listLots)).find((lot) => lot.id === id)
const drawsOf = async (entryId: string) =>
  (await db.owner.query('select lot_id, amount::float, money::int from draw where entry_id = $1 order by amount desc', [entryId]))
    .rows
const stored = async (whole: Whole, id: string) =>
  (await db.as(db.here, (client) => listEntries(client, [whole.piece.id]))).find((entry) => entry.id === id) as
    (Entry & { money: number; coat: CoatFigures }) | undefined

describe('a coat takes from the shelf', () => {
  test('what is left is the tin less all that was drawn of it, and it was opened with the first', async () => {
    const whole = await aPiece()
    expect(await lotOf(whole.lotId)).toMatchObject({ remaining: 419.5, openedAt: at, code: '4417' })
  })

  test('from the open tin, at what that one cost; sent twice it takes once', async () => {
    const whole = await aPiece()
    const entry = coatOn(whole, 100)
    expect(await add(entry)).toBeNull()
    expect(await add(entry)).toBeNull()
    // 2100 · 180.5/500 − 2100 · 80.5/500, each to the penny: 758 − 338
    expect(await drawsOf(entry.id)).toEqual([{ lot_id: whole.lotId, amount: 100, money: 420 }])
    expect(await lotOf(whole.lotId)).toMatchObject({ remaining: 319.5 })
    expect(await stored(whole, entry.id)).toMatchObject({ money: 420, coat: { lotId: whole.lotId } })
  })

  test('what the open tin lacks comes from the next, dearer one', async () => {
    const whole = await aPiece()
    const next = uuidv7()
    const bought = { id: next, productId: whole.productId, code: null, size: 250, price: 1500, boughtAt: at }
    await db.as(db.here, (client) => addLot(client, db.here, bought))
    const entry = coatOn(whole, 469.5)
    await add(entry)
    expect(await drawsOf(entry.id)).toEqual([
      { lot_id: whole.lotId, amount: 419.5, money: 1762 },
      { lot_id: next, amount: 50, money: 300 },
    ])
    expect(await stored(whole, entry.id)).toMatchObject({ money: 2062 })
  })

  test('more than all tins held is counted by the label and drawn from none', async () => {
    const whole = await aPiece()
    const entry = coatOn(whole, 519.5)
    await add(entry)
    expect(await drawsOf(entry.id)).toEqual([{ lot_id: whole.lotId, amount: 419.5, money: 1762 }])
    // 100 ml at 4.2 pence beyond
    expect(await stored(whole, entry.id)).toMatchObject({ money: 1762 + 420 })
    // what is used up stands on the shelf no more
    expect(await lotOf(whole.lotId)).toBeUndefined()
  })

  test('two at once never draw the same drop', async () => {
    const whole = await aPiece()
    const entries = Array.from({ length: 6 }, () => coatOn(whole, 100))
    await Promise.all(entries.map(add))
    const { rows } = await db.owner.query(
      'select sum(amount)::float as drawn, sum(money)::int as paid from draw where lot_id = $1',
      [whole.lotId],
    )
    expect(rows[0]).toEqual({ drawn: 500, paid: 2100 })
  })

  test('a correction takes in place of what it corrects: what was too much is in the tin again', async () => {
    const whole = await aPiece()
    const entry = coatOn(whole, 300)
    await add(entry)
    await add({ ...coatOn(whole, 60), corrects: entry.id })
    expect(await lotOf(whole.lotId)).toMatchObject({ remaining: 359.5 })
  })

  test('a tin that is said to be empty is off the shelf, once, and nothing is drawn of it', async () => {
    const whole = await aPiece()
    const gone = await db.as(db.here, async (client) => [
      await emptyLot(client, whole.lotId, at),
      await emptyLot(client, whole.lotId, at),
    ])
    expect(gone).toEqual([true, false])
    expect(await lotOf(whole.lotId)).toBeUndefined()
    const entry = coatOn(whole, 50)
    await add(entry)
    expect(await drawsOf(entry.id)).toEqual([])
    // put back, it is as full as it was
    const back = () => db.as(db.here, (client) => putLotBack(client, whole.lotId))
    expect([await back(), await back()]).toEqual([true, false])
    expect(await lotOf(whole.lotId)).toMatchObject({ remaining: 419.5 })
  })

  test('a product that is not here is refused, and nothing is left behind', async () => {
    const whole = await aPiece()
    const entry = coatOn(whole, 50, { productId: uuidv7() })
    expect(await add(entry)).toEqual({ issue: 'not-found' })
    expect(await stored(whole, entry.id)).toBeUndefined()
  })

  test('another studio’s tin can’t be taken', async () => {
    const [own, other] = [await aPiece(), wholePiece()]
    await db.as(db.elsewhere, (client) => storeWhole(client, db.elsewhere, other))
    const taking = db.as(db.here, (client) =>
      client.query('insert into draw (entry_id, studio_id, lot_id, amount, money) values ($1, $2, $3, 1, 0)', [
        own.entries[0]?.id,
        db.here,
        other.lotId,
      ]),
    )
    await expect(taking).rejects.toThrow(/foreign key/)
  })

  test('what was drawn stands: it is neither changed nor taken back', async () => {
    await aPiece()
    await expect(db.owner.query('update draw set amount = 1')).rejects.toThrow(/only grows/)
    await expect(db.owner.query('delete from draw')).rejects.toThrow(/only grows/)
  })
})

describe('a mix', () => {
  const mixOn = (whole: Whole, volume: number, mix = 'paint : water 2 : 1'): NewEntry => {
    const { piece, part, plan, productId } = whole
    const stepId = plan.steps[0]?.id ?? ''
    const typed = {
      entryId: uuidv7(),
      pieceId: piece.id,
      partId: part.id,
      stepId,
      at,
      family: 'clay',
      mix,
      volume: String(volume),
    }
    return benchWrites.mixBatch.entry(
      mixInput({ currency: 'GBP', units: 'metric', zone: 'UTC', locale: 'en-GB' }).parse({
        ...typed,
        productId,
        lotId: '',
        from: [{ productId, lotId: '' }],
      }),
    )
  }

  test('takes its share of paint from the tin, and its coats share what that cost', async () => {
    const whole = await aPiece()
    const mixed = mixOn(whole, 150)
    await add(mixed)
    // 100 ml of paint in 150 ml of mix
    expect(await drawsOf(mixed.id)).toEqual([{ lot_id: whole.lotId, amount: 100, money: 420 }])
    const [one, two] = [coatOn(whole, 50, { batchId: mixed.id }), coatOn(whole, 100, { batchId: mixed.id })]
    await add(one)
    await add(two)
    expect([(await stored(whole, one.id))?.money, (await stored(whole, two.id))?.money]).toEqual([140, 280])
    expect(await drawsOf(one.id)).toEqual([])
    expect((await stored(whole, one.id))?.coat).toMatchObject({ batchId: mixed.id, productId: whole.productId, lotId: null })
  })

  test('told by the eye is all paint', async () => {
    const whole = await aPiece()
    const mixed = mixOn(whole, 40, 'thick as custard')
    await add(mixed)
    expect(await drawsOf(mixed.id)).toMatchObject([{ amount: 40 }])
  })

  test('is found with the coats of every piece that took from it, and by another piece’s page', async () => {
    const [whole, other] = [await aPiece(), await aPiece()]
    const mixed = mixOn(whole, 150)
    await add(mixed)
    const coat = coatOn(other, 30, { batchId: mixed.id })
    await add(coat)
    const log = await db.as(db.here, (client) => listMixLog(client, at))
    expect(ofKind(log, 'mixed').find(({ id }) => id === mixed.id)?.batch).toMatchObject({
      volume: 150,
      mix: 'paint : water 2 : 1',
      components: [
        { name: 'paint', parts: 2, amount: 100, productId: whole.productId, lotId: whole.lotId },
        { name: 'water', parts: 1, amount: 50, productId: null, lotId: null },
      ],
      stepIds: [whole.plan.steps[0]?.id],
    })
    expect(log.map(({ id }) => id)).toContain(coat.id)
  })

  test('struck out, it can’t be taken from any more', async () => {
    const whole = await aPiece()
    const mixed = mixOn(whole, 150)
    await add(mixed)
    await add({ id: uuidv7(), kind: 'struck', pieceId: whole.piece.id, at, corrects: mixed.id })
    expect(await add(coatOn(whole, 30, { batchId: mixed.id }))).toEqual({ issue: 'not-found' })
  })

  test('without its volume, or of nothing, is refused by the database itself', async () => {
    const whole = await aPiece()
    const mixed = mixOn(whole, 10)
    expect(await add({ ...mixed, batch: { ...(mixed as EntryOf<'mixed'>).batch, volume: 0 } } as NewEntry)).toEqual({
      issue: 'not-whole',
    })
  })
})
