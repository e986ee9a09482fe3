/** Browsers that are told of windows while the app is shut. Asked by the door's own role alone. */
import { createHash } from 'node:crypto'
import * as z from 'zod'
import type { Client } from './pool'
import { many, maybe, one, query } from './rows'

export interface PushPlace {
  id: string
  endpoint: string
  p256dh: string
  auth: string
}
/** Keeps where a session's browser is told: one place a session, and the same browser again is the same place, of whoever is in now. */
export async function keepPlace(client: Client, sessionId: string, place: PushPlace): Promise<void> {
  await client.query(
    'update door.push_place set ended_at = now() where session_id = $1 and endpoint <> $2 and ended_at is null',
    [sessionId, place.endpoint],
  )
  await client.query(
    `insert into door.push_place (id, session_id, endpoint, p256dh, auth) values ($1, $2, $3, $4, $5)
     on conflict (endpoint) where ended_at is null
     do update set session_id = excluded.session_id, p256dh = excluded.p256dh, auth = excluded.auth`,
    [place.id, sessionId, place.endpoint, place.p256dh, place.auth],
  )
}
/** Tells a session's browser nothing more. */
export async function endPlaces(client: Client, sessionId: string): Promise<void> {
  await client.query('update door.push_place set ended_at = now() where session_id = $1 and ended_at is null', [sessionId])
}
/** Its service says that there is no such browser any more. */
export async function endPlace(client: Client, id: string): Promise<void> {
  await client.query('update door.push_place set ended_at = now() where id = $1 and ended_at is null', [id])
}
const placeRow = z.object({
  id: z.string(),
  studioId: z.string(),

  endpoint: z.string(),
  p256dh: z.string(),
  auth: z.string(),
})
const standing = query(
  'where a browser is told',
  placeRow,
  `select p.id, e.studio_id as "studioId", p.endpoint, p.p256dh, p.auth
   from door.push_place p join door.session e on e.id = p.session_id
   where p.ended_at is null and door.stands(e) order by p.made_at limit 5000`,
)
/** Every place whose session stands. */
export const listPlaces = (client: Client): Promise<z.output<typeof placeRow>[]> => many(client, standing)

/** Notes that something is told there; false where it was told already. */
export async function tellOnce(client: Client, placeId: string, what: string): Promise<boolean> {
  const { rowCount } = await client.query('insert into door.push_told (place_id, what) values ($1, $2) on conflict do nothing', [
    placeId,
    digestOf(what),
  ])
  return rowCount === 1
}
/** It could not be told: it is to be told again. */
export async function notTold(client: Client, placeId: string, what: string): Promise<void> {
  await client.query('delete from door.push_told where place_id = $1 and what = $2', [placeId, digestOf(what)])
}
const digestOf = (what: string) => createHash('sha256').update(what).digest()
/** What was told so long ago is told no more: its window is over. */
export async function forgetTold(client: Client): Promise<void> {
  await client.query(`delete from door.push_told where at < now() - interval '7 days'`)
}

const keyRow = z.object({ public: z.string(), private: z.string() })
export type PushKeys = z.output<typeof keyRow>
const keys = query('the keys by which services know who sends', keyRow, 'select public, private from door.push_key')
/** The house's keys; made by whoever asks first. */
export async function pushKeys(client: Client, make: () => PushKeys): Promise<PushKeys> {
  const found = await maybe(client, keys)
  if (found) return found
  const made = make()
  await client.query('insert into door.push_key (public, private) values ($1, $2) on conflict do nothing', [
    made.public,
    made.private,
  ])
  return one(client, keys)
}

/** Whether this server does something that is done once, for the next seconds; another one takes it up where it stops. */
export async function holds(client: Client, what: string, byWhom: string, seconds: number): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into door.clerk as c (what, by_whom, until) values ($1, $2, now() + make_interval(secs => $3))
     on conflict (what) do update set by_whom = excluded.by_whom, until = excluded.until
     where c.by_whom = excluded.by_whom or c.until < now()`,
    [what, byWhom, seconds],
  )
  return rowCount === 1
}
