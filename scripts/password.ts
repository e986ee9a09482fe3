/**
 * Makes an address by which somebody who forgot their password chooses a new one; prints its secret. For whoever runs the machine: the
 * owner of a studio makes one for its people in the app. Usage: tsx scripts/password.ts NAME [--without-codes], with ITINERUM_OWNER_URL.
 */
import pg from 'pg'
import { addPasswordKey, findAccount } from '@/db/account'
import { endSecondFactor } from '@/db/secondFactor'
import { freshSecret } from '@/db/secret'

const [name = '', without = ''] = process.argv.slice(2)
const url = process.env.ITINERUM_OWNER_URL
if (!url) throw new Error('ITINERUM_OWNER_URL must be set')
const hours = 24

const client = new pg.Client({ connectionString: url })
await client.connect()
try {
  const account = await findAccount(client, name)
  if (!account) {
    const { rows } = await client.query<{ name: string }>('select name from door.account where not is_demo order by name')
    console.error(`Nobody signs in as “${name}”. These do: ${rows.map((each) => each.name).join(', ') || 'nobody yet'}.`)
    process.exitCode = 1
  } else {
    const secret = freshSecret()
    if (without === '--without-codes') await endSecondFactor(client, account.id)
    await addPasswordKey(client, account.id, secret, hours)
    console.log(secret)
  }
} finally {
  await client.end()
}
