import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addEntries, type NewEntry } from './entry'
import { listTakes } from './takes'
import { storeWhole, wholePiece } from './testing/rows'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

test('what a coat took beside what its step was planned to; a coat that was struck taught nothing', async () => {
  const whole = wholePiece()
  await db.as(db.here, (client) => storeWhole(client, db.here, whole))
  const list = () => db.as(db.here, (client) => listTakes(client, 10))
  const coats = whole.entries.flatMap((entry) => (entry.kind === 'coat' ? [entry] : []))
  const step = whole.plan.steps[0]
  const found = await list()
  expect(found.length).toBeGreaterThan(0)
  for (const take of found) expect(take).toMatchObject({ family: 'clay', planned: step?.amount })
  const [last] = coats.toSorted((one, other) => other.at.localeCompare(one.at))
  const struck = { id: uuidv7(), pieceId: whole.piece.id, kind: 'struck', at: last?.at, corrects: last?.id } as NewEntry
  await db.as(db.here, (client) => addEntries(client, db.here, [struck]))
  expect((await list()).length).toBe(found.length - 1)
  expect(await db.as(db.elsewhere, (client) => listTakes(client, 10))).toEqual([])
})
