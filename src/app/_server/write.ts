/**
 * How every write goes: same origin, parsed by the form's own schema, one transaction, a plain answer. Trouble that can be
 * expected comes back as an issue; nothing is half-written.
 */
import 'server-only'
import { headers } from 'next/headers'
import { revalidatePath } from 'next/cache'
import pg from 'pg'
import type { z } from 'zod'
import type { House } from '../../core/input/fields'
import type { Client } from '../../db/pool'
import { getStudio, type Studio } from '../../db/studio'
import type { IssueCode } from '../../ui/words/issues'
import { withStudio } from './session'

export type Answer = { ok: true } | { issue: IssueCode; fields?: Record<string, string> }

/** Thrown inside a write to undo it and answer with an issue. */
export class Refused extends Error {
  constructor(
    readonly issue: IssueCode,
    readonly fields?: Record<string, string>,
  ) {
    super(issue)
  }
}

async function isSameOrigin(): Promise<boolean> {
  const sent = await headers()
  const origin = sent.get('origin')
  return origin !== null && URL.canParse(origin) && new URL(origin).host === sent.get('host')
}

const lostCodes = new Set(['ECONNREFUSED', 'ECONNRESET', '57P01', '57P02', '57P03', '08006', '08001'])
const isLost = (error: unknown): boolean =>
  error instanceof Error &&
  (lostCodes.has((error as { code?: string }).code ?? '') ||
    /connection terminated|timeout exceeded when trying to connect/i.test(error.message) ||
    (error instanceof AggregateError && error.errors.some(isLost)))

/** Runs one write; `schema` may depend on the house. */
export async function write<S extends z.ZodType>(
  schema: S | ((house: House) => S),
  typed: unknown,
  work: (client: Client, studio: Studio, entered: z.output<S>) => Promise<void>,
): Promise<Answer> {
  if (!(await isSameOrigin())) throw new Error('a write from another origin was refused')
  try {
    await withStudio(async (client) => {
      const studio = await getStudio(client)
      const parsed = (typeof schema === 'function' ? schema(studio) : schema).safeParse(typed)
      if (!parsed.success) {
        throw new Refused(
          'not-readable',
          Object.fromEntries(parsed.error.issues.map(({ path, message }) => [path.join('.'), message])),
        )
      }
      await work(client, studio, parsed.data)
    })
  } catch (error) {
    if (error instanceof Refused) return { issue: error.issue, ...(error.fields && { fields: error.fields }) }
    if (isLost(error)) return { issue: 'unreachable' }
    if (error instanceof pg.DatabaseError && error.code === '23503') return { issue: 'not-found' }
    throw error
  }
  revalidatePath('/', 'layout')
  return { ok: true }
}
