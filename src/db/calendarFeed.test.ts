import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at } from '@/db/testing/rows'
import { addCalendarFeed, isCalendarFeed, listCalendarFeeds, revokeCalendarFeed } from './calendarFeed'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

test('a calendar’s address answers until it is revoked, and only its digest is kept', async () => {
  const feed = { id: uuidv7(), madeAt: at, digest: 'a1'.repeat(32) }
  await db.as(db.here, async (client) => {
    await addCalendarFeed(client, db.here, feed)
    expect(await isCalendarFeed(client, feed.digest)).toBe(true)
    expect((await listCalendarFeeds(client)).map(({ id }) => id)).toContain(feed.id)
    await revokeCalendarFeed(client, feed.id, at)
    expect(await isCalendarFeed(client, feed.digest)).toBe(false)
    expect((await listCalendarFeeds(client)).map(({ id }) => id)).not.toContain(feed.id)
  })
  expect(await db.as(db.elsewhere, (client) => isCalendarFeed(client, feed.digest))).toBe(false)
})
