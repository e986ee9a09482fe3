/**
 * The way to PostgreSQL: one pool, and work done as one studio in one transaction. Values are parsed on purpose: instants
 * become ISO strings in UTC, dates stay YYYY-MM-DD, numeric and bigint become numbers or throw.
 */
import pg from 'pg'
import type { IssueCode } from '@/core/input/issues'
import type { Instant, StudioId } from '@/core/measure/named'
import { clientOf } from './server'

/** A connection while it is held. What is asked of it at once goes out at once, and is answered in its order. */
export type Client = Pick<pg.ClientBase, 'query'>

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
function toInstant(text: string): Instant {
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
    format !== 'binary' && parsers[oid] ? parsers[oid] : pg.types.getTypeParser(oid, format),
}

/** A pool for the application's own role; it outlives lost connections. */
export function makePool(connectionString: string, max = 10): pg.Pool {
  const pool = new pg.Pool({
    Client: clientOf(connectionString) as never,
    max,
    types,
    // a crowd waits its turn; who comes when it is too long is sent away at the door
    connectionTimeoutMillis: 20_000,
    // the first answers of a connection take several times as long as those after: it is kept through a lull
    idleTimeoutMillis: 5 * 60_000,
    application_name: 'itinerum',
    pipeline: true,
    // compiling a statement takes ten times as long as any of these runs
    options: '-c TimeZone=UTC -c jit=off',
  })
  pool.on('error', (error) => console.error(`database connection lost: ${error.message}`))
  return pool
}

/** How a transaction is begun: to write, or to read one moment of it all. */
const begins = { write: 'begin', read: 'begin isolation level repeatable read read only' } as const

/** Thrown where a session is none, or none any more. */
export class SignedOut extends Error {
  constructor() {
    super('nobody is signed in here')
    this.name = 'SignedOut'
  }
}

/**
 * Does work in one transaction that sees and writes the rows of a session's studio alone; any throw undoes all of it. The studio
 * follows from the session's secret. With the till's secret all that is reckoned with is read, also by who sees no money.
 * Throws {@link SignedOut} where there is no such session.
 */
export async function inSession<T>(
  pool: pg.Pool,
  secret: string,
  work: (client: Client, studioId: StudioId) => Promise<T>,
  { to = 'write', till = '' }: { to?: keyof typeof begins; till?: string } = {},
): Promise<T> {
  return transaction(
    pool,
    to,
    (client) =>
      client.query<{ studioId: StudioId | null }>(`select enter($1) as "studioId", set_config('itinerum.till', $2, true)`, [
        secret,
        till,
      ]),
    ({ rows }, client) => {
      const studioId = rows[0]?.studioId
      if (!studioId) throw new SignedOut()
      return work(client, studioId)
    },
  )
}

/** A newer version changed what a kept plan gives: the connection that keeps it is of no more use. */
const isOutOfDate = ({ message }: Error): boolean => message.includes('cached plan must not change')

/** Does work in one transaction, in no studio; any throw undoes all of it. */
export const inTransaction = <T>(
  pool: pg.Pool,
  work: (client: Client) => Promise<T>,
  to: keyof typeof begins = 'write',
): Promise<T> =>
  transaction(
    pool,
    to,
    () => Promise.resolve(),
    (_, client) => work(client),
  )

/** `first` is asked together with the beginning, so that both take one way there and back. */
const transaction = <F, T>(
  pool: pg.Pool,
  to: keyof typeof begins,
  first: (client: Client) => Promise<F>,
  work: (first: F, client: Client) => Promise<T>,
): Promise<T> =>
  whileHeld(pool, async ({ client, lost, last }) => {
    try {
      const [, found] = await Promise.all([client.query(begins[to]), first(client)])
      const result = await work(found, client)
      const ended = last('commit')
      // what was read is known already: whoever has the connection next asks behind the end of it
      if (to === 'write') await ended
      else ended.catch(() => undefined)
      return result
    } catch (error) {
      await last('rollback').catch(lost)
      if (error instanceof Error && isOutOfDate(error)) lost(error)
      throw error
    }
  })

/** Asks over one connection, each statement by itself. */
export const onConnection = <T>(pool: pg.Pool, work: (client: Client) => Promise<T>): Promise<T> =>
  whileHeld(pool, ({ client }) => work(client))

/** What is asked at once goes out as one writing: each by itself would wake the server as often. */
function together({ connection: { stream } }: pg.PoolClient): <T>(ask: () => T) => T {
  let isOpen = false
  return (ask) => {
    if (!isOpen) {
      isOpen = true
      stream.cork()
      process.nextTick(() => {
        isOpen = false
        stream.uncork()
      })
    }
    return ask()
  }
}
interface Held {
  client: Client
  /** says that the connection is good for nothing any more */
  lost: (error: Error) => void
  /** The last that is asked over it. Of several that asked at once, one may come later still: it is refused. */
  last: (statement: 'commit' | 'rollback') => Promise<unknown>
}
async function whileHeld<T>(pool: pg.Pool, work: (held: Held) => Promise<T>): Promise<T> {
  const own = await pool.connect()
  let broken: Error | undefined
  // a connection lost while it is out fails its query; without a listener it would take the whole server with it
  const lost = (error: Error) => (broken = error)
  own.on('error', lost)
  let isHeld = true
  const ask = together(own)
  const query = (...asked: Parameters<Client['query']>) =>
    isHeld ? ask(() => own.query(...asked)) : Promise.reject(new Error('asked over a connection that was given back'))
  const last = (statement: string) => {
    isHeld = false
    return ask(() => own.query(statement))
  }
  try {
    return await work({ client: { query: query as unknown as Client['query'] }, lost, last })
  } finally {
    isHeld = false
    own.off('error', lost)
    own.release(broken)
  }
}

const lostCodes = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE'])
/** The server is not there, has no room, or took this for its turn with another: the same may be sent again. */
const passing = /^(08|53|57P0|40|55P03|58)/

/** What a constraint refuses, where its name says more than its kind. */
const issueOf: Record<string, IssueCode> = {
  answer_stands: 'offer-over',
  receipt_billed_once: 'already-billed',
  receipt_within_invoice: 'over-invoice',
  quote_answer_quote_id_key: 'already-answered',
  withdrawal_stands: 'already-answered',
  payment_strikes_key: 'already-corrected',
  entry_corrects_once: 'already-corrected',
  entry_corrects_own_piece: 'not-found',
  entry_ends_once: 'already-ended',
  known_code: 'not-readable',
}

/**
 * What a refusal of the database means to whoever wrote; null where it is a fault of our own. Class 08, 53, 57: try again; 22:
 * it can't be stored as it was written; 23: what it belongs to, or what must hold, is not so.
 */
export function troubleOf(error: unknown): IssueCode | null {
  if (!(error instanceof Error)) return null
  if (error instanceof SignedOut) return 'signed-out'
  if (error instanceof AggregateError) return error.errors.map(troubleOf).find((issue) => issue !== null) ?? null
  const code = (error as { code?: unknown }).code
  if (typeof code === 'string' && (lostCodes.has(code) || passing.test(code))) return 'unreachable'
  if (isOutOfDate(error) || /connection terminated|connection error and is not queryable|client was closed/i.test(error.message))
    return 'unreachable'
  if (/timeout exceeded when trying to connect/i.test(error.message)) return 'busy'
  if (!(error instanceof pg.DatabaseError) || !error.code) return null
  const { constraint = '' } = error
  const named = issueOf[constraint]
  if (named) return named
  if (error.code.startsWith('22')) return 'not-readable'
  if (error.code === '23505') return 'id-taken'
  if (error.code === '42501' && /"role_may|"owners_/.test(error.message)) return 'not-yours'
  if (error.code === '23503' || error.code === '42501') return 'not-found'
  if (error.code === '23514') return constraint.endsWith('believable') ? 'not-believable' : 'not-whole'
  return error.code.startsWith('23') ? 'not-whole' : null
}
