import { randomBytes } from 'node:crypto'
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import Ajv2020 from 'ajv/dist/2020.js'
import fc from 'fast-check'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import yauzl from 'yauzl'
import { ZipFile } from 'yazl'
import { archiveSchema, type Fault, manifestFile, tableFile } from '@/core/house/archive'
import { faultSentence } from '@/words/archive'
import { namesBy, sheetOf } from '@/words/archiveSheet'
import { loadDemo } from '../../demo/load'
import { growStudio } from '../../scripts/scaleStudio'
import { archivedTables, leftOut, listNames } from './archive'
import { writeArchive } from './archiveFile'
import { takeIn } from './archiveIn'
import { listOpenPieces, listPieceFiles } from './piece'
import { inSession, types } from './pool'
import { comeIn, makeDatabase, type TestDatabase, testOwnerUrl, till } from './testing/database'

const demoStudio = '01900000-0000-7000-8000-00000000de40'
const folder = mkdtempSync(join(tmpdir(), 'itinerum-archive-'))
let db: TestDatabase
let owner: string
const made: string[] = []
beforeAll(async () => {
  db = await makeDatabase()
  // two studios of others stand beside it, of which nothing is taken along
  await loadDemo(db.owner, new Date(), till)
  owner = await comeIn(db.owner, demoStudio, 'owner')
}, 120_000)
afterAll(async () => {
  const root = new pg.Client({ connectionString: testOwnerUrl('postgres') })
  await root.connect()
  for (const name of made) await root.query(`drop database if exists ${name} with (force)`)
  await root.end()
  await db.drop()
  rmSync(folder, { recursive: true, force: true })
}, 60_000)

/** An empty database; its owner's address. */
async function emptyDatabase(): Promise<string> {
  const name = `t_${randomBytes(6).toString('hex')}`
  const root = new pg.Client({ connectionString: testOwnerUrl('postgres') })
  await root.connect()
  await root.query(`create database ${name}`)
  await root.end()
  made.push(name)
  return testOwnerUrl(name)
}
async function takeOut(name: string, secret = owner): Promise<string> {
  const file = join(folder, name)
  await inSession(
    db.pool,
    secret,
    async (client, studioId) => {
      const names = namesBy(await listNames(client))
      const around = { currency: 'GBP', zone: 'Europe/London', names }
      const bytes = await writeArchive(client, {
        studioId,
        madeAt: '2026-05-04T09:30:00.000Z',
        sheetOf: (shape) => sheetOf(shape, around),
      })
      await pipeline(bytes, createWriteStream(file))
    },
    { to: 'read' },
  )
  return file
}
/** What each table holds of the studio, by an independent way: its rows as the server writes them. */
async function digests(url: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: url, types })
  await client.connect()
  const found: Record<string, string> = {}
  const { rows } = await client.query<{ name: string }>(
    `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1`,
  )
  for (const { name } of rows) {
    if (name in leftOut && name !== 'photo_rendition') continue
    const mine = name === 'studio' ? 'id' : 'studio_id'
    const digest = await client.query<{ d: string }>(
      `select count(*) || ':' || coalesce(md5(string_agg(md5(t::text), '' order by md5(t::text))), '') as d from ${name} t where ${mine} = $1`,
      [demoStudio],
    )
    found[name] = digest.rows[0]?.d ?? ''
  }
  await client.end()
  return found
}
/** The files of an archive. */
const filesIn = (path: string): Promise<Map<string, Buffer>> =>
  new Promise((resolve, reject) => {
    const files = new Map<string, Buffer>()
    yauzl.open(path, { lazyEntries: true }, (failed, zip) => {
      if (failed) return reject(failed)
      zip.on('entry', (entry: yauzl.Entry) => {
        zip.openReadStream(entry, (error, stream) => {
          if (error) return reject(error)
          const chunks: Buffer[] = []
          stream.on('data', (chunk: Buffer) => chunks.push(chunk))
          stream.on('end', () => {
            files.set(entry.fileName, Buffer.concat(chunks))
            zip.readEntry()
          })
        })
      })
      zip.on('end', () => resolve(files))
      zip.readEntry()
    })
  })
async function packed(files: ReadonlyMap<string, Buffer>, name: string): Promise<string> {
  const zip = new ZipFile()
  for (const [file, bytes] of files) zip.addBuffer(bytes, file)
  zip.end()
  const path = join(folder, name)
  await pipeline(zip.outputStream, createWriteStream(path))
  return path
}
type Row = Record<string, unknown>
/** Damaged as somebody would who makes the manifest right again. */
async function damaged(
  whole: ReadonlyMap<string, Buffer>,
  damage: (rows: (table: string) => Row[], files: Map<string, Buffer>) => void,
): Promise<Map<string, Buffer>> {
  const { createHash } = await import('node:crypto')
  const files = new Map(whole)
  const tables = new Map<string, Row[]>()
  damage((table) => {
    const found = tables.get(table) ?? (JSON.parse(files.get(tableFile(table))?.toString('utf8') ?? '[]') as Row[])
    tables.set(table, found)
    return found
  }, files)
  for (const [table, rows] of tables) files.set(tableFile(table), Buffer.from(JSON.stringify(rows)))
  const manifest = JSON.parse(files.get(manifestFile)?.toString('utf8') ?? '{}') as { files: Record<string, object> }
  manifest.files = Object.fromEntries(
    [...files]
      .filter(([name]) => name !== manifestFile)
      .map(([name, bytes]) => [name, { bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') }]),
  )
  files.set(manifestFile, Buffer.from(JSON.stringify(manifest)))
  return files
}
const faultsOf = async (file: string, url: string): Promise<Fault[]> => {
  const found = await takeIn(url, file)
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const studios = await client.query('select from studio').catch(() => ({ rowCount: 0 }))
  await client.end()
  if ('faults' in found) expect(studios.rowCount).toBe(0)
  return 'faults' in found ? found.faults : []
}

test('a studio taken along and taken in is the same to the last figure, and nothing of others is in it', async () => {
  const file = await takeOut('demo.zip')
  const url = await emptyDatabase()
  const taken = await takeIn(url, file)
  expect(taken).toMatchObject({ studioId: demoStudio })
  const [before, after] = [await digests(testOwnerUrl(db.name)), await digests(url)]
  expect(after).toEqual(before)
  expect(Object.values(before).filter((each) => !each.startsWith('0:')).length).toBeGreaterThanOrEqual(20)
  const client = new pg.Client({ connectionString: url, types })
  await client.connect()
  expect((await client.query('select from studio')).rowCount).toBe(1)
  // the application reads it as it read it before
  const files = async (from: pg.ClientBase) => listPieceFiles(from, await listOpenPieces(from))
  const secret = await comeIn(client, demoStudio, 'owner')
  await client.query(`grant itinerum_app to itinerum_owner`)
  await client.query('begin')
  await client.query('set local role itinerum_app')
  await client.query('select enter($1)', [secret])
  const read = await files(client)
  await client.query('commit')
  await client.end()
  expect(read).toEqual(await inSession(db.pool, owner, files, { to: 'read' }))
  expect(read).toHaveLength(9)
  // once in, another is not taken in beside it
  await expect(takeIn(url, file)).rejects.toThrow(/a studio here already/)
}, 120_000)

test('what it holds is as its schema says, by another reader of schemas; each row of each table, and words for whoever opens a sheet', async () => {
  const files = await filesIn(await takeOut('schema.zip'))
  const schema = JSON.parse(files.get('schema.json')?.toString('utf8') ?? '{}') as { $defs: { tables: Record<string, object> } }
  const shapes = await archivedTables(db.owner)
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
  const client = await db.pool.connect()
  try {
    await client.query('begin isolation level repeatable read read only')
    await client.query('select enter($1)', [owner])
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
  const helper = await comeIn(db.owner, demoStudio, 'helper')
  const files = await filesIn(await takeOut('helper.zip', helper))
  const rows = JSON.parse(files.get(tableFile('entry'))?.toString('utf8') ?? '[]') as Row[]
  expect(rows.length).toBeGreaterThan(100)
  expect(rows.every(({ money }) => money === null || money === 0)).toBe(true)
})

describe('a damaged archive', () => {
  let whole: Map<string, Buffer>
  let url: string
  beforeAll(async () => {
    whole = await filesIn(await takeOut('whole.zip'))
    url = await emptyDatabase()
  })
  const isAt = (faults: readonly Fault[], want: Partial<Fault>) =>
    expect(faults.map(faultSentence).join('\n') && faults).toContainEqual(expect.objectContaining(want))

  test('names every fault, and takes nothing', async () => {
    const files = await damaged(whole, (rows, all) => {
      Object.assign(rows('piece')[2] ?? {}, { name: 12, taken_in_at: 'last week' })
      delete rows('product')[0]?.family
      Object.assign(rows('lot')[1] ?? {}, { product_id: '01900000-0000-7000-8000-000000000bad' })
      Object.assign(rows('room')[0] ?? {}, { colour: 'green' })
      rows('person').push({ ...rows('person')[0] })
      Object.assign(rows('channel')[0] ?? {}, { studio_id: '01900000-0000-7000-8000-000000000bad' })
      all.delete([...all.keys()].find((name) => name.startsWith('photographs/')) ?? '')
      all.delete(tableFile('recipe'))
      all.set('tables/wages.json', Buffer.from('[]'))
      all.set(tableFile('week_plan'), Buffer.from('[{"id":'))
    })
    files.set('extra.txt', Buffer.from('no part of it'))
    files.set('sheets/piece.csv', Buffer.from('changed by hand'))
    const faults = await faultsOf(await packed(files, 'damaged.zip'), url)
    isAt(faults, { file: tableFile('piece'), row: 3, column: 'name', is: 'not-readable' })
    isAt(faults, { file: tableFile('piece'), row: 3, column: 'taken_in_at', is: 'not-readable' })
    isAt(faults, { file: tableFile('product'), row: 1, column: 'family', is: 'not-readable' })
    isAt(faults, { file: tableFile('lot'), row: 2, column: 'product_id', is: 'leads-nowhere' })
    isAt(faults, { file: tableFile('room'), row: 1, is: 'not-readable' })
    isAt(faults, { file: tableFile('person'), is: 'twice' })
    isAt(faults, { file: tableFile('channel'), row: 1, is: 'other-studio' })
    isAt(faults, { is: 'no-photograph' })
    isAt(faults, { file: tableFile('recipe'), is: 'missing' })
    isAt(faults, { file: 'tables/wages.json', is: 'other-table' })
    isAt(faults, { file: tableFile('week_plan'), is: 'not-json' })
    isAt(faults, { file: 'extra.txt', is: 'not-listed' })
    isAt(faults, { file: 'sheets/piece.csv', is: 'other-bytes' })
  }, 60_000)

  test('is told by the database where only that knows', async () => {
    const files = await damaged(whole, (rows) => Object.assign(rows('part')[0] ?? {}, { count: -4 }))
    const faults = await faultsOf(await packed(files, 'refused.zip'), url)
    expect(faults).toHaveLength(1)
    isAt(faults, { file: tableFile('part'), is: 'refused' })
  }, 60_000)

  test('is told by the application where only that would not read it', async () => {
    const files = await damaged(whole, (rows) => {
      Object.assign(rows('plan')[0] ?? {}, { touches: [{ operation: 12 }] })
    })
    const faults = await faultsOf(await packed(files, 'unread.zip'), url)
    // no operation is called so, and the plan can't be read
    expect(faults).toHaveLength(2)
    expect(faults.map(faultSentence).join()).toMatch(/piece\.json, “[^”]+” can’t be read/)
    // and the place is as empty as before
    expect(await faultsOf(await packed(whole, 'whole-again.zip'), url)).toEqual([])
    url = await emptyDatabase()
  }, 120_000)

  test('is one that is newer, is cut short, or is none at all', async () => {
    const later = new Map(whole)
    const manifest = JSON.parse(later.get(manifestFile)?.toString('utf8') ?? '{}') as Row
    later.set(manifestFile, Buffer.from(JSON.stringify({ ...manifest, version: 900 })))
    isAt(await faultsOf(await packed(later, 'later.zip'), url), { is: 'too-new' })
    const none = join(folder, 'none.zip')
    writeFileSync(none, 'wax, rags, oat husk')
    isAt(await faultsOf(none, url), { is: 'not-readable' })
    const cut = join(folder, 'cut.zip')
    const bytes = readFileSync(await takeOut('cut-of.zip'))
    writeFileSync(cut, bytes.subarray(0, bytes.length / 2))
    isAt(await faultsOf(cut, url), { is: 'not-readable' })
    later.set(manifestFile, Buffer.from(JSON.stringify({ ...manifest, format: 'something else' })))
    isAt(await faultsOf(await packed(later, 'format.zip'), url), { file: manifestFile, is: 'not-a-manifest' })
    later.delete(manifestFile)
    isAt(await faultsOf(await packed(later, 'bare.zip'), url), { file: manifestFile, is: 'missing' })
  }, 60_000)

  test('with any byte of it turned is never taken in as it was', async () => {
    const bytes = readFileSync(
      await packed(new Map([...whole].filter(([name]) => !name.startsWith('photographs/'))), 'bytes.zip'),
    )
    await fc.assert(
      fc.asyncProperty(fc.nat({ max: bytes.length - 1 }), fc.integer({ min: 1, max: 255 }), async (at, by) => {
        const turned = Buffer.from(bytes)
        turned[at] = (turned[at] ?? 0) ^ by
        const file = join(folder, 'turned.zip')
        writeFileSync(file, turned)
        // without its photographs it never is whole; turned, it names that or more
        expect((await faultsOf(file, url)).length).toBeGreaterThan(0)
      }),
      { numRuns: 25 },
    )
  }, 120_000)
})

test('a large studio, too', async () => {
  await growStudio(db.owner, demoStudio)
  const file = await takeOut('large.zip')
  const url = await emptyDatabase()
  const taken = await takeIn(url, file)
  expect('faults' in taken ? taken.faults : []).toEqual([])
  expect(await digests(url)).toEqual(await digests(testOwnerUrl(db.name)))
  expect('rows' in taken && taken.rows).toBeGreaterThan(100_000)
}, 300_000)
