/** Rooms, readings of their air, and the drying figures the studio has taken up. */
import * as z from 'zod'
import { type Doubt, doubts, type JudgedReading } from '@/core/climate/believe'
import type { Room, RoomReading } from '@/core/climate/rooms'
import { families, type FamilyCode } from '@/core/craft/families'
import { codesOf } from '@/core/craft/parts'
import type { StepWindow } from '@/core/craft/windows'
import type { Reading } from '@/core/drying/windowFor'
import type { DryingFactor, Learned } from '@/core/learn/learned'
import type { Seen } from '@/core/learn/observations'
import { films } from '@/core/measure/film'
import type { Instant, PartId, PersonId, RoomId, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const rooms = query(
  'a room',
  z.object({ id: z.string(), name: z.string(), sensor: z.string().nullable() }),
  'select id, name, sensor from room order by position, name, id',
)
export const listRooms = (client: Client): Promise<Room[]> => many(client, rooms)

export async function saveRoom(client: Client, studioId: StudioId, room: Room, position: number): Promise<void> {
  await client.query(
    `insert into room (id, studio_id, name, sensor, position) values ($1, $2, $3, $4, $5)
     on conflict (id) do update set name = excluded.name, sensor = excluded.sensor`,
    [room.id, studioId, room.name, room.sensor, position],
  )
}

const readingRow = z.object({ at: z.string(), temperature: z.number(), humidity: z.number(), roomId: z.string().nullable() })
const believed = query(
  'a reading',
  readingRow,
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
    from air_mean m where m.room_key = '00000000-0000-0000-0000-000000000000' and m.bin >= $1 and m.bin < $2)
   order by 1`,
)
export interface AirAsked {
  /** rooms whose air is asked for; what was read in no room comes always */
  roomIds: readonly RoomId[]
  since: Instant
  /** before this a sensor's air comes as means of three hours: what a cure of weeks asks after */
  exactSince?: Instant
}
/** Believed readings since an instant, and of each room the one that held before it; oldest first. */
export const listReadings = (client: Client, { roomIds, since, exactSince = since }: AirAsked): Promise<RoomReading[]> =>
  many(client, believed, [since, exactSince, roomIds])

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
const aroundStretches = query(
  'a reading',
  readingRow,
  `with asked as (select * from jsonb_to_recordset($1::jsonb) as s("roomId" uuid, "endedAt" timestamptz, at timestamptz))
   select r.at, r.temperature, r.humidity, s."roomId"
   from (select distinct "roomId", "endedAt", at from asked where "roomId" is not null) s
   cross join lateral (${inQuarters('r.room_id = s."roomId"')}) r
   union
   select r.at, r.temperature, r.humidity, null
   from (select distinct "endedAt", at from asked) s cross join lateral (${inQuarters('r.room_id is null')}) r
   order by 1`,
)
/**
 * Believed readings of the stretches given in their rooms and in none, and the one before each, which held when it began; oldest
 * first. What a sensor says every few minutes comes as means of a quarter of an hour.
 */
export const listReadingsAround = (
  client: Client,
  stretches: readonly { roomId: RoomId | null; endedAt: Instant; at: Instant }[],
): Promise<RoomReading[]> =>
  many(client, aroundStretches, [JSON.stringify(stretches.map(({ roomId, endedAt, at }) => ({ roomId, endedAt, at })))])

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
