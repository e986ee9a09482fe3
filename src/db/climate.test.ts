import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Plan } from '@/core/piece/piece'
import { type SnagSum, sumSnags } from '@/core/piece/snags'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addCalendarFeed, isCalendarFeed, listCalendarFeeds, revokeCalendarFeed } from './calendarFeed'
import {
  addDryingFigure,
  addReading,
  addReadings,
  listDrawn,
  listDryingFigures,
  listJudged,
  listLearned,
  listReadings,
  listRooms,
  listSeen,
  saveRoom,
} from './climate'
import { addEntries, findSnagRecord, listOtherWork } from './entry'
import { findPieceFile } from './piece'
import { addPlan } from './pieceWrite'

let db: TestDatabase
let whole: Whole
beforeAll(async () => {
  db = await makeDatabase()
  whole = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, whole))
})
afterAll(() => db.drop())
const here = <T>(work: Parameters<TestDatabase['as']>[1]) => db.as(db.here, work) as Promise<T>

describe('rooms and their air', () => {
  test('each room has the reading that held before the moment asked for; doubted ones only where they are asked for', async () => {
    const [loft, store] = [uuidv7(), uuidv7()]
    await here(async (client) => {
      await saveRoom(client, db.here, { id: loft, name: 'Long loft', sensor: 'long' }, 1)
      await saveRoom(client, db.here, { id: store, name: 'Store', sensor: null }, 2)
      const read = (day: number, roomId: string, temperature: number) => ({
        id: uuidv7(),
        at: `2026-07-0${day}T08:00:00.000Z`,
        temperature,
        humidity: 50,
        roomId,
        source: 'sensor' as const,
      })
      await addReadings(client, db.here, [read(1, loft, 17), read(2, loft, 18), read(1, store, 9), read(4, loft, 19)])
      await addReading(client, db.here, { ...read(4, loft, 85), doubt: 'absurd' })
      const air = await listReadings(client, { roomIds: [loft, store], since: '2026-07-03T00:00:00.000Z' })
      const of = (room: string) => air.filter(({ roomId }) => roomId === room).map(({ temperature }) => temperature)
      expect([of(loft), of(store)]).toEqual([[18, 19], [9]])
      const judged = (await listJudged(client, '2026-07-04T00:00:00.000Z')).filter(({ roomId }) => roomId === loft)
      expect(judged.map(({ temperature, doubt }) => [temperature, doubt]).sort()).toEqual([
        [19, null],
        [85, 'absurd'],
      ])
      expect((await listRooms(client)).map(({ name }) => name)).toEqual(['Loft', 'Long loft', 'Store'])
    })
  })
  test('the week is drawn by means of half an hour, the last of it as it was read, and what is not believed stands by itself', async () => {
    const room = uuidv7()
    await here(async (client) => {
      await saveRoom(client, db.here, { id: room, name: 'Drawn', sensor: 'drawn' }, 4)
      const read = (time: string, temperature: number, doubt: 'jump' | null = null) => ({
        id: uuidv7(),
        at: `2026-08-01T${time}:00.000Z`,
        temperature,
        humidity: 50,
        roomId: room,
        source: 'sensor' as const,
        doubt,
      })
      await addReadings(client, db.here, [read('08:00', 18), read('08:20', 20), read('08:25', 40, 'jump'), read('08:40', 21)])
      await addReadings(client, db.here, [read('09:01', 22), read('09:05', 23)])
      const drawn = await listDrawn(client, {
        roomIds: [room],
        unnamed: false,
        since: '2026-08-01T08:00:00.000Z',
        exactSince: '2026-08-01T09:00:00.000Z',
      })
      expect(drawn.map(({ at, temperature, doubt }) => [at.slice(11, 16), temperature, doubt])).toEqual([
        ['08:00', 19, null],
        ['08:25', 40, 'jump'],
        ['08:40', 21, null],
        ['09:01', 22, null],
        ['09:05', 23, null],
      ])
    })
  })
  test('what a sensor said long ago comes as means of three hours; what was typed, and what is recent, as it was', async () => {
    const room = uuidv7()
    await here(async (client) => {
      await saveRoom(client, db.here, { id: room, name: 'Drying room', sensor: 'drying' }, 3)
      const read = (time: string, temperature: number, source: 'typed' | 'sensor') => ({
        id: uuidv7(),
        at: `2026-08-01T${time}:00.000Z`,
        temperature,
        humidity: 50,
        roomId: room,
        source,
      })
      await addReadings(client, db.here, [
        read('06:10', 18, 'sensor'),
        read('07:00', 19, 'sensor'),
        read('08:50', 23, 'sensor'),
        read('08:55', 30, 'typed'),
        read('09:00', 21, 'sensor'),
        read('12:20', 22, 'sensor'),
        read('12:40', 24, 'sensor'),
      ])
      await addReading(client, db.here, { ...read('07:30', 85, 'sensor'), doubt: 'absurd' })
      const air = await listReadings(client, {
        roomIds: [room],
        since: '2026-08-01T00:00:00.000Z',
        exactSince: '2026-08-01T12:30:00.000Z',
      })
      const own = air.filter(({ roomId }) => roomId === room).map((each) => [each.at.slice(11, 16), each.temperature])
      // 18, 19 and 23 are 20 on the mean of 06:00 to 09:00
      expect(own).toEqual([
        ['06:00', 20],
        ['08:55', 30],
        ['09:00', 21],
        // 22 and 24
        ['12:00', 23],
        ['12:40', 24],
      ])
    })
  })
  test('two rooms of one studio can’t be read by one sensor; another studio’s may', async () => {
    const room = () => ({ id: uuidv7(), name: 'Twice', sensor: 'twice' })
    await here((client) => saveRoom(client, db.here, room(), 0))
    await db.as(db.elsewhere, (client) => saveRoom(client, db.elsewhere, room(), 0))
    await expect(here((client) => saveRoom(client, db.here, room(), 0))).rejects.toThrow(/duplicate key/)
  })
})

describe('what was learned', () => {
  test('the newest figure of a family is in force, the label again ends it, and nothing is forgotten', async () => {
    const figure = (day: number, p50: number, count: number) => ({
      id: uuidv7(),
      family: 'casein' as const,
      p50,
      p80: count === 0 ? 1 : p50 * 1.3,
      count,
      at: `2026-07-0${day}T08:00:00.000Z`,
      personId: null,
    })
    await here(async (client) => {
      await addDryingFigure(client, db.here, figure(1, 1.2, 3))
      await addDryingFigure(client, db.here, figure(2, 1.4, 5))
      expect((await listLearned(client)).casein).toMatchObject({ p50: 1.4, count: 5 })
      await addDryingFigure(client, db.here, figure(3, 1, 0))
      expect((await listLearned(client)).casein).toBeUndefined()
      const all = (await listDryingFigures(client, 20)).filter(({ family }) => family === 'casein')
      expect(all.map(({ p50 }) => p50)).toEqual([1.2, 1.4, 1])
    })
    const unfounded = { ...figure(4, 1.2, 0), p80: 1.5 }
    await expect(here((client) => addDryingFigure(client, db.here, unfounded))).rejects.toThrow(/drying_figure_of_label/)
  })
  test('what a finger found comes with its coat: when it ended, its label and its film', async () => {
    const [seen] = await here<Awaited<ReturnType<typeof listSeen>>>((client) => listSeen(client, 10))
    expect(seen).toMatchObject({ family: 'clay', film: 'normal', endedAt: at, at, result: 'dry', label: { opens: [60, 60] } })
  })
})

describe('what is said at the bench', () => {
  test('comes back as it was said', async () => {
    const file = await here<Awaited<ReturnType<typeof findPieceFile>>>((client) => findPieceFile(client, whole.piece.id))
    const kind = (wanted: string) => file?.log.find((entry) => entry.kind === wanted)
    expect(kind('checked')).toMatchObject({ checkCode: 'raking-light', result: 'fail' })
    expect(kind('helped')).toMatchObject({ minutes: 12 })
    expect(kind('assisted')).toMatchObject({ assist: 'fan' })
    expect(kind('snag')).toMatchObject({ remedy: 'runs', severity: 'slight', spot: 4 })
    expect(kind('coat')).toMatchObject({ coat: { place: 'inside of the doors', sheen: null } })
  })
  test('half an entry is refused: a check without its answer, a fan beside no part, a snag that says nothing', async () => {
    const on = { pieceId: whole.piece.id, partId: whole.part.id, stepId: whole.plan.steps[0]?.id ?? null, at }
    const refused = (entry: object) =>
      here((client) =>
        addEntries(client, db.here, [{ id: uuidv7(), ...on, ...entry } as Parameters<typeof addEntries>[2][number]]),
      )
    expect(await refused({ kind: 'checked', checkCode: 'dry' })).toEqual({ issue: 'not-whole' })
    expect(await refused({ kind: 'assisted', assist: 'fan', partId: null })).toEqual({ issue: 'not-whole' })
    expect(await refused({ kind: 'snag', severity: 'grave' })).toEqual({ issue: 'not-whole' })
    expect(await refused({ kind: 'helped' })).toEqual({ issue: 'not-whole' })
  })
  test('other pieces’ clocks are known with what was worked, this piece’s own are not among them', async () => {
    const other = wholePiece()
    await here((client) => storeWhole(client, db.here, other))
    const work = await here<Awaited<ReturnType<typeof listOtherWork>>>((client) =>
      listOtherWork(client, [whole.piece.id], [at.slice(0, 10)]),
    )
    const steps = new Set(work.map(({ stepId }) => stepId))
    expect([...steps]).toEqual([other.plan.steps[0]?.id])
    expect(work[0]).toMatchObject({ operation: 'coat', family: 'clay', hex: '#3d5661' })
    // the day after counts as beside it, the day after that does not; a step comes whole, whenever it was begun
    const on = (day: string) =>
      here<typeof work>((client) => listOtherWork(client, [whole.piece.id], [day])).then((found) => found.length)
    expect(await on('2026-05-05')).toBe(work.length)
    expect(await on('2026-05-06')).toBe(0)
    const late = {
      kind: 'resumed',
      pieceId: other.piece.id,
      partId: other.part.id,
      stepId: other.plan.steps[0]?.id ?? '',
    } as const
    await here((client) => addEntries(client, db.here, [{ id: uuidv7(), ...late, at: '2026-05-06T10:00:00.000Z' }]))
    expect(await on('2026-05-06')).toBe(work.length + 1)
  })
  test('what a snag has cost is read off the steps that mended it alone, and a struck one is no snag', async () => {
    const mended = wholePiece()
    await here((client) => storeWhole(client, db.here, mended))
    const on = { pieceId: mended.piece.id, partId: mended.part.id, at: '2026-05-05T09:00:00.000Z' }
    const snag = { id: uuidv7(), ...on, kind: 'snag', remedy: 'drips', severity: 'plain', spot: 4 } as const
    const step = { ...mended.plan.steps[0], id: uuidv7(), mends: snag.id } as Plan['steps'][number]
    const [begun, ended] = ['2026-05-05T10:00:00.000Z', '2026-05-05T10:25:00.000Z']
    await here(async (client) => {
      await addEntries(client, db.here, [snag])
      await addPlan(client, db.here, mended.part.id, { ...mended.plan, id: uuidv7(), madeAt: on.at, steps: [step] })
      const at = { ...on, stepId: step.id }
      await addEntries(client, db.here, [
        { id: uuidv7(), ...at, kind: 'started', at: begun },
        { id: uuidv7(), ...at, kind: 'ended', at: ended },
      ])
    })
    const sums = await here<SnagSum[]>(async (client) => sumSnags(await findSnagRecord(client, 10), Date.parse(ended)))
    expect(sums.find(({ remedy }) => remedy === 'drips')).toEqual({ remedy: 'drips', count: 1, minutes: 25, money: 0 })
    expect(sums.find(({ remedy }) => remedy === 'runs')).toMatchObject({ minutes: 0 })
    const struck = { id: uuidv7(), ...on, kind: 'struck', corrects: snag.id } as const
    await here((client) => addEntries(client, db.here, [struck]))
    const after = await here<SnagSum[]>(async (client) => sumSnags(await findSnagRecord(client, 10), Date.parse(ended)))
    expect(after.map(({ remedy }) => remedy)).not.toContain('drips')
  })
})

test('a calendar’s address answers until it is revoked, and only its digest is kept', async () => {
  const feed = { id: uuidv7(), madeAt: at, digest: 'a1'.repeat(32) }
  await here(async (client) => {
    await addCalendarFeed(client, db.here, feed)
    expect(await isCalendarFeed(client, feed.digest)).toBe(true)
    expect((await listCalendarFeeds(client)).map(({ id }) => id)).toContain(feed.id)
    await revokeCalendarFeed(client, feed.id, at)
    expect(await isCalendarFeed(client, feed.digest)).toBe(false)
    expect((await listCalendarFeeds(client)).map(({ id }) => id)).not.toContain(feed.id)
  })
  expect(await db.as(db.elsewhere, (client) => isCalendarFeed(client, feed.digest))).toBe(false)
})

test('what is written is told to who listens: the studio and the table, nothing that stands in it', async () => {
  const told: string[] = []
  db.owner.on('notification', ({ payload }) => payload && told.push(payload))
  await db.owner.query('listen itinerum')
  await here((client) =>
    addEntries(client, db.here, [{ id: uuidv7(), pieceId: whole.piece.id, kind: 'note', at, note: 'Nobody else’s business.' }]),
  )
  await expect.poll(() => told).toEqual([`${db.here} entry`])
})
