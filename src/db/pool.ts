/**
 * The way to PostgreSQL: one pool, and work done as one studio in one transaction. Values are parsed on purpose: instants
 * become ISO strings in UTC, dates stay YYYY-MM-DD, numeric and bigint become numbers or throw.
 */
import pg from 'pg'

export type Client = pg.ClientBase

function toNumber(text: string): number {
  const value = Number(text)
  if (!Number.isFinite(value)) throw new Error(`numeric out of range: ${text}`)
  return value
}
function toSafeInteger(text: string): number {
  const value = Number(text)
  if (!Number.isSafeInteger(value)) throw new Error(`bigint out of range: ${text}`)
  return value
}
/** '2026-05-04 09:30:00.12+00', as the server writes it in UTC, to '2026-05-04T09:30:00.120Z'; ms, as everywhere here. */
function toInstant(text: string): string {
  const utc = /^(\d{4}-\d\d-\d\d) (\d\d:\d\d:\d\d)(?:\.(\d{1,6}))?\+00$/.exec(text)
  return utc ? `${utc[1]}T${utc[2]}.${(utc[3] ?? '').slice(0, 3).padEnd(3, '0')}Z` : new Date(text).toISOString()
}
const parsers: Record<number, (text: string) => unknown> = {
  20: toSafeInteger,
  1082: (text) => text,
  1184: toInstant,
  1700: toNumber,
}
/** How values come out of the database: instants as ISO 8601 in UTC, days as they are written, figures as numbers. */
export const types = {
  getTypeParser: (oid: number, format?: 'text' | 'binary') =>
    format !== 'binary' && parsers[oid] ? parsers[oid] : pg.types.getTypeParser(oid, format as 'text'),
} as pg.CustomTypesConfig

/** A pool for the application's own role; it outlives lost connections. */
export function makePool(connectionString: string, max = 10): pg.Pool {
  const pool = new pg.Pool({
    connectionString,
    max,
    types,
    connectionTimeoutMillis: 5_000,
    application_name: 'itinerum',
    options: '-c TimeZone=UTC',
  })
  pool.on('error', (error) => console.error(`database connection lost: ${error.message}`))
  return pool
}

/** Does work in one transaction that sees and writes one studio's rows alone; any throw undoes all of it. */
export async function asStudio<T>(pool: pg.Pool, studioId: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = await pool.connect()
  let broken: Error | undefined
  // a connection lost while it is out fails its query; without a listener it would take the whole server with it
  const lost = (error: Error) => (broken = error)
  client.on('error', lost)
  try {
    await client.query('begin')
    await client.query("select set_config('itinerum.studio', $1, true)", [studioId])
    const result = await work(client)
    await client.query('commit')
    return result
  } catch (error) {
    await client.query('rollback').catch(lost)
    throw error
  } finally {
    client.off('error', lost)
    client.release(broken)
  }
}

/** The violated constraint's name where a database error has one, else null. */
export function findConstraint(error: unknown): string | null {
  return error instanceof pg.DatabaseError ? (error.constraint ?? null) : null
}
