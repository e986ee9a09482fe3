import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at, partRow, pieceRow } from '@/db/testing/rows'
import { findPieceFile } from './piece'
import { addParts, addPiece, changePart } from './pieceWrite'
import { addRecipe, listRecipes } from './recipe'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

const wish = {
  look: 'two-colour-distress',
  with: ['aged-wax'],
  paint: 'clay',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
  departures: { waxRest: 'hour' },
} as const

test('a recipe comes back as it was kept; another under its number is refused', async () => {
  const id = uuidv7()
  const kept = await db.as(db.here, async (client) => {
    await addRecipe(client, db.here, { id, name: 'Slate under husk', wish }, at)
    return listRecipes(client)
  })
  const again = db.as(db.here, (client) => addRecipe(client, db.here, { id, name: 'Another name', wish }, at))
  await expect(again).rejects.toThrow(/duplicate key/)
  expect(kept).toEqual([{ id, name: 'Slate under husk', wish }])
})

test('another studio sees none of it', async () => {
  expect(await db.as(db.elsewhere, listRecipes)).toEqual([])
})

test('a recipe without a name is refused by the database itself', async () => {
  await expect(db.as(db.here, (client) => addRecipe(client, db.here, { id: uuidv7(), name: '', wish }, at))).rejects.toThrow(
    /check/,
  )
})

test('what was found on a part stands in place of what was thought, for its own studio alone', async () => {
  const piece = pieceRow()
  const part = partRow({ existing: 'unknown' })
  const found = { existing: 'shellac', lead: 'suspected', substrate: 'veneer', bleeds: true } as const
  await db.as(db.here, async (client) => {
    await addPiece(client, db.here, piece)
    await addParts(client, db.here, piece.id, 0, [part])
  })
  const read = () => db.as(db.here, (client) => findPieceFile(client, piece.id))
  await db.as(db.elsewhere, (client) => changePart(client, part.id, { ...part, ...found }))
  expect((await read())?.parts[0]).toMatchObject({ existing: 'unknown', substrate: 'softwood' })
  await db.as(db.here, (client) => changePart(client, part.id, { ...part, ...found }))
  expect((await read())?.parts[0]).toMatchObject(found)
})
