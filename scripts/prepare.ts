/**
 * Brings a database ready for serving: migrates it, lets the application's role in, and sees that there is a studio.
 * Usage: tsx scripts/prepare.ts demo|own|none. Prints the studio's id on its last line.
 */
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { findUnknownCodes, keepCodes } from '@/db/codes'
import { migrate } from '@/db/migrate'
import { types } from '@/db/pool'
import { loadDemo } from '../demo/load'

const kind = process.argv[2] ?? 'own'
const url = process.env.ITINERUM_OWNER_URL
const secret = process.env.ITINERUM_APP_SECRET
if (!url || !secret) throw new Error('ITINERUM_OWNER_URL and ITINERUM_APP_SECRET must be set')

const applied = await migrate(url)
if (applied.length > 0) console.log(`Migrated: ${applied.join(', ')}`)

const client = new pg.Client({ connectionString: url, types })
await client.connect()
try {
  await keepCodes(client)
  const unknown = await findUnknownCodes(client)
  for (const { table, column, id, code } of unknown)
    console.error(`${table} ${id}: its ${column} says “${code}”, which this version does not know.`)
  if (unknown.length > 0)
    throw new Error('The rows above can’t be read by this version. Run the version that wrote them, or put them right by hand.')
  await client.query(`alter role itinerum_app login password ${client.escapeLiteral(secret)}`)
  if (kind === 'demo') await loadDemo(client, new Date())
  if (kind === 'own') {
    await client.query(
      `insert into studio (id, name, currency, zone, units, hour_rate, overhead_rate, tax_mode, tax_share, wish_kind,
                           wish_value, haggle_share, price_step)
       select $1, 'Our workshop', 'GBP', $2, 'metric', 1800, 150, 'none', 0, 'earnedRate', 1800, 0.1, 500
       where not exists (select from studio)`,
      [uuidv7(), Intl.DateTimeFormat().resolvedOptions().timeZone],
    )
  }
  // what was just loaded or restored is known to the planner before the first page is asked for
  await client.query('analyze')
  const { rows } = await client.query<{ id: string }>('select id from studio order by created_at, id limit 1')
  console.log(rows[0]?.id ?? '')
} finally {
  await client.end()
}
