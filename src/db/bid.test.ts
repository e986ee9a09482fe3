import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addBid, listBids } from './bid'
import { addPiece } from './pieceWrite'
import { type Client, inSession } from './pool'
import { bidRow, pieceRow } from './testing/rows'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const here = <T>(work: (client: Client) => Promise<T>) => db.as(db.here, work)
const outbid = { outcome: 'outbid' as const, pieceId: null }

test('the last word said of a lot counts; the latest first, and others’ are not seen', async () => {
  const lotId = uuidv7()
  await here(async (client) => {
    await addBid(client, db.here, bidRow({ ...outbid, lotId, at: '2026-06-01T10:00:00.000Z', wentFor: null }))
    await addBid(client, db.here, bidRow({ ...outbid, lotId, at: '2026-06-01T10:05:00.000Z', wentFor: 9_900 }))
    await addBid(client, db.here, bidRow({ ...outbid, name: 'Tallboy', at: '2026-06-02T10:00:00.000Z', highest: null }))
  })
  const bids = await here((client) => listBids(client, 9))
  expect(bids.map(({ name, wentFor, highest }) => [name, wentFor, highest])).toEqual([
    ['Tallboy', 6_200, null],
    ['Washstand', 9_900, 8_800],
  ])
  expect(await db.as(db.elsewhere, (client) => listBids(client, 9))).toEqual([])
})
test('what was bought is a piece, and what is none was not bought', async () => {
  const piece = pieceRow()
  await here((client) => addPiece(client, db.here, piece))
  await here((client) => addBid(client, db.here, bidRow({ pieceId: piece.id })))
  for (const wrong of [bidRow({ pieceId: null }), bidRow({ outcome: 'left', pieceId: piece.id }), bidRow({ pieceId: uuidv7() })])
    await expect(here((client) => addBid(client, db.here, wrong))).rejects.toThrow(/bid_bought|foreign key/)
})
test('nobody changes or takes back what was said; a helper says nothing and sees no money', async () => {
  for (const sql of ['update bid set name = name', 'delete from bid'])
    await expect(here((client) => client.query(sql))).rejects.toThrow(/permission denied/)
  const helper = await comeIn(db.owner, db.here, 'helper')
  await expect(inSession(db.pool, helper, (client) => addBid(client, db.here, bidRow(outbid)))).rejects.toThrow(/row-level/)
  const seen = await inSession(db.pool, helper, (client) => listBids(client, 9))
  expect(seen.length).toBeGreaterThan(0)
  expect(seen.every(({ highest, brings, wentFor }) => highest === null && brings === null && wentFor === null)).toBe(true)
})
