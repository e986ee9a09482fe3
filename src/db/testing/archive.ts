/** The demo studio to be taken along, places to take it to, and archives opened and packed anew, for tests. */
import { randomBytes } from 'node:crypto'
import { createWriteStream, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import pg from 'pg'
import yauzl from 'yauzl'
import { ZipFile } from 'yazl'
import { leftOut, listNames } from '@/db/archive'
import { writeArchive } from '@/db/archiveOut'
import { inSession, types } from '@/db/pool'
import { namesBy, sheetOf } from '@/words/archiveSheet'
import { loadDemo } from '../../../demo/load'
import { comeIn, makeDatabase, type TestDatabase, testOwnerUrl, till } from './database'

export const demoStudio = '01900000-0000-7000-8000-00000000de40'
export type Row = Record<string, unknown>

export interface Archives {
  /** the demo's studios */
  db: TestDatabase
  /** the secret of its owner's session */
  owner: string
  folder: string
  /** An empty database; its owner's address. */
  emptyDatabase: () => Promise<string>
  /** The studio that a session reads, taken along; where the file is. */
  takeOut: (name: string, secret?: string) => Promise<string>
  /** Files packed as an archive; where it is. */
  packed: (files: ReadonlyMap<string, Buffer>, name: string) => Promise<string>
  drop: () => Promise<void>
}
export async function makeArchives(): Promise<Archives> {
  const folder = mkdtempSync(join(tmpdir(), 'itinerum-archive-'))
  const db = await makeDatabase()
  // two studios of others stand beside it, of which nothing is taken along
  await loadDemo(db.owner, new Date(), till)
  const owner = await comeIn(db.owner, demoStudio, 'owner')
  const made: string[] = []
  const asRoot = async (work: (root: pg.Client) => Promise<void>) => {
    const root = new pg.Client({ connectionString: testOwnerUrl('postgres') })
    await root.connect()
    await work(root)
    await root.end()
  }
  return {
    db,
    owner,
    folder,
    emptyDatabase: async () => {
      const name = `t_${randomBytes(6).toString('hex')}`
      await asRoot(async (root) => void (await root.query(`create database ${name}`)))
      made.push(name)
      return testOwnerUrl(name)
    },
    takeOut: async (name, secret = owner) => {
      const file = join(folder, name)
      await takeAlong(db, secret, file)
      return file
    },
    packed: async (files, name) => {
      const zip = new ZipFile()
      for (const [file, bytes] of files) zip.addBuffer(bytes, file)
      zip.end()
      const path = join(folder, name)
      await pipeline(zip.outputStream, createWriteStream(path))
      return path
    },
    drop: async () => {
      await asRoot(async (root) => {
        for (const name of made) await root.query(`drop database if exists ${name} with (force)`)
      })
      await db.drop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

const takeAlong = (db: TestDatabase, secret: string, file: string): Promise<void> =>
  inSession(
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

/** What each table holds of the studio, by an independent way: its rows as the server writes them. */
export async function digests(url: string): Promise<Record<string, string>> {
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
export const filesIn = (path: string): Promise<Map<string, Buffer>> =>
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
