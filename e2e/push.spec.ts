/** Told of a window while the app is shut: by the browser's own service, sealed, once, and no more where it was turned off. */
import { type ChildProcess, spawn } from 'node:child_process'
import { type BrowserContext, expect, type Page, test } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { expectAxeClean } from './axe'
import { launchWhole } from './browser'
import { freePort, ownServer } from './ownServer'

// it keeps what is needed without a connection
test.use({ serviceWorkers: 'allow', launchOptions: launchWhole })

const more: Record<string, string> = { ITINERUM_CLERK_MS: '400' }
const own = ownServer('push', 'demo', more)
let service: ChildProcess
test.beforeAll(async () => {
  test.setTimeout(120_000)
  more.ITINERUM_PUSH = `http://127.0.0.1:${await freePort()}`
  service = spawn('node_modules/.bin/tsx', ['push/server.ts', new URL(more.ITINERUM_PUSH).port], { stdio: 'ignore' })
  await own.begin()
  await own.ask(`update studio set works_from = 0, works_to = 1440, works_days = '{0,1,2,3,4,5,6}'`)
})
test.afterAll(async () => {
  service.kill()
  await own.end()
})
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

interface Place {
  endpoint: string
  keys: { p256dh: string; auth: string }
}
/** A browser whose service is the stand-in: what it is asked for, it gives as that made it. */
async function withService(context: BrowserContext): Promise<Place> {
  const made = await fetch(`${more.ITINERUM_PUSH}/places`, { method: 'POST' })
  const place = (await made.json()) as Place
  await context.grantPermissions(['notifications'])
  await context.addInitScript((given) => {
    let is: object | null = null
    const subscription = { ...given, toJSON: () => given, unsubscribe: () => Promise.resolve((is = null) === null) }
    Object.assign(PushManager.prototype, {
      subscribe: ({ applicationServerKey }: { applicationServerKey: Uint8Array }) =>
        applicationServerKey.length === 65 ? Promise.resolve((is = subscription)) : Promise.reject(new Error('no key')),
      getSubscription: () => Promise.resolve(is),
    })
  }, place)
  return place
}
const cameTo = async ({ endpoint }: Place) =>
  (await (await fetch(`${more.ITINERUM_PUSH}${new URL(endpoint).pathname}`)).json()) as {
    text: string
    ttl: number
    urgency: string
  }[]
const shut = (page: Page) => page.getByRole('button', { name: 'while the app is shut, too' })

test('a window that is about to close is told to a phone that looks at nothing, once; it opens the piece', async ({
  browser,
}) => {
  const context = await browser.newContext()
  await own.letIn(context)
  const place = await withService(context)
  const page = await context.newPage()
  await page.goto(own.address())
  await shut(page).click()
  await expect(shut(page)).toHaveAttribute('aria-pressed', 'true')
  await expectAxeClean(page)

  // the day goes on, five minutes at a time, until the tinted wax is about to close: whatever is written has the studio read again
  const piece = (await own.ask<{ id: string }>(`select id from piece where name like 'Washstand%'`))[0]?.id ?? ''
  await page.goto('about:blank')
  const later = async () => {
    await own.ask('alter table entry disable trigger user')
    await own.ask(`update entry set at = at - interval '5 minutes' where piece_id = $1`, [piece])
    await own.ask('alter table entry enable trigger user')
    const noted = await context.request.post(`${own.address()}/api/bench`, {
      data: {
        action: 'addNote',
        typed: { entryId: uuidv7(), pieceId: piece, at: new Date().toISOString(), note: 'Rags by the door' },
      },
      headers: { origin: own.address() },
    })
    expect(noted.status()).toBe(200)
  }
  await expect(async () => {
    const told = (await cameTo(place)).map(({ text }) => text).filter((text) => text.includes(piece))
    if (!told.join().includes('closes at')) await later()
    expect(told.join()).toContain('closes at')
  }).toPass({ intervals: [1_500], timeout: 90_000 })
  const wax = (await cameTo(place)).filter(({ text }) => text.includes(piece) && text.includes('closes at'))
  expect(wax).toHaveLength(1)
  const said = JSON.parse(wax[0]?.text ?? '{}') as { words: string; path: string; tag: string }
  expect(said).toMatchObject({
    words: expect.stringMatching(/^Washstand with a splashback, .+: closes at \d\d:\d\d\./),
    path: `/pieces/${piece}`,
  })
  expect(wax[0]?.urgency).toBe('high')
  expect(wax[0]?.ttl).toBeLessThanOrEqual(15 * 60)
  // and stays told once, however often the house looks
  await new Promise((wait) => setTimeout(wait, 2_000))
  expect((await cameTo(place)).filter(({ text }) => text === wax[0]?.text)).toHaveLength(1)

  // the worker shows it, with the app shut
  await page.goto(own.address())
  await page.evaluate(() => navigator.serviceWorker.ready)
  const cdp = await context.newCDPSession(page)
  const registered = new Promise<string>((resolve) =>
    cdp.on(
      'ServiceWorker.workerRegistrationUpdated',
      ({ registrations }) => registrations[0] && resolve(registrations[0].registrationId),
    ),
  )
  await cdp.send('ServiceWorker.enable')
  await cdp.send('ServiceWorker.deliverPushMessage', {
    origin: own.address(),
    registrationId: await registered,
    data: wax[0]?.text ?? '',
  })
  await expect
    .poll(() =>
      page.evaluate(async () =>
        (await (await navigator.serviceWorker.ready).getNotifications()).map(({ title, body, tag, data }) => ({
          title,
          body,
          tag,
          data: data as object,
        })),
      ),
    )
    .toContainEqual({ title: 'Itinerum', body: said.words, tag: said.tag, data: { path: said.path } })

  // turned off, nothing is told there any more
  await shut(page).click()
  await expect(shut(page)).toHaveAttribute('aria-pressed', 'false')
  expect(await own.ask('select from door.push_place where ended_at is null')).toEqual([])
})

test('a service that is down is asked again; one that knows the browser no more is not; who signs out is told nothing', async ({
  browser,
}) => {
  const fault = (what: string) => fetch(`${more.ITINERUM_PUSH}/fault`, { method: 'PUT', body: what })
  const context = await browser.newContext()
  await own.letIn(context, 'Joss')
  const place = await withService(context)
  const page = await context.newPage()
  // a place with keys that are none stands before it, and keeps nobody from being told
  const other = await browser.newContext()
  await own.letIn(other)
  const none = await other.request.put(`${own.address()}/api/push`, {
    data: { endpoint: 'https://push.itinerum.example/none', keys: { p256dh: 'p'.repeat(87), auth: 'a'.repeat(22) } },
    headers: { origin: own.address() },
  })
  expect(none.status()).toBe(200)
  await page.goto(own.address())
  await fault('down')
  await shut(page).click()
  await expect(shut(page)).toHaveAttribute('aria-pressed', 'true')
  await new Promise((wait) => setTimeout(wait, 2_500))
  expect(await cameTo(place)).toEqual([])
  await fault('none')
  await expect.poll(async () => (await cameTo(place)).length, { timeout: 30_000 }).toBeGreaterThan(0)
  const standing = () => own.ask('select from door.push_place where ended_at is null')
  expect(await standing()).toHaveLength(1)

  await fault('gone')
  await own.ask('delete from door.push_told')
  await expect.poll(async () => (await standing()).length, { timeout: 30_000 }).toBe(0)
  await fault('none')
  // told again from the next look at the bench on; and no more once they are out
  await page.reload()
  await expect.poll(async () => (await standing()).length).toBe(1)
  await own.ask(
    `update door.session set ended_at = now() where id = (select session_id from door.push_place where ended_at is null)`,
  )
  await own.ask('delete from door.push_told')
  const before = (await cameTo(place)).length
  await new Promise((wait) => setTimeout(wait, 2_500))
  expect((await cameTo(place)).length).toBe(before)
})

test('no address of a network of one’s own is taken for a browser’s service', async ({ request, browser }) => {
  const context = await browser.newContext()
  await own.letIn(context)
  const keys = { p256dh: 'p'.repeat(87), auth: 'a'.repeat(22) }
  for (const endpoint of ['http://push.itinerum.example/1', 'https://127.0.0.1/1', 'https://[fd00::1]/1', 'https://db/1']) {
    const answer = await context.request.put(`${own.address()}/api/push`, {
      data: { endpoint, keys },
      headers: { origin: own.address() },
    })
    expect([endpoint, answer.status(), await answer.json()]).toEqual([endpoint, 422, { issue: 'no-service' }])
  }
  const outside = await request.put(`${own.address()}/api/push`, {
    data: { endpoint: 'https://push.itinerum.example/1', keys },
    headers: { origin: own.address() },
  })
  expect(outside.status()).toBe(401)
})
