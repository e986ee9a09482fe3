/** Private addresses of the calendar; only their digests are known here. */
import type { Client } from './pool'

export interface CalendarFeed {
  id: string
  madeAt: string
}
export async function addCalendarFeed(client: Client, studioId: string, feed: CalendarFeed & { digest: string }): Promise<void> {
  await client.query(
    'insert into calendar_feed (id, studio_id, digest, made_at) values ($1, $2, $3, $4) on conflict (id) do nothing',
    [feed.id, studioId, feed.digest, feed.madeAt],
  )
}
export async function listCalendarFeeds(client: Client): Promise<CalendarFeed[]> {
  const { rows } = await client.query<CalendarFeed>(
    'select id, made_at as "madeAt" from calendar_feed where revoked_at is null order by made_at, id',
  )
  return rows
}
export async function revokeCalendarFeed(client: Client, id: string, at: string): Promise<void> {
  await client.query('update calendar_feed set revoked_at = $2 where id = $1 and revoked_at is null', [id, at])
}
/** Whether an address with this digest still answers. */
export async function isCalendarFeed(client: Client, digest: string): Promise<boolean> {
  const { rowCount } = await client.query('select from calendar_feed where digest = $1 and revoked_at is null', [digest])
  return rowCount === 1
}
