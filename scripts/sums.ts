/**
 * What is in every table, as a figure that does not depend on the order of its rows. Usage, with ITINERUM_OWNER_URL set:
 * tsx scripts/sums.ts dump PG_DUMP FILE: dumps into FILE, and into FILE.sums writes what was there at that very moment (one snapshot);
 * tsx scripts/sums.ts compare FILE: tells the tables that hold something else than it says; fails where there is one.
 */
import { spawn } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import type pg from 'pg'
import { z } from 'zod'
import { makeClient, serversOf } from '@/db/server'

const sums = z.record(z.string(), z.object({ rows: z.number(), sum: z.string() }))
type Sums = z.output<typeof sums>

async function sumsOf(client: pg.Client): Promise<Sums> {
  const { rows: tables } = await client.query<{ name: string; as: string }>(
    `select c.oid::regclass::text as name,
            -- bytes are told by a digest: written out they would take twice their room
            'concat_ws(chr(31), ' || string_agg(case when a.atttypid = 'bytea'::regtype then format('md5(%1$I)', a.attname)
                else format('coalesce(%1$I::text, chr(30))', a.attname) end, ', ' order by a.attnum) || ')' as "as"
     from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
     where c.relkind = 'r' and c.relnamespace in ('public'::regnamespace, 'door'::regnamespace) group by c.oid order by 1`,
  )
  const all: Sums = {}
  for (const { name, as } of tables) {
    const { rows } = await client.query<{ rows: number; sum: string }>(
      `select count(*)::int as rows, coalesce(sum(hashtextextended(${as}, 0)::numeric), 0)::text as sum from ${name}`,
    )
    if (rows[0]) all[name] = rows[0]
  }
  return all
}

const [what, ...rest] = process.argv.slice(2)
const url = process.env.ITINERUM_OWNER_URL
if (!url) throw new Error('ITINERUM_OWNER_URL must be set')
// what a row says depends on how moments are written
const client = makeClient(url, { options: '-c TimeZone=UTC -c DateStyle=ISO -c extra_float_digits=1' })
await client.connect()
try {
  await client.query('begin isolation level repeatable read read only')
  if (what === 'dump') {
    const [tool = '', file = ''] = rest
    const { rows } = await client.query<{ id: string }>('select pg_export_snapshot() as id')
    // by the server that this snapshot is of
    const { host, port } = client
    const { username, password, pathname } = new URL(serversOf(url)[0] ?? '')
    const dumped = new Promise<void>((done, failed) => {
      const words = ['-h', host, '-p', String(port), '-U', username, '-Fc', `--snapshot=${rows[0]?.id ?? ''}`, '-f', file]
      spawn(tool, [...words, pathname.slice(1)], { env: { ...process.env, PGPASSWORD: password }, stdio: 'inherit' })
        .on('error', failed)
        .on('exit', (code) => (code === 0 ? done() : failed(new Error(`pg_dump ended with ${code}`))))
    })
    const [found] = await Promise.all([sumsOf(client), dumped])
    writeFileSync(`${file}.sums`, JSON.stringify(found, null, 1), { mode: 0o600 })
  } else {
    const wanted = sums.parse(JSON.parse(readFileSync(rest[0] ?? '', 'utf8')))
    const found = await sumsOf(client)
    const names = [...new Set([...Object.keys(wanted), ...Object.keys(found)])].sort()
    const other = names.filter((name) => JSON.stringify(wanted[name]) !== JSON.stringify(found[name]))
    for (const name of other)
      console.error(
        `${name}: ${wanted[name]?.rows ?? 'no'} rows were backed up, ${found[name]?.rows ?? 'no'} are here${wanted[name]?.rows === found[name]?.rows ? ', and they say something else' : ''}`,
      )
    if (other.length > 0) process.exitCode = 1
  }
} finally {
  await client.end()
}
