import { describe, expect, test } from 'vitest'
import { NextRequest } from 'next/server'
import { isOwnWrite, proxy } from './proxy'

const ask = (method: string, headers: Record<string, string>) =>
  new NextRequest('http://127.0.0.1:4700/pieces', { method, headers: { host: '127.0.0.1:4700', ...headers } })

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
  test('another host’s name is sent away', () => expect(proxy(ask('GET', { host: 'itinerum.example' })).status).toBe(421))
  test('a foreign write is refused before any page sees it', () => {
    expect(proxy(ask('POST', { origin: 'http://elsewhere.example' })).status).toBe(403)
  })
  test('every answer has a nonce of its own, and lets no other script in', () => {
    const policies = [1, 2].map(() => proxy(ask('GET', {})).headers.get('content-security-policy') ?? '')
    expect(new Set(policies).size).toBe(2)
    for (const policy of policies) {
      expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/)
      expect(policy).not.toMatch(/script-src[^;]*unsafe/)
    }
  })
})
