/** Every route of the build, asked with every kind of session that is none, and by the owner of another studio. */
import { type APIRequestContext, expect, test } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { comeIn, type Cookie, cookieHeader } from '../scripts/comeIn'
import { ownServer } from './ownServer'
import { routesOfBuild } from './routes'

const own = ownServer('sessions', 'demo')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.use({ storageState: { cookies: [], origins: [] } })

/** What answers to everybody; all else is behind the door. */
const open = new Set([
  '/sign-in',
  '/join/[token]',
  '/new-password/[token]',
  '/api/session',
  '/api/session/passkey',
  '/api/join',
  '/api/password',
  '/api/pairing',
  '/api/authority',
  // a service that has signed what it tells
  '/api/payments',
  '/pair/[token]',
  '/trust',
  '/api/health',
  '/api/v1/openapi.json',
  '/manifest.webmanifest',
])
const files = /^\/(icon\.svg|apple-icon\.png|favicon\.ico|_not-found|_global-error)$/
const shut = () => routesOfBuild().filter((route) => !open.has(route) && !files.test(route))
const pathOf = (route: string, id = () => uuidv7()) =>
  route.replace('[token]', `${'0'.repeat(48)}.ics`).replace(/\[\w+\]/g, () => id())
/** What somebody is told who has no session: nothing of the studio. */
function toldOutside(route: string): number {
  if (route.startsWith('/for/')) return /\/(word|opened|answer|pay)$/.test(route) ? 405 : 404
  if (route.startsWith('/api/calendar/')) return 404
  return route.startsWith('/api/') ? 401 : 307
}

async function askAll(request: APIRequestContext, kind: string, before: () => Promise<Cookie | null>) {
  for (const route of shut()) {
    const cookie = await before()
    const response = await request.get(`${own.address()}${pathOf(route)}`, {
      maxRedirects: 0,
      ...(cookie && { headers: cookieHeader(cookie) }),
    })
    const expected = toldOutside(route)
    expect([kind, route, response.status()]).toEqual([kind, route, expected])
    if (expected === 307) expect(response.headers().location).toMatch(/^\/sign-in(\?to=|$)/)
    if (!route.startsWith('/for/')) expect([kind, route, response.headers()['set-cookie']]).toEqual([kind, route, undefined])
  }
}

/** Each brings about what it is named after, for a session of its own. */
const undone: Record<string, string> = {
  'went out': 'update door.session set ended_at = now() where id = $1',
  'signed out from another device': 'update door.session set ended_at = now(), is_revoked = true where id = $1',
  over: `update door.session set expires_at = now() - interval '1 second' where id = $1`,
  'not used for a month': `update door.session set seen_at = now() - interval '31 days' where id = $1`,
  'of somebody who comes in no more':
    'update door.membership set ended_at = now() where id = (select membership_id from door.session where id = $1)',
  'with a secret that was replaced': `update door.session set last_digest = digest, digest = sha256('another'),
     renewed_at = now() - interval '3 minutes', ended_at = null, is_copied = false where id = $1 and digest <> sha256('another')`,
}
/** the newest session, which is the one that was just begun */
const newest = async () =>
  (await own.ask<{ id: string }>('select id from door.session where membership_id is not null order by made_at desc limit 1'))[0]
    ?.id

test('no route answers anything to who has no session, or one that is made up', async ({ request }) => {
  expect(shut().length).toBeGreaterThan(60)
  const { name } = await comeIn(own.address())
  await askAll(request, 'none', () => Promise.resolve(null))
  await askAll(request, 'made up', () => Promise.resolve({ name, value: 'x'.repeat(43) }))
  const write = await request.post(`${own.address()}/api/bench`, {
    data: { action: 'addNote', typed: { entryId: uuidv7(), pieceId: uuidv7(), at: new Date().toISOString(), note: 'x' } },
    headers: { origin: own.address() },
  })
  expect(write.status()).toBe(401)
})

for (const [kind, sql] of Object.entries(undone))
  test(`no route answers anything to a session: ${kind}`, async ({ request }) => {
    const cookie = await comeIn(own.address(), 'Joss')
    const id = await newest()
    const good = await request.get(`${own.address()}/pieces`, { headers: cookieHeader(cookie) })
    expect(await good.text()).toContain('Washstand')
    await own.ask(sql, [id])
    await askAll(request, kind, async () => {
      // whoever comes by a secret that was replaced ends the session: each route is asked by one that stands
      if (kind.startsWith('with')) await own.ask('update door.session set ended_at = null, is_copied = false where id = $1', [id])
      return cookie
    })
    await own.ask(
      'update door.membership set ended_at = null where id = (select membership_id from door.session where id = $1)',
      [id],
    )
  })

test('a key of another program, an address of the calendar and a client’s link open no page', async ({ request }) => {
  const { name } = await comeIn(own.address())
  const membership = await own.ask<{ id: string; studio_id: string }>(
    `select id, studio_id from door.membership where role = 'owner' limit 1`,
  )
  const [key, calendar, link] = ['k', 'c', 'l'].map((each) => each.repeat(43))
  await own.ask(
    `insert into door.session (digest, id, studio_id, membership_id, expires_at, key_name, key_may)
     values (sha256(convert_to($1, 'UTF8')), $2, $3, $4, now() + interval '1 day', 'ledger', '{read,write,money}')`,
    [key, uuidv7(), membership[0]?.studio_id, membership[0]?.id],
  )
  await own.ask(
    `insert into calendar_feed (id, studio_id, digest, made_at) select $1, $2, encode(sha256(convert_to($3, 'UTF8')), 'hex'), now()`,
    [uuidv7(), membership[0]?.studio_id, calendar],
  )
  for (const value of [key, calendar, link])
    await askAll(request, `${value?.[0]}`, () => Promise.resolve({ name, value: value ?? '' }))
})

test('the owner of another studio finds nothing of this one, by any address', async ({ request }) => {
  const token = 't'.repeat(43)
  await own.otherStudio(token)
  const joined = await fetch(`${own.address()}/api/join`, {
    method: 'POST',
    headers: { origin: own.address(), 'content-type': 'application/json' },
    body: JSON.stringify({ token, name: 'Merryn', called: 'Merryn', password: own.ownerPassword }),
  })
  const [, name, value] = /^([\w-]+)=([\w-]+);/.exec(joined.headers.get('set-cookie') ?? '') ?? []
  const headers = cookieHeader({ name: name ?? '', value: value ?? '' })
  const [piece] = await own.ask<{ id: string; part: string; entry: string; photo: string }>(
    `select p.id, (select id from part where piece_id = p.id limit 1) as part,
            (select id from entry where piece_id = p.id order by at desc limit 1) as entry,
            (select id from photo limit 1) as photo
     from piece p where p.name like 'Washstand%'`,
  )
  // whatever is this studio's alone: its pieces, clients, tins and people
  const names = (
    await own.ask<{ name: string }>(
      `select name from piece where length(name) > 8 union select client from piece where length(client) > 6 union select name from person where length(name) > 6
       union select note from entry where length(note) > 12`,
    )
  )
    .map((row) => row.name)
    // as an article is called everywhere
    .filter((each) => each !== 'Washstand with a splashback')
  expect(names.length).toBeGreaterThan(20)
  let asked = 0
  for (const route of shut().filter((each) => !each.startsWith('/for/') && !each.includes('token') && each !== '/api/live')) {
    const path = route
      .replace('/photos/[id]', `/photos/${piece?.photo}`)
      .replace('[id]', piece?.id ?? '')
      .replace('[part]', piece?.part ?? '')
      .replace('[entry]', piece?.entry ?? '')
      .replace(/export$/, 'export?as=json')
    const response = await request.get(`${own.address()}${path}`, { headers, maxRedirects: 0 })
    const text = await response.text()
    const found = names.filter((each) => text.includes(each))
    expect([route, found]).toEqual([route, []])
    // what is for other programs is opened by their keys alone
    const wanted = route.startsWith('/api/v1/') ? 401 : 404
    if (route.includes('[')) expect([route, response.status()]).toEqual([route, wanted])
    asked += 1
  }
  expect(asked).toBeGreaterThan(50)
})
