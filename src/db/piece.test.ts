import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { shadeOf } from '@/core/finish/shade'
import type { Touch } from '@/core/finish/touch'
import { areaOfPart } from '@/core/piece/area'
import { jobPlanStep } from '@/core/plan/job'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addRendition } from '@/db/testing/photo'
import { partRow, pieceRow, planRow, storeWhole, wholePiece } from '@/db/testing/rows'
import { addEntries, type NewEntry } from './entry'
import { findRendition } from './photo'
import {
  findPieceFile,
  listDriedLately,
  type ListedPiece,
  listOpenPieces,
  listOpenPiecesOf,
  listPieceFiles,
  listPieces,
  type PieceCursor,
} from './piece'
import { addParts, addPiece, addPlan, changePiece, countPiece, wholeOf } from './pieceWrite'
import type { Client } from './pool'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

describe('a piece’s file', () => {
  test('comes back whole: facts, parts, measurements to the half millimetre, plan and steps', async () => {
    const whole = wholePiece()
    await db.as(db.here, (client) => storeWhole(client, db.here, whole))
    const file = await db.as(db.here, (client) => findPieceFile(client, whole.piece.id))
    expect(file?.piece).toEqual(whole.piece)
    const part = file?.parts[0]
    expect(part?.surfaces).toEqual([{ shape: 'panel', relief: 'flat', count: 2, width: 860.5, height: 420 }])
    // 2 × 0.8605 × 0.42
    expect(part && areaOfPart(part)).toBeCloseTo(0.72282, 9)
    expect(part?.plan).toEqual({ ...whole.plan, steps: whole.plan.steps.map((step) => ({ ...step, mends: null })) })
  })

  test('the painter’s own layers come back as they were set: a shade by its parts, where each goes, which layer a step is of', async () => {
    const whole = wholePiece()
    await db.as(db.here, (client) => storeWhole(client, db.here, whole))
    const shade = {
      name: 'Half Tarn',
      hex: '#000000',
      parts: [
        { name: 'Tarn Glass', hex: '#3d6a6b', parts: 2 },
        { name: 'Oat Husk', hex: '#e3d7bd', parts: 1 },
      ],
    }
    const colour = { ...shade, hex: shadeOf(shade.parts) }
    const touches: Touch[] = [
      { id: 'base', operation: 'coat', family: 'clay', colour, repeat: 2, by: 'painter' },
      { id: 'gilt', operation: 'metallic-wax', where: { places: ['edges'], share: 0.5, words: 'the mouldings' }, by: 'painter' },
    ]
    const steps = planRow().steps.map((step) => ({
      ...step,
      where: { places: ['edges' as const] },
      touch: 'gilt',
      rule: 'unbuffed',
      own: 'mine',
      changed: true,
    }))
    const spot = { after: 'coat 1', before: null }
    const mine = { id: uuidv7(), at: spot, like: null, operation: 'own', words: 'Look at it', minutes: 5, check: null } as const
    const edits = { left: ['scuff no-key>coat'], moves: [], changes: { 'coat 1': { minutes: 44, wait: 90 } }, own: [mine] }
    const own = { ...planRow(), touches, edits, steps, madeAt: '2026-05-06T08:00:00.000Z' }
    await db.as(db.here, (client) => addPlan(client, db.here, whole.part.id, own))
    const file = await db.as(db.here, (client) => findPieceFile(client, whole.piece.id))
    expect(file?.parts[0]?.plan).toEqual({ ...own, steps: own.steps.map((step) => ({ ...step, mends: null })) })
  })

  test('the work around the paint stands beside the parts, once, with what was counted, its side and its words', async () => {
    const whole = wholePiece()
    await db.as(db.here, (client) => storeWhole(client, db.here, whole))
    const { id } = whole.piece
    const [first, second] = [uuidv7(), uuidv7()]
    const own = { operation: 'own', side: 'before', words: 'Steam the dents out', minutes: 20 } as const
    const job = [own, { operation: 'inspect', side: 'after', words: null, minutes: 10 } as const]
    const lanes = await db.as(db.here, async (client) => {
      await countPiece(client, id, { holes: 4, drawers: 3 })
      const lane = await wholeOf(client, db.here, id, first)
      const steps = job.map((step, position) => ({ ...jobPlanStep(step, false), id: uuidv7(), position }))
      await addPlan(client, db.here, lane, { ...planRow(), id: uuidv7(), care: 'job', steps })
      // who comes second is given the same
      return [lane, await wholeOf(client, db.here, id, second)]
    })
    expect(lanes).toEqual([first, first])
    const file = await db.as(db.here, (client) => findPieceFile(client, id))
    expect([file?.parts.length, file?.counted]).toEqual([1, { holes: 4, drawers: 3 }])
    expect(file?.whole?.plan).toMatchObject({ care: 'job', steps: [own, { operation: 'inspect', side: 'after' }] })
    await expect(
      db.as(db.here, (client) =>
        client.query(
          `insert into part (id, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds, polish, slips)
           select $1, studio_id, piece_id, position, name, kind, count, substrate, existing, lead, use, bleeds, polish, slips
           from part where id = $2`,
          [second, first],
        ),
      ),
    ).rejects.toThrow(/part_whole_once/)
  })

  test('takes the newest plan as the one in force and keeps the worked steps of the older', async () => {
    const whole = wholePiece()
    await db.as(db.here, (client) => storeWhole(client, db.here, whole))
    const newer = { ...planRow(), look: 'whitewash' as const, madeAt: '2026-05-05T08:00:00.000Z' }
    await db.as(db.here, (client) => addPlan(client, db.here, whole.part.id, newer))
    const file = await db.as(db.here, (client) => findPieceFile(client, whole.piece.id))
    expect(file?.parts[0]?.plan?.id).toBe(newer.id)
    expect(file?.parts[0]?.earlier.map(({ id }) => id)).toEqual([whole.plan.steps[0]?.id])
  })

  test('of many pieces takes as many queries as of one', async () => {
    const asked: string[] = []
    const count = (pieces: number) =>
      db.as(db.here, async (client) => {
        const open = await listPieces(client, { limit: pieces })
        const before = asked.length
        const counting = new Proxy(client, {
          get: (target, key) =>
            key === 'query'
              ? (...args: unknown[]) => {
                  asked.push(String(args[0]))
                  return (target.query as (...all: unknown[]) => unknown)(...args)
                }
              : Reflect.get(target, key),
        })
        await listPieceFiles(counting, open)
        return { asked: asked.length - before, pieces: open.length }
      })
    const one = await count(1)
    const all = await count(50)
    expect(all.pieces).toBeGreaterThan(one.pieces)
    expect(all.asked).toBe(one.asked)
  })

  test('a piece under a number that is taken is refused, and the first stands', async () => {
    const piece = pieceRow()
    await db.as(db.here, (client) => addPiece(client, db.here, piece))
    const again = db.as(db.here, (client) => addPiece(client, db.here, { ...piece, name: 'Other' }))
    await expect(again).rejects.toThrow(/duplicate key/)
    expect((await db.as(db.here, (client) => findPieceFile(client, piece.id)))?.piece.name).toBe('Washstand')
  })

  test('changed facts are there for the next reader', async () => {
    const piece = pieceRow()
    await db.as(db.here, (client) => addPiece(client, db.here, piece))
    await db.as(db.here, (client) => changePiece(client, piece.id, { ...piece, name: 'Commode', expected: null }))
    const file = await db.as(db.here, (client) => findPieceFile(client, piece.id))
    expect(file?.piece).toMatchObject({ name: 'Commode', expected: null, promisedOn: '2026-06-01' })
  })
})

describe('measurements', () => {
  test.each([
    ['a panel without a height', { shape: 'panel', width: 10 }],
    ['a leg with a diameter and a width', { shape: 'roundLeg', width: 10, diameter: 5, length: 7 }],
    ['a length beyond 10 m', { shape: 'panel', width: 10_001, height: 5 }],
    ['a length of nothing', { shape: 'panel', width: 0, height: 5 }],
  ])('%s is refused by the table', async (_, surface) => {
    const piece = pieceRow()
    const part = partRow({ surfaces: [{ id: uuidv7(), relief: 'flat', count: 1, ...surface }] as never })
    await db.as(db.here, (client) => addPiece(client, db.here, piece))
    await expect(db.as(db.here, (client) => addParts(client, db.here, piece.id, 0, [part]))).rejects.toThrow(/check constraint/)
  })
})

describe('pieces, a page at a time', () => {
  test('those here first, then those that have left, the latest first, each once; what is looked for is found on any page', async () => {
    const studio = db.elsewhere
    const pieces = Array.from({ length: 7 }, (_, k) => pieceRow({ name: `Piece ${k}`, condition: k === 2 ? '100% sound' : null }))
    const endings = pieces.slice(0, 5).map(({ id }, k) => ({
      id: uuidv7(),
      pieceId: id,
      kind: 'kept' as const,
      // two of them in the same instant
      at: `2026-05-0${Math.min(k + 1, 4)}T10:00:00.000Z`,
    }))
    await db.as(studio, async (client) => {
      for (const piece of pieces) await addPiece(client, studio, piece)
      await addEntries(client, studio, endings)
    })
    const seen: string[] = []
    let after: PieceCursor | null = null
    for (let page = 0; page < 4; page += 1) {
      const cursor: PieceCursor | null = after
      const rows: ListedPiece[] = await db.as(studio, (client) => listPieces(client, { limit: 3, after: cursor }))
      seen.push(...rows.map(({ name }) => name))
      const last = rows.at(-1)
      if (!last) break
      after = { left: last.endedAt !== null, at: last.endedAt ?? last.takenInAt, id: last.id }
    }
    expect(seen).toHaveLength(7)
    expect(new Set(seen).size).toBe(7)
    expect(seen.slice(0, 2).sort()).toEqual(['Piece 5', 'Piece 6'])
    expect(seen.at(-1)).toBe('Piece 0')
    const named = (sought: string) =>
      db.as(studio, (client) => listPieces(client, { limit: 1, sought })).then((found) => found.map(({ name }) => name))
    expect(await named('piece 1')).toEqual(['Piece 1'])
    // its signs are plain text
    expect(await named('100%')).toEqual(['Piece 2'])
    expect(await named('1_0')).toEqual([])

    const struck = {
      id: uuidv7(),
      pieceId: pieces[0]?.id ?? '',
      kind: 'struck' as const,
      at: '2026-05-09T10:00:00.000Z',
      corrects: endings[0]?.id ?? '',
    }
    await db.as(studio, (client) => addEntries(client, studio, [struck]))
    expect((await db.as(studio, listOpenPieces)).map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Piece 0', 'Piece 5', 'Piece 6']),
    )
  })
})

test('a photograph under a number that is taken is refused, and the first bytes stand', async () => {
  const piece = pieceRow()
  await db.as(db.here, (client) => addPiece(client, db.here, piece))
  const id = uuidv7()
  await db.as(db.here, (client) => addRendition(client, db.here, piece.id, id, 'first'))
  const again = db.as(db.here, (client) => addRendition(client, db.here, piece.id, id, 'second'))
  await expect(again).rejects.toThrow(/duplicate key/)
  expect((await db.as(db.here, (client) => findRendition(client, id, 'small')))?.toString()).toBe('first')
  expect(await db.as(db.elsewhere, (client) => findRendition(client, id, 'small'))).toBeNull()
})

test('pieces are found by their steps, and by the windows that stand on them lately', async () => {
  const studio = db.elsewhere
  const painted = async (name: string, endedAt: string, opens: [number, number]) => {
    const [piece, part, plan] = [pieceRow({ name, article: null }), partRow(), planRow()]
    const [step] = plan.steps
    if (!step) throw new Error('a plan has a step')
    step.window = { clock: 'evaporation', opens, source: 'craft' }
    const ended = { id: uuidv7(), kind: 'ended', pieceId: piece.id, partId: part.id, stepId: step.id, at: endedAt } as const
    await db.as(studio, async (client) => {
      await addPiece(client, studio, piece)
      await addParts(client, studio, piece.id, 0, [part])
      await addPlan(client, studio, part.id, plan)
      await addEntries(client, studio, [{ ...ended, personId: null, minutes: null, outside: null } as NewEntry])
    })
    return { id: piece.id, stepId: step.id, entryId: ended.id }
  }
  const before = await painted('Before', '2026-04-20T10:00:00.000Z', [60, 60])
  const first = await painted('First', '2026-05-04T10:00:00.000Z', [60, 60])
  const second = await painted('Second', '2026-05-05T10:00:00.000Z', [60, 60])
  const never = await painted('Needs no wait', '2026-05-06T10:00:00.000Z', [0, 0])
  const struck = await painted('Struck', '2026-05-07T10:00:00.000Z', [60, 60])
  await db.as(studio, (client) =>
    addEntries(client, studio, [
      { id: uuidv7(), kind: 'struck', pieceId: struck.id, at: '2026-05-07T11:00:00.000Z', corrects: struck.entryId },
    ]),
  )
  const all = [before, first, second, never, struck]
  const dried = async (limit: number) =>
    (
      await db.as(studio, (client) =>
        listDriedLately(
          client,
          all.map(({ id }) => id),
          '2026-05-01T00:00:00.000Z',
          limit,
        ),
      )
    ).map(({ name }) => name)
  expect((await dried(5)).sort()).toEqual(['First', 'Second'])
  expect(await dried(1)).toEqual(['Second'])
  const of = (...stepIds: string[]) => db.as(studio, (client) => listOpenPiecesOf(client, stepIds))
  expect((await of(first.stepId, never.stepId, uuidv7())).map(({ name }) => name).sort()).toEqual(['First', 'Needs no wait'])
  expect(await of()).toEqual([])
  const other = (client: Client) => listOpenPiecesOf(client, [first.stepId])
  expect(await db.as(db.here, other)).toEqual([])
})
