/** A database cluster of a bench's own in a home of its own, with the demo studio in as many databases as are wanted; gone afterwards. */
import { execFile } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'

const run = promisify(execFile)
const named = (url: string, database: string) => url.replace(/\/[^/]*$/, `/${database}`)

export interface OwnDatabase {
  /** addresses of a database as its owner, and as the app */
  owner: (database: string) => string
  app: (database: string) => string
  /** puts the demo studio into a database that is there; answers with the studio's id */
  fillDemo: (database: string) => Promise<string>
  end: () => Promise<void>
}

/** `flags`: further settings of the server. */
export async function ownDatabase(name: string, flags?: string): Promise<OwnDatabase> {
  const home = mkdtempSync(join(tmpdir(), `itinerum-${name}-`))
  await run('chmod', ['755', home])
  const env = { ...process.env, ITINERUM_HOME: home, ...(flags && { ITINERUM_PG_FLAGS: flags }) }
  const { stdout } = await run('./itinerum', ['database', 'up'], { env })
  const [ownerUrl, appUrl] = stdout.trim().split('\n').slice(-2) as [string, string]
  return {
    owner: (database) => named(ownerUrl, database),
    app: (database) => named(appUrl, database),
    fillDemo: async (database) => {
      const prepared = await run('node_modules/.bin/tsx', ['scripts/prepare.ts', 'demo'], {
        env: { ...env, ITINERUM_OWNER_URL: named(ownerUrl, database), ITINERUM_APP_SECRET: new URL(appUrl).password },
      })
      return prepared.stdout.trim().split('\n').at(-1) ?? ''
    },
    end: async () => {
      await run('./itinerum', ['database', 'down'], { env }).catch(() => undefined)
      rmSync(home, { recursive: true, force: true })
    },
  }
}
