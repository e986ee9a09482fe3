import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addForecasts, listForecasts, listMeanAir, takeBackForecasts } from './airAhead'
import { addReadings, saveRoom } from './climate'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

const room = uuidv7()

describe('the air that is expected', () => {
  test('the mean of each stretch of three hours over the days; hours never read are as the others on average', async () => {
    const read = (at: string, temperature: number, humidity: number) => ({
      ...{ id: uuidv7(), at: `2026-05-${at}:00.000Z`, temperature, humidity, roomId: room, source: 'sensor' as const },
    })
    const here = await db.as(db.here, async (client) => {
      await saveRoom(client, db.here, { id: room, name: 'Long loft', sensor: 'long' }, 1)
      // half past four and half past five are of the second stretch
      await addReadings(client, db.here, [read('04T04:30', 10, 70), read('05T05:30', 13, 75), read('05T13:00', 20, 50)])
      return listMeanAir(client, '2026-05-01T00:00:00Z')
    })
    const night = { temperature: 11.5, humidity: 72.5 }
    const noon = { temperature: 20, humidity: 50 }
    // (11.5 + 20) / 2 and (72.5 + 50) / 2
    const other = { temperature: 15.8, humidity: 61.3 }
    expect(here[room]).toEqual([other, night, other, other, noon, other, other, other])
    expect(await db.as(db.elsewhere, (client) => listMeanAir(client, '2026-05-01T00:00:00Z'))).toEqual({})
  })
  test('what was said comes the newest first, from its last day on no more; nothing of it is changed or gone', async () => {
    const said = (from: string, to: string, temperature: number | null) => ({
      ...{ id: uuidv7(), roomId: null, from, to },
      air: temperature === null ? null : { temperature, humidity: 80 },
    })
    const [first, second] = [said('2026-05-04', '2026-05-06', 14), said('2026-05-04', '2026-05-05', null)]
    await db.as(db.here, (client) => addForecasts(client, db.here, [first]))
    await db.as(db.here, (client) => addForecasts(client, db.here, [second]))
    const from = (day: string) => db.as(db.here, (client) => listForecasts(client, day))
    expect(await from('2026-05-05')).toEqual([second, first])
    expect(await from('2026-05-06')).toEqual([first])
    expect(await from('2026-05-07')).toEqual([])
    expect(await db.as(db.elsewhere, (client) => listForecasts(client, '2026-05-01'))).toEqual([])
    // taken back, by whoever is first: what was said before it holds again; nobody elsewhere takes it back
    const back = (studioId: string) =>
      db.as(studioId, (client) => takeBackForecasts(client, [{ id: uuidv7(), forecastId: second.id }]))
    await back(db.elsewhere)
    expect(await from('2026-05-05')).toEqual([second, first])
    await back(db.here)
    await back(db.here)
    expect(await from('2026-05-05')).toEqual([first])
    await expect(db.as(db.here, (client) => client.query('delete from air_forecast'))).rejects.toThrow(/permission denied/)
    // no days the wrong way round, no temperature alone, no room of another studio
    const add = (over: object) =>
      db.as(db.here, (client) => addForecasts(client, db.here, [{ ...said('2026-05-04', '2026-05-05', 12), ...over }]))
    await expect(add({ to: '2026-05-03' })).rejects.toThrow(/air_forecast/)
    await expect(add({ roomId: uuidv7() })).rejects.toThrow(/foreign key/)
  })
})
