/** What the door answers over HTTP: the cookie of a session that begins or ends, and what came with the request. */
import 'server-only'
import type * as z from 'zod'
import { isOwnAddress, isOwnOrigin, senderOf } from '@/origin'
import { cookieText, isTls, sessionCookie } from '@/sessionCookie'
import type { Came, CameIn } from './door'
import { TooMany } from './turns'

const mostBytes = 4_000
const daySeconds = 86_400

/** The secret that a request carries; empty for none. */
export function secretIn(request: Request): string {
  const { name } = cookieOf(request)
  const found = (request.headers.get('cookie') ?? '').split(/;\s*/).find((each) => each.startsWith(`${name}=`))
  return found?.slice(name.length + 1) ?? ''
}
const cookieOf = ({ headers }: Request) => sessionCookie(headers.get('host'), isTls(headers))

export const cameBy = (request: Request): Came => ({
  agent: request.headers.get('user-agent') ?? '',
  address: senderOf(request.headers),
  before: secretIn(request),
})

/** What was sent, read by its schema; a ready answer where it can't be. */
export async function readSent<S extends z.ZodType>(
  request: Request,
  schema: S,
  most = mostBytes,
): Promise<{ sent: z.output<S> } | { no: Response }> {
  const host = request.headers.get('host')
  if (!isOwnAddress(host) || !isOwnOrigin(request.headers.get('origin'), host)) return { no: refused('elsewhere', 403) }
  const text = await request.text()
  if (text.length > most) return { no: refused('not-readable', 413) }
  const parsed = schema.safeParse(parse(text))
  if (parsed.success) return { sent: parsed.data }
  const fields = Object.fromEntries(parsed.error.issues.map(({ path, message }) => [path.join('.'), message]))
  return { no: Response.json({ issue: 'not-readable', fields }, { status: 422, headers: kept }) }
}
function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
/** nothing the door says is kept anywhere */
export const kept = { 'cache-control': 'no-store' }
export const refused = (issue: string, status: number): Response => Response.json({ issue }, { status, headers: kept })

const statuses = { wrong: 401, wait: 429, gone: 410, taken: 409, member: 409, code: 401, 'code-wrong': 401 } as const
/** Answers with the cookie of the session that began, or with why none did. */
export function answerCame(request: Request, came: CameIn | { issue: 'gone' | 'taken' | 'member' }): Response {
  if ('issue' in came) return refused(came.issue, statuses[came.issue])
  const cookie = cookieText({ ...cookieOf(request), secret: came.secret, seconds: came.days * daySeconds })
  return Response.json({ ok: true }, { headers: { ...kept, 'set-cookie': cookie } })
}
const askedStatuses = {
  wrong: 422,
  'code-wrong': 422,
  on: 409,
  wait: 429,
  'own-first': 409,
  'not-yours': 403,
  'bare-number': 409,
  'not-signed': 422,
  'made-already': 409,
  gone: 410,
  'no-mail': 409,
} as const
/** Answers who is in and said again that it is them. */
export async function answerAsked(work: Promise<object | { issue: keyof typeof askedStatuses }>): Promise<Response> {
  const found = await work
  return 'issue' in found ? refused(found.issue, askedStatuses[found.issue]) : Response.json(found, { headers: kept })
}
/** Takes the cookie away, and what the browser kept of the pages that were seen by it. */
export const answerGone = (request: Request): Response => {
  const cookie = cookieText({ ...cookieOf(request), secret: '', seconds: 0 })
  return Response.json({ ok: true }, { headers: { ...kept, 'clear-site-data': '"cache"', 'set-cookie': cookie } })
}
/** Too many at once are asked to come again. */
export const orBusy = (work: Promise<Response>): Promise<Response> =>
  work.catch((error: unknown) => {
    if (error instanceof TooMany) return refused('busy', 503)
    throw error
  })
