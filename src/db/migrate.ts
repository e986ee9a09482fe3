/** Brings a database to the newest schema: all in one transaction, one starter at a time. */
import { fileURLToPath } from 'node:url'
import Postgrator from 'postgrator'
import { makeClient } from './server'

const folder = fileURLToPath(new URL('./migrations/*.sql', import.meta.url))
/** Any number, the same in every starter. */
const lock = 4_170_520_261

/**
 * Names of the migrations applied now, in order; empty where there was nothing to do. Throws where a landed file was edited.
 * `to` stops at an earlier schema, like "009", for tests.
 */
export async function migrate(connectionString: string, to?: string): Promise<string[]> {
  const client = makeClient(connectionString)
  await client.connect()
  try {
    await client.query('begin')
    await client.query('select pg_advisory_xact_lock($1)', [lock])
    const postgrator = new Postgrator({
      migrationPattern: folder,
      driver: 'pg',
      database: client.database ?? 'itinerum',
      schemaTable: 'public.schema_version',
      currentSchema: 'public',
      execQuery: (query) => client.query(query),
      execSqlScript: (script) => client.query(script) as unknown as Promise<void>,
    })
    const applied = await postgrator.migrate(to)
    await client.query('commit')
    return applied.map(({ filename }) => filename.split('/').at(-1) ?? filename)
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    throw error
  } finally {
    await client.end()
  }
}
