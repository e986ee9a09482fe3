import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { type BenchAction, benchWrites, entryFromText } from '@/core/input/bench'
import { type Around, OutboxEngine } from './engine'
import { forget, listKept } from './store'

const house = { currency: 'GBP', units: 'metric', zone: 'Europe/London', locale: 'en-GB' } as const
const uuid = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`
const note = (n: number, words = 'Written') => ({
  entryId: uuid(n),
  pieceId: uuid(900),
  at: '2026-05-04T09:00:00.000Z',
  note: words,
})
const ok = () => Response.json({ ok: true })

let answers: (id: string) => Response | Promise<Response>
let stored: number
let engine: OutboxEngine
let end: () => void

beforeEach(() => {
  answers = ok
  stored = 0
  let last: Promise<unknown> = Promise.resolve()
  vi.stubGlobal('navigator', { locks: { request: (_: string, work: () => Promise<unknown>) => (last = last.then(work, work)) } })
  vi.stubGlobal('fetch', (_: string, { body }: RequestInit) =>
    Promise.resolve(answers((JSON.parse(body as string) as { typed: { entryId: string } }).typed.entryId)),
  )
  const lines = new Map<string, () => void>()
  vi.stubGlobal('addEventListener', (name: string, act: () => void) => lines.set(name, act))
  vi.stubGlobal('removeEventListener', (name: string) => lines.delete(name))
  vi.stubGlobal('tell', (name: string) => lines.get(name)?.())
  engine = new OutboxEngine({
    entryOf: ({ action, typed }) => (action in benchWrites ? entryFromText(action as BenchAction, typed, house) : null),
    stored: () => (stored += 1),
  })
  end = engine.start()
})
afterEach(async () => {
  end()
  for (const { seq } of await listKept()) await forget(seq)
  vi.unstubAllGlobals()
})
const tell = (name: string) => (globalThis as unknown as { tell: (name: string) => void }).tell(name)

describe('an entry', () => {
  test('shows at once, is stored, and pages are told once', async () => {
    const shown: number[] = []
    engine.subscribe(() => shown.push(engine.snapshot().entries.length))
    const sending = engine.send('addNote', note(1), 'A note')
    expect(engine.snapshot().entries.map(({ id }) => id)).toEqual([uuid(1)])
    expect(await sending).toEqual({ ok: true })
    expect(engine.snapshot()).toMatchObject({ kept: [], reachable: true })
    expect(engine.snapshot().entries).toHaveLength(1)
    expect(Math.max(...shown)).toBe(1)
    expect(stored).toBe(1)
  })
  test('that can’t be read is sent nowhere', async () => {
    expect(await engine.send('addNote', note(2, ''), 'A note')).toEqual({ issue: 'not-readable' })
    expect(await listKept()).toEqual([])
  })
  test('that nobody can read yet is sent all the same, and shows as soon as it can be read', async () => {
    const read: Around['entryOf'] = ({ action, typed }) =>
      action in benchWrites ? entryFromText(action as BenchAction, typed, house) : null
    answers = () => new Response(null, { status: 503 })
    engine.stand({ entryOf: () => undefined, stored: () => (stored += 1) })
    await engine.send('addNote', note(8), 'A note')
    expect(engine.snapshot()).toMatchObject({ kept: [{ about: 'A note' }], entries: [] })
    engine.stand({ entryOf: read, stored: () => (stored += 1) })
    expect(engine.snapshot().entries.map(({ id }) => id)).toEqual([uuid(8)])
  })
  test('of named hands carries their name', async () => {
    await engine.send('addNote', note(3), 'A note', uuid(77))
    expect(engine.snapshot().entries[0]?.personId).toBe(uuid(77))
  })
  test('that the server refuses is its writer’s again, and is kept no longer', async () => {
    answers = () => Response.json({ issue: 'not-found' })
    expect(await engine.send('addNote', note(4), 'A note')).toEqual({ issue: 'not-found' })
    expect(engine.snapshot()).toMatchObject({ kept: [], entries: [] })
  })
})

describe('without a connection', () => {
  test('it is safe on the device, shown, and stored when the line is back', async () => {
    answers = () => Promise.reject(new TypeError('fetch failed'))
    expect(await engine.send('addNote', note(5), 'A note')).toEqual({ ok: true })
    expect(engine.snapshot()).toMatchObject({ reachable: false, kept: [{ about: 'A note', issue: null }] })
    expect(engine.snapshot().entries).toHaveLength(1)
    answers = ok
    tell('online')
    await vi.waitFor(() => expect(engine.snapshot()).toMatchObject({ reachable: true, kept: [] }))
    expect(engine.snapshot().entries).toHaveLength(1)
  })
  test('a lost line is said at once', () => {
    tell('offline')
    expect(engine.snapshot().reachable).toBe(false)
  })
  test('anything that waits can be let go, and is gone from what is shown', async () => {
    answers = () => Promise.reject(new TypeError('fetch failed'))
    await engine.send('addNote', note(6), 'A note')
    const [kept] = engine.snapshot().kept
    if (!kept) throw new Error('it waits')
    await engine.letGo(kept)
    expect(engine.snapshot()).toMatchObject({ kept: [], entries: [] })
  })
})
