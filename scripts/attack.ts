/**
 * Malformed requests over every route and every action of a server of its own, loopback alone, bounded in count and time. Fails
 * on any 500, on anything that hangs, and on any page that is broken afterwards. Usage: npm run attack [COUNT] [SEED], after a
 * build (`./itinerum test types` makes none: run `./itinerum demo` once).
 */
import { readFileSync } from 'node:fs'
import { request } from 'node:http'
import { v7 as uuidv7 } from 'uuid'
import { benchActions } from '@/core/input/bench'
import { ownServer } from '../e2e/ownServer'

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
const [ids] = await own.ask<{
  piece: string
  part: string
  step: string
  entry: string
  product: string
  lot: string
  channel: string
}>(
  `select p.id as piece, a.id as part, s.id as step, e.id as entry, r.id as product, l.id as lot, c.id as channel
   from piece p join part a on a.piece_id = p.id join step s on s.part_id = a.id join entry e on e.piece_id = p.id and e.kind = 'note',
        lot l join product r on r.id = l.product_id, channel c
   where p.ended_at is null limit 1`,
)
if (!ids) throw new Error('the demo has no piece with a plan and a note')
const { piece: pieceId, part: partId, step: stepId } = ids
const at = new Date().toISOString()
const today = at.slice(0, 10)
const onStep = () => ({ entryId: uuidv7(), pieceId, partId, stepId, at })
const face = { id: uuidv7(), shape: 'panel', relief: 'flat', count: '1', width: '50', height: '40' }
const part = () => ({
  id: uuidv7(),
  name: 'Top',
  kind: 'top',
  count: '1',
  substrate: 'close-grained',
  existing: 'varnish',
  lead: 'unknown',
  use: 'light',
  bleeds: false,
  knots: '',
  surfaces: [{ ...face, id: uuidv7() }],
})
const facts = {
  name: 'Bench',
  source: 'auction',
  sourceNote: '',
  client: '',
  promisedOn: today,
  expected: '120',
  condition: '',
  roomId: '',
}
const wish = { look: 'smooth-solid', with: [], paint: 'clay', colours: { a: { name: 'Ferry Slate', hex: '#3d5661' } } }

/** A good body for every action, by its name: what is missing here is missed by the attack, and that is an error. */
const samples: Record<string, () => unknown> = {
  startStep: onStep,
  pauseStep: onStep,
  resumeStep: onStep,
  endStep: () => ({ ...onStep(), minutes: '20' }),
  leaveOutStep: () => ({ ...onStep(), note: '' }),
  helpStep: () => ({ ...onStep(), minutes: '15' }),
  checkStep: () => ({ ...onStep(), checkCode: 'dry', result: 'pass' }),
  seeDry: () => ({ ...onStep(), result: 'dry' }),
  setAssist: () => ({ entryId: uuidv7(), pieceId, partId, at, assist: 'fan', on: true }),
  logCoat: () => ({
    ...onStep(),
    productId: ids.product,
    lotId: ids.lot,
    batchId: '',
    family: 'clay',
    mix: '',
    amount: '5',
    applicator: '',
    film: 'normal',
    sheen: '',
    place: '',
    temperature: '20',
    humidity: '50',
    note: '',
  }),
  mixBatch: () => ({
    ...onStep(),
    family: 'clay',
    productId: ids.product,
    lotId: '',
    mix: 'paint : water 1 : 1',
    volume: '10',
    from: [{ productId: ids.product, lotId: '' }],
    stepIds: [stepId],
  }),
  mendPart: () => ({
    planId: uuidv7(),
    entryId: uuidv7(),
    pieceId,
    partId,
    stepIds: Array.from({ length: 40 }, () => uuidv7()),
    at,
    remedy: 'runs',
    severity: 'slight',
    spot: 4,
    mark: null,
    failed: null,
    note: '',
  }),
  addCost: () => ({ entryId: uuidv7(), pieceId, at, costKind: 'other', money: '1.20', note: '' }),
  addNote: () => ({ entryId: uuidv7(), pieceId, at, note: 'Seen.' }),
  addAirReading: () => ({ id: uuidv7(), at, roomId: '', temperature: '20', humidity: '50' }),
  correctEntry: () => ({
    entryId: uuidv7(),
    corrects: ids.entry,
    pieceId,
    at: `${today}T10:00`,
    minutes: '',
    productId: '',
    mix: '',
    amount: '',
    applicator: '',
    film: '',
    costKind: '',
    money: '',
    fees: '',
    channelId: '',
    note: 'Put right.',
  }),
  strikeEntry: () => ({ entryId: uuidv7(), corrects: uuidv7(), pieceId, at }),
  takeIn: () => ({
    id: uuidv7(),
    boughtEntryId: uuidv7(),
    fetchingEntryId: uuidv7(),
    takenInOn: today,
    bought: '10',
    fetching: '',
    ...facts,
    parts: [part()],
  }),
  amendPiece: () => ({ pieceId, entryId: uuidv7(), ...facts }),
  planPart: () => ({
    planId: uuidv7(),
    partId,
    pieceId,
    stepIds: Array.from({ length: 60 }, () => uuidv7()),
    at,
    ...wish,
    seal: '',
    departures: {},
    order: [0, 1, 2],
  }),
  keepFindings: () => ({
    entryId: uuidv7(),
    pieceId,
    partId,
    at,
    tests: { look: 'shiny-wood' },
    signs: { age: 'old' },
    existing: '',
  }),
  keepRecipe: () => ({ id: uuidv7(), at, name: 'Kept', wish: { ...wish, departures: {} } }),
  addPartToPiece: () => ({ pieceId, part: part() }),
  changePartFacts: () => ({ entryId: uuidv7(), pieceId, at, part: { ...part(), id: partId } }),
  takePart: () => ({ entryId: uuidv7(), pieceId, partId, at, back: false, note: '' }),
  splitPiece: () => ({ pieceId, newPieceId: uuidv7(), at, name: 'One of', leaving: [{ partId, count: '1' }] }),
  listForSale: () => ({ entryId: uuidv7(), pieceId, channelId: ids.channel, price: '100', on: today, note: '', despite: [] }),
  endPiece: () => ({
    entryId: uuidv7(),
    pieceId,
    outcome: 'kept',
    channelId: '',
    price: '',
    fees: '',
    on: today,
    note: '',
    despite: [],
  }),
  changeStudio: () => ({
    name: 'Loft',
    currency: 'GBP',
    zone: 'Europe/London',
    locale: 'en-GB',
    units: 'metric',
    hourRate: '18',
    overheadRate: '1',
    taxMode: 'none',
    taxShare: '0',
    wishKind: 'earnedRate',
    wishValue: '20',
    haggleShare: '10',
    priceStep: '5',
    worksFrom: '09:00',
    worksTo: '17:00',
    worksDays: ['1', '2'],
  }),
  keepMethod: () => ({
    key: 'scuff',
    between: 'smooth',
    topcoat: 'by-look',
    layers: 'apart',
    distress: 'damp',
    waxRest: 'hour',
    cleaner: 'soap',
    fullUse: '30',
  }),
  keepChannel: () => ({ id: uuidv7(), name: 'Booth', feeShare: '10', feeFixed: '' }),
  keepProduct: () => ({
    id: uuidv7(),
    name: 'Jar',
    family: 'clay',
    colourName: '',
    colourHex: '',
    size: '500',
    measure: 'ml',
    price: '20',
    lotId: uuidv7(),
    code: '',
    at,
  }),
  buyLot: () => ({ id: uuidv7(), productId: ids.product, code: '', size: '500', measure: 'ml', price: '20', at }),
  emptyTin: () => ({ id: uuidv7(), at, back: false }),
  keepRoom: () => ({ id: uuidv7(), name: 'Room', sensor: '' }),
  takeDryingFigure: () => ({ id: uuidv7(), family: 'clay', at, back: true }),
  makeCalendar: () => ({ id: uuidv7(), at, token: 'ab'.repeat(24) }),
  revokeCalendar: () => ({ id: uuidv7(), at }),
}

interface Manifest {
  node: Record<string, { exportedName?: string; workers: Record<string, { exportedName?: string }> }>
}
const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as Manifest
const actionIds = new Map<string, string>()
for (const [id, { exportedName, workers }] of Object.entries(manifest.node)) {
  const name = exportedName ?? Object.values(workers)[0]?.exportedName
  if (name) actionIds.set(name, id)
}
const missed = [...actionIds.keys(), ...benchActions].filter((name) => !(name in samples))
if (missed.length > 0) throw new Error(`the attack knows no body for: ${missed.join(', ')}`)
if (actionIds.size === 0) throw new Error('the build names no actions: was it made by another version?')

const origin = { origin: address }
const pages = ['/', '/pieces', '/pieces/new', '/shelf', '/house', '/air', '/learned', '/blank']
const ofPiece = [
  '',
  '/facts',
  '/money',
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
  `/api/photos/${uuidv7()}`,
  '/api/calendar/0.ics',
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
    const action = pick(benchActions)
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
      { 'next-router-state-tree': '%5B', rsc: '1' },
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
  'select p.id, (select a.id from part a where a.piece_id = p.id and a.taken_out_at is null order by position limit 1) as part from piece p',
)
const after = [
  ...pages,
  ...all.flatMap(({ id, part: first }) =>
    ['', '/facts', '/money', '/record', '/story', '/way', ...(first ? [`/part/${first}`, `/find/${first}`] : [])].map(
      (rest) => `/pieces/${id}${rest}`,
    ),
  ),
]
let broken = 0
for (const path of after) {
  const { status } = await send(address, { method: 'GET', path }).catch(() => ({ status: 0 }))
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
