import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { answerOf, post, sendKept } from './send'
import { type Draft, forget, keep, listKept, mark } from './store'

/** A server that keeps what it is sent by its id, and can be away, or fail, or refuse. */
interface Server {
  stored: string[]
  seen: string[]
  answers: (id: string) => Response | Error
}
const server: Server = { stored: [], seen: [], answers: () => new Response() }
const ok = () => Response.json({ ok: true })
const away = () => new TypeError('fetch failed')

const note = (n: number): Draft => ({
  action: 'addNote',
  typed: { entryId: `entry ${n}`, pieceId: 'piece', at: `2026-05-04T09:0${n}:00.000Z`, note: 'Written' },
  about: 'Note',
})
const photo = (n: number): Draft => ({
  action: 'addPhoto',
  typed: { entryId: `photo ${n}`, pieceId: 'piece', partId: 'part', stepId: null, at: '', moment: 'during', alt: 'A top' },
  about: 'Photograph',
  file: new Blob(['pixels']),
})
const idIn = (address: string, body: unknown) =>
  address.startsWith('/api/photos/')
    ? decodeURIComponent(address.slice('/api/photos/'.length).split('?')[0] ?? '')
    : (JSON.parse(body as string) as { typed: { entryId: string } }).typed.entryId

beforeEach(() => {
  Object.assign(server, { stored: [], seen: [], answers: ok })
  let last: Promise<unknown> = Promise.resolve()
  const request = (_: string, work: () => Promise<unknown>) => (last = last.then(work, work))
  vi.stubGlobal('navigator', { locks: { request } })
  vi.stubGlobal('fetch', (address: string, { body }: RequestInit) => {
    const id = idIn(address, body)
    server.seen.push(id)
    const answer = server.answers(id)
    if (answer instanceof Error) return Promise.reject(answer)
    if (answer.ok && !server.stored.includes(id)) server.stored.push(id)
    return Promise.resolve(answer)
  })
})
afterEach(async () => {
  for (const { seq } of await listKept()) await forget(seq)
  vi.unstubAllGlobals()
})

describe('what is kept', () => {
  test('is sent in the order it was written, and kept no longer', async () => {
    for (const n of [1, 2, 3]) await keep(note(n))
    expect(await sendKept('entries')).toMatchObject({ reachable: true, answered: [{}, {}, {}] })
    expect(server.stored).toEqual(['entry 1', 'entry 2', 'entry 3'])
    expect(await listKept()).toEqual([])
  })
  test('waits whole where the server is away: nothing after the first is tried', async () => {
    for (const n of [1, 2, 3]) await keep(note(n))
    server.answers = (id) => (id === 'entry 2' ? away() : ok())
    expect(await sendKept('entries')).toMatchObject({ reachable: false, answered: [{}] })
    expect(server.seen).toEqual(['entry 1', 'entry 2'])
    expect((await listKept()).map(({ typed }) => typed.entryId)).toEqual(['entry 2', 'entry 3'])
  })
  test('a server that fails has stored nothing; one that answered but was not heard stores it once', async () => {
    await keep(note(1))
    server.answers = () => new Response('broken', { status: 503 })
    expect((await sendKept('entries')).reachable).toBe(false)
    // stored, and the line broke before the answer came
    server.answers = (id) => {
      server.stored.push(id)
      return away()
    }
    await sendKept('entries')
    server.answers = ok
    await sendKept('entries')
    expect(server.stored).toEqual(['entry 1'])
    expect(await listKept()).toEqual([])
  })
  test('what is refused stays, said so, and does not hold up the rest', async () => {
    for (const n of [1, 2]) await keep(note(n))
    server.answers = (id) => (id === 'entry 1' ? Response.json({ issue: 'not-found' }) : ok())
    await sendKept('entries')
    expect(await listKept()).toMatchObject([{ typed: { entryId: 'entry 1' }, issue: 'not-found' }])
    expect(server.stored).toContain('entry 2')
    // it is not sent again by itself
    server.answers = ok
    await sendKept('entries')
    expect(server.seen.filter((id) => id === 'entry 1')).toHaveLength(1)
    const [refused] = await listKept()
    if (!refused) throw new Error('it stays until somebody decides')
    await mark({ ...refused, issue: null })
    await sendKept('entries')
    expect(await listKept()).toEqual([])
  })
  test('what the server breaks over is passed by after the third time, and nothing behind it waits for good', async () => {
    for (const n of [1, 2]) await keep(note(n))
    server.answers = (id) => (id === 'entry 1' ? new Response('broken', { status: 500 }) : ok())
    expect((await sendKept('entries')).reachable).toBe(false)
    expect((await sendKept('entries')).reachable).toBe(false)
    expect(server.stored).toEqual([])
    expect((await sendKept('entries')).reachable).toBe(true)
    expect(server.stored).toEqual(['entry 2'])
    expect(await listKept()).toMatchObject([{ typed: { entryId: 'entry 1' }, issue: 'not-storable' }])
  })
  test('two sendings at once send each thing once', async () => {
    for (const n of [1, 2, 3]) await keep(note(n))
    await Promise.all([sendKept('entries'), sendKept('entries'), sendKept('entries')])
    expect(server.seen).toEqual(['entry 1', 'entry 2', 'entry 3'])
  })
  test('whatever fails and however often: each stored once, in order', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom('ok', 'away', 'heard-not', 'fails'), { maxLength: 12 }), async (tries) => {
        Object.assign(server, { stored: [], seen: [], answers: ok })
        for (const n of [1, 2, 3, 4]) await keep(note(n))
        const fates = [...tries]
        server.answers = (id) => {
          const fate = fates.shift() ?? 'ok'
          if (fate === 'heard-not' && !server.stored.includes(id)) server.stored.push(id)
          if (fate === 'away' || fate === 'heard-not') return away()
          return fate === 'fails' ? new Response('', { status: 503 }) : ok()
        }
        while ((await listKept()).length > 0) await sendKept('entries')
        expect(server.stored).toEqual(['entry 1', 'entry 2', 'entry 3', 'entry 4'])
      }),
      // one that is broken off in the middle would go on into the next test
      { numRuns: 40, interruptAfterTimeLimit: 60_000 },
    )
  })
})

describe('photographs', () => {
  test('go their own way: entries do not wait for them', async () => {
    await keep(photo(1))
    await keep(note(1))
    await sendKept('entries')
    expect(server.stored).toEqual(['entry 1'])
    await sendKept('photos')
    expect(server.stored).toEqual(['entry 1', 'photo 1'])
  })
  test('carry their pixels and what they belong to; what is empty is left out', async () => {
    const asked: string[] = []
    vi.stubGlobal('fetch', (address: string, { body }: RequestInit) => {
      asked.push(address, body instanceof Blob ? 'pixels' : 'nothing')
      return Promise.resolve(ok())
    })
    expect(await post(photo(7))).toEqual({ ok: true })
    expect(asked).toEqual(['/api/photos/photo 7?piece=piece&part=part&at=&moment=during&alt=A+top', 'pixels'])
  })
  test('what is none is said in the server’s own words', async () => {
    const own = await keep(photo(1))
    server.answers = () => Response.json({ issue: 'empty', words: 'This file is empty.' }, { status: 422 })
    const sent = await sendKept('photos')
    expect(await answerOf(own, sent)).toEqual({ issue: 'not-readable', fields: { photo: 'This file is empty.' } })
    expect(await listKept()).toMatchObject([{ fields: { photo: 'This file is empty.' } }])
  })
})

describe('what became of it', () => {
  test('another sending may have had the answer: stored, refused, or none yet', async () => {
    const [stored, refused, waiting] = [await keep(note(1)), await keep(note(2)), await keep(note(3))]
    server.answers = (id) => (id === 'entry 1' ? ok() : id === 'entry 2' ? Response.json({ issue: 'not-whole' }) : away())
    await sendKept('entries')
    const nothing = { answered: [], reachable: true }
    expect(await answerOf(stored, nothing)).toEqual({ ok: true })
    expect(await answerOf(refused, nothing)).toEqual({ issue: 'not-whole' })
    expect(await answerOf(waiting, nothing)).toBeNull()
  })
})
