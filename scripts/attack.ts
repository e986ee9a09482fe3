/**
 * Malformed requests over every route and every action of a server of its own, loopback alone, bounded in count and time. Fails
 * on any 500, on anything that hangs, and on any page that is broken afterwards. Usage: npm run attack [COUNT] [SEED], after a
 * build (`./itinerum test types` makes none: run `./itinerum demo` once).
 */
import { readFileSync } from 'node:fs'
import { request } from 'node:http'
import { v7 as uuidv7 } from 'uuid'
import { awayActions } from '@/core/input/away'
import { benchActions } from '@/core/input/bench'
import { ownServer } from '../e2e/ownServer'
import { type Named, samplesOf } from './attackSamples'
import { comeIn, cookieHeader } from './comeIn'

const wanted = Number(process.argv[2] ?? 3000)
let seed = Number(process.argv[3] ?? 20261125)
const most = 20_000
if (!(wanted > 0 && wanted <= most)) throw new Error(`a count from 1 to ${most}`)
const longestMs = 10 * 60_000
const patienceMs = 15_000

/** mulberry32: the same attack for the same seed */
function chance(): number {
  seed = (seed + 0x6d2b79f5) | 0
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed)
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
}
const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)] as T

/** What nobody types, and somebody sends. JSON escapes say what UTF-8 can't. */
const horrors: readonly unknown[] = [
  '\u0000',
  'wax\u0000rags',
  '\ud800',
  'half \udc00 a letter',
  'x'.repeat(5_000),
  'ü'.repeat(200),
  '<script>alert(1)</script>',
  '‮evitcepsrep',
  "'; drop table entry; --",
  '=1+1',
  '__proto__',
  'constructor',
  '0001-01-01T00:00:00.000Z',
  '0000-00-00T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  '2026-02-31',
  '2026-13-45',
  '-2026-01-01',
  '1e3',
  '1e400',
  '4o',
  'NaN',
  'Infinity',
  '-5',
  '00000000-0000-0000-0000-000000000000',
  '01900000-0000-7000-8000-00000000ffff',
  '',
  ' ',
  null,
  undefined,
  0,
  -1,
  1e308,
  true,
  [],
  {},
  [[[[[[[[[[]]]]]]]]]],
  { __proto__: { admin: true } },
  Array.from({ length: 500 }, (_, k) => k),
]

/** One place in a body, anywhere in it, put out of shape. */
function misshape(body: unknown): unknown {
  if (body !== null && typeof body === 'object' && chance() < 0.85) {
    const keys = Object.keys(body)
    if (keys.length > 0) {
      const key = pick(keys)
      const copy: Record<string, unknown> | unknown[] = Array.isArray(body) ? [...body] : { ...body }
      ;(copy as Record<string, unknown>)[key] = misshape((body as Record<string, unknown>)[key])
      return copy
    }
  }
  return pick(horrors)
}

interface Ask {
  method: string
  path: string
  headers?: Record<string, string>
  body?: string | Buffer
}
interface Heard {
  status: number
  text: string
}
function send(address: string, { method, path, headers = {}, body }: Ask): Promise<Heard> {
  const url = new URL(address)
  if (url.hostname !== '127.0.0.1') throw new Error('loopback only')
  return new Promise((resolve, reject) => {
    const asked = request(
      {
        host: url.hostname,
        port: url.port,
        method,
        path: path.replace(/ /g, '%20'),
        headers: { host: url.host, ...headers },
        timeout: patienceMs,
      },
      (response) => {
        let text = ''
        response.setEncoding('utf8')
        response.on('data', (chunk: string) => (text.length < 20_000 ? (text += chunk) : undefined))
        response.on('end', () => resolve({ status: response.statusCode ?? 0, text }))
        response.on('error', reject)
      },
    )
    asked.on('timeout', () => asked.destroy(new Error('hang')))
    asked.on('error', (error) => (error.message === 'hang' ? reject(error) : resolve({ status: 0, text: String(error) })))
    asked.end(body)
  })
}

const own = ownServer('attack')
await own.begin()
const address = own.address()
const cookie = cookieHeader(await comeIn(address))
const [ids] = await own.ask<Named>(
  `select p.id as piece, a.id as part, s.id as step, e.id as entry, r.id as product, l.id as lot, c.id as channel
   from piece p join part a on a.piece_id = p.id join step s on s.part_id = a.id join entry e on e.piece_id = p.id and e.kind = 'note',
        lot l join product r on r.id = l.product_id, channel c
   where p.ended_at is null limit 1`,
)
if (!ids) throw new Error('the demo has no piece with a plan and a note')
const { piece: pieceId, part: partId } = ids
const at = new Date().toISOString()
const samples = samplesOf(ids, at)

interface Manifest {
  node: Record<string, { exportedName?: string; workers: Record<string, { exportedName?: string }> }>
}
const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as Manifest
const actionIds = new Map<string, string>()
for (const [id, { exportedName, workers }] of Object.entries(manifest.node)) {
  const name = exportedName ?? Object.values(workers)[0]?.exportedName
  if (name) actionIds.set(name, id)
}
const missed = [...actionIds.keys(), ...benchActions, ...awayActions].filter((name) => !(name in samples))
if (missed.length > 0) throw new Error(`the attack knows no body for: ${missed.join(', ')}`)
if (actionIds.size === 0) throw new Error('the build names no actions: was it made by another version?')

const origin = { origin: address, ...cookie }
const pages = [
  '/',
  '/pieces',
  '/pieces/new',
  '/week',
  '/week/sheet',
  '/shelf',
  '/shelf/buy',
  '/shelf/count',
  '/shelf/table',
  '/shelf/labels',
  '/house',
  '/house/doors',
  '/house/prices',
  '/kerb',
  '/shared',
  '/air',
  '/learned',
  '/learned/earned',
  '/blank',
]
const ofPiece = [
  '',
  '/facts',
  '/money',
  '/offer',
  '/record',
  '/story',
  '/way',
  '/part',
  '/split',
  `/part/${partId}`,
  `/plan/${partId}`,
  `/find/${partId}`,
  `/log/${ids.entry}`,
]
const apis = [
  '/api/health',
  '/api/bench',
  '/api/live',
  '/api/session',
  '/api/happened',
  '/api/studio/archive',
  '/api/studio/earned',
  '/api/studio/books',
  '/api/studio/receipts',
  '/api/tags',
  '/api/shelf/cards',
  '/api/shelf/labels',
  '/api/payments',
  '/api/keys',
  '/api/v1/bench',
  '/api/v1/pieces',
  '/api/v1/readings',
  '/api/v1/people',
  '/api/v1/pieces/x/clocks',
  '/api/v1/pieces/x/coats',
  '/api/v1/openapi.json',
  '/house/api',
  '/api/codes-for-all',
  '/codes',
  '/api/password',
  '/api/second-factor',
  '/api/passkeys',
  '/api/push',
  '/api/letters',
  '/api/session/passkey',
  '/api/pairing',
  '/api/authority',
  '/trust',
  `/pair/${'x'.repeat(43)}`,
  `/new-password/${'x'.repeat(43)}`,
  '/api/join',
  '/sign-in',
  `/join/${'x'.repeat(43)}`,
  '/api/week',
  `/api/photos/${uuidv7()}`,
  '/api/calendar/0.ics',
  `/for/${'0'.repeat(43)}`,
  `/for/${'0'.repeat(43)}/word`,
  `/for/${'0'.repeat(43)}/opened`,
  `/for/${'0'.repeat(43)}/photo/0`,
  `/for/${'0'.repeat(43)}/paper`,
  `/for/${'0'.repeat(43)}/offer/0`,
  `/api/pieces/${pieceId}/paper`,
  `/for/${'0'.repeat(43)}/answer`,
  `/for/${'0'.repeat(43)}/pay`,
  `/for/${'0'.repeat(43)}/agreed/0`,
  `/api/pieces/${pieceId}/export`,
]
const odd = [
  '%00',
  '..%2f..',
  'x'.repeat(3000),
  '%ff%fe',
  '01900000-0000-7000-8000-00000000ffff',
  "';--",
  '[object Object]',
  '%F0%9F%AA%91',
  '-1',
  '__proto__',
]

/** One request out of shape; every kind of route and every action come in their turn. */
function next(): Ask {
  const kind = chance()
  if (kind < 0.35) {
    const name = pick([...actionIds.keys()])
    const args = JSON.stringify([misshape(samples[name]?.())])
    return {
      method: 'POST',
      path: pick(['/', '/pieces', '/house', `/pieces/${pieceId}`]),
      headers: { ...origin, 'next-action': actionIds.get(name) ?? '', 'content-type': 'text/plain;charset=UTF-8' },
      body: chance() < 0.9 ? args : args.slice(0, Math.floor(chance() * args.length)),
    }
  }
  if (kind < 0.7) {
    const action = pick([...benchActions, ...awayActions])
    const body = JSON.stringify({ action, typed: misshape(samples[action]?.()) })
    return {
      method: 'POST',
      path: '/api/bench',
      headers: { ...origin, 'content-type': 'application/json' },
      body: chance() < 0.9 ? body : pick([body.slice(0, 20), '', '[', '\u0000', '"'.repeat(1000), '['.repeat(5000)]),
    }
  }
  if (kind < 0.8) {
    const query = new URLSearchParams({ piece: pieceId, moment: 'before', at, alt: 'A top' })
    query.set(pick(['piece', 'moment', 'at', 'alt', 'part', 'step']), String(pick(horrors)).slice(0, 400))
    const bytes = pick([
      Buffer.alloc(0),
      Buffer.from('wax'),
      Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]),
      Buffer.alloc(20_000, 7),
    ])
    return {
      method: 'PUT',
      path: `/api/photos/${chance() < 0.8 ? uuidv7() : pick(odd)}?${query.toString()}`,
      headers: origin,
      body: bytes,
    }
  }
  if (kind < 0.92) {
    const path = pick([
      ...pages,
      ...ofPiece.map((rest) => `/pieces/${pieceId}${rest}`),
      ...apis.filter((each) => each !== '/api/live'),
    ])
    const parts = path.split('/')
    if (chance() < 0.6) parts[Math.max(1, Math.floor(chance() * parts.length))] = pick(odd)
    const search = chance() < 0.5 ? `?${pick(['room', 'show', 'channel', 'after', 'as', 'size', 'since'])}=${pick(odd)}` : ''
    return {
      method: pick(['GET', 'GET', 'GET', 'HEAD', 'POST', 'DELETE', 'OPTIONS']),
      path: `${parts.join('/')}${search}`,
      headers: chance() < 0.5 ? origin : {},
    }
  }
  return {
    method: pick(['GET', 'POST']),
    path: pick([...pages, '/sw.jsfoo', '/icon.svgx', '/_next/staticfoo', '/api/bench']),
    headers: pick<Record<string, string>>([
      { host: 'elsewhere.example', origin: 'http://elsewhere.example' },
      { origin: 'null' },
      { 'next-action': 'f'.repeat(42), ...origin },
      { 'next-router-state-tree': '%5B', rsc: '1', ...cookie },
      { cookie: 'theme=' + 'x'.repeat(3000) },
      { 'x-forwarded-host': 'elsewhere.example' },
    ]),
    body: '',
  }
}

const begun = Date.now()
const counts = new Map<number, number>()
const bad: string[] = []
const brokenAfter: string[] = []
let hangs = 0
let sent = 0
async function worker(): Promise<void> {
  while (sent < wanted && Date.now() - begun < longestMs) {
    sent += 1
    const ask = next()
    const heard = await send(address, ask).catch(() => null)
    if (!heard) {
      hangs += 1
      bad.push(`hang: ${ask.method} ${ask.path.slice(0, 120)}`)
      continue
    }
    counts.set(heard.status, (counts.get(heard.status) ?? 0) + 1)
    if (heard.status >= 500 || /\n\s+at .*\(.*:\d+:\d+\)/.test(heard.text))
      bad.push(`${heard.status}: ${ask.method} ${ask.path.slice(0, 120)} ${String(ask.body ?? '').slice(0, 300)}`)
  }
}
await Promise.all([1, 2, 3, 4].map(() => worker()))

// every page as it was before, of every piece there is now
const all = await own.ask<{ id: string; part: string | null }>(
  `select p.id, (select a.id from part a where a.piece_id = p.id and a.taken_out_at is null and a.kind <> 'whole'
     order by position limit 1) as part from piece p`,
)
const after = [
  ...pages,
  ...all.flatMap(({ id, part: first }) =>
    ['', '/facts', '/money', '/record', '/story', '/way', '/around', ...(first ? [`/part/${first}`, `/find/${first}`] : [])].map(
      (rest) => `/pieces/${id}${rest}`,
    ),
  ),
]
let broken = 0
for (const path of after) {
  const { status } = await send(address, { method: 'GET', path, headers: cookie }).catch(() => ({ status: 0 }))
  if (status !== 200) {
    broken += 1
    brokenAfter.push(`broken afterwards (${status}): ${path}`)
  }
}
await own.end()
const told = [...counts].sort(([a], [b]) => a - b).map(([status, count]) => `${count} × ${status}`)
console.log(
  `${sent} requests in ${Math.round((Date.now() - begun) / 1000)} s: ${told.join(', ')}; ${hangs} hung; ${after.length} pages after, ${broken} broken`,
)
bad.unshift(...brokenAfter)
for (const line of bad.slice(0, 20)) console.error(line)
if (bad.length > 0 || sent < wanted) process.exitCode = 1
process.exit()
