import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { addParts, addPiece, changeFound, findPieceFile } from './piece'
import { addRecipe, listRecipes } from './recipe'
import { makeDatabase, type TestDatabase } from './testing/database'
import { at, partRow, pieceRow } from './testing/rows'

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

test('a recipe comes back as it was kept; sent twice it is kept once, and the first stands', async () => {
  const id = uuidv7()
  const kept = await db.as(db.here, async (client) => {
    await addRecipe(client, db.here, { id, name: 'Slate under husk', wish }, at)
    await addRecipe(client, db.here, { id, name: 'Another name', wish }, at)
    return listRecipes(client)
  })
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
  await db.as(db.elsewhere, (client) => changeFound(client, part.id, found))
  expect((await read())?.parts[0]).toMatchObject({ existing: 'unknown', substrate: 'softwood' })
  await db.as(db.here, (client) => changeFound(client, part.id, found))
  expect((await read())?.parts[0]).toMatchObject(found)
})
