import { createHash } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { makeDatabase, type TestDatabase } from '@/db/testing/database'
import { at } from '@/db/testing/rows'
import { addCalendarFeed, listCalendarFeeds, revokeCalendarFeed } from './calendarFeed'
import { inSession, SignedOut } from './pool'

let db: TestDatabase
beforeAll(async () => {
  db = await makeDatabase()
})
afterAll(() => db.drop())

test('a calendar’s address opens its own studio until it is revoked, and only its digest is kept', async () => {
  const address = 'a1'.repeat(24)
  const feed = { id: uuidv7(), madeAt: at, digest: createHash('sha256').update(address).digest('hex') }
  const opens = () => inSession(db.pool, address, (_, studioId) => Promise.resolve(studioId))
  await db.as(db.here, async (client) => {
    await addCalendarFeed(client, db.here, feed)
    expect((await listCalendarFeeds(client)).map(({ id }) => id)).toContain(feed.id)
  })
  expect(await opens()).toBe(db.here)
  await db.as(db.here, (client) => revokeCalendarFeed(client, feed.id, at))
  await expect(opens()).rejects.toThrow(SignedOut)
  expect(await db.as(db.here, listCalendarFeeds)).toEqual([])
})
