/** The server killed in the middle of a save, the database in the middle of the day: on a home of this test's own, fsync on. */
import { execFile, spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { expect, test, type Page } from '@playwright/test'
import pg from 'pg'

const run = promisify(execFile)
const home = mkdtempSync(join(tmpdir(), 'itinerum-crash-'))
const command = (...words: string[]) => run('./itinerum', words, { env: { ...process.env, ITINERUM_HOME: home } })

let urls: { owner: string; app: string }
let server: ChildProcess | undefined
let address = ''
let studio = ''

async function database(): Promise<void> {
  const { stdout } = await command('database', 'up')
  const [owner, app] = stdout.trim().split('\n').slice(-2) as [string, string]
  urls = { owner, app }
}
const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })
async function serve(): Promise<void> {
  const port = new URL(address).port
  server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', port], {
    env: { ...process.env, DATABASE_URL: urls.app, ITINERUM_STUDIO: studio },
    stdio: 'ignore',
  })
  await expect
    .poll(
      () =>
        fetch(`${address}/api/health`).then(
          (r) => r.ok,
          () => false,
        ),
      { timeout: 30_000 },
    )
    .toBe(true)
}
async function killServer(): Promise<void> {
  const ended = new Promise((resolve) => server?.once('exit', resolve))
  server?.kill('SIGKILL')
  await ended
}
async function ask<T extends pg.QueryResultRow>(sql: string, values: unknown[] = []): Promise<T[]> {
  const client = new pg.Client({ connectionString: urls.owner })
  await client.connect()
  const { rows } = await client.query<T>(sql, values)
  await client.end()
  return rows
}

test.beforeAll(async () => {
  test.setTimeout(120_000)
  await run('chmod', ['755', home])
  await database()
  const secret = new URL(urls.app).password
  const { stdout } = await run('node_modules/.bin/tsx', ['scripts/prepare.ts', 'demo'], {
    env: { ...process.env, ITINERUM_OWNER_URL: urls.owner, ITINERUM_APP_SECRET: secret },
  })
  studio = stdout.trim().split('\n').at(-1) ?? ''
  address = `http://127.0.0.1:${await freePort()}`
  await serve()
})
test.afterAll(async () => {
  server?.kill('SIGKILL')
  await command('database', 'down')
  rmSync(home, { recursive: true, force: true })
})

async function fillIn(page: Page, name: string) {
  await page.goto(`${address}/pieces/new`)
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Price paid, GBP').fill('18')
  await page.getByLabel('Called').fill('Rail')
  await page.getByLabel('Width').fill('60')
  await page.getByLabel('Height').fill('12')
}

test('killed in the middle of a save, nothing half-written shows, what was typed is kept, and sending it again stores it once', async ({
  page,
}) => {
  await fillIn(page, 'Hat rail')
  // the save stands still after the piece's own row, before its parts
  const blocker = new pg.Client({ connectionString: urls.owner })
  await blocker.connect()
  await blocker.query('begin')
  await blocker.query('lock table part in access exclusive mode')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect
    .poll(
      async () =>
        (await ask(`select from pg_stat_activity where wait_event_type = 'Lock' and query like 'insert into part%'`)).length,
    )
    .toBe(1)
  await killServer()
  await blocker.query('rollback')
  await blocker.end()
  await expect(page.getByText(/can’t be reached/)).toBeVisible()
  await expect(page.getByLabel('What it is')).toHaveValue('Hat rail')
  expect(await ask(`select from piece where name = 'Hat rail'`)).toHaveLength(0)

  await serve()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Hat rail' })).toBeVisible()
  expect(await ask(`select from part join piece on piece.id = part.piece_id where piece.name = 'Hat rail'`)).toHaveLength(1)
  expect(await ask(`select from entry join piece on piece.id = entry.piece_id where piece.name = 'Hat rail'`)).toHaveLength(1)
})

test('the database killed in the middle of the day: every note that was acknowledged is there, and work goes on', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await page.goto(`${address}/pieces`)
  await page.getByRole('link', { name: /Hall settle/ }).click()
  const write = async (note: string) => {
    await page.getByRole('button', { name: 'Write a note' }).click()
    await page.getByRole('textbox', { name: 'Note' }).fill(note)
    await page.getByRole('button', { name: 'Write it down' }).click()
  }
  for (const k of [1, 2, 3]) {
    await write(`Acknowledged ${k}`)
    await expect(page.getByText(`Acknowledged ${k}`)).toBeVisible()
  }
  await command('database', 'kill')
  await write('Written while it was down')
  await expect(page.getByText(/can’t be reached/)).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('Written while it was down')
  await database()
  expect(
    (await ask(`select note from entry where note like 'Acknowledged%' order by note`)).map(({ note }) => note as string),
  ).toEqual(['Acknowledged 1', 'Acknowledged 2', 'Acknowledged 3'])
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.locator('ol').getByText('Written while it was down')).toBeVisible()
  expect(await ask(`select from entry where note = 'Written while it was down'`)).toHaveLength(1)
})
