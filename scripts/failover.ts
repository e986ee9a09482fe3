/**
 * Fail-over, tried: two servers of the app on a primary with a synchronous standby, writes in flight from many devices, the primary killed, the standby
 * promoted. Each device sends again, under the same number, what was not acknowledged. Counts what was lost and what is there twice.
 * Usage: npm run failover [WRITES], after a build (./itinerum demo makes one).
 */
import { type ChildProcess, execFile } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { v7 as uuidv7 } from 'uuid'
import { makeClient } from '@/db/server'
import { comeIn, cookieHeader } from './comeIn'
import { serveApp } from './serveApp'

const run = promisify(execFile)
const writes = Number(process.argv[2] ?? 500)
/** so many send at once */
const devices = 20
const scratch = mkdtempSync(join(tmpdir(), 'itinerum-failover-'))
await run('chmod', ['755', scratch])
const folder = join(scratch, 'pair')
const standby = async (verb: string) => (await run('bash', ['scripts/standby.sh', folder, verb])).stdout.trim()
const sleep = (ms: number) => new Promise((wait) => setTimeout(wait, ms))
interface Answered {
  ok?: true
  issue?: string
}
const servers: ChildProcess[] = []
try {
  const url = await standby('up')
  const as = (role: string, secret: string) => url.replace(/\/\/[^@]*@/, `//${role}:${secret}@`)
  const [app, door] = [uuidv7(), uuidv7()]
  await run('node_modules/.bin/tsx', ['scripts/prepare.ts', 'demo'], {
    env: { ...process.env, ITINERUM_OWNER_URL: url, ITINERUM_APP_SECRET: app, ITINERUM_DOOR_SECRET: door },
  })
  const served = await Promise.all([1, 2].map(() => serveApp({ app: as('itinerum_app', app), door: as('itinerum_door', door) })))
  servers.push(...served.map(({ server }) => server))
  const addresses = served.map(({ address }) => address)
  // a cookie is its server's own
  const cookies = await Promise.all(addresses.map(async (address) => cookieHeader(await comeIn(address))))
  const owner = makeClient(url)
  await owner.connect()
  const { rows } = await owner.query<{ id: string }>('select id from piece where ended_at is null limit 1')
  await owner.end().catch(() => undefined)
  const pieceId = rows[0]?.id ?? ''

  /** What is written by one server is heard at the other; after how long, ms. */
  async function hears(): Promise<number> {
    const line = await fetch(`${addresses[0] ?? ''}/api/live`, { headers: cookies[0] ?? {}, signal: AbortSignal.timeout(20_000) })
    const reader = line.body?.getReader()
    const began = performance.now()
    await send(uuidv7(), 1)
    let text = ''
    while (!text.includes('event: changed')) {
      const more = await reader?.read()
      if (!more || more.done) throw new Error('the other server heard nothing')
      text += new TextDecoder().decode(more.value)
    }
    await reader?.cancel()
    return performance.now() - began
  }
  const acknowledged = new Set<string>()
  /** why a sending was not acknowledged, and how often */
  const said = new Map<string, number>()
  const waitsMs: number[] = []
  let sendings = 0
  /** Sends one note until it is acknowledged, now to the one server, now to the other. */
  async function send(entryId: string, first: number): Promise<void> {
    const began = performance.now()
    const body = JSON.stringify({ action: 'addNote', typed: { entryId, pieceId, at: new Date().toISOString(), note: entryId } })
    for (let attempt = 0; ; attempt += 1) {
      const at = (first + attempt) % 2
      const address = addresses[at] ?? ''
      sendings += 1
      const answer = await fetch(`${address}/api/bench`, {
        method: 'POST',
        headers: { ...cookies[at], origin: address, 'content-type': 'application/json' },
        body,
        signal: AbortSignal.timeout(10_000),
      }).then(
        async (response): Promise<Answered> =>
          (await response.json().catch(() => ({ issue: `no words, ${response.status}` }))) as Answered,
        (): Answered => ({ issue: 'unreachable' }),
      )
      if (answer.ok) break
      said.set(answer.issue ?? '', (said.get(answer.issue ?? '') ?? 0) + 1)
      if (performance.now() - began > 120_000) throw new Error(`never acknowledged: ${answer.issue ?? ''}`)
      await sleep(200)
    }
    acknowledged.add(entryId)
    waitsMs.push(performance.now() - began)
  }
  const heardMs = await hears()
  acknowledged.clear()
  const ids = Array.from({ length: writes }, () => uuidv7())
  let next = 0
  let before = 0
  const work = Promise.all(
    Array.from({ length: devices }, async (_, device) => {
      for (let id = ids[next++]; id !== undefined; id = ids[next++]) await send(id, device)
    }),
  )
  while (acknowledged.size < writes * 0.4) await sleep(5)
  before = acknowledged.size
  const known = [...acknowledged]
  await standby('kill')
  const killed = performance.now()
  await standby('promote')
  const promoted = performance.now()
  while (acknowledged.size === before) await sleep(5)
  const servedAgain = performance.now()
  await work
  const found = makeClient(url.replace(/@[^,]*,/, '@'))
  await found.connect()
  const there = await found.query<{ note: string; n: number }>(
    `select note, count(*)::int as n from entry where piece_id = $1 and kind = 'note' and note = any ($2) group by 1`,
    [pieceId, ids],
  )
  await found.end()
  const lost = ids.filter((id) => !there.rows.some(({ note }) => note === id))
  const twice = there.rows.filter(({ n }) => n > 1)
  const s = (ms: number) => `${(ms / 1000).toFixed(1)} s`
  console.log(
    `${writes} writes of ${devices} devices over two servers, ${sendings} sendings; ${before} acknowledged when the primary was killed (${known.filter((id) => lost.includes(id)).length} of those lost)`,
  )
  console.log(`heard at the other server after ${heardMs.toFixed(0)} ms before, ${(await hears()).toFixed(0)} ms after it`)
  console.log(`not acknowledged at first: ${[...said].map(([issue, n]) => `${issue} ${n}`).join(', ') || 'none'}`)
  console.log(
    `lost: ${lost.length}, twice: ${twice.length}; promoted ${s(promoted - killed)} after, serving again by itself ${s(servedAgain - killed)} after; longest wait ${s(Math.max(...waitsMs))}`,
  )
  if (lost.length > 0 || twice.length > 0 || servedAgain - killed > 60_000) process.exitCode = 1
} finally {
  for (const server of servers) server.kill('SIGKILL')
  await standby('down').catch(() => undefined)
  rmSync(scratch, { recursive: true, force: true })
}
