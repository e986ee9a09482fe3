/**
 * Reads the workshop's sensor and writes what changed into the log of the air: judged, and only as often as it says something
 * new. A process of its own, beside the server; ends with it. Usage: tsx src/worker/climate.ts, with DATABASE_URL,
 * ITINERUM_SENSOR_KEY (by which it is let in) and ITINERUM_SENSOR (the sensor's address).
 */
import { v7 as uuidv7 } from 'uuid'
import * as z from 'zod'
import { doubtOf } from '@/core/climate/believe'
import { isNews } from '@/core/climate/isNews'
import { addReadings, listJudged, listRooms, type NewReading } from '@/db/climate'
import { inSession, makePool } from '@/db/pool'

const everyMs = Number(process.env.ITINERUM_SENSOR_MS ?? 60_000)
/** how much of what was said before a reading is judged by */
const judgedByMs = 8 * 3_600_000

const said = z.object({
  readings: z
    .array(
      z.object({
        room: z.string().max(80),
        at: z.iso.datetime(),
        temperature: z.number().min(-1000).max(1000),
        humidity: z.number().min(-1000).max(1000),
      }),
    )
    .max(100),
})

function needed(name: string): string {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set`)
  return value
}
const [url, key, sensor] = [needed('DATABASE_URL'), needed('ITINERUM_SENSOR_KEY'), needed('ITINERUM_SENSOR')]
const pool = makePool(url, 1)

async function read(): Promise<void> {
  const response = await fetch(`${sensor}/air`, { signal: AbortSignal.timeout(5_000) })
  const { readings } = said.parse(await response.json())
  await inSession(pool, key, async (client, studioId) => {
    const news: NewReading[] = []
    const judgedBefore = await listJudged(client, new Date(Date.now() - judgedByMs).toISOString())
    for (const room of await listRooms(client)) {
      const reading = readings.find(({ room: name }) => name === room.sensor)
      if (!reading) continue
      const { at, temperature, humidity } = reading
      const before = judgedBefore.filter(({ roomId }) => roomId === room.id)
      const judged = { at, temperature, humidity, doubt: doubtOf(reading, before) }
      if (isNews(judged, before.at(-1) ?? null)) news.push({ id: uuidv7(), roomId: room.id, source: 'sensor', ...judged })
    }
    if (news.length > 0) await addReadings(client, studioId, news)
  })
}

let stopped = false
async function loop(): Promise<void> {
  while (!stopped) {
    await read().catch((error: unknown) => console.error(`no reading: ${error instanceof Error ? error.message : String(error)}`))
    await new Promise((resolve) => setTimeout(resolve, everyMs))
  }
}
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    stopped = true
    void pool.end().then(() => process.exit(0))
  })
void loop()
