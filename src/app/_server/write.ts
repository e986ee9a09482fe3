/**
 * How every write goes: same origin, parsed by the form's own schema, one transaction, a plain answer. Trouble that can be
 * expected comes back as an issue; nothing is half-written, and what is sent twice is worked once.
 */
import 'server-only'
import { revalidatePath } from 'next/cache'
import { headers } from 'next/headers'
import type * as z from 'zod'
import type { Studio } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import type { Answer, IssueCode } from '@/core/input/issues'
import { type Client, troubleOf } from '@/db/pool'
import { digestOf, takeDelivery } from '@/db/sent'
import { getStudio } from '@/db/studio'
import { isOwnAddress, isOwnOrigin } from '@/origin'
import { withStudio } from './session'

/** Thrown inside a write to undo it and answer with an issue. */
export class Refused extends Error {
  constructor(
    readonly issue: IssueCode,
    readonly fields?: Record<string, string>,
  ) {
    super(issue)
  }
}

type Schema<S extends z.ZodType> = S | ((house: House) => S)
type Work<S extends z.ZodType> = (client: Client, studio: Studio, entered: z.output<S>) => Promise<void>

/** Whether the request comes from a page of this very server, asked for by its own name. */
async function isOwn(): Promise<boolean> {
  const sent = await headers()
  return isOwnAddress(sent.get('host')) && isOwnOrigin(sent.get('origin'), sent.get('host'))
}

/** Whether it comes from a page of ours, which has to prove it, or by a key that no browser sends by itself. */
export type From = 'page' | 'key'

/** One write that may be worked again with the same effect: a thing kept up to date by its own id. */
export async function write<S extends z.ZodType>(
  schema: Schema<S>,
  typed: unknown,
  work: Work<S>,
  from: From = 'page',
): Promise<Answer> {
  if (from === 'page' && !(await isOwn())) return { issue: 'elsewhere' }
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
    const trouble = troubleOf(error)
    if (!trouble) throw error
    return { issue: trouble }
  }
  revalidatePath('/', 'layout')
  return { ok: true }
}

/**
 * One write that adds something, under the number its sender gave it: the same again is answered as before and changes nothing,
 * another body under the same number is refused. `what` names the write, `numberOf` finds its number.
 */
export const writeOnce = <S extends z.ZodType>(
  what: string,
  schema: Schema<S>,
  typed: unknown,
  numberOf: (entered: z.output<S>) => string,
  work: Work<S>,
  from: From = 'page',
): Promise<Answer> =>
  write(
    schema,
    typed,
    async (client, studio, entered) => {
      const delivery = await takeDelivery(client, studio.id, numberOf(entered), digestOf(what, entered))
      if (delivery === 'other') throw new Refused('id-taken')
      if (delivery === 'new') await work(client, studio, entered)
    },
    from,
  )
