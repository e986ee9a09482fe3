import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { listRooms, saveRoom } from './climate'
import type { Client } from './pool'
import { savePerson } from './studio'
import {
  addOtherDays,
  addWeek,
  findDryingPlaces,
  findWeek,
  listOtherDays,
  listPersonHours,
  saveDryingPlaces,
  savePersonHours,
} from './week'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

const day = '2026-05-04'
const line = () => ({ stepId: uuidv7(), side: null, at: Date.parse('2026-05-04T09:00:00Z'), personId: null })

describe('the week in the records', () => {
  test('the last plan that was kept is in force, with its pins', async () => {
    const [first, second] = [line(), { ...line(), side: 2 as const }]
    const pins = [{ ...first, at: null }]
    const week = await db.as(db.here, async (client) => {
      expect(await findWeek(client)).toBeNull()
      await addWeek(client, db.here, { id: uuidv7(), lines: [first], pins: [] })
      await addWeek(client, db.here, { id: uuidv7(), lines: [second], pins })
      return findWeek(client)
    })
    expect(week).toMatchObject({ lines: [second], pins })
    const figures = { minutes: 25, planned: 20, seen: 7, opens: 120, closes: null, temperature: 18.5, humidity: 60 }
    const reckoned = await db.as(db.here, async (client) => {
      await addWeek(client, db.here, { id: uuidv7(), lines: [{ ...second, figures }], pins })
      return findWeek(client)
    })
    expect(reckoned?.lines).toEqual([{ ...second, figures }])
    // whoever is elsewhere has none
    expect(await db.as(db.elsewhere, findWeek)).toBeNull()
  })
  test('a planned week is never changed, and never taken away', async () => {
    await expect(db.as(db.here, (client) => client.query("update week_plan set pins = '[]'"))).rejects.toThrow(
      /permission denied/,
    )
    await expect(db.as(db.here, (client) => client.query('delete from week_plan'))).rejects.toThrow(/permission denied/)
  })
  test('a day is as it was said last; as usual again it is said no more', async () => {
    const personId = uuidv7()
    const said = (hours: Parameters<typeof addOtherDays>[2][number]['hours']) =>
      db.as(db.here, async (client) => {
        await savePerson(client, db.here, { id: personId, name: 'Wenna' })
        await addOtherDays(client, db.here, [{ id: uuidv7(), day, personId, hours }])
        return listOtherDays(client, day)
      })
    expect(await said(null)).toEqual([{ day, personId, hours: null }])
    expect(await said({ from: 600, to: 720 })).toEqual([{ day, personId, hours: { from: 600, to: 720 } }])
    expect(await said('usual')).toEqual([])
    expect(await db.as(db.here, (client) => listOtherDays(client, '2026-05-05'))).toEqual([])
  })
  test('nobody’s day of another studio, and no day that ends before it begins', async () => {
    const stranger = uuidv7()
    await db.as(db.elsewhere, (client) => savePerson(client, db.elsewhere, { id: stranger, name: 'Pell' }))
    const add = (personId: string | null, hours: { from: number; to: number }) =>
      db.as(db.here, (client) => addOtherDays(client, db.here, [{ id: uuidv7(), day, personId, hours }]))
    await expect(add(stranger, { from: 0, to: 60 })).rejects.toThrow(/foreign key/)
    await expect(add(null, { from: 600, to: 540 })).rejects.toThrow(/other_day_hours/)
    // a night goes on to the next morning, and not round the clock
    await add(null, { from: 1320, to: 1800 })
    await expect(add(null, { from: 600, to: 2041 })).rejects.toThrow(/other_day_hours/)
  })
  test('people’s own hours and the drying places are kept, and taken back', async () => {
    const [personId, loft] = [uuidv7(), uuidv7()]
    const all = async (client: Client) => [
      (await listPersonHours(client)).find(({ id }) => id === personId)?.hours,
      await findDryingPlaces(client),
      (await listRooms(client)).find(({ id }) => id === loft)?.places,
    ]
    const kept = await db.as(db.here, async (client) => {
      await savePerson(client, db.here, { id: personId, name: 'Joss' })
      await savePersonHours(client, personId, { from: 480, to: 720, days: [1, 3] })
      await saveRoom(client, db.here, { id: loft, name: 'Loft', sensor: null }, 0)
      await saveDryingPlaces(client, { places: 6, rooms: { [loft]: 2 } })
      // of the room alone, and of nothing at all
      await saveDryingPlaces(client, { rooms: { [loft]: 3 } })
      await saveDryingPlaces(client, { rooms: { [loft]: 2 } })
      await saveDryingPlaces(client, { rooms: {} })
      // who names the room anew changes nothing of its places
      await saveRoom(client, db.here, { id: loft, name: 'The loft', sensor: null }, 0)
      return all(client)
    })
    expect(kept).toEqual([{ from: 480, to: 720, days: [1, 3] }, 6, 2])
    await expect(db.as(db.here, (client) => saveDryingPlaces(client, { places: 6, rooms: { [loft]: 0 } }))).rejects.toThrow(
      /drying_places/,
    )
    await db.as(db.elsewhere, (client) => saveDryingPlaces(client, { places: 6, rooms: { [loft]: 5 } }))
    expect((await db.as(db.here, all))[2]).toBe(2)
    const back = await db.as(db.here, async (client) => {
      await savePersonHours(client, personId, null)
      await saveDryingPlaces(client, { places: null, rooms: { [loft]: null } })
      return all(client)
    })
    expect(back).toEqual([null, null, null])
  })
})
