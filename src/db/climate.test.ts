import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addReading, addReadings, listDrawn, listJudged, listReadings, listRooms, saveRoom } from './climate'
import { addDryingFigure, listDryingFigures, listLearned, listSeen } from './dryingFigures'

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
      // asked again, what stands is the very same: what follows from it is reckoned once
      const again = await listReadings(client, { roomIds: [loft, store], since: '2026-07-03T00:00:00.000Z' })
      expect(again[0]?.readings).toBe(air[0]?.readings)
      const of = (room: string) => air.find(({ roomId }) => roomId === room)?.readings.map(({ temperature }) => temperature)
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
      const own = air.find(({ roomId }) => roomId === room)?.readings.map((each) => [each.at.slice(11, 16), each.temperature])
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
