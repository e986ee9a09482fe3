import { execFile } from 'node:child_process'
import { createWriteStream, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { loadDemo } from '../../demo/load'
import { addPasswordKey } from './account'
import { writeArchive } from './archiveOut'
import { addClientLink } from './clientPage'
import { keepCodes } from './codes'
import { addInvitation, findInvited } from './invitation'
import { migrate } from './migrate'
import { listOpenPieces } from './piece'
import { inSession, makePool, types } from './pool'
import { freshSecret } from './secret'
import { openSession } from './session'
import { comeIn } from './testing/database'
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
  for (const home of ['first', 'second', 'third']) await command(home, 'database', 'down')
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
  const forClient = { id: uuidv7(), secret: freshSecret(), days: 30 }
  const piece = await key.query<{ id: string }>('select id from piece limit 1')
  await addClientLink(key, demoStudio, { ...forClient, pieceId: piece.rows[0]?.id ?? '' })
  await addPasswordKey(key, account.rows[0]?.id ?? '', freshSecret(), 24)
  await key.end()
  const { invitation: _, client_link: ____, ...before } = await digest(first.owner)
  expect((await command('first', 'backup', file)).stdout).toMatch(/Backed up to .*kept\.dump/)
  await command('second', 'restore', file)
  const second = await up('second')
  const { invitation: __, client_link: ___, ...after } = await digest(second.owner)
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
  expect((await owner.query('select from client_link where revoked_at is null')).rowCount).toBe(0)
  expect((await owner.query('select from door.membership where ended_at is null')).rowCount).toBe(2)
  const secret = freshSecret()
  await openSession(owner, { id: uuidv7(), secret, studioId: demoStudio, membershipId: null, days: 1 })
  await owner.end()
  const open = await inSession(pool, secret, listOpenPieces)
  expect(open).toHaveLength(9)
  await pool.end()
}, 120_000)

test('a studio taken along as an archive comes into an empty home, as those hands that are named; a damaged one leaves all as it was', async () => {
  const file = join(folder, 'along.zip')
  const { owner } = await up('first')
  const client = new pg.Client({ connectionString: owner, types })
  await client.connect()
  const secret = await comeIn(client, demoStudio, 'owner')
  // as the application would, in that session
  await client.query('begin')
  await client.query('set local role itinerum_app')
  await client.query('select enter($1)', [secret])
  const asked = { studioId: demoStudio, madeAt: new Date().toISOString(), sheetOf: () => null }
  await pipeline(await writeArchive(client, asked), createWriteStream(file))
  await client.query('commit')
  await client.end()
  const cut = join(folder, 'cut.zip')
  writeFileSync(cut, readFileSync(file).subarray(0, 20_000))
  expect(await refusal(command('third', 'import', cut))).toMatch(/can’t be read .*\n.*One fault; nothing was taken in/s)
  expect(await refusal(command('third', 'import', file, 'Nobody There'))).toMatch(/Nobody in it is called Nobody There/)
  expect((await command('third', 'import', file, 'Wenna Tarrow')).stdout).toMatch(
    /Taken in: [\d]+ rows of \d+ tables, \d+ pictures/,
  )
  const third = await up('third')
  expect((await digest(third.owner)).entry).toBe((await digest(owner)).entry)
  const there = new pg.Client({ connectionString: third.owner, types })
  await there.connect()
  const { rows } = await there.query<{ name: string }>(
    'select p.name from invitation i join person p on p.id = i.person_id where used_at is null',
  )
  expect(rows).toEqual([{ name: 'Wenna Tarrow' }])
  await there.end()
  // what has a studio takes no other
  expect(await refusal(command('third', 'import', file))).toMatch(/a studio here already/)
}, 240_000)

test('a file that is no backup changes nothing, and is said to be none', async () => {
  const file = join(folder, 'shopping.txt')
  writeFileSync(file, 'wax, rags, oat husk')
  await expect(command('second', 'restore', file)).rejects.toThrow(/no backup that can be read/)
}, 60_000)

/** What a command that ends badly said. */
const refusal = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'it did it',
    (error: unknown) => `${(error as { stdout: string }).stdout}${(error as { stderr: string }).stderr}`,
  )

test('the drill proves a backup, and finds one that lost something; the studio’s own data is not touched by it', async () => {
  const file = join(folder, 'proved.dump')
  await command('first', 'backup', file)
  const before = await digest((await up('first')).owner)
  expect((await command('first', 'drill', file)).stdout).toMatch(
    /restored in \d+ s, every table as it was; 12 pieces, \d+ lines of the log, \d+ photographs/,
  )
  const sums = readFileSync(`${file}.sums`, 'utf8')
  const told = JSON.parse(sums) as Record<string, { rows: number; sum: string }>
  writeFileSync(`${file}.sums`, JSON.stringify({ ...told, entry: { rows: (told.entry?.rows ?? 0) + 1, sum: '1' } }))
  expect(await refusal(command('first', 'drill', file))).toMatch(/entry: \d+ rows were backed up, \d+ are here/)
  writeFileSync(`${file}.sums`, JSON.stringify({ ...told, piece: { ...told.piece, sum: '1' } }))
  expect(await refusal(command('first', 'drill', file))).toMatch(/piece: 12 rows .* 12 are here, and they say something else/)
  writeFileSync(`${file}.sums`, sums)
  const bytes = readFileSync(file)
  writeFileSync(file, bytes.subarray(0, bytes.length * 0.6))
  expect(await refusal(command('first', 'drill', file))).toMatch(/can.t be restored/)
  writeFileSync(file, 'wax, rags, oat husk')
  expect(await refusal(command('first', 'drill', file))).toMatch(/can.t be opened; nothing was proved/)
  expect(await digest((await up('first')).owner)).toEqual(before)
}, 180_000)

test('sealed by a pass phrase it is opened by that alone; by schedule the newest are kept', async () => {
  const [phrase, other, to] = [join(folder, 'phrase'), join(folder, 'other'), join(folder, 'kept')]
  writeFileSync(phrase, 'seven linen rags on a line\n')
  writeFileSync(other, 'eight linen rags on a line\n')
  const said = await command('first', 'backup', '--every', '24', '--keep', '2', '--to', to, '--passphrase-file', phrase)
  expect(said.stdout).toMatch(/the newest 2 are kept, sealed by the pass phrase/)
  for (let k = 0; k < 3; k += 1) {
    await command('first', 'backup', '--now')
    // each is called by its second
    await new Promise((wait) => setTimeout(wait, 1_100))
  }
  const kept = readdirSync(to).sort()
  expect(kept.filter((name) => name.endsWith('.dump.gpg'))).toHaveLength(2)
  expect(kept.filter((name) => name.endsWith('.sums'))).toHaveLength(2)
  const file = join(to, kept.findLast((name) => name.endsWith('.gpg')) ?? '')
  expect(readFileSync(file).includes('PGDMP')).toBe(false)
  expect((await command('first', 'drill')).stdout).toMatch(/every table as it was/)
  const openWith = (by: string, ...words: string[]) =>
    run('./itinerum', words, { env: { ...process.env, ITINERUM_HOME: homeOf('second'), ITINERUM_PASSPHRASE_FILE: by } })
  expect(await refusal(openWith(other, 'restore', file))).toMatch(/no backup that can be read; nothing was changed/)
  const bytes = readFileSync(file)
  bytes[bytes.length - 100] = (bytes[bytes.length - 100] ?? 0) ^ 1
  writeFileSync(`${file}.changed`, bytes)
  expect(await refusal(openWith(phrase, 'restore', `${file}.changed`))).toMatch(/no backup that can be read/)
  await openWith(phrase, 'restore', file)
  const { invitation: _, client_link: ___, ...after } = await digest((await up('second')).owner)
  const { invitation: __, client_link: ____, ...before } = await digest((await up('first')).owner)
  expect(after).toEqual(before)
  // a phrase that is gone stops no earlier backup from being there, and is said
  rmSync(phrase)
  expect(await refusal(command('first', 'backup', '--now'))).toMatch(/the backup failed, nothing was replaced/)
  expect(readdirSync(to).filter((name) => name.endsWith('.dump.gpg'))).toHaveLength(2)
}, 240_000)

test('what should be seen to is named, each with what to do; the sign for the machine is one that it takes', async () => {
  const words = await refusal(command('first', 'check'))
  expect(words).toMatch(/well {3}database: answers/)
  expect(words).toMatch(/well {3}migrations: at \d+, as this version/)
  expect(words).toMatch(/SEE {4}server: does not answer. Start it with \.\/itinerum start/)
  expect(words).toMatch(/SEE {4}backups: the last one failed at/)
  expect((await command('first', 'service', '--lan')).stdout).toMatch(/systemctl enable --now itinerum/)
  const unit = readFileSync(join(homeOf('first'), 'itinerum.service'), 'utf8')
  expect(unit).toMatch(/ExecStart=.*\/itinerum start --lan\n/)
  // a database's password stands where its owner alone reads it, and as it was said
  const settings = { ITINERUM_DATABASE_URL: "postgresql://o:it's 20%25 $HOME@db:5432/itinerum", ITINERUM_SECRET: 'alike on each' }
  await run('./itinerum', ['service'], { env: { ...process.env, ...settings, ITINERUM_HOME: homeOf('first') } })
  const file = join(homeOf('first'), 'itinerum.env')
  expect(readFileSync(join(homeOf('first'), 'itinerum.service'), 'utf8')).toContain(`EnvironmentFile=${file}\n`)
  expect(statSync(file).mode & 0o777).toBe(0o600)
  const { stdout } = await run('sh', ['-c', `. ${file}; printf '%s|%s' "$ITINERUM_DATABASE_URL" "$ITINERUM_SECRET"`])
  expect(stdout).toBe(Object.values(settings).join('|'))
  expect(await refusal(command('first', 'service', '--wan'))).toMatch(/service takes --lan or nothing/)
}, 60_000)
