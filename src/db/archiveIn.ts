/** An archive taken into a database where there is nothing: read, checked against itself, stored, checked against the database. */
import pg from 'pg'
import { type Fault, faultsIn, type Manifest, manifestFile, photoFile, tableFile, type TableShape } from '@/core/house/archive'
import { archivedTables, refusedBy, storeRows } from './archive'
import { type OpenArchive, openArchive } from './archiveOpen'
import { unreadableIn } from './archiveRead'
import { findUnknownCodes, keepCodes } from './codes'
import { migrate } from './migrate'
import { types } from './pool'

export interface TakenIn {
  studioId: string
  rows: number
  tables: number
  photographs: number
}
/**
 * Takes an archive in, as the database's owner; the database is brought to the form that the archive has, and from there to the newest.
 * All of its faults at once, and nothing stored, where there are any. Throws where the database is not empty.
 */
export async function takeIn(ownerUrl: string, path: string): Promise<TakenIn | { faults: Fault[] }> {
  const { archive, faults } = await openArchive(path)
  if (!archive) return { faults }
  try {
    return await takeOpenedIn(ownerUrl, archive, faults)
  } finally {
    archive.close()
  }
}

/** `damaged`: what is wrong with it as a file; the rest of its faults is looked for all the same, and nothing stored. */
async function takeOpenedIn(
  ownerUrl: string,
  archive: OpenArchive,
  damaged: readonly Fault[],
): Promise<TakenIn | { faults: Fault[] }> {
  const { manifest } = archive
  const refuse = (...faults: Fault[]) => ({ faults: [...damaged, ...faults] })
  if (!(await canRead(ownerUrl, manifest.version)))
    return refuse({ file: manifestFile, is: 'too-new', why: `version ${manifest.version}` })
  const owner = new pg.Client({ connectionString: ownerUrl, types })
  await owner.connect()
  try {
    const shapes = await archivedTables(owner)
    const read = await readTables(archive, shapes)
    const wrong = [...read.faults, ...faultsIn(shapes, read.tables, manifest.studioId), ...missingPictures(manifest, read.tables)]
    if (wrong.length > 0 || damaged.length > 0) return refuse(...wrong)
    const refused = await store(owner, archive, shapes, read.texts)
    if (refused) return refuse(refused)
    await migrate(ownerUrl)
    await keepCodes(owner)
    const unread = await unreadIn(owner, manifest.studioId)
    if (unread.length > 0) {
      // as empty as it came
      await owner.query('drop schema door cascade; drop schema public cascade; create schema public')
      return refuse(...unread)
    }
    const rows = Object.values(read.tables).reduce<number>((sum, each) => sum + (Array.isArray(each) ? each.length : 0), 0)
    return { studioId: manifest.studioId, rows, tables: shapes.length, photographs: picturesOf(manifest).length }
  } finally {
    await owner.end()
  }
}

/** What was stored and this version can't read: codes it does not know, pieces its readers refuse. */
async function unreadIn(owner: pg.Client, studioId: string): Promise<Fault[]> {
  const unknown = await findUnknownCodes(owner, 1_000)
  return [
    ...unknown.map(({ table, column, id, code }): Fault => ({
      file: tableFile(table),
      column,
      is: 'refused',
      why: `${id}: ${code}`,
    })),
    ...(await unreadableIn(owner, studioId)),
  ]
}

/** Brings an empty database to a form; false where this version knows none so new. Throws where there is something in it. */
async function canRead(url: string, version: number): Promise<boolean> {
  const applied = await migrate(url, String(version).padStart(3, '0')).catch((error: unknown) => {
    if (error instanceof Error && /migration/i.test(error.message)) return null
    throw error
  })
  if (!applied) return false
  const client = new pg.Client({ connectionString: url, types })
  await client.connect()
  try {
    const { rowCount } = await client.query('select from studio')
    if (rowCount) throw new Error('there is a studio here already')
    const { rows } = await client.query<{ version: number }>('select max(version)::int as version from schema_version')
    return rows[0]?.version === version
  } finally {
    await client.end()
  }
}
async function readTables(archive: OpenArchive, shapes: readonly TableShape[]) {
  const [texts, tables]: [Record<string, string>, Record<string, unknown>] = [{}, {}]
  const faults: Fault[] = []
  const known = new Set(shapes.map(({ name }) => tableFile(name)))
  for (const file of Object.keys(archive.manifest.files))
    if (file.startsWith('tables/') && !known.has(file)) faults.push({ file, is: 'other-table' })
  for (const { name } of shapes) {
    const file = tableFile(name)
    const bytes = await archive.read(file).catch(() => null)
    if (!bytes) {
      // a file that the manifest names is told as missing already
      if (!(file in archive.manifest.files)) faults.push({ file, is: 'missing' })
      continue
    }
    texts[name] = bytes.toString('utf8')
    try {
      tables[name] = JSON.parse(texts[name]) as unknown
    } catch (error) {
      faults.push({ file, is: 'not-json', why: error instanceof Error ? error.message : String(error) })
    }
  }
  return { texts, tables, faults }
}

const sizes = ['small', 'large']
const picturesOf = ({ files }: Manifest): string[] => Object.keys(files).filter((name) => name.startsWith('photographs/'))
/** Photographs that are in the tables and not among the files, and the other way round. */
function missingPictures(manifest: Manifest, tables: Readonly<Record<string, unknown>>): Fault[] {
  const { photo } = tables
  const ids = Array.isArray(photo)
    ? photo.flatMap((row: { id?: unknown } | null) => (typeof row?.id === 'string' ? [row.id] : []))
    : []
  const wanted = new Set(ids.flatMap((id) => sizes.map((size) => photoFile(id, size))))
  const there = new Set(picturesOf(manifest))
  return [
    ...[...wanted].filter((file) => !there.has(file)).map((file): Fault => ({ file, is: 'no-photograph' })),
    ...[...there].filter((file) => !wanted.has(file)).map((file): Fault => ({ file, is: 'leads-nowhere', why: 'photo' })),
  ]
}

async function store(
  owner: pg.Client,
  archive: OpenArchive,
  shapes: readonly TableShape[],
  texts: Readonly<Record<string, string>>,
): Promise<Fault | null> {
  const { manifest } = archive
  async function* pictures() {
    for (const file of picturesOf(manifest)) {
      const [, photoId = '', size = ''] = /^photographs\/(.{36})-(\w+)\.jpg$/.exec(file) ?? []
      yield { photoId, size, studioId: manifest.studioId, bytes: (await archive.read(file)) ?? Buffer.alloc(0) }
    }
  }
  await owner.query('begin')
  try {
    await storeRows(owner, shapes, texts, pictures())
    await owner.query('commit')
    return null
  } catch (error) {
    await owner.query('rollback')
    const refused = refusedBy(error)
    if (!refused) throw error
    return refused
  }
}
