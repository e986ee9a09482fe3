/** Nobody else gets in, nothing goes out. */
import { expect, test } from '@playwright/test'

test('every page has strict headers and a policy with a nonce of its own', async ({ request }) => {
  const [one, two] = [await request.get('/'), await request.get('/')]
  const headers = one.headers()
  expect(headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'no-referrer',
    'cross-origin-opener-policy': 'same-origin',
  })
  const policy = headers['content-security-policy'] ?? ''
  expect(policy).toContain("default-src 'self'")
  expect(policy).not.toContain("script-src 'self' 'unsafe-inline'")
  expect(policy).not.toBe(two.headers()['content-security-policy'])
  expect(headers['x-powered-by']).toBeUndefined()
})

test('a write from elsewhere, or without saying from where, is refused', async ({ request }) => {
  const senders: Record<string, string>[] = [{ origin: 'http://elsewhere.example' }, { origin: 'null' }, {}]
  for (const headers of senders) {
    const response = await request.put('/api/photos/01900000-0000-7000-8000-000000000001', { data: 'x', headers })
    expect(response.status()).toBe(403)
  }
  expect(
    (await request.post('/', { headers: { origin: 'http://elsewhere.example', 'next-action': 'x' }, data: '[]' })).status(),
  ).toBe(403)
})

test('another host’s name is not answered', async ({ request }) => {
  expect((await request.get('/', { headers: { host: 'itinerum.example' } })).status()).toBe(421)
})

test('no page asks anybody else for anything', async ({ page, baseURL }) => {
  const asked = new Set<string>()
  page.on('request', (each) => /^https?:/.test(each.url()) && asked.add(new URL(each.url()).origin))
  for (const path of ['/', '/pieces', '/pieces/new', '/shelf', '/house']) await page.goto(path, { waitUntil: 'networkidle' })
  expect([...asked]).toEqual([baseURL])
})

test('a body beyond the limit is refused', async ({ request, baseURL }) => {
  const response = await request.put(
    `/api/photos/01900000-0000-7000-8000-000000000002?${new URLSearchParams({ piece: '01900000-0000-7000-8000-000000000003', moment: 'before', at: new Date().toISOString() })}`,
    { data: Buffer.alloc(41_000_000), headers: { origin: baseURL ?? '' } },
  )
  expect(response.status()).toBe(413)
})
