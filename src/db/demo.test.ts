import { afterAll, beforeAll, expect, test } from 'vitest'
import { benchOrder } from '@/core/bench/benchOrder'
import { climateIn, climatesOf } from '@/core/climate/rooms'
import { type Journey, readPieces } from '@/core/piece/journey'
import { makeDatabase, type TestDatabase, till } from '@/db/testing/database'
import { loadDemo } from '../../demo/load'
import { listReadings, listRooms } from './climate'
import { listOpenPieces, listPieceFiles, listPieces } from './piece'
import { getStudio } from './studio'

const demoStudio = '01900000-0000-7000-8000-00000000de40'
const now = new Date('2026-03-29T13:00:00.000Z')
let db: TestDatabase
let open: Journey[]
let ended: Journey[]

beforeAll(async () => {
  db = await makeDatabase()
  await loadDemo(db.owner, now, till)
  await db.as(demoStudio, async (client) => {
    const rooms = await listRooms(client)
    const climates = climatesOf(
      await listReadings(client, { roomIds: rooms.map(({ id }) => id), since: '2026-01-01T00:00:00.000Z' }),
      rooms,
    )
    const climateOf = ({ piece }: { piece: { roomId: string | null } }) => climateIn(climates, piece.roomId, rooms)
    const journeys = async (pieces: Parameters<typeof listPieceFiles>[1]) =>
      readPieces(await listPieceFiles(client, pieces), { climateOf, nowMs: now.getTime() })
    open = await journeys(await listOpenPieces(client))
    ended = await journeys((await listPieces(client, { limit: 50 })).filter(({ endedAt }) => endedAt !== null))
  })
})
afterAll(() => db.drop())

test('the demo is loaded once, however often it is started', async () => {
  const count = async () =>
    (await db.owner.query('select (select count(*) from entry) as entries, (select count(*) from piece) as pieces')).rows[0]
  const before = await count()
  await loadDemo(db.owner, new Date(), till)
  expect(await count()).toEqual(before)
})

test('twelve pieces stand at all stages of their way', () => {
  expect(open.length + ended.length).toBe(12)
  expect(new Set(open.map(({ stage }) => stage))).toEqual(new Set(['just-in', 'under-way', 'resting', 'listed']))
  expect(new Set(ended.map(({ ending }) => ending?.outcome))).toEqual(new Set(['sold', 'kept']))
})

test('something runs, something dries, and something closes within the hour', () => {
  const { running, now: doable, drying } = benchOrder(open, now.getTime())
  expect(running).toHaveLength(1)
  expect(drying.length).toBeGreaterThanOrEqual(1)
  const closes = doable
    .filter(({ why }) => why === 'closing')
    .map(({ window }) => (Date.parse(window?.times.closes ?? '') - now.getTime()) / 60_000)
  expect(Math.min(...closes)).toBeGreaterThan(10)
  expect(Math.min(...closes)).toBeLessThan(60)
})

test('every coat that took of a tin costs its share of it', async () => {
  const { rows } = await db.owner.query<{ coats: number; free: number }>(
    `select count(*)::int as coats, count(*) filter (where e.money = 0)::int as free
     from entry e where e.kind = 'coat' and exists (select from draw d where d.entry_id = e.id)`,
  )
  expect(rows[0]?.coats).toBeGreaterThan(20)
  expect(rows[0]?.free).toBe(0)
})

test('the studio is an invented one in pounds', async () => {
  expect(await db.as(demoStudio, getStudio)).toMatchObject({ name: 'The Lantern Loft', currency: 'GBP' })
})
