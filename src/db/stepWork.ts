/** What is known of a step's work where it is written down as ended: the step, what it was worked on, and what small things cost here. */
import * as z from 'zod'
import { operations } from '@/core/craft/operations'
import { codesOf } from '@/core/craft/parts'
import { where } from '@/core/input/touch'
import type { StepId } from '@/core/measure/named'
import { faceRow } from './pieceRow'
import type { Client } from './pool'
import { maybe, query } from './rows'

const workRow = z
  .object({
    operation: z.enum(codesOf(operations)),
    minutes: z.number(),
    where: where.nullable(),
    count: z.number(),
    surfaces: z.array(faceRow),
    consumables: z.record(z.string(), z.number()),
  })
  .transform(({ operation, minutes, where: on, count, surfaces, consumables }) => ({
    step: { operation, minutes, where: on },
    part: { count, surfaces: surfaces.map(({ partId: _, ...face }) => face) },
    consumables,
  }))
const stepWork = query(
  'a step’s work',
  workRow,
  `select s.operation, s.minutes, s.where_on as "where", p.count,
          coalesce((select json_agg(json_build_object('partId', f.part_id, 'shape', f.shape, 'relief', f.relief, 'count', f.count,
            'width', f.width, 'height', f.height, 'length', f.length, 'top', f.top, 'foot', f.foot, 'diameter', f.diameter))
            from surface f where f.part_id = p.id and f.replaced_at is null), '[]') as surfaces,
          (select consumables from seen_studio where id = current_studio()) as consumables
   from step s join part p on p.id = s.part_id where s.id = $1`,
)
export const findStepWork = (client: Client, stepId: StepId): Promise<z.output<typeof workRow> | null> =>
  maybe(client, stepWork, [stepId])
