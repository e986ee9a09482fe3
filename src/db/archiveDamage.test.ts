import { createHash } from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type Fault, manifestFile, tableFile } from '@/core/house/archive'
import { faultSentence } from '@/words/archive'
import { takeIn } from './archiveIn'
import { type Archives, filesIn, makeArchives, type Row } from './testing/archive'

let archives: Archives
beforeAll(async () => {
  archives = await makeArchives()
}, 120_000)
afterAll(() => archives.drop(), 60_000)

/** Damaged as somebody would who makes the manifest right again. */
function damaged(
  whole: ReadonlyMap<string, Buffer>,
  damage: (rows: (table: string) => Row[], files: Map<string, Buffer>) => void,
): Map<string, Buffer> {
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

describe('a damaged archive', () => {
  let whole: Map<string, Buffer>
  let url: string
  beforeAll(async () => {
    whole = await filesIn(await archives.takeOut('whole.zip'))
    url = await archives.emptyDatabase()
  })
  const isAt = (faults: readonly Fault[], want: Partial<Fault>) =>
    expect(faults.map(faultSentence).join('\n') && faults).toContainEqual(expect.objectContaining(want))

  test('names every fault, and takes nothing', async () => {
    const files = damaged(whole, (rows, all) => {
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
    const faults = await faultsOf(await archives.packed(files, 'damaged.zip'), url)
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
    const files = damaged(whole, (rows) => Object.assign(rows('part')[0] ?? {}, { count: -4 }))
    const faults = await faultsOf(await archives.packed(files, 'refused.zip'), url)
    expect(faults).toHaveLength(1)
    isAt(faults, { file: tableFile('part'), is: 'refused' })
  }, 60_000)

  test('is told by the application where only that would not read it', async () => {
    const files = damaged(whole, (rows) => {
      Object.assign(rows('plan')[0] ?? {}, { touches: [{ operation: 12 }] })
    })
    const faults = await faultsOf(await archives.packed(files, 'unread.zip'), url)
    // no operation is called so, and the plan can't be read
    expect(faults).toHaveLength(2)
    expect(faults.map(faultSentence).join()).toMatch(/piece\.json, “[^”]+” can’t be read/)
    // and the place is as empty as before
    expect(await faultsOf(await archives.packed(whole, 'whole-again.zip'), url)).toEqual([])
    url = await archives.emptyDatabase()
  }, 120_000)

  test('is one that is newer, is cut short, or is none at all', async () => {
    const later = new Map(whole)
    const manifest = JSON.parse(later.get(manifestFile)?.toString('utf8') ?? '{}') as Row
    later.set(manifestFile, Buffer.from(JSON.stringify({ ...manifest, version: 900 })))
    isAt(await faultsOf(await archives.packed(later, 'later.zip'), url), { is: 'too-new' })
    const none = join(archives.folder, 'none.zip')
    writeFileSync(none, 'wax, rags, oat husk')
    isAt(await faultsOf(none, url), { is: 'not-readable' })
    const cut = join(archives.folder, 'cut.zip')
    const bytes = readFileSync(await archives.takeOut('cut-of.zip'))
    writeFileSync(cut, bytes.subarray(0, bytes.length / 2))
    isAt(await faultsOf(cut, url), { is: 'not-readable' })
    later.set(manifestFile, Buffer.from(JSON.stringify({ ...manifest, format: 'something else' })))
    isAt(await faultsOf(await archives.packed(later, 'format.zip'), url), { file: manifestFile, is: 'not-a-manifest' })
    later.delete(manifestFile)
    isAt(await faultsOf(await archives.packed(later, 'bare.zip'), url), { file: manifestFile, is: 'missing' })
  }, 60_000)

  test('with any byte of it turned is never taken in as it was', async () => {
    const bytes = readFileSync(
      await archives.packed(new Map([...whole].filter(([name]) => !name.startsWith('photographs/'))), 'bytes.zip'),
    )
    await fc.assert(
      fc.asyncProperty(fc.nat({ max: bytes.length - 1 }), fc.integer({ min: 1, max: 255 }), async (at, by) => {
        const turned = Buffer.from(bytes)
        turned[at] = (turned[at] ?? 0) ^ by
        const file = join(archives.folder, 'turned.zip')
        writeFileSync(file, turned)
        // without its photographs it never is whole; turned, it names that or more
        expect((await faultsOf(file, url)).length).toBeGreaterThan(0)
      }),
      { numRuns: 25 },
    )
  }, 120_000)
})
