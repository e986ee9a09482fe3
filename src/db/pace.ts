/** What was worked lately, against its plan. */
import { z } from 'zod'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import type { Client } from './pool'
import { many, query } from './rows'

const ended = query(
  'a step that was ended',
  z.object({ stepId: z.string(), operation: z.enum(codesOf(operations)), planned: z.number(), at: z.string() }),
  `select e.step_id as "stepId", s.operation, s.minutes as planned, e.at
   from (select id, step_id, at from entry t where t.kind = 'ended'
           and not exists (select from entry k where k.corrects = t.id) order by t.at desc limit $1) e
   cross join lateral (select operation, minutes from step s where s.id = e.step_id offset 0) s
   order by e.at, e.id`,
)
/** The steps that were ended last, at most `limit`, with the minutes planned for them. */
export const listEnded = (client: Client, limit: number): Promise<z.output<typeof ended.row>[]> => many(client, ended, [limit])
