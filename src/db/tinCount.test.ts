import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { countTin } from '@/core/stock/count'
import { coatFigures } from '@/core/testing/piece'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { listTinsMoved } from './books'
import { addWithMaterial } from './material'
import { listLots } from './stock'
import { addCounts, listCounts, takeTinsInHand } from './tinCount'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

/** A tin of 500 ml at 21.00, of which 80.5 were laid for 3.38, and which was counted once as it was thought. */
async function aTin(): Promise<Whole> {
  const whole = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, whole))
  return whole
}
const later = (minutes: number) => new Date(Date.parse(at) + minutes * 60_000).toISOString()
const count = ({ lotId }: Whole, found: number, when: string, reason: 'counted' | 'dried-up' = 'counted') =>
  db.as(db.here, async (client) => {
    const [tin] = await takeTinsInHand(client, [lotId], when)
    if (!tin) throw new Error('no tin')
    const said = countTin(tin, found)
    await addCounts(client, db.here, [{ id: uuidv7(), lotId, found, ...said }], { at: when, reason })
    return said
  })
const lay = ({ piece, part, plan, productId }: Whole, amount: number, when: string) =>
  db.as(db.here, (client) =>
    addWithMaterial(client, db.here, {
      ...{
        id: uuidv7(),
        kind: 'coat',
        pieceId: piece.id,
        partId: part.id,
        stepId: plan.steps[0]?.id ?? null,
        at: when,
        money: 0,
      },
      coat: coatFigures({ productId, family: 'clay', amount }),
    }),
  )
const left = async ({ lotId }: Whole) => (await db.as(db.here, listLots)).find(({ id }) => id === lotId)?.remaining
const lostOf = async (whole: Whole) => {
  const moved = (await db.as(db.here, (client) => listTinsMoved(client, '2099-01-01T00:00:00.000Z'))).filter(
    ({ counted }) => counted.length > 0,
  )
  expect(moved.length).toBeGreaterThan(0)
  const { rows } = await db.owner.query<{ money: string }>('select sum(money) as money from tin_count where lot_id = $1', [
    whole.lotId,
  ])
  return Number(rows[0]?.money)
}

describe('the shelf counted', () => {
  test('less than thought: what is gone has cost its share; what is laid later comes off what was found', async () => {
    const whole = await aTin()
    // 419.5 thought, 300 found: 2100 · 200/500 − 2100 · 80.5/500 = 840 − 338
    expect(await count(whole, 300, later(60))).toEqual({ gone: 119.5, money: 502 })
    expect(await left(whole)).toBe(300)
    await lay(whole, 100, later(120))
    expect(await left(whole)).toBe(200)
    expect(await lostOf(whole)).toBe(502 + 77)
  })
  test('more than thought: it comes back at what it had cost', async () => {
    const whole = await aTin()
    // 450 of 500: 2100 · 50/500 − 338
    expect(await count(whole, 450, later(60))).toEqual({ gone: -30.5, money: -128 })
    expect(await left(whole)).toBe(450)
  })
  test('told late, of a moment before a coat that was written since: the coat still comes off', async () => {
    const whole = await aTin()
    await lay(whole, 100, later(120))
    expect(await count(whole, 400, later(60))).toMatchObject({ gone: 19.5 })
    expect(await left(whole)).toBe(300)
  })
  test('found empty it is off the shelf, and all that it cost is accounted for to the coin', async () => {
    const whole = await aTin()
    await lay(whole, 33.3, later(30))
    const { money } = await count(whole, 0, later(60), 'dried-up')
    expect(await left(whole)).toBeUndefined()
    const { rows } = await db.owner.query<{ money: string }>('select sum(money) as money from draw where lot_id = $1', [
      whole.lotId,
    ])
    expect(Number(rows[0]?.money) + 77 + money).toBe(2_100)
    // more was in it after all
    await count(whole, 50, later(90))
    expect(await left(whole)).toBe(50)
  })
  test('who counted, why, and what it was are looked back on; another studio sees and counts nothing of it', async () => {
    const whole = await aTin()
    await count(whole, 300, later(60), 'dried-up')
    const [last] = (await db.as(db.here, (client) => listCounts(client, 50))).filter(({ reason }) => reason === 'dried-up')
    expect(last).toMatchObject({ product: 'Ferry Slate', code: '4417', found: 300, gone: 119.5, money: 502 })
    expect(await db.as(db.elsewhere, (client) => listCounts(client, 50))).toEqual([])
    expect(await db.as(db.elsewhere, (client) => takeTinsInHand(client, [whole.lotId], later(60)))).toEqual([])
  })
})
