/** Rooms, readings of their air, and the drying figures the studio has taken up. */
import type { Doubt, JudgedReading } from '../core/climate/believe'
import type { Room, RoomReading } from '../core/climate/rooms'
import type { Reading } from '../core/drying/windowFor'
import type { FamilyCode } from '../core/finish/families'
import type { DryingFactor, Learned } from '../core/learn/learned'
import type { Seen } from '../core/learn/observations'
import type { Client } from './pool'

export async function listRooms(client: Client): Promise<Room[]> {
  const { rows } = await client.query<Room>('select id, name, sensor from room order by position, name, id')
  return rows
}
export async function saveRoom(client: Client, studioId: string, room: Room, position: number): Promise<void> {
  await client.query(
    `insert into room (id, studio_id, name, sensor, position) values ($1, $2, $3, $4, $5)
     on conflict (id) do update set name = excluded.name, sensor = excluded.sensor`,
    [room.id, studioId, room.name, room.sensor, position],
  )
}

/**
 * Believed readings since an instant, and of each room the one that held before it; oldest first. What a sensor said before
 * `exactSince` comes as means of three hours: it is left of hundreds a day what a cure of weeks still asks after.
 */
export async function listReadings(client: Client, since: string, exactSince = since): Promise<RoomReading[]> {
  const { rows } = await client.query<RoomReading>(
    `(select distinct on (room_id) at, temperature, humidity, room_id as "roomId" from reading
      where at < $1 and doubt is null order by room_id, at desc)
     union all
     (select at, temperature, humidity, room_id from reading
      where at >= $1 and (at >= $2 or source = 'typed') and doubt is null)
     union all
     (select date_bin('3 hours', at, timestamptz '2020-01-01 00:00+00'), round(avg(temperature), 1), round(avg(humidity), 1), room_id
      from reading where at >= $1 and at < $2 and source = 'sensor' and doubt is null group by 1, room_id)
     order by at`,
    [since, exactSince],
  )
  return rows
}

/** Believed readings of the stretches given, and of the day before each, which held when it began; oldest first. */
export async function listReadingsAround(
  client: Client,
  stretches: readonly { endedAt: string; at: string }[],
): Promise<RoomReading[]> {
  const { rows } = await client.query<RoomReading>(
    `select r.at, r.temperature, r.humidity, r.room_id as "roomId" from reading r
     where r.doubt is null and exists (
       select from jsonb_to_recordset($1::jsonb) as s("endedAt" timestamptz, at timestamptz)
       where r.at between s."endedAt" - interval '1 day' and s.at
     )
     order by r.at`,
    [JSON.stringify(stretches.map(({ endedAt, at }) => ({ endedAt, at })))],
  )
  return rows
}

/** All readings of every room since an instant, doubted ones too; oldest first. */
export async function listJudged(client: Client, since: string): Promise<(JudgedReading & { roomId: string | null })[]> {
  const { rows } = await client.query<JudgedReading & { roomId: string | null }>(
    'select at, temperature, humidity, doubt, room_id as "roomId" from reading where at >= $1 order by at, id',
    [since],
  )
  return rows
}

export interface NewReading extends Reading {
  id: string
  roomId?: string | null
  source?: 'typed' | 'sensor'
  doubt?: Doubt | null
}
export async function addReading(client: Client, studioId: string, reading: NewReading): Promise<void> {
  const { id, at, temperature, humidity, roomId = null, source = 'typed', doubt = null } = reading
  await client.query(
    `insert into reading (id, studio_id, at, temperature, humidity, room_id, source, doubt)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict (id) do nothing`,
    [id, studioId, at, temperature, humidity, roomId, source, doubt],
  )
}
/** Many at once, in one statement. */
export async function addReadings(client: Client, studioId: string, readings: readonly NewReading[]): Promise<void> {
  await client.query(
    `insert into reading (id, studio_id, at, temperature, humidity, room_id, source, doubt)
     select id, $2, at, temperature, humidity, "roomId", coalesce(source, 'typed'), doubt
     from jsonb_to_recordset($1::jsonb) as r(id uuid, at timestamptz, temperature numeric, humidity numeric, "roomId" uuid,
       source text, doubt text)
     on conflict (id) do nothing`,
    [JSON.stringify(readings), studioId],
  )
}

/** The figure in force of each family; one that went back to the label is left out. */
export async function listLearned(client: Client): Promise<Learned> {
  const { rows } = await client.query<DryingFactor & { family: FamilyCode }>(
    `select * from (select distinct on (family) family, p50, p80, count from drying_figure order by family, at desc, id desc) f
     where count > 0`,
  )
  return Object.fromEntries(rows.map(({ family, ...factor }) => [family, factor]))
}
export interface DryingFigure extends DryingFactor {
  id: string
  family: FamilyCode
  at: string
  personId: string | null
}
/** Every figure ever taken up, oldest first: what it was, and when it changed. */
export async function listDryingFigures(client: Client): Promise<DryingFigure[]> {
  const { rows } = await client.query<DryingFigure>(
    'select id, family, p50, p80, count, at, person_id as "personId" from drying_figure order by at, id',
  )
  return rows
}
export async function addDryingFigure(client: Client, studioId: string, figure: DryingFigure): Promise<void> {
  await client.query(
    `insert into drying_figure (id, studio_id, family, p50, p80, count, at, person_id) values ($1, $2, $3, $4, $5, $6, $7, $8)
     on conflict (id) do nothing`,
    [figure.id, studioId, figure.family, figure.p50, figure.p80, figure.count, figure.at, figure.personId],
  )
}

/** What fingers found lately, at most `limit`, with the coat it was found on; a step's last effective end counts. */
export async function listSeen(client: Client, limit: number): Promise<SeenRow[]> {
  const { rows } = await client.query<SeenRow>(
    `select e.step_id as "stepId", s.family, s.window_label as label, coalesce(c.film, s.film) as film, x.at as "endedAt",
            e.at, e.result, p.room_id as "roomId", e.part_id as "partId"
     from entry e
     join step s on s.id = e.step_id
     join piece p on p.id = e.piece_id
     join lateral (select at from entry x where x.step_id = e.step_id and x.kind = 'ended' and x.at <= e.at
                     and not exists (select from entry k where k.corrects = x.id) order by at desc limit 1) x on true
     left join lateral (select film from entry c where c.step_id = e.step_id and c.kind = 'coat'
                     and not exists (select from entry k where k.corrects = c.id) order by at desc limit 1) c on true
     where e.kind = 'seen' and s.family is not null and s.window_label is not null
       and not exists (select from entry k where k.corrects = e.id)
     order by e.at desc, e.id limit $1`,
    [limit],
  )
  return rows
}
export interface SeenRow extends Omit<Seen, 'climate' | 'assistance'> {
  roomId: string | null
  partId: string
}
