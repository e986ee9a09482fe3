/** Private addresses of the calendar; only their digests are known here. */
import * as z from 'zod'
import type { Instant, StudioId } from '@/core/measure/named'
import type { Client } from './pool'
import { many, query } from './rows'

const feedRow = z.object({ id: z.string(), madeAt: z.string() })
export type CalendarFeed = z.output<typeof feedRow>

export async function addCalendarFeed(
  client: Client,
  studioId: StudioId,
  feed: CalendarFeed & { digest: string },
): Promise<void> {
  await client.query('insert into calendar_feed (id, studio_id, digest, made_at) values ($1, $2, $3, $4)', [
    feed.id,
    studioId,
    feed.digest,
    feed.madeAt,
  ])
}
const feeds = query(
  'an address of the calendar',
  feedRow,
  'select id, made_at as "madeAt" from calendar_feed where revoked_at is null order by made_at, id',
)
export const listCalendarFeeds = (client: Client): Promise<CalendarFeed[]> => many(client, feeds)

export async function revokeCalendarFeed(client: Client, id: string, at: Instant): Promise<void> {
  await client.query('update calendar_feed set revoked_at = $2 where id = $1 and revoked_at is null', [id, at])
}
