/**
 * Every page of a small studio (the demo) and of a large one, in one run on two databases of one cluster: answer against the
 * empty page, large against small, statements, blocks read, bytes of HTML and of script. Fails past the limits below.
 * Usage: npm run bench:scale [ROUNDS], after a build.
 */
import type { ChildProcess } from 'node:child_process'
import { gzipSync } from 'node:zlib'
import pg from 'pg'
import { comeIn, type Cookie, cookieHeader } from './comeIn'
import { ownDatabase } from './ownDatabase'
import { growStudio } from './scaleStudio'
import { serveApp } from './serveApp'

const rounds = Number(process.argv[2] ?? 20)
/** the most that is allowed: large ÷ small, large ÷ empty page, kB of script gzipped, kB of a piece's HTML */
const limits = { growth: 1.2, empty: 3, readOnlyScript: 160, benchScript: 240, pieceHtml: 80 }
/** pages that are read, not written on */
const readOnly = new Set(['record', 'story', 'way', 'pieces', 'learned'])

const database = await ownDatabase(
  'scale',
  '-c fsync=off -c synchronous_commit=off -c shared_preload_libraries=pg_stat_statements -c shared_buffers=256MB',
)
const asOwner = async (name: string) => {
  const client = new pg.Client({ connectionString: database.owner(name) })
  await client.connect()
  return client
}
interface Studio {
  name: 'small' | 'large'
  address: string
  cookie: Cookie
  owner: pg.Client
  server: ChildProcess
  pieces: Record<string, string>
}

async function serve(name: 'small' | 'large'): Promise<Studio> {
  const root = await asOwner('postgres')
  await root.query(`create database ${name}`)
  await root.end()
  const { studioId } = await database.fillDemo(name)
  const owner = await asOwner(name)
  await owner.query('create extension pg_stat_statements')
  if (name === 'large') await growStudio(owner, studioId)
  await owner.query('vacuum analyze')
  const { address, server } = await serveApp({ app: database.app(name), door: database.door(name) })
  const { rows } = await owner.query<{ name: string; id: string; part: string }>(
    `select p.name, p.id, a.id as part from piece p join part a on a.piece_id = p.id and a.position = 0
     where p.name in ('Washstand with a splashback', 'Hall settle')`,
  )
  const piece = rows.find((row) => row.name.startsWith('Washstand')) ?? rows[0]
  if (!piece) throw new Error('the demo has no washstand')
  return { name, address, cookie: await comeIn(address), owner, server, pieces: { piece: piece.id, part: piece.part } }
}
const studios = [await serve('small'), await serve('large')] as const
const [small, large] = studios
const facts = await large.owner.query<{ words: string }>(
  `select format('%s pieces, %s under way, %s log lines, %s photographs, %s tins, %s readings', (select count(*) from piece),
     (select count(*) from piece where ended_at is null), (select count(*) from entry), (select count(*) from photo),
     (select count(*) from lot), (select count(*) from reading)) as words`,
)
console.log(`the large studio: ${facts.rows[0]?.words}`)

const pathsOf = ({ pieces }: Studio): Record<string, string> => ({
  empty: '/blank',
  bench: '/',
  pieces: '/pieces',
  shelf: '/shelf',
  buy: '/shelf/buy',
  count: '/shelf/count',
  house: '/house',
  air: '/air',
  learned: '/learned',
  earned: '/learned/earned',
  kerb: '/kerb',
  week: '/week',
  sheet: '/week/sheet',
  intake: '/pieces/new',
  piece: `/pieces/${pieces.piece}`,
  money: `/pieces/${pieces.piece}/money`,
  offer: `/pieces/${pieces.piece}/offer`,
  way: `/pieces/${pieces.piece}/way`,
  story: `/pieces/${pieces.piece}/story`,
  record: `/pieces/${pieces.piece}/record`,
  plan: `/pieces/${pieces.piece}/plan/${pieces.part}`,
  find: `/pieces/${pieces.piece}/find/${pieces.part}`,
  facts: `/pieces/${pieces.piece}/facts`,
  part: `/pieces/${pieces.piece}/part/${pieces.part}`,
})
const names = Object.keys(pathsOf(small))

async function answer(studio: Studio, name: string): Promise<string> {
  const path = pathsOf(studio)[name] ?? ''
  const response = await fetch(`${studio.address}${path}`, { headers: cookieHeader(studio.cookie) })
  const body = await response.text()
  if (!response.ok) throw new Error(`${studio.name} ${path} answered ${response.status}`)
  return body
}

/** Statements of one page, and the blocks of 8 kB they read, from memory or disk: what grows with the data grows here. */
async function cost(studio: Studio, name: string): Promise<{ statements: number; blocks: number }> {
  const read = async () => {
    const { rows } = await studio.owner.query<{ calls: string; blocks: string }>(
      `select sum(calls) as calls, sum(shared_blks_hit + shared_blks_read) as blocks
       from pg_stat_statements s join pg_roles r on r.oid = s.userid
       where r.rolname in ('itinerum_app', 'itinerum_door') and s.dbid = (select oid from pg_database where datname = current_database())`,
    )
    return { calls: Number(rows[0]?.calls ?? 0), blocks: Number(rows[0]?.blocks ?? 0) }
  }
  const before = await read()
  await answer(studio, name)
  // the layout and the page read side by side; the last of it is counted when its transaction has ended
  await new Promise((wait) => setTimeout(wait, 100))
  const after = await read()
  return { statements: after.calls - before.calls, blocks: after.blocks - before.blocks }
}

// whoever has a page open hears of changes, here as in a browser
const heard = new AbortController()
for (const { address, cookie } of studios)
  await fetch(`${address}/api/live`, { headers: cookieHeader(cookie), signal: heard.signal })

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN
const spans = new Map<string, number[]>()
for (let round = -4; round < rounds; round += 1)
  for (const name of names)
    for (const studio of studios) {
      const begun = performance.now()
      await answer(studio, name)
      if (round >= 0)
        spans.set(`${studio.name} ${name}`, [...(spans.get(`${studio.name} ${name}`) ?? []), performance.now() - begun])
    }

const scripts = new Map<string, number>()
async function scriptBytes(html: string): Promise<number> {
  const sources = [
    ...new Set(
      // what is marked for browsers without modules is fetched by none of today's
      [...html.matchAll(/<script[^>]+src="([^"]+)"[^>]*>/g)].flatMap(([tag, src]) => (/nomodule/i.test(tag) ? [] : [src ?? ''])),
    ),
  ]
  let sum = 0
  for (const src of sources) {
    if (!scripts.has(src))
      scripts.set(src, gzipSync(Buffer.from(await (await fetch(`${large.address}${src}`)).arrayBuffer())).length)
    sum += scripts.get(src) ?? 0
  }
  return sum
}

const over: string[] = []
const empty = median(spans.get('large empty') ?? [])
console.log('page        large ms   ÷ empty   ÷ small   statements     blocks (small → large)   HTML kB   script kB gz')
for (const name of names) {
  const [s, l] = [median(spans.get(`small ${name}`) ?? []), median(spans.get(`large ${name}`) ?? [])]
  const html = await answer(large, name)
  const [before, after] = [await cost(small, name), await cost(large, name)]
  const script = (await scriptBytes(html)) / 1000
  const kilobytes = Buffer.byteLength(html) / 1000
  const growth = l / s
  const of = l / empty
  console.log(
    `${name.padEnd(10)} ${l.toFixed(1).padStart(9)} ${of.toFixed(2).padStart(9)} ${growth.toFixed(2).padStart(9)} ${String(after.statements).padStart(12)} ${`${before.blocks} → ${after.blocks}`.padStart(26)} ${kilobytes.toFixed(0).padStart(9)} ${script.toFixed(0).padStart(12)}`,
  )
  if (growth > limits.growth) over.push(`${name}: large ÷ small ${growth.toFixed(2)} above ${limits.growth}`)
  if (of > limits.empty) over.push(`${name}: ${of.toFixed(2)} × the empty page, above ${limits.empty}`)
  if (readOnly.has(name) && script > limits.readOnlyScript)
    over.push(`${name}: ${script.toFixed(0)} kB of script above ${limits.readOnlyScript}`)
  if (name === 'bench' && script > limits.benchScript)
    over.push(`bench: ${script.toFixed(0)} kB of script above ${limits.benchScript}`)
  if (name === 'piece' && kilobytes > limits.pieceHtml)
    over.push(`a piece: ${kilobytes.toFixed(0)} kB of HTML above ${limits.pieceHtml}`)
}
heard.abort()
for (const { server, owner } of studios) {
  server.kill()
  await owner.end()
}
await database.end()
for (const line of over) console.error(line)
process.exit(over.length > 0 ? 1 : 0)
