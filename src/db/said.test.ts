import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { dayStretches } from '@/core/log/workSpans'
import type { StudioId } from '@/core/measure/named'
import type { Plan } from '@/core/piece/piece'
import { type SnagSum, sumSnags } from '@/core/piece/snags'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, storeWhole, type Whole, wholePiece } from '@/db/testing/rows'
import { addEntries, findSnagRecord, listOtherWork, type NewEntry } from './entry'
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
      listOtherWork(client, [whole.piece.id], dayStretches([at.slice(0, 10)])),
    )
    const steps = new Set(work.map(({ stepId }) => stepId))
    expect([...steps]).toEqual([other.plan.steps[0]?.id])
    expect(work[0]).toMatchObject({ operation: 'coat', family: 'clay', hex: '#3d5661' })
    // what was not touched in the stretches is not beside them; a step comes whole, whenever it was begun
    const on = (day: string) =>
      here<typeof work>((client) => listOtherWork(client, [whole.piece.id], dayStretches([day]))).then((found) => found.length)
    expect(await on(at.slice(0, 10))).toBe(work.length)
    expect(await on('2026-05-05')).toBe(0)
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
  test('of what was touched that day only what lies across a span is beside it: that which ran, or runs still', async () => {
    const others = { ran: wholePiece(), runs: wholePiece(), before: wholePiece() }
    for (const each of Object.values(others)) await here((client) => storeWhole(client, db.here, each))
    const on = ({ piece, part, plan }: (typeof others)['ran']) => ({
      pieceId: piece.id,
      partId: part.id,
      stepId: plan.steps[0]?.id ?? '',
    })
    const touch = (each: (typeof others)['ran'], kind: 'started' | 'ended', time: string) => ({
      ...{ id: uuidv7(), kind, ...on(each), at: `2026-06-08T${time}:00.000Z` },
    })
    await here((client) =>
      addEntries(client, db.here, [
        touch(others.ran, 'started', '09:00'),
        touch(others.ran, 'ended', '10:30'),
        touch(others.runs, 'started', '08:00'),
        touch(others.before, 'started', '07:00'),
        touch(others.before, 'ended', '07:40'),
      ] as Parameters<typeof addEntries>[2]),
    )
    const span = [{ from: '2026-06-08T10:00:00.000Z', to: '2026-06-08T10:20:00.000Z' }]
    const beside = (spans?: typeof span) =>
      here<Awaited<ReturnType<typeof listOtherWork>>>((client) =>
        listOtherWork(client, [whole.piece.id], dayStretches(['2026-06-08']), spans),
      )
    expect(new Set((await beside()).map(({ stepId }) => stepId)).size).toBe(3)
    const thatDay = (await beside(span)).filter(({ at: when }) => when.startsWith('2026-06-08'))
    expect(thatDay.map(({ stepId, kind }) => [stepId, kind])).toEqual([
      [on(others.runs).stepId, 'started'],
      [on(others.ran).stepId, 'started'],
      [on(others.ran).stepId, 'ended'],
    ])
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

describe('a place on a photograph', () => {
  test('is kept with its snag, and a photograph with its part', async () => {
    const snag: NewEntry = {
      id: uuidv7(),
      kind: 'snag',
      pieceId: whole.piece.id,
      partId: whole.part.id,
      at,
      remedy: 'runs',
      severity: 'slight',
      mark: { photoId: whole.photoId, x: 0.25, y: 0.6 },
    }
    await here((client) => addEntries(client, db.here, [snag]))
    const file = await here<Awaited<ReturnType<typeof findPieceFile>>>((client) => findPieceFile(client, whole.piece.id))
    expect(file?.log.find(({ id }) => id === snag.id)).toMatchObject({ mark: snag.mark })
    expect(file?.photos).toMatchObject([{ partId: whole.part.id, stepId: null }])
  })
  test.each([
    ['beside it', { x: 1.2, y: 0.5 }],
    ['on none that is here', { photoId: uuidv7(), x: 0.5, y: 0.5 }],
  ])('%s is refused', async (_, place) => {
    const mark = { photoId: whole.photoId, ...place }
    const on = { id: uuidv7(), pieceId: whole.piece.id, partId: whole.part.id, at }
    const entry: NewEntry = { ...on, kind: 'snag', remedy: 'runs', severity: 'slight', mark }
    expect(await here((client) => addEntries(client, db.here, [entry]))).not.toBeNull()
  })
})

test('what is written is told on the studio’s own channel, which no other studio finds out: the table, nothing that stands in it', async () => {
  const told: [string, string][] = []
  db.owner.on('notification', ({ channel, payload = '' }) => told.push([channel, payload]))
  const channelOf = (studio: StudioId) =>
    db.as(
      studio,
      async (client) => (await client.query<{ channel: string }>('select own_channel() as channel')).rows[0]?.channel ?? '',
    )
  const [here, elsewhere] = [await channelOf(db.here), await channelOf(db.elsewhere)]
  expect(here).toMatch(/^itinerum_[0-9a-f]{40}$/)
  expect(elsewhere).not.toBe(here)
  await expect(db.as(db.elsewhere, (client) => client.query('select door.channel_of($1)', [db.here]))).rejects.toThrow(
    /permission denied/,
  )
  for (const each of [here, elsewhere]) await db.owner.query(`listen ${each}`)
  await db.as(db.here, (client) =>
    addEntries(client, db.here, [{ id: uuidv7(), pieceId: whole.piece.id, kind: 'note', at, note: 'Nobody else’s business.' }]),
  )
  await expect.poll(() => told).toEqual([[here, 'entry']])
})
