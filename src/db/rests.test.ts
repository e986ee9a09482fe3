import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { batchesIn } from '@/core/log/batch'
import { ofKind } from '@/core/log/entry'
import { coatFigures } from '@/core/testing/piece'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { listEntries, listMixLog } from './entry'
import { addWithMaterial } from './material'
import { putRestBy, type RestPutBy } from './rests'
import { listLots } from './stock'
import { listProducts } from './studio'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

/** A mix of 150 ml, paint to water two to one, of which a coat of 50 was laid: 4.20 of paint went in, 1.40 onto the piece. */
async function aMix(): Promise<Whole & { batchId: string }> {
  const whole = wholePiece()
  const batchId = uuidv7()
  const { piece, part, plan, productId } = whole
  const on = { pieceId: piece.id, partId: part.id, stepId: plan.steps[0]?.id ?? '' }
  const component = { name: 'paint', parts: 2, amount: 100, productId, lotId: null }
  await db.as(db.here, async (client) => {
    await storeWhole(client, db.here, whole)
    await addWithMaterial(client, db.here, {
      id: batchId,
      kind: 'mixed',
      ...on,
      at,
      money: 0,
      batch: {
        ...{ productId, lotId: null, family: 'clay', mix: 'Quince Rind : water 2 : 1', volume: 150, unit: 'ml' },
        components: [component, { name: 'water', parts: 1, amount: 50, productId: null, lotId: null }],
        stepIds: [on.stepId],
      },
    })
    const coat = coatFigures({ family: 'clay', batchId, amount: 50 })
    await addWithMaterial(client, db.here, { id: uuidv7(), kind: 'coat', ...on, at, money: 0, coat })
  })
  return { ...whole, batchId }
}
const rest = ({ piece, batchId }: Whole & { batchId: string }, over: Partial<RestPutBy> = {}): RestPutBy => ({
  entryId: uuidv7(),
  pieceId: piece.id,
  at,
  batchId,
  family: 'clay',
  amount: 100,
  tin: { productId: uuidv7(), lotId: uuidv7(), name: 'Quince Rind', colourHex: '#b8923a' },
  ...over,
})
const put = (one: RestPutBy) => db.as(db.here, (client) => putRestBy(client, db.here, one))
const leftOf = async (batchId: string) =>
  batchesIn([{ log: await db.as(db.here, (client) => listMixLog(client, at)), climate: [] }]).find(({ id }) => id === batchId)
    ?.left

describe('what is left of a mix', () => {
  test('becomes a tin with its formula, at its share of what went in; of the mix nothing is left', async () => {
    const mix = await aMix()
    const one = rest(mix)
    expect(await put(one)).toBeNull()
    const lot = (await db.as(db.here, listLots)).find(({ id }) => id === one.tin?.lotId)
    // 4.20 less the 1.40 that was laid
    expect(lot).toMatchObject({ size: 100, remaining: 100, price: 280 })
    const tin = (await db.as(db.here, listProducts)).find(({ id }) => id === one.tin?.productId)
    expect(tin).toMatchObject({ formula: 'Quince Rind : water 2 : 1', colourName: 'Quince Rind', colourHex: '#b8923a' })
    expect(await leftOf(mix.batchId)).toBe(0)
    const entries = await db.as(db.here, (client) => listEntries(client, [mix.piece.id]))
    expect(ofKind(entries, 'put-by')).toMatchObject([{ money: 280, rest: { amount: 100, lotId: one.tin?.lotId } }])
  })
  test('kept twice it is refused with what there is; a part of it may be kept, and the rest thrown away', async () => {
    const mix = await aMix()
    expect(await put(rest(mix, { amount: 60 }))).toBeNull()
    expect(await put(rest(mix, { amount: 60 }))).toEqual({ left: 40 })
    expect(await put(rest(mix, { amount: 40, tin: null }))).toBeNull()
    const entries = ofKind(await db.as(db.here, (client) => listEntries(client, [mix.piece.id])), 'put-by')
    // to the penny all of what went in: 1.40 laid, 1.68 kept, 1.12 thrown away
    expect(entries.map(({ money, rest: { lotId } }) => [money, lotId === null])).toEqual([
      [168, false],
      [112, true],
    ])
  })
  test('of a mix that is not there, or of another studio, it is not found', async () => {
    const mix = await aMix()
    expect(await put(rest(mix, { batchId: uuidv7() }))).toEqual({ issue: 'not-found' })
    expect(await db.as(db.elsewhere, (client) => putRestBy(client, db.elsewhere, rest(mix)))).toEqual({ issue: 'not-found' })
  })
  test('half a tin is refused by the database itself', async () => {
    const mix = await aMix()
    const half = db.as(db.here, (client) =>
      client.query(
        `insert into entry (id, studio_id, piece_id, kind, at, batch_id, family, amount, unit, money, product_id)
         values ($1, $2, $3, 'put-by', $4, $5, 'clay', 10, 'ml', 0, $6)`,
        [uuidv7(), db.here, mix.piece.id, at, mix.batchId, mix.productId],
      ),
    )
    await expect(half).rejects.toThrow(/entry_put_by_whole/)
  })
})
