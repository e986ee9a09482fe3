/** Rooms, and readings of their air. */
import * as z from 'zod'
import { type Doubt, doubts, type JudgedReading } from '@/core/climate/believe'
import type { Room, RoomAir, RoomReading } from '@/core/climate/rooms'
import { codesOf } from '@/core/craft/parts'
import type { Reading } from '@/core/drying/windowFor'
import { keptOr, makeKept } from '@/core/measure/kept'
import type { Instant, RoomId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const rooms = query(
  'a room',
  z.object({ id: z.string(), name: z.string(), sensor: z.string().nullable(), places: z.number().nullable() }),
  'select id, name, sensor, drying_places as places from room order by position, name, id',
)
export const listRooms = (client: Client): Promise<Room[]> => many(client, rooms)

export async function saveRoom(client: Client, studioId: StudioId, room: Omit<Room, 'places'>, position: number): Promise<void> {
  await client.query(
    `insert into room (id, studio_id, name, sensor, position) values ($1, $2, $3, $4, $5)
     on conflict (id) do update set name = excluded.name, sensor = excluded.sensor`,
    [room.id, studioId, room.name, room.sensor, position],
  )
}

const readingRow = z.object({ at: z.string(), temperature: z.number(), humidity: z.number(), roomId: z.string().nullable() })

/** Rooms whose air is kept in mind: what follows from a room's readings is kept with them. */
const mostAir = 60
const airLately = makeKept<string, readonly Reading[]>(mostAir)
const readAir = (text: string): readonly Reading[] =>
  text.split(',').map((line) => {
    const [ms = '', temperature, humidity] = line.split(' ')
    return { at: new Date(Number(ms)).toISOString(), temperature: Number(temperature), humidity: Number(humidity) }
  })
const airRow = z.object({ roomId: z.string().nullable(), air: z.string() })
/** The readings that `sql` finds, room by room: thousands of them are a row for each room on their way. */
const airQuery = (sql: string) =>
  query(
    'the air of a room',
    airRow,
    `select found."roomId", string_agg(concat_ws(' ', floor(extract(epoch from found.at) * 1000), found.temperature, found.humidity),
       ',' order by found.at) as air
     from (${sql}) found group by found."roomId"`,
  )
const manyAir = async (client: Client, asked: ReturnType<typeof airQuery>, values: unknown[]): Promise<RoomAir[]> =>
  (await many(client, asked, values)).map(({ roomId, air }) => ({ roomId, readings: keptOr(airLately, air, readAir) }))

const believed = airQuery(
  `with asked as (select id from unnest($3::uuid[]) as id)
   (select before.at, before.temperature, before.humidity, asked.id as "roomId" from asked cross join lateral (
      select at, temperature, humidity from reading r
      where r.room_id = asked.id and r.at < $1 and r.doubt is null order by r.at desc limit 1) before)
   union all
   (select at, temperature, humidity, null from reading r
    where r.room_id is null and r.at < $1 and r.doubt is null order by r.at desc limit 1)
   union all
   (select r.at, r.temperature, r.humidity, r.room_id from asked join reading r on r.room_id = asked.id
    where r.at >= $2 and r.doubt is null)
   union all
   (select r.at, r.temperature, r.humidity, null from reading r where r.room_id is null and r.at >= $2 and r.doubt is null)
   union all
   (select r.at, r.temperature, r.humidity, r.room_id from asked join reading r on r.room_id = asked.id
    where r.at >= $1 and r.at < $2 and r.source = 'typed' and r.doubt is null)
   union all
   (select r.at, r.temperature, r.humidity, null from reading r
    where r.room_id is null and r.at >= $1 and r.at < $2 and r.source = 'typed' and r.doubt is null)
   union all
   (select m.bin, round(m.temperature_sum / m.count, 1), round(m.humidity_sum / m.count, 1), asked.id
    from asked join air_mean m on m.room_key = asked.id where m.bin >= $1 and m.bin < $2)
   union all
   (select m.bin, round(m.temperature_sum / m.count, 1), round(m.humidity_sum / m.count, 1), null
    from air_mean m where m.room_key = '00000000-0000-0000-0000-000000000000' and m.bin >= $1 and m.bin < $2)`,
)
export interface AirAsked {
  /** rooms whose air is asked for; what was read in no room comes always */
  roomIds: readonly RoomId[]
  since: Instant
  /** before this a sensor's air comes as means of three hours: what a cure of weeks asks after */
  exactSince?: Instant
}
/** Believed readings since an instant, and of each room the one that held before it. */
export const listReadings = (client: Client, { roomIds, since, exactSince = since }: AirAsked): Promise<RoomAir[]> =>
  manyAir(client, believed, [since, exactSince, roomIds])

const lastOfRooms = query(
  'a reading',
  readingRow,
  `with asked as (select id from room)
   (select last.at, last.temperature, last.humidity, asked.id as "roomId" from asked cross join lateral (
      select at, temperature, humidity from reading r where r.room_id = asked.id and r.doubt is null order by r.at desc limit 1) last)
   union all
   (select at, temperature, humidity, null from reading r where r.room_id is null and r.doubt is null order by r.at desc limit 1)
   order by 1`,
)
/** The last believed reading of each room, oldest first. */
export const listLastReadings = (client: Client): Promise<RoomReading[]> => many(client, lastOfRooms)

const inQuarters = (room: string) => `
     (select min(at) as at, round(avg(temperature), 2) as temperature, round(avg(humidity), 2) as humidity from reading r
      where ${room} and r.at >= s."endedAt" and r.at <= s.at and r.doubt is null
      group by date_bin('15 minutes', r.at, s."endedAt"))
     union all
     (select at, temperature, humidity from reading r
      where ${room} and r.at < s."endedAt" and r.at >= s."endedAt" - interval '1 day' and r.doubt is null
      order by r.at desc limit 1)`
const aroundStretches = airQuery(
  `with asked as (select * from jsonb_to_recordset($1::jsonb) as s("roomId" uuid, "endedAt" timestamptz, at timestamptz))
   select r.at, r.temperature, r.humidity, s."roomId"
   from (select distinct "roomId", "endedAt", at from asked where "roomId" is not null) s
   cross join lateral (${inQuarters('r.room_id = s."roomId"')}) r
   union
   select r.at, r.temperature, r.humidity, null
   from (select distinct "endedAt", at from asked) s cross join lateral (${inQuarters('r.room_id is null')}) r`,
)
/**
 * Believed readings of the stretches given in their rooms and in none, and the one before each, which held when it began.
 * What a sensor says every few minutes comes as means of a quarter of an hour.
 */
export const listReadingsAround = (
  client: Client,
  stretches: readonly { roomId: RoomId | null; endedAt: Instant; at: Instant }[],
): Promise<RoomAir[]> =>
  manyAir(client, aroundStretches, [JSON.stringify(stretches.map(({ roomId, endedAt, at }) => ({ roomId, endedAt, at })))])

const judged = query(
  'a reading',
  readingRow.extend({ doubt: z.enum(codesOf(doubts)).nullable() }),
  `select at, temperature, humidity, doubt, room_id as "roomId" from reading
   where at >= $1 order by at, id`,
)
/** All readings since an instant, of every room, doubted ones too; oldest first. */
export const listJudged = (client: Client, since: Instant): Promise<(JudgedReading & { roomId: RoomId | null })[]> =>
  many(client, judged, [since])

const drawn = query(
  'a reading',
  readingRow.extend({ doubt: z.enum(codesOf(doubts)).nullable() }),
  `with here as not materialized (
     select at, temperature, humidity, doubt, room_id from reading where room_id = any($3)
     union all
     select at, temperature, humidity, doubt, room_id from reading where room_id is null and $4)
   select min(at) as at, round(avg(temperature), 1) as temperature, round(avg(humidity), 1) as humidity, null as doubt,
          room_id as "roomId"
   from here where at >= $1 and at < $2 and doubt is null group by room_id, date_bin('30 minutes', at, $1)
   union all
   select at, temperature, humidity, null, room_id from here where at >= $2 and doubt is null
   union all
   (select at, temperature, humidity, doubt, room_id from here where at >= $1 and doubt is not null order by at desc limit 60)
   order by 1`,
)
/**
 * The air of rooms since an instant as it is drawn, oldest first: means of half an hour, what is later than `exactSince` as it was
 * read, and the last of those that are not believed. `unnamed`: with what was read in no room.
 */
export const listDrawn = (
  client: Client,
  { roomIds, unnamed, since, exactSince }: Required<AirAsked> & { unnamed: boolean },
): Promise<(JudgedReading & { roomId: RoomId | null })[]> => many(client, drawn, [since, exactSince, roomIds, unnamed])

export interface NewReading extends Reading {
  id: string
  roomId?: RoomId | null
  source?: 'typed' | 'sensor'
  doubt?: Doubt | null
}
export async function addReading(client: Client, studioId: StudioId, reading: NewReading): Promise<void> {
  const { id, at, temperature, humidity, roomId = null, source = 'typed', doubt = null } = reading
  await client.query(
    `insert into reading (id, studio_id, at, temperature, humidity, room_id, source, doubt)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [id, studioId, at, temperature, humidity, roomId, source, doubt],
  )
}
/** Many at once, in one statement. */
export async function addReadings(client: Client, studioId: StudioId, readings: readonly NewReading[]): Promise<void> {
  await client.query(
    `insert into reading (id, studio_id, at, temperature, humidity, room_id, source, doubt)
     select id, $2, at, temperature, humidity, "roomId", coalesce(source, 'typed'), doubt
     from jsonb_to_recordset($1::jsonb) as r(id uuid, at timestamptz, temperature numeric, humidity numeric, "roomId" uuid,
       source text, doubt text)`,
    [JSON.stringify(readings), studioId],
  )
}
