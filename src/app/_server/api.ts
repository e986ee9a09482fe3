/** The studio's interface for other programs: who asks by which key, how often, for what; answered by the table of endpoints. */
import 'server-only'
import * as z from 'zod'
import { type Endpoint, endpointFor, endpoints, mostUses } from '@/core/input/api'
import { tokenInput } from '@/core/input/door'
import type { IssueCode } from '@/core/input/issues'
import * as keys from '@/db/apiKey'
import { troubleOf } from '@/db/pool'
import type { Session } from '@/db/session'
import { issueWords } from '@/words/issues'
import { answers } from './apiAnswers'
import { atDoor, readDoor } from './doorWay'
import { actingWith } from './session'

const mostBytes = 32_000
const said = (status: number, issue: string, words: string, more: { fields?: object; headers?: Record<string, string> } = {}) =>
  Response.json(
    { issue, words, ...(more.fields && { fields: more.fields }) },
    { status, headers: { 'cache-control': 'no-store', ...more.headers } },
  )
const statuses: Partial<Record<IssueCode, number>> = {
  'not-readable': 422,
  'not-found': 404,
  'not-yours': 403,
  'signed-out': 401,
  unreachable: 503,
  busy: 503,
}

/** Answers a request of a program that came by a key. */
export async function answerByKey(request: Request, path: readonly string[]): Promise<Response> {
  const token = /^Bearer ([\w-]+)$/i.exec(request.headers.get('authorization') ?? '')?.[1] ?? ''
  const key = tokenInput.safeParse(token).success ? await readDoor((client) => keys.findApiKey(client, token)) : null
  if (!key)
    return said(401, 'signed-out', 'Send a key that is good:  authorization: Bearer KEY. An owner makes one at House.', {
      headers: { 'www-authenticate': 'Bearer' },
    })
  if ((await atDoor((client) => keys.countKeyUse(client, key.id))) > mostUses)
    return said(429, 'busy', `At most ${mostUses} a minute. Wait, then go on.`, { headers: { 'retry-after': '60' } })
  const asked = endpointFor(request.method, path)
  if ('methods' in asked)
    return asked.methods.length > 0
      ? said(405, 'not-found', `This is asked by ${asked.methods.join(' or ')}.`, {
          headers: { allow: asked.methods.join(', ') },
        })
      : said(404, 'not-found', 'There is no such thing. What there is stands in /api/v1/openapi.json.')
  const endpoint: Endpoint = endpoints[asked.name]
  if (!key.may.includes(endpoint.may)) return said(403, 'not-yours', `This key may not ${endpoint.may}.`)
  if (asked.id !== null && !z.guid().safeParse(asked.id).success) return said(404, 'not-found', 'There is no such piece.')
  const query = (endpoint.query ?? z.object({})).safeParse(Object.fromEntries(new URL(request.url).searchParams))
  const body = endpoint.body ? endpoint.body.safeParse(await bodyOf(request)) : null
  const wrong = [...(query.error?.issues ?? []), ...(body?.error?.issues ?? [])]
  if (wrong.length > 0)
    return said(422, 'not-readable', 'What was sent can’t be read; fields says what.', {
      fields: Object.fromEntries(wrong.map(({ path: at, message }) => [at.join('.') || 'body', message])),
    })
  return answered(endpoint, () =>
    actingWith(keys.keySecret(token), () =>
      answers[asked.name]({
        id: asked.id ?? '',
        query: query.data ?? {},
        body: (body?.data as Record<string, unknown> | undefined) ?? {},
      }),
    ),
  )
}

async function answered(endpoint: Endpoint, work: () => ReturnType<(typeof answers)['listPieces']>): Promise<Response> {
  let found: Awaited<ReturnType<typeof work>>
  try {
    found = await work()
  } catch (error) {
    const trouble = troubleOf(error)
    if (!trouble) throw error
    found = { written: { issue: trouble } }
  }
  if (found === null) return said(404, 'not-found', 'There is no such piece.')
  if ('unreadable' in found)
    return said(422, 'not-readable', 'What was sent can’t be read; fields says what.', { fields: found.unreadable })
  if ('written' in found && 'issue' in found.written) {
    const { issue, fields } = found.written
    return said(statuses[issue] ?? 409, issue, issueWords[issue], { ...(fields && { fields }) })
  }
  // what is not described is not told
  const answer = endpoint.answer.parse('written' in found ? { ok: true } : found.answer)
  return Response.json(answer, { headers: { 'cache-control': 'no-store' } })
}

/** What was sent, as JSON; nothing where it is none, or too much. */
async function bodyOf(request: Request): Promise<unknown> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return null
  const text = await request.text()
  try {
    return text.length <= mostBytes ? (JSON.parse(text) as unknown) : null
  } catch {
    return null
  }
}

/** Keys of a studio, for its owner. */
export const listKeys = ({ studioId }: Session): Promise<keys.ApiKey[]> =>
  readDoor((client) => keys.listApiKeys(client, studioId))
