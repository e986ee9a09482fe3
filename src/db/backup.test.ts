import { execFile } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { loadDemo } from '../../demo/load'
import { addPasswordKey } from './account'
import { keepCodes } from './codes'
import { addInvitation, findInvited } from './invitation'
import { migrate } from './migrate'
import { listOpenPieces } from './piece'
import { inSession, makePool, types } from './pool'
import { freshSecret } from './secret'
import { openSession } from './session'
import { keepTill } from './till'

const run = promisify(execFile)
const demoStudio = '01900000-0000-7000-8000-00000000de40'
const folder = mkdtempSync(join(tmpdir(), 'itinerum-backup-'))
const homeOf = (name: string) => join(folder, name)
const command = (home: string, ...words: string[]) =>
  run('./itinerum', words, { env: { ...process.env, ITINERUM_HOME: homeOf(home) }, timeout: 120_000 })
const up = async (home: string) => {
  const { stdout } = await command(home, 'database', 'up')
  const [owner, app] = stdout.trim().split('\n').slice(-3) as [string, string]
  return { owner, app }
}

/** A digest of every row of every table. */
async function digest(url: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: url, types })
  await client.connect()
  const { rows } = await client.query<{ name: string }>(
    "select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1",
  )
  const digests: Record<string, string> = {}
  for (const { name } of rows) {
    const found = await client.query<{ d: string }>(
      `select count(*) || ':' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') as d from ${name} t`,
    )
    digests[name] = found.rows[0]?.d ?? ''
  }
  await client.end()
  return digests
}

beforeAll(async () => {
  await run('chmod', ['755', folder])
  const { owner } = await up('first')
  await migrate(owner)
  const client = new pg.Client({ connectionString: owner, types })
  await client.connect()
  await keepCodes(client)
  await keepTill(client, 'till')
  await loadDemo(client, new Date(), 'till')
  await client.end()
}, 120_000)
afterAll(async () => {
  for (const home of ['first', 'second']) await command(home, 'database', 'down')
  rmSync(folder, { recursive: true, force: true })
}, 60_000)

test('a backup restored into a fresh cluster gives the same rows, and the application can work with them', async () => {
  const file = join(folder, 'kept.dump')
  const first = await up('first')
  const key = new pg.Client({ connectionString: first.owner, types })
  await key.connect()
  const link = { id: uuidv7(), secret: freshSecret(), role: 'painter' as const, personId: null, hours: 72 }
  await addInvitation(key, demoStudio, link)
  const account = await key.query<{ id: string }>('select id from door.account limit 1')
  await addPasswordKey(key, account.rows[0]?.id ?? '', freshSecret(), 24)
  await key.end()
  const { invitation: _, ...before } = await digest(first.owner)
  expect((await command('first', 'backup', file)).stdout).toMatch(/Backed up to .*kept\.dump/)
  await command('second', 'restore', file)
  const second = await up('second')
  const { invitation: __, ...after } = await digest(second.owner)
  expect(after).toEqual(before)
  expect(Object.keys(before).length).toBeGreaterThan(12)

  const pool = makePool(second.app)
  const owner = new pg.Client({ connectionString: second.owner, types })
  await owner.connect()
  // who was in is not in any more; what people are stays
  expect((await owner.query('select from door.session where ended_at is null')).rowCount).toBe(0)
  // nor does a link come in that was open then
  expect(await findInvited(owner, link.secret)).toBeNull()
  expect((await owner.query('select from door.password_key where used_at is null')).rowCount).toBe(0)
  expect((await owner.query('select from door.membership where ended_at is null')).rowCount).toBe(2)
  const secret = freshSecret()
  await openSession(owner, { id: uuidv7(), secret, studioId: demoStudio, membershipId: null, days: 1 })
  await owner.end()
  const open = await inSession(pool, secret, listOpenPieces)
  expect(open).toHaveLength(9)
  await pool.end()
}, 120_000)

test('a file that is no backup changes nothing, and is said to be none', async () => {
  const file = join(folder, 'shopping.txt')
  writeFileSync(file, 'wax, rags, oat husk')
  await expect(command('second', 'restore', file)).rejects.toThrow(/no backup that can be read/)
}, 60_000)
