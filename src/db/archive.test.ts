import { readFileSync } from 'node:fs'
import Ajv2020 from 'ajv/dist/2020.js'
import pg from 'pg'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { archiveSchema, tableFile } from '@/core/house/archive'
import { growStudio } from '../../scripts/scaleStudio'
import { archivedTables, leftOut } from './archive'
import { takeIn } from './archiveIn'
import { writeArchive } from './archiveOut'
import { listOpenPieces, listPieceFiles } from './piece'
import { type Client, inSession, types } from './pool'
import { type Archives, demoStudio, digests, filesIn, makeArchives, type Row } from './testing/archive'
import { comeIn, testOwnerUrl } from './testing/database'

let archives: Archives
beforeAll(async () => {
  archives = await makeArchives()
}, 120_000)
afterAll(() => archives.drop(), 60_000)

test('a studio taken along and taken in is the same to the last figure, and nothing of others is in it', async () => {
  const file = await archives.takeOut('demo.zip')
  const url = await archives.emptyDatabase()
  const taken = await takeIn(url, file)
  expect(taken).toMatchObject({ studioId: demoStudio })
  const [before, after] = [await digests(testOwnerUrl(archives.db.name)), await digests(url)]
  expect(after).toEqual(before)
  expect(Object.values(before).filter((each) => !each.startsWith('0:')).length).toBeGreaterThanOrEqual(20)
  const client = new pg.Client({ connectionString: url, types })
  await client.connect()
  expect((await client.query('select from studio')).rowCount).toBe(1)
  // the application reads it as it read it before
  const files = async (from: Client) => listPieceFiles(from, await listOpenPieces(from))
  const secret = await comeIn(client, demoStudio, 'owner')
  await client.query(`grant itinerum_app to itinerum_owner`)
  await client.query('begin')
  await client.query('set local role itinerum_app')
  await client.query('select enter($1)', [secret])
  const read = await files(client)
  await client.query('commit')
  await client.end()
  expect(read).toEqual(await inSession(archives.db.pool, archives.owner, files, { to: 'read' }))
  expect(read).toHaveLength(9)
  // once in, another is not taken in beside it
  await expect(takeIn(url, file)).rejects.toThrow(/a studio here already/)
}, 120_000)

test('what it holds is as its schema says, by another reader of schemas; each row of each table, and words for whoever opens a sheet', async () => {
  const files = await filesIn(await archives.takeOut('schema.zip'))
  const schema = JSON.parse(files.get('schema.json')?.toString('utf8') ?? '{}') as { $defs: { tables: Record<string, object> } }
  const shapes = await archivedTables(archives.db.owner)
  expect(schema).toEqual(JSON.parse(JSON.stringify(archiveSchema(shapes))))
  // as it is published
  expect(schema).toEqual(JSON.parse(readFileSync('docs/studio.schema.json', 'utf8')))
  const ajv = new Ajv2020({ strict: false, validateFormats: false })
  for (const { name } of shapes) {
    const check = ajv.compile(schema.$defs.tables[name] ?? false)
    const rows = JSON.parse(files.get(tableFile(name))?.toString('utf8') ?? 'null') as unknown
    expect(check(rows), `${name}: ${ajv.errorsText(check.errors)}`).toBe(true)
    expect(check([{ nonsense: 1 }])).toBe(false)
  }
  const log = files.get('sheets/entry.csv')?.toString('utf8') ?? ''
  const [head = '', first = ''] = log.replace('\uFEFF', '').split('\r\n')
  expect(head).toContain('At (Europe/London)')
  expect(head).toContain('"Money, GBP"')
  expect(first.split(',').slice(1, 3).join()).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}-/)
  expect(log).not.toMatch(/undefined|\[object/)
  expect(log).toMatch(/,Paint,/)
  const pieces = files.get('sheets/piece.csv')?.toString('utf8') ?? ''
  expect(pieces).toContain('Nursery bookcase')
  const products = files.get('sheets/product.csv')?.toString('utf8') ?? ''
  expect(products).toContain('chalk mineral paint')
  expect(products).not.toContain('chalk-mineral')
  // secrets stay
  const all = [...files].filter(([name]) => /^(tables|sheets)/.test(name)).map(([, bytes]) => bytes.toString('utf8'))
  expect(Object.keys(leftOut).some((name) => files.has(tableFile(name)))).toBe(false)
  expect(all.join('')).not.toMatch(/argon2|digest/)
})

test('nobody who goes away in the middle takes anything else with them', async () => {
  const client = await archives.db.pool.connect()
  try {
    await client.query('begin isolation level repeatable read read only')
    await client.query('select enter($1)', [archives.owner])
    const bytes = await writeArchive(client, { studioId: demoStudio, madeAt: '2026-05-04T09:30:00.000Z', sheetOf: () => null })
    await new Promise((some) => bytes.once('data', some))
    bytes.destroy(new Error('gone'))
    await new Promise((wait) => setTimeout(wait, 300))
    await client.query('commit')
    expect((await client.query<{ one: number }>('select 1 as one')).rows).toEqual([{ one: 1 }])
  } finally {
    client.release()
  }
})

test('whoever is no owner takes along no money', async () => {
  const helper = await comeIn(archives.db.owner, demoStudio, 'helper')
  const files = await filesIn(await archives.takeOut('helper.zip', helper))
  const rows = JSON.parse(files.get(tableFile('entry'))?.toString('utf8') ?? '[]') as Row[]
  expect(rows.length).toBeGreaterThan(100)
  expect(rows.every(({ money }) => money === null || money === 0)).toBe(true)
})

test('a large studio, too', async () => {
  // more than a hundred thousand rows, of every kind
  await growStudio(archives.db.owner, demoStudio, { days: 60, photographs: 400 })
  const file = await archives.takeOut('large.zip')
  const url = await archives.emptyDatabase()
  const taken = await takeIn(url, file)
  expect('faults' in taken ? taken.faults : []).toEqual([])
  expect(await digests(url)).toEqual(await digests(testOwnerUrl(archives.db.name)))
  expect('rows' in taken && taken.rows).toBeGreaterThan(100_000)
}, 600_000)
