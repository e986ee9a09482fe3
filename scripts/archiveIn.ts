/**
 * Takes an archive of a studio into a database where there is nothing yet. Usage: ITINERUM_OWNER_URL=… tsx scripts/archiveIn.ts FILE [NAME]; NAME: whose hands
 * the first owner's are. Names every fault of a damaged one and leaves the database for its caller to throw away. Prints what came in.
 */
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { takeIn } from '@/db/archiveIn'
import { addInvitation } from '@/db/invitation'
import { types } from '@/db/pool'
import { freshSecret } from '@/db/secret'
import { faultSentence } from '@/words/archive'

const [file, name] = process.argv.slice(2)
const url = process.env.ITINERUM_OWNER_URL
if (!file || !url) throw new Error('say which file, and ITINERUM_OWNER_URL')
const taken = await takeIn(url, file)
if ('faults' in taken) {
  for (const fault of taken.faults) console.error(`  ${faultSentence(fault)}`)
  console.error(`${taken.faults.length === 1 ? 'One fault' : `${taken.faults.length} faults`}; nothing was taken in.`)
  process.exit(1)
}
const client = new pg.Client({ connectionString: url, types })
await client.connect()
try {
  const { rows: people } = await client.query<{ id: string; name: string }>('select id, name from person order by name, id')
  const hands = name === undefined ? (people.length === 1 ? people[0] : undefined) : people.find((each) => each.name === name)
  if (name !== undefined && !hands) {
    console.error(`Nobody in it is called ${name}. There are: ${people.map((each) => each.name).join(', ')}.`)
    process.exit(1)
  }
  // who owns it is asked for at the first start, as those hands
  const link = { id: uuidv7(), secret: freshSecret(), role: 'owner' as const, personId: hands?.id ?? null, hours: 72 }
  await addInvitation(client, taken.studioId, link)
  console.log(`${taken.rows} rows of ${taken.tables} tables, ${taken.photographs} pictures`)
} finally {
  await client.end()
}
