/** The air that is expected: as it was through the hours of the last weeks, and as somebody said it will be. */
import * as z from 'zod'
import type { Forecast } from '@/core/climate/airAhead'
import type { Air } from '@/core/drying/air'
import type { Day, Instant, RoomId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

/** of the means that are kept, hours */
const stretchHours = 3
const stretches = 24 / stretchHours
/** what was read in no room */
const noRoom = '00000000-0000-0000-0000-000000000000'

const means = query(
  'expected air',
  z.object({ roomId: z.string(), stretch: z.number(), temperature: z.number(), humidity: z.number() }),
  `select room_key as "roomId", floor(extract(hour from bin at time zone 'UTC') / $2)::int as stretch,
          round(sum(temperature_sum) / sum(count), 1)::float8 as temperature, round(sum(humidity_sum) / sum(count), 1)::float8 as humidity
   from air_mean where bin >= $1 group by room_key, stretch`,
)
/**
 * The mean air of each room since an instant, a day from midnight UTC on in stretches of three hours; hours in which nothing was read are as
 * the others on average. What was read in no room stands under ''.
 */
export async function listMeanAir(client: Client, since: Instant): Promise<Record<RoomId, Air[]>> {
  const byRoom = new Map<string, Map<number, Air>>()
  for (const { roomId, stretch, ...air } of await many(client, means, [since, stretchHours])) {
    const room = roomId === noRoom ? '' : roomId
    byRoom.set(room, (byRoom.get(room) ?? new Map<number, Air>()).set(stretch, air))
  }
  return Object.fromEntries([...byRoom].map(([room, known]) => [room, wholeDay(known)]))
}

function wholeDay(known: ReadonlyMap<number, Air>): Air[] {
  const all = [...known.values()]
  const mean = (of: (air: Air) => number) => Math.round((10 * all.reduce((sum, air) => sum + of(air), 0)) / all.length) / 10
  const other = { temperature: mean(({ temperature }) => temperature), humidity: mean(({ humidity }) => humidity) }
  return Array.from({ length: stretches }, (_, stretch) => known.get(stretch) ?? other)
}

const forecasts = query(
  'a forecast',
  z
    .object({
      id: z.string(),
      roomId: z.string().nullable(),
      from: z.string(),
      to: z.string(),
      temperature: z.number().nullable(),
      humidity: z.number().nullable(),
    })
    .transform(({ temperature, humidity, ...rest }): Forecast => ({
      ...rest,
      air: temperature === null || humidity === null ? null : { temperature, humidity },
    })),
  `select id, room_id as "roomId", from_day::text as "from", to_day::text as "to", temperature::float8 as temperature,
          humidity::float8 as humidity
   from air_forecast as said
   where to_day >= $1::date and takes_back is null and not exists (select from air_forecast as back where back.takes_back = said.id)
   order by said_at desc, id desc limit 100`,
)
/** What was said of days from one on and not taken back, the newest first. */
export const listForecasts = (client: Client, from: Day): Promise<Forecast[]> => many(client, forecasts, [from])

export async function addForecasts(client: Client, studioId: StudioId, all: readonly Forecast[]): Promise<void> {
  if (all.length === 0) return
  const rows = all.map(({ id, roomId, from, to, air }) => ({
    ...{ id, room_id: roomId, from_day: from, to_day: to },
    temperature: air?.temperature ?? null,
    humidity: air?.humidity ?? null,
  }))
  await client.query(
    `insert into air_forecast (id, studio_id, room_id, from_day, to_day, temperature, humidity)
     select id, $1, room_id, from_day, to_day, temperature, humidity
     from jsonb_to_recordset($2) as said (id uuid, room_id uuid, from_day date, to_day date, temperature numeric, humidity numeric)`,
    [studioId, JSON.stringify(rows)],
  )
}

/** What was said before them holds again, or the air is as usual; what was taken back already stays so. */
export async function takeBackForecasts(client: Client, all: readonly { id: string; forecastId: string }[]): Promise<void> {
  if (all.length === 0) return
  await client.query(
    `insert into air_forecast (id, studio_id, room_id, from_day, to_day, takes_back)
     select back.id, said.studio_id, said.room_id, said.from_day, said.to_day, said.id
     from jsonb_to_recordset($1) as back (id uuid, "forecastId" uuid) join air_forecast as said on said.id = back."forecastId"
     on conflict (takes_back) do nothing`,
    [JSON.stringify(all)],
  )
}
