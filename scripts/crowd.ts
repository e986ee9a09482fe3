/**
 * Fifty studios of twenty devices on one server: each device listens for changes, opens pages, writes notes, and reads its page anew when another of its
 * studio wrote, as the app does. Answers against the empty page in the same run, memory and connections from minute to minute, and whether any studio
 * heard another. In the first half minute every process makes its pages, and reads each studio, for the first time: it is told apart.
 * Usage: npm run crowd [MINUTES] [SECONDS between what one device does] [PROCESSES, as many as there are processors], after a build.
 */
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import http from 'node:http'
import { availableParallelism } from 'node:os'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { addAccount, addMembership } from '@/db/account'
import { freshSecret } from '@/db/secret'
import { openSession } from '@/db/session'
import { freePort } from '../e2e/ownServer'
import { ownDatabase } from './ownDatabase'
import { serveApp } from './serveApp'

const minutes = Number(process.argv[2] ?? 3)
const restSeconds = Number(process.argv[3] ?? 240)
const processes = Number(process.argv[4] ?? availableParallelism())
const [studios, perStudio] = [50, 20]
/** the most that is allowed */
const limits = { empty: 5, growth: 1.25 }
const firstMs = 30_000
/** until the last of a studio is told what was written at the end */
const lastMs = 10_000

const database = await ownDatabase('crowd')
const owner = new pg.Client({ connectionString: database.owner('itinerum') })
const { studioId } = await database.fillDemo('itinerum')
await owner.connect()

/** Another studio with all that the demo has, every number its own. */
async function copyStudio(k: number): Promise<string> {
  const { rows } = await owner.query<{ name: string; names: string; values: string }>(
    `select c.relname as name, string_agg(quote_ident(a.attname), ', ' order by a.attnum) as names,
            string_agg(case when a.atttypid = 'uuid'::regtype then format('overlay(overlay(md5(%I::text || $1) placing ''7'' from 13) placing ''8'' from 17)::uuid', a.attname) else quote_ident(a.attname) end,
                       ', ' order by a.attnum) as values
     from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = ''
     where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'
       and c.relname not in ('schema_version', 'code', 'invitation', 'calendar_feed', 'client_link', 'sent', 'week_plan')
     group by 1`,
  )
  await owner.query('begin')
  // what is copied was right where it was
  await owner.query('set local session_replication_role = replica')
  for (const { name, names, values } of rows) {
    const key = name === 'studio' ? 'id' : 'studio_id'
    await owner.query(`insert into ${name} (${names}) select ${values} from ${name} where ${key} = $2`, [String(k), studioId])
  }
  await owner.query('commit')
  return uuid(studioId, k)
}
function uuid(id: string, k: number): string {
  const hex = createHash('md5').update(`${id}${k}`).digest('hex')
  // of a version that is read as one
  return hex.replace(/^(.{8})(.{4}).(.{3}).(.{3})(.{12})$/, '$1-$2-7$3-8$4-$5')
}

interface Device {
  /** a device has connections of its own, as its browser would */
  agent: http.Agent
  studio: number
  cookie: string
  page: string
  /** where the same page is asked for as data alone, as the app's router would */
  again: string
  /** changes it heard of */
  heard: number
}
const pieces = (
  await owner.query<{ id: string }>('select id from piece where studio_id = $1 and ended_at is null order by id', [studioId])
).rows.map(({ id }) => id)
const port = await freePort()
const devices: Device[] = []
for (let k = 0; k < studios; k += 1) {
  const id = await copyStudio(k)
  const person = await owner.query<{ id: string }>('select id from person where studio_id = $1 order by id limit 1', [id])
  const [accountId, membershipId] = [uuidv7(), uuidv7()]
  await addAccount(owner, { id: accountId, name: `crowd ${k}`, password: null })
  await addMembership(owner, { id: membershipId, accountId, studioId: id, personId: person.rows[0]?.id ?? '', role: 'owner' })
  for (let each = 0; each < perStudio; each += 1) {
    const secret = freshSecret()
    await openSession(owner, { id: uuidv7(), secret, studioId: id, membershipId, days: 1 })
    const piece = uuid(pieces[each % pieces.length] ?? '', k)
    const agent = new http.Agent({ keepAlive: true, maxSockets: 6 })
    devices.push({
      agent,
      studio: k,
      cookie: `itinerum-${port}=${secret}`,
      page: each % 2 === 0 ? '/' : `/pieces/${piece}`,
      again: '',
      heard: 0,
    })
  }
}
await owner.query('analyze')

const { address, server } = await serveApp({ app: database.app('itinerum'), door: database.door('itinerum') }, port, processes)
const sleep = (ms: number) => new Promise((wait) => setTimeout(wait, ms))

const spans: { what: 'page' | 'again' | 'write' | 'empty'; at: number; ms: number }[] = []
let failed = 0
/** what was said where something failed, and how often */
const said = new Map<string, number>()
function note(words: string): void {
  failed += 1
  said.set(words, (said.get(words) ?? 0) + 1)
}
let isOver = false
interface Asked {
  headers?: Record<string, string>
  body?: string
}
const ask = (
  { agent, cookie }: Device,
  path: string,
  { headers, body }: Asked = {},
): Promise<{ status: number; text: string; to: string }> =>
  new Promise((resolve, reject) => {
    const method = body === undefined ? 'GET' : 'POST'
    const request = http.request(`${address}${path}`, { agent, method, headers: { cookie, ...headers } }, (response) => {
      const chunks: Buffer[] = []
      response.on('data', (chunk: Buffer) => chunks.push(chunk))
      const status = response.statusCode ?? 0
      const to = response.headers.location ?? ''
      response.on('end', () => resolve({ status, to, text: Buffer.concat(chunks).toString('utf8') }))
      response.on('error', reject)
    })
    request.on('error', reject)
    request.end(body)
  })
async function timed(what: (typeof spans)[number]['what'], device: Device, path: string, asked?: Asked): Promise<void> {
  const begun = performance.now()
  try {
    const { status, text } = await ask(device, path, asked)
    // the empty page is one that there is not
    if (status !== 200 && what !== 'empty') note(`${what} ${status} ${text.slice(0, 80)}`)
  } catch {
    if (isOver) return
    note(`${what} cut off`)
  }
  spans.push({ what, at: begun, ms: performance.now() - begun })
}
const read = (device: Device, what: 'page' | 'again') =>
  timed(what, device, what === 'again' ? device.again : device.page, what === 'again' ? { headers: { rsc: '1' } } : {})
const wrote = new Map<number, number>()
const write = (device: Device) => {
  wrote.set(device.studio, (wrote.get(device.studio) ?? 0) + 1)
  const pieceId = uuid(pieces[0] ?? '', device.studio)
  const typed = { entryId: uuidv7(), pieceId, at: new Date().toISOString(), note: `studio ${device.studio}` }
  return timed('write', device, '/api/bench', {
    headers: { origin: address, 'content-type': 'application/json' },
    body: JSON.stringify({ action: 'addNote', typed }),
  })
}
const stop = new AbortController()
let [refused, listening] = [0, 0]
/** Hears of changes, and reads its page anew after a moment, as the app does. */
async function listen(device: Device): Promise<void> {
  let response = await fetch(`${address}/api/live`, { headers: { cookie: device.cookie }, signal: stop.signal })
  // refused by a crowd, it comes again as the app does
  while (!response.ok) {
    refused += 1
    await sleep(3_000 + Math.random() * 3_000)
    response = await fetch(`${address}/api/live`, { headers: { cookie: device.cookie }, signal: stop.signal })
  }
  listening += 1
  let timer: NodeJS.Timeout | undefined
  const decoder = new TextDecoder()
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    const told = [...decoder.decode(chunk).matchAll(/event: changed\ndata: \S+/g)]
    if (told.length === 0) continue
    device.heard += told.length
    // who is told after the end looks no more
    if (isOver) continue
    timer ??= setTimeout(() => {
      timer = undefined
      if (!isOver) void read(device, 'again')
    }, 250)
  }
}
async function live(device: Device): Promise<void> {
  while (!isOver) {
    // at its own time: waits are spread as those of people are
    await sleep(-Math.log(1 - Math.random()) * restSeconds * 1000)
    if (isOver) return
    await (Math.random() < 0.4 ? write(device) : read(device, 'page'))
  }
}

// a morning: they come within some seconds
const listeners = devices.map(async (device) => {
  await sleep(Math.random() * 15_000)
  // asked for without it, the server says by which sign the data of a page is asked for
  const { to, status } = await ask(device, device.page, { headers: { rsc: '1' } })
  device.again = status === 307 ? to.replace(address, '') : device.page
  await listen(device).catch(() => undefined)
})
while (listening < devices.length) await sleep(200)
await sleep(1_000)
for (const device of devices) device.heard = 0
// one at a time, while nobody does anything: what the same costs without a crowd
for (const each of devices.slice(0, 80)) await read(each, each.page === '/' ? 'page' : 'again')
const aloneMs = spans.splice(0).map(({ ms }) => ms)
const begunAt = performance.now()
void Promise.all(devices.map(live))
/** of the server and of those that it began */
function memory(): number {
  const pids = [server.pid ?? 0, ...childrenOf(server.pid ?? 0)]
  return pids.reduce(
    (mb, pid) => mb + Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? NaN) / 1024,
    0,
  )
}
function childrenOf(pid: number): number[] {
  const own = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean).map(Number)
  return [...own, ...own.flatMap(childrenOf)]
}
const connections = async () =>
  (
    await owner.query<{ n: number }>(
      `select count(*)::int as n from pg_stat_activity where usename like 'itinerum\\_%' and usename <> 'itinerum_owner'`,
    )
  ).rows[0]?.n ?? NaN
const minuteByMinute: { mb: number; connections: number }[] = []
for (let k = 0; k < minutes * 6; k += 1) {
  const [anybody] = devices
  if (anybody) await timed('empty', anybody, '/blank')
  await sleep(10_000)
  if (k % 6 === 5) minuteByMinute.push({ mb: memory(), connections: await connections() })
}
isOver = true
await sleep(2_000)
const isDeaf = ({ studio, heard }: Device) => heard === 0 && wrote.has(studio)
for (let waitedMs = 0; waitedMs < lastMs && devices.some(isDeaf); waitedMs += 200) await sleep(200)
const wasListening = listening
stop.abort()
await Promise.all(listeners)

const [first, then] = [spans.filter((each) => each.at < begunAt + firstMs), spans.filter((each) => each.at >= begunAt + firstMs)]
const sorted = (some: typeof spans) => some.map(({ ms }) => ms).sort((a, b) => a - b)
const of = (what: (typeof spans)[number]['what']) => sorted(then.filter((each) => each.what === what))
const answers = (some: typeof spans) => sorted(some.filter(({ what }) => what !== 'empty'))
const at = (all: readonly number[], share: number) => all[Math.min(all.length - 1, Math.floor(all.length * share))] ?? NaN
const empty = at(of('empty'), 0.5)
const all = answers(then)
const toEmpty = (some: number[]) => (at(some, 0.95) / empty).toFixed(1)
console.log(
  `${studios} studios × ${perStudio} devices, ${processes} processes, ${minutes} min, each doing something every ${restSeconds} s: ${answers(spans).length} answers, ${failed} failed`,
)
for (const what of ['page', 'again', 'write'] as const)
  console.log(
    `${what.padEnd(6)} ${String(of(what).length).padStart(6)} times, median ${at(of(what), 0.5).toFixed(0)} ms, 95 % under ${at(of(what), 0.95).toFixed(0)} ms`,
  )
if (failed > 0) console.log([...said].map(([words, n]) => `${n} × ${words}`).join('\n'))
console.log(
  `alone, the same took ${at(
    aloneMs.sort((a, b) => a - b),
    0.5,
  ).toFixed(0)} ms, 95 % under ${at(aloneMs, 0.95).toFixed(0)} ms`,
)
console.log(`${wasListening} listened, ${refused} times asked to come again`)
console.log(
  `95 % of all under ${toEmpty(all)} × the empty page (${empty.toFixed(0)} ms beside it); of the ${answers(first).length} of the first half minute under ${toEmpty(answers(first))} ×`,
)
console.log(
  `memory ${minuteByMinute.map(({ mb }) => `${mb.toFixed(0)} MB`).join(', ')}; connections ${minuteByMinute.map((each) => each.connections).join(', ')}`,
)
// each write of a studio is told to its own devices, and to no other's
const heardWrong = devices.filter(({ studio, heard }) => heard > 0 && !wrote.has(studio)).length
const deaf = devices.filter(isDeaf).length
console.log(
  `${[...wrote.values()].reduce((sum, n) => sum + n, 0)} writes of ${wrote.size} studios; devices that heard of another studio's: ${heardWrong}, that heard nothing of their own: ${deaf}`,
)
server.kill()
await owner.end()
await database.end()
const growth = (minuteByMinute.at(-1)?.mb ?? NaN) / (minuteByMinute[0]?.mb ?? NaN)
process.exit(
  failed === 0 && heardWrong === 0 && deaf === 0 && at(all, 0.95) <= empty * limits.empty && growth <= limits.growth ? 0 : 1,
)
