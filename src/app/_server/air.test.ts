import { beforeEach, expect, test, vi } from 'vitest'
import type { Client } from '@/db/pool'

interface Asked {
  since: string
  exactSince: string
}
const records = vi.hoisted(() => ({ asked: [] as unknown[], changed: false }))
vi.mock('server-only', () => ({}))
vi.mock('./live', () => ({ changedSince: () => records.changed }))
vi.mock('@/db/climate', () => {
  const read = (_: unknown, asked: Asked) => Promise.resolve([records.asked.push(asked)])
  return { listReadings: read, listDrawn: read }
})
vi.mock('@/db/airAhead', () => ({
  listMeanAir: (_: unknown, since: string) => Promise.resolve({ '': [records.asked.push(since)] }),
}))
let { readAir, readDrawn, readMeanAir } = {} as typeof import('./air')
beforeEach(async () => {
  Object.assign(records, { asked: [], changed: false })
  // another test's of the same process hears otherwise
  vi.resetModules()
  ;({ readAir, readDrawn, readMeanAir } = await import('./air'))
})

const client = {} as Client
const ofStudio = (studioId: string) => ({ studioId, beganMs: 1_000 })
const room = (since: string, exactSince: string) => ({ roomIds: ['hall'], since, exactSince })

test('who asks again within the same three hours is given what was read, from the beginning of them', async () => {
  const ask = (studio: string, minute: string) =>
    readAir(client, ofStudio(studio), room(`2026-05-01T10:${minute}:00.000Z`, `2026-05-09T14:${minute}:00.000Z`))
  await ask('a', '05')
  await ask('a', '55')
  expect(records.asked).toEqual([room('2026-05-01T09:00:00.000Z', '2026-05-09T12:00:00.000Z')])
  await ask('b', '55')
  expect(records.asked).toHaveLength(2)
  records.changed = true
  await ask('a', '56')
  expect(records.asked).toHaveLength(3)
})
test('what is drawn begins with a whole half hour, each room by itself', async () => {
  const ask = (unnamed: boolean, minute: string) =>
    readDrawn(client, ofStudio('a'), {
      ...room(`2026-05-01T10:${minute}:00.000Z`, `2026-05-08T09:${minute}:00.000Z`),
      unnamed,
    })
  await ask(true, '31')
  await ask(true, '59')
  await ask(false, '40')
  const from = room('2026-05-01T10:30:00.000Z', '2026-05-08T09:30:00.000Z')
  expect(records.asked).toEqual([
    { ...from, unnamed: true },
    { ...from, unnamed: false },
  ])
})
test('means of days are read once', async () => {
  for (const at of ['2026-05-01T10:00:00.000Z', '2026-05-01T11:59:59.000Z', '2026-05-01T12:00:00.000Z'])
    await readMeanAir(client, ofStudio('a'), at)
  expect(records.asked).toEqual(['2026-05-01T09:00:00.000Z', '2026-05-01T12:00:00.000Z'])
})
