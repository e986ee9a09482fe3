/**
 * The edge of the database: a row is read by the schema of what it is, and a query says by its name how many it promises. What
 * a row should not hold is said with its table's words, where it is read.
 */
import { createHash } from 'node:crypto'
import type * as z from 'zod'
import type { Client } from './pool'

/** A query with the schema of its rows. */
export interface Query<S extends z.ZodType> {
  /** what it asks for, in words, for who reads an error */
  of: string
  row: S
  sql: string
  /** what a connection keeps its plan under */
  kept: string
}
export const query = <S extends z.ZodType>(of: string, row: S, sql: string): Query<S> => ({
  ...{ of, row, sql },
  kept: createHash('sha1').update(sql).digest('hex'),
})
/**
 * A connection of one's own keeps the plans of what it was asked before. A pooler may hand each transaction another connection: behind a
 * database's own address plans are kept only where it is said that nothing of the kind stands before it.
 */
const keepsPlans = !process.env.ITINERUM_DATABASE_URL || process.env.ITINERUM_POOLER === 'none'

/** Thrown where the database holds what this version does not know. */
export class UnreadableRow extends Error {}

function read<S extends z.ZodType>({ of, row }: Query<S>, given: unknown): z.output<S> {
  const parsed = row.safeParse(given)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  const { id } = given as { id?: unknown }
  throw new UnreadableRow(`${of}${typeof id === 'string' ? ` ${id}` : ''}: ${issue?.path.join('.')}: ${issue?.message}`)
}

/** Every row, however many. */
export async function many<S extends z.ZodType>(client: Client, asked: Query<S>, values: unknown[] = []): Promise<z.output<S>[]> {
  const { rows } = await client.query<Record<string, unknown>>({
    text: asked.sql,
    values,
    ...(keepsPlans && { name: asked.kept }),
  })
  return rows.map((given) => read(asked, given))
}

/** The one row there may be; null where there is none, and an error where there are more. */
export async function maybe<S extends z.ZodType>(
  client: Client,
  asked: Query<S>,
  values: unknown[] = [],
): Promise<z.output<S> | null> {
  const rows = await many(client, asked, values)
  if (rows.length > 1) throw new Error(`${asked.of}: one row was promised, ${rows.length} came`)
  return rows[0] ?? null
}

/** The one row there must be. */
export async function one<S extends z.ZodType>(client: Client, asked: Query<S>, values: unknown[] = []): Promise<z.output<S>> {
  const row = await maybe(client, asked, values)
  if (row === null) throw new Error(`${asked.of}: one row was promised, none came`)
  return row
}
