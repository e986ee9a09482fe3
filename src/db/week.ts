/** People's hours, days that are other than usual, and the week as it was planned. */
import * as z from 'zod'
import { keptLine, weekPin } from '@/core/input/week'
import type { Day, PersonId, RoomId, StudioId } from '@/core/measure/named'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { OtherDay } from '@/core/week/hands'
import type { WeekInForce } from '@/core/week/weekData'
import type { Client } from './pool'
import { many, maybe, query } from './rows'

const personHours = query(
  'a person',
  z
    .object({ id: z.string(), from: z.number().nullable(), to: z.number().nullable(), days: z.array(z.number()).nullable() })
    .transform(({ id, from, to, days }) => ({ id, hours: from === null || to === null || !days ? null : { from, to, days } })),
  'select id, works_from as "from", works_to as "to", works_days as days from person',
)
/** Hours of those who have their own; the house's where there are none. */
export const listPersonHours = (client: Client): Promise<{ id: PersonId; hours: WorkingHours | null }[]> =>
  many(client, personHours)

export async function savePersonHours(client: Client, personId: PersonId, hours: WorkingHours | null): Promise<void> {
  await client.query('update person set works_from = $2, works_to = $3, works_days = $4 where id = $1', [
    personId,
    hours?.from ?? null,
    hours?.to ?? null,
    hours?.days ?? null,
  ])
}

const otherDays = query(
  'a day that is other than usual',
  z
    .object({
      day: z.string(),
      personId: z.string().nullable(),
      from: z.number().nullable(),
      to: z.number().nullable(),
      usual: z.boolean(),
    })
    .transform(({ day, personId, from, to, usual }) => ({
      usual,
      other: { day, personId, hours: from === null || to === null ? null : { from, to } } satisfies OtherDay,
    })),
  `select distinct on (day, person_id) day::text, person_id as "personId", works_from as "from", works_to as "to", usual
   from other_day where day >= $1::date order by day, person_id, said_at desc, id desc`,
)
/** From a day on, as each was said last. */
export const listOtherDays = async (client: Client, from: Day): Promise<OtherDay[]> =>
  (await many(client, otherDays, [from])).flatMap(({ usual, other }) => (usual ? [] : [other]))

type SaidDay = Omit<OtherDay, 'hours'> & { id: string; hours: OtherDay['hours'] | 'usual' }
/** `hours` null: nobody works; 'usual': as on any such day. */
export async function addOtherDays(client: Client, studioId: StudioId, days: readonly SaidDay[]): Promise<void> {
  if (days.length === 0) return
  const rows = days.map(({ id, personId, day, hours }) => {
    const own = hours === 'usual' ? null : hours
    return { id, person_id: personId, day, works_from: own?.from ?? null, works_to: own?.to ?? null, usual: hours === 'usual' }
  })
  await client.query(
    `insert into other_day (id, studio_id, person_id, day, works_from, works_to, usual)
     select id, $1, person_id, day, works_from, works_to, usual
     from jsonb_to_recordset($2) as said (id uuid, person_id uuid, day date, works_from int, works_to int, usual boolean)`,
    [studioId, JSON.stringify(rows)],
  )
}

const drying = query(
  'the drying places',
  z.object({ places: z.number().nullable() }),
  'select drying_places as places from studio where id = current_studio()',
)
export const findDryingPlaces = async (client: Client): Promise<number | null> => (await maybe(client, drying))?.places ?? null
/** `rooms`: by room; of those that aren't named nothing changes. */
export async function saveDryingPlaces(
  client: Client,
  { places, rooms }: { places?: number | null | undefined; rooms: Readonly<Record<RoomId, number | null>> },
): Promise<void> {
  if (places !== undefined) await client.query('update studio set drying_places = $1 where id = current_studio()', [places])
  await client.query(
    `update room set drying_places = said.places from jsonb_to_recordset($1) as said (id uuid, places int)
     where room.id = said.id and room.drying_places is distinct from said.places`,
    [JSON.stringify(Object.entries(rooms).map(([id, each]) => ({ id, places: each })))],
  )
}

const inForce = query(
  'a planned week',
  z.object({ id: z.string(), madeAt: z.string(), lines: z.array(keptLine), pins: z.array(weekPin) }),
  'select id, made_at as "madeAt", lines, pins from week_plan order by made_at desc, id desc limit 1',
)
/** The plan in force; null before the first. */
export const findWeek = (client: Client): Promise<WeekInForce | null> => maybe(client, inForce)

export async function addWeek(
  client: Client,
  studioId: StudioId,
  { id, lines, pins }: Omit<WeekInForce, 'madeAt'>,
): Promise<void> {
  await client.query('insert into week_plan (id, studio_id, lines, pins) values ($1, $2, $3, $4)', [
    id,
    studioId,
    JSON.stringify(lines),
    JSON.stringify(pins),
  ])
}
