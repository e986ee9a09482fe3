import { NextRequest } from 'next/server'
import { describe, expect, test } from 'vitest'
import { isOwnWrite, proxy } from './proxy'

const ask = (method: string, headers: Record<string, string>, path = '/pieces') =>
  new NextRequest(`http://127.0.0.1:4700${path}`, { method, headers: { host: '127.0.0.1:4700', ...headers } })

describe('who may write', () => {
  test('reading needs no origin', () => expect(isOwnWrite(ask('GET', {}))).toBe(true))
  test.each([
    ['our own page', 'http://127.0.0.1:4700', true],
    ['another port of this machine', 'http://127.0.0.1:4701', false],
    ['another site', 'http://elsewhere.example', false],
    ['a sandboxed frame', 'null', false],
  ] as const)('%s: %s', (_, origin, may) => expect(isOwnWrite(ask('POST', { origin }))).toBe(may))
  test('nobody who does not say where from', () => expect(isOwnWrite(ask('PUT', {}))).toBe(false))
})

describe('what goes out', () => {
  test('another host’s name is sent away', async () =>
    expect((await proxy(ask('GET', { host: 'itinerum.example' }))).status).toBe(421))
  test('a foreign write is refused before any page sees it', async () =>
    expect((await proxy(ask('POST', { origin: 'http://elsewhere.example' }))).status).toBe(403))
  test('an action’s body that no page of ours sends is stopped: half of one, a form, a flood', async () => {
    const own = { origin: 'http://127.0.0.1:4700', 'next-action': 'a1', 'content-type': 'text/plain;charset=UTF-8' }
    const sent = (body: string, over: Record<string, string> = {}) =>
      proxy(
        new NextRequest('http://127.0.0.1:4700/', {
          method: 'POST',
          body,
          headers: { host: '127.0.0.1:4700', ...own, ...over },
        }),
      ).then(({ status }) => status)
    expect(await sent('[{"note":"Seen."}]')).toBe(200)
    expect(await sent('[{"note":"Se')).toBe(400)
    expect(await sent('a=1', { 'content-type': 'multipart/form-data; boundary=x' })).toBe(415)
    expect(await sent(JSON.stringify(['x'.repeat(300_000)]))).toBe(400)
    expect(await sent('[]', { 'content-length': '900000000' })).toBe(413)
  })
  test('every answer has a nonce of its own, and lets no other script in', async () => {
    const answers = await Promise.all([1, 2].map(() => proxy(ask('GET', {}, '/sign-in'))))
    const policies = answers.map((answer) => answer.headers.get('content-security-policy') ?? '')
    expect(new Set(policies).size).toBe(2)
    for (const policy of policies) {
      expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/)
      expect(policy).not.toMatch(/script-src[^;]*unsafe/)
    }
  })
  test('nobody who is not in sees a page, or is answered', async () => {
    const to = async (path: string) =>
      (await proxy(ask('GET', {}, path))).headers.get('location')?.replace(/^http:..[^/]+/, '') ?? null
    expect(await to('/pieces?q=settle&_rsc=1a')).toBe('/sign-in?to=%2Fpieces%3Fq%3Dsettle')
    expect(await to('/')).toBe('/sign-in')
    expect(await to('/sign-inx')).toBe('/sign-in')
    const api = await proxy(ask('GET', {}, '/api/week'))
    expect([api.status, await api.json()]).toEqual([401, { issue: 'signed-out', revoked: false }])
    for (const path of ['/sign-in', '/join/abc', '/api/session', '/api/health']) expect(await to(path), path).toBeNull()
  })
})
