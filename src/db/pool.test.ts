import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { usualPrices } from '@/core/craft/consumables'
import { defaultMethod } from '@/core/craft/method'
import { usualPricing } from '@/core/price/pricing'
import { makeDatabase, studioFacts, type TestDatabase, testOwnerUrl } from '@/db/testing/database'
import { pieceRow } from '@/db/testing/rows'
import { addReading, listReadings } from './climate'
import { migrate } from './migrate'
import { listOpenPieces } from './piece'
import { addPiece } from './pieceWrite'
import { troubleOf } from './pool'
import { getStudio, saveConsumables, saveMethod, saveStudio } from './studio'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

describe('values on their way in', () => {
  test('numeric and bigint are numbers, instants ISO in UTC, dates days', async () => {
    const { rows } = await db.pool.query(
      "select 12.50::numeric as a, 9007199254740991::bigint as b, '2026-03-29 01:30+00'::timestamptz as c, '2026-03-29'::date as d",
    )
    expect(rows[0]).toEqual({ a: 12.5, b: 9007199254740991, c: '2026-03-29T01:30:00.000Z', d: '2026-03-29' })
  })
  test('a bigint beyond exact counting throws and quotes it', async () => {
    await expect(db.pool.query('select 9007199254740993::bigint as b')).rejects.toThrow('9007199254740993')
  })
})

describe('one transaction', () => {
  test('a throw in the middle leaves nothing behind', async () => {
    const piece = pieceRow()
    const half = db.as(db.here, async (client) => {
      await addPiece(client, db.here, piece)
      throw new Error('the power went')
    })
    await expect(half).rejects.toThrow('the power went')
    expect((await db.as(db.here, listOpenPieces)).some(({ id }) => id === piece.id)).toBe(false)
  })
  test('does not leak its studio to the next user of the connection', async () => {
    await db.as(db.here, () => Promise.resolve())
    const { rows } = await db.pool.query<{ studio: string | null }>('select current_studio() as studio')
    expect(rows[0]?.studio).toBeNull()
  })
  test('what is asked at once is answered each in its turn; of several the fault is told that is its cause', async () => {
    const rows = await db.as(db.here, (client) =>
      Promise.all([1, 2, 3].map(async (n) => (await client.query<{ n: number }>('select $1::int as n', [n])).rows[0]?.n)),
    )
    expect(rows).toEqual([1, 2, 3])
    const asked = db.as(db.here, (client) =>
      Promise.all(['select 1', 'select 1 / 0', 'select 2'].map((text) => client.query(text))),
    )
    await expect(asked).rejects.toThrow('division by zero')
  })
  test('what comes too late, when the connection is given back, is refused and not asked as somebody else', async () => {
    let late: Promise<unknown> = Promise.resolve()
    await db
      .as(db.here, (client) => {
        late = (async () => {
          await new Promise((wait) => setTimeout(wait, 100))
          await client.query('select current_studio()')
        })()
        late.catch(() => undefined)
        throw new Error('another of them failed')
      })
      .catch(() => undefined)
    await expect(late).rejects.toThrow('given back')
  })
  test('a connection that was cut between two statements is told as what can be sent again', async () => {
    const issues: unknown[] = []
    await db
      .as(db.here, async (client) => {
        const { rows } = await client.query<{ pid: number }>('select pg_backend_pid() as pid')
        await db.owner.query('select pg_terminate_backend($1)', [rows[0]?.pid])
        for (let k = 0; k < 3; k += 1)
          await client.query('select 1').catch((error: unknown) => {
            issues.push(troubleOf(error))
          })
        throw new Error('over')
      })
      .catch(() => undefined)
    expect(issues).toEqual(['unreachable', 'unreachable', 'unreachable'])
  })
  test('a cut connection fails its work, and the next work goes on with another', async () => {
    const cut = db.as(db.here, async (client) => {
      const { rows } = await client.query<{ pid: number }>('select pg_backend_pid() as pid')
      await db.owner.query('select pg_terminate_backend($1)', [rows[0]?.pid])
      await client.query('select 1')
    })
    await expect(cut).rejects.toThrow()
    expect((await db.as(db.here, getStudio)).id).toBe(db.here)
  })
})

describe('migrating', () => {
  test('two starters at once leave one schema', async () => {
    const name = `race_${uuidv7().replaceAll('-', '')}`
    await db.owner.query(`create database ${name}`)
    const [one, two, three] = await Promise.all([1, 2, 3].map(() => migrate(testOwnerUrl(name))))
    const applied = [one, two, three].map((files) => files?.length ?? 0).sort()
    expect(applied.slice(0, 2)).toEqual([0, 0])
    expect(applied[2]).toBeGreaterThanOrEqual(4)
    await db.owner.query(`drop database ${name} with (force)`)
  })
  test('a second time does nothing', async () => {
    expect(await migrate(testOwnerUrl(db.name))).toEqual([])
  })
})

describe('the studio', () => {
  test('keeps its terms, whichever way the wish is put', async () => {
    for (const wish of [{ profit: 4000 }, { margin: 0.25 }, { earnedRate: 2200 }]) {
      const facts = { ...studioFacts(db.here), wish, taxMode: 'margin' as const, taxShare: 0.2, haggle: 0.125 }
      await db.as(db.here, (client) => saveStudio(client, facts))
      expect(await db.as(db.here, getStudio)).toEqual({
        ...facts,
        method: defaultMethod,
        kept: true,
        hidesMoney: false,
        consumables: usualPrices,
        pricing: usualPricing,
      })
    }
  })
  test('keeps what small things cost it; what it did not name costs as usual', async () => {
    await db.as(db.here, (client) => saveConsumables(client, { rag: 40 }))
    expect((await db.as(db.here, getStudio)).consumables).toEqual({ ...usualPrices, rag: 40 })
    expect((await db.as(db.elsewhere, getStudio)).consumables).toEqual(usualPrices)
    await db.as(db.here, (client) => saveConsumables(client, {}))
  })
  test('keeps its method, and another studio its own', async () => {
    const method = { ...defaultMethod, key: 'prove', waxRest: 'hour' } as const
    await db.as(db.here, (client) => saveMethod(client, method))
    expect((await db.as(db.here, getStudio)).method).toEqual(method)
    await db.as(db.here, (client) => saveStudio(client, studioFacts(db.here)))
    expect((await db.as(db.here, getStudio)).method).toEqual(method)
    expect((await db.as(db.elsewhere, getStudio)).method).toEqual(defaultMethod)
  })
  test('reads its air since a moment, and the reading that held before it', async () => {
    const read = (day: number) => ({ at: `2026-05-0${day}T08:00:00.000Z`, temperature: 15 + day, humidity: 50 })
    await db.as(db.here, async (client) => {
      for (const day of [1, 2, 3, 4]) await addReading(client, db.here, { id: uuidv7(), ...read(day) })
    })
    expect(await db.as(db.here, (client) => listReadings(client, { roomIds: [], since: '2026-05-03T00:00:00.000Z' }))).toEqual([
      { roomId: null, readings: [2, 3, 4].map(read) },
    ])
  })
  test('does not believe 85 °C', async () => {
    const absurd = { at: '2026-05-09T08:00:00.000Z', temperature: 85, humidity: 50 }
    await expect(db.as(db.here, (client) => addReading(client, db.here, { id: uuidv7(), ...absurd }))).rejects.toThrow(
      /believable/,
    )
    // marked as doubted it is kept, and moves nothing
    await db.as(db.here, (client) => addReading(client, db.here, { id: uuidv7(), ...absurd, doubt: 'absurd' }))
    const believed = await db.as(db.here, (client) => listReadings(client, { roomIds: [], since: '2026-05-08T00:00:00.000Z' }))
    expect(believed.flatMap(({ readings }) => readings.map(({ temperature }) => temperature))).not.toContain(85)
  })
})
