/** A server with a home and a cluster of its own, for tests that stop and kill things: fsync on, nobody else's data. */
import { type ChildProcess, execFile, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import type { BrowserContext } from '@playwright/test'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { comeIn, type Cookie, cookieAt, cookieOf } from '../scripts/comeIn'

const run = promisify(execFile)
export const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })

const ownerPassword = 'linen cupboard ladder'

/** `kind`: the demo studio, or an empty one of one's own. `more`: what the server finds in its environment beside the usual. */
export function ownServer(name: string, kind: 'demo' | 'own' = 'demo', more: Readonly<Record<string, string>> = {}) {
  const home = mkdtempSync(join(tmpdir(), `itinerum-${name}-`))
  const command = (...words: string[]) => run('./itinerum', words, { env: { ...process.env, ITINERUM_HOME: home } })
  let urls = { owner: '', app: '', door: '' }
  let server: ChildProcess | undefined
  let address = ''
  let key = ''
  let owner: Cookie | undefined
  const sessions = new Map<string, Cookie>()

  const database = async (): Promise<void> => {
    const { stdout } = await command('database', 'up')
    const [owner, app, door] = stdout.trim().split('\n').slice(-3) as [string, string, string]
    urls = { owner, app, door }
  }
  const start = async (): Promise<void> => {
    server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', new URL(address).port], {
      env: { ...process.env, ...more, DATABASE_URL: urls.app, DOOR_DATABASE_URL: urls.door },
      stdio: 'ignore',
    })
    const answers = () =>
      fetch(`${address}/api/health`).then(
        (response) => response.ok,
        () => false,
      )
    for (let tries = 0; tries < 300 && !(await answers()); tries += 1) await new Promise((wait) => setTimeout(wait, 100))
    if (!(await answers())) throw new Error(`no server answers at ${address}`)
  }
  /** killed, as a machine that lost its power would be */
  const stop = async (): Promise<void> => {
    const ended = new Promise((resolve) => server?.once('exit', resolve))
    server?.kill('SIGKILL')
    await ended
  }
  return {
    home,
    ownerPassword,
    command,
    address: () => address,
    database,
    /** the address by which the first owner comes in */
    firstDoor: () => `${address}/join/${key}`,
    /** a browser of somebody of the demo; the same session each time, so that it is in while the server is gone too */
    letIn: async (context: BrowserContext, who = ''): Promise<void> => {
      const cookie = sessions.get(who) ?? (await comeIn(address, who))
      sessions.set(who, cookie)
      await context.addCookies([cookieAt(address, cookie)])
    },
    /** a browser of the studio's first owner, who comes in by the address that was printed */
    letOwnerIn: async (context: BrowserContext): Promise<void> => {
      owner ??= cookieOf(
        await fetch(`${address}/api/join`, {
          method: 'POST',
          headers: { origin: address, 'content-type': 'application/json' },
          body: JSON.stringify({ token: key, name: 'Isolt', called: 'Isolt', password: ownerPassword }),
        }),
      )
      await context.addCookies([cookieAt(address, owner)])
    },
    killDatabase: () => command('database', 'kill'),
    start,
    stop,
    /** Makes the home, loads the studio, serves it. */
    begin: async (): Promise<void> => {
      await run('chmod', ['755', home])
      await database()
      const secrets = { ITINERUM_APP_SECRET: new URL(urls.app).password, ITINERUM_DOOR_SECRET: new URL(urls.door).password }
      const { stdout } = await run('node_modules/.bin/tsx', ['scripts/prepare.ts', kind], {
        env: { ...process.env, ITINERUM_OWNER_URL: urls.owner, ...secrets },
      })
      key = stdout.split('\n').at(-2) ?? ''
      address = `http://127.0.0.1:${await freePort()}`
      await start()
    },
    end: async (): Promise<void> => {
      server?.kill('SIGKILL')
      await command('database', 'down')
      rmSync(home, { recursive: true, force: true })
    },
    /** Asks the database as its owner. */
    ask: async <T extends pg.QueryResultRow>(sql: string, values: unknown[] = []): Promise<T[]> => {
      const client = await asOwner()
      const { rows } = await client.query<T>(sql, values)
      await client.end()
      return rows
    },
    /** Another studio that stands as the first does; who opens `token` first owns it. */
    otherStudio: async (token: string): Promise<string> => {
      const client = await asOwner()
      const id = uuidv7()
      await client.query(
        `insert into studio (id, name, currency, zone, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind, wish_value,
           haggle_share, price_step, kept_at)
         select $1, 'The other workshop', currency, zone, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind, wish_value,
           haggle_share, price_step, now() from studio limit 1`,
        [id],
      )
      await client.query(
        `insert into invitation (id, studio_id, digest, role, expires_at)
         values ($1, $2, sha256(convert_to($3, 'UTF8')), 'owner', now() + interval '1 day')`,
        [uuidv7(), id, token],
      )
      await client.end()
      return id
    },
    asOwner,
  }
  async function asOwner(): Promise<pg.Client> {
    const client = new pg.Client({ connectionString: urls.owner })
    await client.connect()
    return client
  }
}
