/** What coats took lately, against what was planned for them. */
import * as z from 'zod'
import { families } from '@/core/craft/families'
import { codesOf } from '@/core/craft/parts'
import type { Client } from './pool'
import { many, query } from './rows'

const laid = query(
  'a coat',
  z.object({ family: z.enum(codesOf(families)), planned: z.number(), actual: z.number() }),
  `select e.family, s.amount as planned, e.amount as actual
   from (select id, step_id, family, amount, at from entry t
         where t.kind = 'coat' and t.step_id is not null and t.amount > 0
           and not exists (select from entry k where k.corrects = t.id) order by t.at desc limit $1) e
   cross join lateral (select amount from step s where s.id = e.step_id offset 0) s
   where s.amount > 0 order by e.at, e.id`,
)
/** The coats laid last, at most `limit`. */
export const listTakes = (client: Client, limit: number): Promise<z.output<typeof laid.row>[]> => many(client, laid, [limit])
