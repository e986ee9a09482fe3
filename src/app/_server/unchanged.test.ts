import { beforeEach, expect, test, vi } from 'vitest'

/** when the studio was heard to change last, and since when it is heard */
const heard = vi.hoisted(() => ({ changedMs: 0, sinceMs: 0, asked: [] as unknown[] }))
vi.mock('server-only', () => ({}))
vi.mock('./live', () => ({
  changedSince: (_: string, ms: number, tables?: readonly string[]) => {
    heard.asked.push(tables)
    return heard.sinceMs > ms || heard.changedMs > ms
  },
}))

let makeUnchanged: (typeof import('./unchanged'))['makeUnchanged']
beforeEach(async () => {
  // another test's of the same process hears otherwise
  vi.resetModules()
  ;({ makeUnchanged } = await import('./unchanged'))
})

test('what was read stands until something is heard, each for its own eyes and its own studio', async () => {
  const kept = makeUnchanged<number>(10)
  let reads = 0
  const read = (studio: string, eyes: string, beganMs: number) =>
    kept.or(studio, eyes, beganMs, () => Promise.resolve((reads += 1)))
  expect([
    await read('a', 'all', 100),
    await read('a', 'all', 200),
    await read('a', 'some', 200),
    await read('b', 'all', 200),
  ]).toEqual([1, 1, 2, 3])
  heard.changedMs = 300
  expect(await read('a', 'all', 400)).toBe(4)
  expect(await read('a', 'all', 500)).toBe(4)
})
test('a change that falls between the moment as which it is read and its reading is not missed', async () => {
  const kept = makeUnchanged<string>(10)
  Object.assign(heard, { changedMs: 0, sinceMs: 0 })
  const first = await kept.or('a', 'all', 1_000, () => {
    // written and heard while the records were slow
    heard.changedMs = 1_050
    return Promise.resolve('as it stood')
  })
  expect(first).toBe('as it stood')
  expect(await kept.or('a', 'all', 2_000, () => Promise.resolve('as it is'))).toBe('as it is')
  // nobody listened for a while: nothing is known to stand
  heard.sinceMs = 3_000
  expect(await kept.or('a', 'all', 3_500, () => Promise.resolve('anew'))).toBe('anew')
})
test('what comes from some tables alone is asked after by those', async () => {
  Object.assign(heard, { changedMs: 0, sinceMs: 0, asked: [] })
  const kept = makeUnchanged<string>(10, ['reading'])
  for (const beganMs of [100, 200]) await kept.or('a', 'air', beganMs, () => Promise.resolve('damp'))
  expect(heard.asked).toEqual([['reading']])
})
