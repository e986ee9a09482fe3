/** What the studio learned of drying: the figures it has taken up, and what fingers found. */
import * as z from 'zod'
import { families, type FamilyCode } from '@/core/craft/families'
import { codesOf } from '@/core/craft/parts'
import type { StepWindow } from '@/core/craft/windows'
import type { DryingFactor, Learned } from '@/core/learn/learned'
import type { Seen } from '@/core/learn/observations'
import { films } from '@/core/measure/film'
import type { Instant, PartId, PersonId, RoomId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const family = z.enum(codesOf(families))
const figureRow = z.object({ family, p50: z.number(), p80: z.number(), count: z.number() })
const figuresInForce = query(
  'a drying figure',
  figureRow,
  `select * from (select distinct on (family) family, p50, p80, count from drying_figure order by family, at desc, id desc) f
   where count > 0`,
)
/** The figure in force of each family; one that went back to the label is left out. */
export async function listLearned(client: Client): Promise<Learned> {
  const rows = await many(client, figuresInForce)
  return Object.fromEntries(rows.map(({ family: of, ...factor }) => [of, factor]))
}
export interface DryingFigure extends DryingFactor {
  id: string
  family: FamilyCode
  at: Instant
  personId: PersonId | null
}
const figuresTakenUp = query(
  'a drying figure',
  figureRow.extend({ id: z.string(), at: z.string(), personId: z.string().nullable() }),
  'select id, family, p50, p80, count, at, person_id as "personId" from drying_figure order by at desc, id desc limit $1',
)
/** The figures taken up last, oldest first: what each was, and when it changed. */
export const listDryingFigures = async (client: Client, limit: number): Promise<DryingFigure[]> =>
  (await many(client, figuresTakenUp, [limit])).reverse()

export async function addDryingFigure(client: Client, studioId: StudioId, figure: DryingFigure): Promise<void> {
  await client.query(
    `insert into drying_figure (id, studio_id, family, p50, p80, count, at, person_id) values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [figure.id, studioId, figure.family, figure.p50, figure.p80, figure.count, figure.at, figure.personId],
  )
}

const seenRow = z.object({
  stepId: z.string(),
  family,
  label: z.looseObject({ clock: z.string() }).transform((given) => given as unknown as StepWindow),
  film: z.enum(codesOf(films)),
  endedAt: z.string(),
  at: z.string(),
  result: z.enum(['dry', 'wet']),
  roomId: z.string().nullable(),
  partId: z.string(),
}) satisfies z.ZodType<SeenRow>
const seen = query(
  'what a finger found',
  seenRow,
  `select e.step_id as "stepId", s.family, s.window_label as label, coalesce(c.film, s.film) as film, x.at as "endedAt",
            e.at, e.result, p.room_id as "roomId", e.part_id as "partId"
     from (select id, step_id, piece_id, part_id, at, result from entry t
           where t.kind = 'seen' and not exists (select from entry k where k.corrects = t.id) order by t.at desc, t.id limit $1) e
     cross join lateral (select family, film, window_label from step s where s.id = e.step_id offset 0) s
     cross join lateral (select room_id from piece p where p.id = e.piece_id offset 0) p
     join lateral (select at from entry x where x.step_id = e.step_id and x.kind = 'ended' and x.at <= e.at
                     and not exists (select from entry k where k.corrects = x.id) order by at desc limit 1) x on true
     left join lateral (select film from entry c where c.step_id = e.step_id and c.kind = 'coat'
                     and not exists (select from entry k where k.corrects = c.id) order by at desc limit 1) c on true
     where s.family is not null and s.window_label is not null
     order by e.at desc, e.id`,
)
/** What fingers found lately, at most `limit`, with the coat it was found on; a step's last effective end counts. */
export const listSeen = (client: Client, limit: number): Promise<SeenRow[]> => many(client, seen, [limit])

export interface SeenRow extends Omit<Seen, 'minutes'> {
  roomId: RoomId | null
  partId: PartId
}
