import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { usualPricing } from '@/core/price/pricing'
import { comeIn, makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addEntries, type NewEntry } from './entry'
import { findPiece } from './piece'
import { addParts, addPiece, addPlan, changePiece } from './pieceWrite'
import { type Client, inSession } from './pool'
import { countStanding, listSold } from './sold'
import { getStudio, listChannels, saveChannel, savePricing } from './studio'
import { partRow, pieceRow, planRow } from './testing/rows'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())
const here = <T>(work: (client: Client) => Promise<T>) => db.as(db.here, work)
const channel = { id: uuidv7(), name: 'Booth', feeShare: 0.12, feeFixed: 0, rent: 1_800 }

async function pieceWith(name: string, entries: Partial<NewEntry>[], over: Parameters<typeof partRow>[0] = {}) {
  const [piece, part] = [pieceRow({ name }), partRow(over)]
  await here(async (client) => {
    await addPiece(client, db.here, piece)
    await addParts(client, db.here, piece.id, 0, [part])
    await addPlan(client, db.here, part.id, planRow())
    const trouble = await addEntries(
      client,
      db.here,
      entries.map((entry) => ({ id: uuidv7(), pieceId: piece.id, ...entry }) as NewEntry),
    )
    expect(trouble).toBeNull()
  })
  return piece
}
const listed = (at: string, money = 24_000): Partial<NewEntry> => ({ kind: 'listed', at, money, channelId: channel.id })
const sale = (at: string, money: number): Partial<NewEntry> => ({ kind: 'sold', at, money, fees: 0, channelId: channel.id })

describe('what was sold', () => {
  beforeAll(() => here((client) => saveChannel(client, db.here, channel, 0)))
  test('the latest first, with what it is, its painted area, its look, and the days from the first listing', async () => {
    await pieceWith('Earlier', [listed('2026-03-01T10:00:00.000Z'), sale('2026-03-13T12:00:00.000Z', 21_000)])
    await pieceWith(
      'Later',
      [listed('2026-04-01T10:00:00.000Z'), listed('2026-04-20T10:00:00.000Z', 20_000), sale('2026-05-01T09:00:00.000Z', 19_000)],
      { count: 2 },
    )
    await pieceWith('Never listed', [sale('2026-02-01T09:00:00.000Z', 8_000)])
    const sold = await here((client) => listSold(client, 2))
    // 2 faces of 0.8605 × 0.42 m; two parts alike: four
    expect(sold).toMatchObject([
      { name: 'Later', price: 19_000, daysOnSale: 29, article: 'bedside', looks: ['smooth-solid'], channelId: channel.id },
      { name: 'Earlier', price: 21_000, daysOnSale: 12 },
    ])
    expect(sold[0]?.areaM2).toBeCloseTo(0.8605 * 0.42 * 4)
    expect(sold[1]?.areaM2).toBeCloseTo(0.8605 * 0.42 * 2)
    expect((await here((client) => listSold(client, 9)))[2]).toMatchObject({ name: 'Never listed', daysOnSale: null })
  })
  test('a sale that was struck is none, and the price that was put right counts', async () => {
    const [wrong, right] = [uuidv7(), uuidv7()]
    const piece = await pieceWith('Put right', [{ id: wrong, ...sale('2026-06-01T09:00:00.000Z', 1) }])
    const again = { id: right, pieceId: piece.id, corrects: wrong, ...sale('2026-06-01T09:00:00.000Z', 17_500) } as NewEntry
    await here((client) => addEntries(client, db.here, [again]))
    expect((await here((client) => listSold(client, 1)))[0]).toMatchObject({ name: 'Put right', price: 17_500 })
    await here((client) =>
      addEntries(client, db.here, [
        { id: uuidv7(), pieceId: piece.id, kind: 'struck', at: '2026-06-02T09:00:00.000Z', corrects: right },
      ]),
    )
    expect((await here((client) => listSold(client, 1)))[0]).toMatchObject({ name: 'Later' })
  })
  test('pieces on sale are counted where they were listed last', async () => {
    await pieceWith('Stands', [listed('2026-05-02T10:00:00.000Z')])
    expect(await here(countStanding)).toEqual(new Map([[channel.id, 1]]))
    expect(await db.as(db.elsewhere, countStanding)).toEqual(new Map())
  })
  test('whoever sees no money is told none', async () => {
    const helper = await comeIn(db.owner, db.here, 'helper')
    expect((await inSession(db.pool, helper, (client) => listSold(client, 5))).every(({ price }) => price === 0)).toBe(true)
  })
})

describe('how prices are made', () => {
  test('as a house begins, then as it was kept; an owner alone changes it, and a helper is told nothing of it', async () => {
    expect((await here(getStudio)).pricing).toEqual(usualPricing)
    const own = {
      ...{ markup: 0.4, overheadPer: 'day' as const, overheadDay: 310, overheadShare: 0, ladderWeeks: 3, ladderShare: 0.15 },
      rates: [{ article: 'chest' as const, upToM2: 2.5, price: 24_000 }],
      letterhead: '3 Quay Loft',
    }
    await here((client) => savePricing(client, own))
    expect((await here(getStudio)).pricing).toEqual(own)
    for (const role of ['painter', 'bookkeeper', 'helper'] as const)
      await expect(
        comeIn(db.owner, db.here, role).then((secret) =>
          inSession(db.pool, secret, (client) => savePricing(client, usualPricing)),
        ),
        role,
      ).rejects.toThrow(/row-level security/)
    const helper = await comeIn(db.owner, db.here, 'helper')
    const seen = await inSession(db.pool, helper, async (client) => [
      (await getStudio(client)).pricing,
      await listChannels(client),
    ])
    expect(seen).toEqual([usualPricing, [{ ...channel, feeShare: 0, feeFixed: 0, rent: 0 }]])
  })
})

test('what article a piece is: kept, changed, and refused where no such one is known', async () => {
  const piece = pieceRow({ article: 'chest' })
  await here((client) => addPiece(client, db.here, piece))
  expect((await here((client) => findPiece(client, piece.id)))?.article).toBe('chest')
  await here((client) => changePiece(client, piece.id, { ...piece, article: null }))
  expect((await here((client) => findPiece(client, piece.id)))?.article).toBeNull()
  await expect(here((client) => changePiece(client, piece.id, { ...piece, article: 'spaceship' as never }))).rejects.toThrow(
    /not known/,
  )
})
