/** What was worked lately, against its plan. */
import * as z from 'zod'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { reliefs } from '@/core/measure/surfaceArea'
import type { Client } from './pool'
import { many, query } from './rows'

const ended = query(
  'a step that was ended',
  z.object({
    stepId: z.string(),
    operation: z.enum(codesOf(operations)),
    planned: z.number(),
    /** when it was begun, or first touched */
    since: z.string(),
    at: z.string(),
    pieceId: z.string(),
    painter: z.string().nullable(),
    article: z.string().nullable(),
    relief: z.enum(codesOf(reliefs)).nullable(),
  }),
  `select e.step_id as "stepId", s.operation, s.minutes as planned, w.since, e.at, e.piece_id as "pieceId", e.person_id as painter, p.article,
          (select f.relief from surface f where f.part_id = e.part_id and f.replaced_at is null
           group by f.relief order by sum(f.count) desc, f.relief limit 1) as relief
   from (select id, step_id, piece_id, part_id, person_id, at from entry t where t.kind = 'ended'
           and not exists (select from entry k where k.corrects = t.id) order by t.at desc limit $1) e
   cross join lateral (select operation, minutes from step s where s.id = e.step_id offset 0) s
   cross join lateral (select article from piece p where p.id = e.piece_id offset 0) p
   cross join lateral (select min(at) as since from entry w where w.step_id = e.step_id
                       and w.kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped') offset 0) w
   order by e.at, e.id`,
)
/** The steps that were ended last, at most `limit`, with the minutes planned for them. */
export const listEnded = (client: Client, limit: number): Promise<z.output<typeof ended.row>[]> => many(client, ended, [limit])
