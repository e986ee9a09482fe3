/** What a studio asks of everybody who comes in. Asked by the door's own role alone. */
import * as z from 'zod'
import type { StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { one, query } from './rows'

const ruleRow = z.object({ asksCodes: z.boolean(), without: z.number() })
export type HouseRule = z.output<typeof ruleRow>
const ruleOf = query(
  'what a studio asks at its door',
  ruleRow,
  `select coalesce((select asks_codes from door.house_rule where studio_id = $1), false) as "asksCodes",
          (select count(*)::int from door.membership m join door.account a on a.id = m.account_id
           where m.studio_id = $1 and m.ended_at is null and a.second_factor is null) as without`,
)
/** Whether a code is asked of everybody, and how many have none yet. */
export const findHouseRule = (client: Client, studioId: StudioId): Promise<HouseRule> => one(client, ruleOf, [studioId])
export async function saveHouseRule(client: Client, studioId: StudioId, asksCodes: boolean): Promise<void> {
  await client.query(
    `insert into door.house_rule (studio_id, asks_codes) values ($1, $2)
     on conflict (studio_id) do update set asks_codes = excluded.asks_codes`,
    [studioId, asksCodes],
  )
}
