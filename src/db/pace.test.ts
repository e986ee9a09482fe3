import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addEntries } from './entry'
import { listEnded } from './pace'
import { addParts, addPiece, addPlan } from './pieceWrite'
import { partRow, pieceRow, planRow } from './testing/rows'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

test('the steps ended last come with their planned minutes; an end that was struck is none', async () => {
  const [piece, part, one] = [pieceRow(), partRow(), planRow()]
  const plan = { ...one, steps: [...one.steps, ...one.steps.map((step) => ({ ...step, id: uuidv7(), position: 1 }))] }
  const [first, second] = plan.steps
  const ended = (stepId: string, at: string) => ({
    ...{ id: uuidv7(), pieceId: piece.id, partId: part.id, stepId, kind: 'ended' as const, at, minutes: 30 },
  })
  const early = ended(first?.id ?? '', '2026-05-04T09:00:00.000Z')
  const late = ended(second?.id ?? '', '2026-05-04T10:00:00.000Z')
  const begun = { ...late, id: uuidv7(), kind: 'started' as const, at: '2026-05-04T09:20:00.000Z', minutes: undefined }
  const list = (limit: number) => db.as(db.here, (client) => listEnded(client, limit))
  await db.as(db.here, async (client) => {
    await addPiece(client, db.here, piece)
    await addParts(client, db.here, piece.id, 0, [part])
    await addPlan(client, db.here, part.id, plan)
    expect(await addEntries(client, db.here, [early, begun, late] as never)).toBeNull()
  })
  expect(await list(10)).toEqual(
    [first, second].map((step, k) => ({
      ...{ stepId: step?.id, operation: step?.operation, planned: step?.minutes },
      at: [early, late][k]?.at,
      // one that was written down as done was begun when it ended
      since: [early, begun][k]?.at,
      ...{ pieceId: piece.id, painter: null, article: 'bedside', relief: 'flat' },
    })),
  )
  expect((await list(1)).map(({ stepId }) => stepId)).toEqual([second?.id])
  await db.as(db.here, (client) =>
    addEntries(client, db.here, [{ id: uuidv7(), pieceId: piece.id, kind: 'struck', at: late.at, corrects: late.id } as never]),
  )
  expect((await list(10)).map(({ stepId }) => stepId)).toEqual([first?.id])
  expect(await db.as(db.elsewhere, (client) => listEnded(client, 10))).toEqual([])
})
