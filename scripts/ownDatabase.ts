/** A database cluster of a bench's own in a home of its own, with the demo studio in as many databases as are wanted; gone afterwards. */
import { execFile } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { freshSecret } from '@/db/secret'

/** as the demo's data names it */
const demoStudio = '01900000-0000-7000-8000-00000000de40'
const run = promisify(execFile)
const named = (url: string, database: string) => url.replace(/\/[^/]*$/, `/${database}`)

export interface OwnDatabase {
  /** addresses of a database as its owner, as the app, and at the door */
  owner: (database: string) => string
  app: (database: string) => string
  door: (database: string) => string
  /** puts the demo studio into a database that is there; `key` lets whoever has it work as the studio */
  fillDemo: (database: string) => Promise<{ studioId: string; key: string }>
  end: () => Promise<void>
}

/** `flags`: further settings of the server. */
export async function ownDatabase(name: string, flags?: string): Promise<OwnDatabase> {
  const home = mkdtempSync(join(tmpdir(), `itinerum-${name}-`))
  await run('chmod', ['755', home])
  const env = { ...process.env, ITINERUM_HOME: home, ...(flags && { ITINERUM_PG_FLAGS: flags }) }
  const { stdout } = await run('./itinerum', ['database', 'up'], { env })
  const [ownerUrl, appUrl, doorUrl] = stdout.trim().split('\n').slice(-3) as [string, string, string]
  return {
    owner: (database) => named(ownerUrl, database),
    app: (database) => named(appUrl, database),
    door: (database) => named(doorUrl, database),
    fillDemo: async (database) => {
      const key = freshSecret()
      await run('node_modules/.bin/tsx', ['scripts/prepare.ts', 'demo'], {
        env: {
          ...env,
          ITINERUM_OWNER_URL: named(ownerUrl, database),
          ITINERUM_APP_SECRET: new URL(appUrl).password,
          ITINERUM_DOOR_SECRET: new URL(doorUrl).password,
          ITINERUM_SENSOR_KEY: key,
        },
      })
      return { studioId: demoStudio, key }
    },
    end: async () => {
      await run('./itinerum', ['database', 'down'], { env }).catch(() => undefined)
      rmSync(home, { recursive: true, force: true })
    },
  }
}
