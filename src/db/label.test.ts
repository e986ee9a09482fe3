import { afterAll, beforeAll, expect, test } from 'vitest'
import type { Product } from '@/core/stock/product'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { addProducts, findProduct, listLabelled, saveLabels, saveProduct } from './studio'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

const tin = (id: string, over: Partial<Product> = {}): Product => ({
  ...{ id, name: 'Water-based clear, satin', family: 'water-clear', colourName: null, colourHex: null },
  ...{ size: 500, unit: 'ml' as const, price: 1550, sheen: 'satin' as const },
  ...over,
})
const label = { recoat: [180, 240], coverage: [11, 12.5] } as const

test('a label is kept beside its tin, is read with it, and taken off again; nobody else’s is touched', async () => {
  const [own, other, theirs] = [crypto.randomUUID(), crypto.randomUUID(), crypto.randomUUID()]
  await db.as(db.here, (client) => saveProduct(client, db.here, tin(own)))
  await db.as(db.here, (client) => addProducts(client, db.here, [tin(other, { sheen: 'flat' })]))
  await db.as(db.elsewhere, (client) => saveProduct(client, db.elsewhere, tin(theirs)))
  expect(await db.as(db.here, (client) => saveLabels(client, [{ productId: own, label }]))).toBe(true)
  expect(await db.as(db.here, (client) => findProduct(client, own))).toMatchObject({ sheen: 'satin', label })
  expect(await db.as(db.here, (client) => findProduct(client, other))).toMatchObject({ sheen: 'flat', label: null })
  expect(await db.as(db.here, listLabelled)).toEqual([{ id: own, family: 'water-clear', colourHex: null, sheen: 'satin', label }])
  // a tin bought anew keeps what its label says
  await db.as(db.here, (client) => saveProduct(client, db.here, tin(own, { price: 1600 })))
  expect(await db.as(db.here, (client) => findProduct(client, own))).toMatchObject({ price: 1600, label })
  expect(await db.as(db.here, (client) => saveLabels(client, [{ productId: theirs, label }]))).toBe(false)
  expect(await db.as(db.elsewhere, listLabelled)).toEqual([])
  await db.as(db.here, (client) => saveLabels(client, [{ productId: own, label: null }]))
  expect(await db.as(db.here, listLabelled)).toEqual([])
})
test('the database itself takes no sheen and no label that is none', async () => {
  const id = crypto.randomUUID()
  await expect(db.as(db.here, (client) => saveProduct(client, db.here, tin(id, { sheen: 'shiny' as never })))).rejects.toThrow(
    /sheen/,
  )
  await db.as(db.here, (client) => saveProduct(client, db.here, tin(id)))
  await expect(db.owner.query(`update product set label = '[]' where id = $1`, [id])).rejects.toThrow(/label/)
})
