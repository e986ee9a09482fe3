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
  for (const path of ['/', '/pieces', '/pieces/new', '/shelf', '/house', '/air', '/learned']) {
    await page.goto(path, { waitUntil: 'load' })
    await page.waitForTimeout(500)
  }
  expect([...asked]).toEqual([baseURL])
})

test('a body beyond the limit is refused', async ({ request, baseURL }) => {
  const response = await request.put(
    `/api/photos/01900000-0000-7000-8000-000000000002?${new URLSearchParams({ piece: '01900000-0000-7000-8000-000000000003', moment: 'before', at: new Date().toISOString() })}`,
    { data: Buffer.alloc(41_000_000), headers: { origin: baseURL ?? '' } },
  )
  expect(response.status()).toBe(413)
})

test('the bench’s door takes its own entries alone, whole and from here', async ({ request, baseURL }) => {
  const origin = { origin: baseURL ?? '' }
  const send = (data: unknown, headers: Record<string, string> = origin) =>
    request.post('/api/bench', { data: data as object, headers })
  expect((await send({ action: 'addNote', typed: {} }, { origin: 'http://elsewhere.example' })).status()).toBe(403)
  expect((await send({ action: 'dropTable', typed: {} })).status()).toBe(400)
  expect((await send({ action: 'addNote', typed: { note: 'x'.repeat(40_000) } })).status()).toBe(413)
  const unread = await send({ action: 'startStep', typed: { stepId: 'x' } })
  expect(await unread.json()).toMatchObject({ issue: 'not-readable' })
  const id = '01900000-0000-7000-8000-00000000f001'
  const nowhere = { entryId: id, pieceId: id, at: new Date().toISOString(), note: 'to a piece that is not' }
  expect(await (await send({ action: 'addNote', typed: nowhere })).json()).toEqual({ issue: 'not-found' })
})

test('a calendar’s address that was never made answers as one that was revoked', async ({ request }) => {
  for (const token of ['0'.repeat(48), '../../etc/passwd', 'x'])
    expect((await request.get(`/api/calendar/${encodeURIComponent(token)}.ics`)).status()).toBe(404)
})
