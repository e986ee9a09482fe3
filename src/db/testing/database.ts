/** A real database for each test file: a copy of the migrated template, with a studio or two in it. */
import { randomBytes } from 'node:crypto'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import type { Role } from '@/core/house/roles'
import { usualHours } from '@/core/measure/workingHours'
import { addAccount, addMembership } from '@/db/account'
import { type Client, inSession, makePool, types } from '@/db/pool'
import { freshSecret } from '@/db/secret'
import { openSession } from '@/db/session'
import { savePerson, saveStudio, type StudioDraft } from '@/db/studio'
import { keepTill } from '@/db/till'

/** what is written in tests is reckoned as the server's writes are */
export const till = 'the till of the tests'

export const templateName = 'itinerum_template'

/** The owner's address of a database in the tests' cluster. */
export function testOwnerUrl(database: string): string {
  const url = process.env.ITINERUM_TEST_OWNER_URL
  if (!url) throw new Error('No test cluster. Run these tests with: ./itinerum test database')
  return url.replace(/\/[^/]*$/, `/${database}`)
}

export const studioFacts = (id: string): StudioDraft => ({
  id,
  name: 'A studio',
  currency: 'GBP',
  zone: 'Europe/London',
  locale: 'en-GB',
  units: 'metric',
  hourRate: 1800,
  overheadRate: 0,
  taxMode: 'none',
  taxShare: 0,
  wish: { earnedRate: 1800 },
  haggle: 0.1,
  step: 500,
  hours: usualHours,
})

export interface TestDatabase {
  name: string
  /** as the application's role */
  pool: pg.Pool
  /** as the door's role */
  door: pg.Pool
  owner: pg.Client
  /** two studios that must not see each other, each worked as its owner */
  here: string
  elsewhere: string
  as: <T>(studioId: string, work: (client: Client) => Promise<T>) => Promise<T>
  drop: () => Promise<void>
}

/** Lets somebody into a studio as its database's owner; answers with the secret of their session. */
export async function comeIn(owner: pg.Client, studioId: string, role: Role): Promise<string> {
  const [personId, accountId, membershipId, secret] = [uuidv7(), uuidv7(), uuidv7(), freshSecret()]
  await savePerson(owner, studioId, { id: personId, name: `The ${role}` })
  await addAccount(owner, { id: accountId, name: `${role} ${accountId}`, password: null })
  await addMembership(owner, { id: membershipId, accountId, studioId, personId, role })
  await openSession(owner, { id: uuidv7(), secret, studioId, membershipId, days: 1 })
  return secret
}

/** Connections that were ended are a moment on their way: cut off by force, each says so to whoever still hears it. */
async function whenLeft(root: pg.Client, name: string): Promise<void> {
  for (let tries = 0; tries < 100; tries += 1) {
    const { rowCount } = await root.query('select from pg_stat_activity where datname = $1', [name])
    if (rowCount === 0) return
    await new Promise((wait) => setTimeout(wait, 20))
  }
}
export async function makeDatabase(): Promise<TestDatabase> {
  const name = `t_${randomBytes(6).toString('hex')}`
  const root = new pg.Client({ connectionString: testOwnerUrl('postgres') })
  await root.connect()
  await root.query(`create database ${name} template ${templateName}`)
  const owner = new pg.Client({ connectionString: testOwnerUrl(name), types })
  await owner.connect()
  const url = new URL(testOwnerUrl(name))
  url.username = 'itinerum_app'
  url.password = process.env.ITINERUM_TEST_APP_SECRET ?? ''
  const pool = makePool(url.href, 4)
  url.username = 'itinerum_door'
  const door = makePool(url.href, 4)
  const [here, elsewhere] = [uuidv7(), uuidv7()]
  const secrets = new Map<string, string>()
  const secretOf = async (id: string) => {
    const secret = secrets.get(id) ?? (await comeIn(owner, id, 'owner'))
    secrets.set(id, secret)
    return secret
  }
  await keepTill(owner, till)
  for (const id of [here, elsewhere]) {
    await saveStudio(owner, studioFacts(id))
    await secretOf(id)
  }
  return {
    name,
    pool,
    door,
    owner,
    here,
    elsewhere,
    as: async (studioId, work) => inSession(pool, await secretOf(studioId), work, { till }),
    drop: async () => {
      await pool.end()
      await door.end()
      await owner.end()
      await whenLeft(root, name)
      await root.query(`drop database ${name} with (force)`)
      await root.end()
    },
  }
}
