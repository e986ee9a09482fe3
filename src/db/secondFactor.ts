/** What is asked for beside a password: figures of the minute from an app, or a printed code. Asked by the door's own role alone. */
import * as z from 'zod'
import type { Client } from './pool'
import { one, query } from './rows'
import { digestOfSecret } from './secret'

/** From now on figures made by this secret are asked for, later ones than those of `step`; false where another one's are already. */
export async function beginSecondFactor(client: Client, accountId: string, secret: string, step: number): Promise<boolean> {
  const { rowCount } = await client.query(
    'update door.account set second_factor = $2, last_step = $3 where id = $1 and second_factor is null',
    [accountId, secret, step],
  )
  return rowCount === 1
}
/** No figures are asked for any more; its printed codes end with it. */
export async function endSecondFactor(client: Client, accountId: string): Promise<void> {
  await client.query('update door.account set second_factor = null, last_step = null where id = $1', [accountId])
  await replaceCodes(client, accountId)
}
/** Takes a step of the clock up, by whoever is first; false where it, or a later one, was used. */
export async function takeStep(client: Client, accountId: string, step: number): Promise<boolean> {
  const { rowCount } = await client.query(
    'update door.account set last_step = $2 where id = $1 and (last_step is null or last_step < $2)',
    [accountId, step],
  )
  return rowCount === 1
}

/** Codes to print, in place of those before. */
export async function addRecoveryCodes(client: Client, accountId: string, codes: readonly string[]): Promise<void> {
  await replaceCodes(client, accountId)
  await client.query('insert into door.recovery_code (digest, account_id) select unnest($1::bytea[]), $2', [
    codes.map(digestOfSecret),
    accountId,
  ])
}
async function replaceCodes(client: Client, accountId: string): Promise<void> {
  await client.query(
    'update door.recovery_code set used_at = now(), is_replaced = true where account_id = $1 and used_at is null',
    [accountId],
  )
}
/** Takes a printed code up, by whoever is first; false for everybody else. */
export async function takeRecoveryCode(client: Client, accountId: string, code: string): Promise<boolean> {
  const { rowCount } = await client.query(
    'update door.recovery_code set used_at = now() where account_id = $1 and digest = $2 and used_at is null',
    [accountId, digestOfSecret(code)],
  )
  return rowCount === 1
}
const factorRow = z.object({ isOn: z.boolean(), left: z.number() })
const ownFactor = query(
  'a second factor',
  factorRow,
  `select a.second_factor is not null as "isOn",
          (select count(*)::int from door.recovery_code c where c.account_id = a.id and c.used_at is null) as left
   from door.account a where a.id = $1`,
)
/** Whether figures are asked for, and how many printed codes are left. */
export const findFactor = (client: Client, accountId: string): Promise<z.output<typeof factorRow>> =>
  one(client, ownFactor, [accountId])
