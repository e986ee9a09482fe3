import { EventEmitter } from 'node:events'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'

vi.mock('server-only', () => ({}))
class Records extends EventEmitter {
  asked: string[] = []
  connect = () => Promise.resolve()
  end = () => Promise.resolve()
  query = (statement: string) => {
    this.asked.push(statement)
    return Promise.resolve({ rows: [] })
  }
}
const records: { now: unknown } = vi.hoisted(() => ({ now: null }))
vi.mock('@/db/server', () => ({
  makeClient: () => {
    const client = new Records()
    records.now = client
    return client
  },
}))
const begunMs = 1_800_000_000_000
beforeEach(() => {
  vi.useFakeTimers({ now: begunMs })
  vi.resetModules()
  delete (globalThis as { itinerumHub?: unknown }).itinerumHub
})
afterEach(() => void vi.useRealTimers())

/** A server that listens to one studio, ten seconds after it began to. */
async function listening() {
  const live = await import('./live')
  const tell = vi.fn()
  const stop = live.listen('a', 'channel_a', tell)
  await vi.advanceTimersByTimeAsync(10_000)
  const client = records.now as Records
  return {
    ...live,
    tell,
    stop,
    client,
    hear: (payload: string) => client.emit('notification', { channel: 'channel_a', payload }),
  }
}

test('whoever listens is told of what changed in their studio', async () => {
  const { client, tell, hear } = await listening()
  expect(client.asked).toEqual(['listen channel_a'])
  hear('entry')
  client.emit('notification', { channel: 'channel_b', payload: 'entry' })
  expect(tell).toHaveBeenCalledTimes(1)
})
test('what is read of one table stands while another changes', async () => {
  const { changedSince, hear } = await listening()
  const readMs = Date.now()
  await vi.advanceTimersByTimeAsync(5_000)
  hear('entry')
  const changed = (...tables: string[]) => changedSince('a', readMs, tables)
  expect([changed('reading'), changed('entry'), changed('reading', 'entry'), changedSince('a', readMs)]).toEqual([
    false,
    true,
    true,
    true,
  ])
  hear('reading')
  expect(changed('reading')).toBe(true)
  // read anew, a second after all of that
  await vi.advanceTimersByTimeAsync(1_000)
  expect([changedSince('a', Date.now()), changedSince('a', Date.now(), ['reading'])]).toEqual([false, false])
})
test('what this server wrote is not waited for to be heard', async () => {
  const { changedSince, noteWritten } = await listening()
  const readMs = Date.now()
  await vi.advanceTimersByTimeAsync(5_000)
  noteWritten('b')
  expect(changedSince('a', readMs, ['reading'])).toBe(false)
  noteWritten('a')
  expect(changedSince('a', readMs, ['reading'])).toBe(true)
})
test('nothing is known to stand of a studio that nobody listens to, nor of what was read before', async () => {
  const { changedSince, client } = await listening()
  expect([changedSince('b', Date.now()), changedSince('a', begunMs - 1)]).toEqual([true, true])
  client.emit('end')
  expect(changedSince('a', Date.now() + 60_000)).toBe(true)
})
