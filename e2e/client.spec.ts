/** A client's page: what a link opens on somebody else's phone, what it never opens, and questions that come back as answers. */
import { type APIRequestContext, expect, type Page, test } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { expectAxeClean } from './axe'
import { ownServer } from './ownServer'

const own = ownServer('client')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

const pieceCalled = async (name: string) =>
  (await own.ask<{ id: string }>('select id from piece where name like $1', [`${name}%`]))[0]?.id ?? ''
/** Makes a link at the desk. */
async function makeLink(desk: Page, piece: string): Promise<string> {
  await desk.goto(`${own.address()}/pieces/${piece}/client`)
  await desk.getByRole('button', { name: 'Make a link' }).click()
  return (await desk.locator('[data-client-link]').textContent()) ?? ''
}
const guest = async (browser: import('@playwright/test').Browser) =>
  (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
/** Asks as a browser would that has nothing but the link. */
const answer = async (request: APIRequestContext, path: string) => (await request.get(`${own.address()}${path}`)).status()

test('a client sees their piece and asks; the workshop answers, and the client reads it', async ({ browser, context }) => {
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const link = await makeLink(desk, await pieceCalled('Nursery'))
  expect(link).toMatch(new RegExp(`^${own.address()}/for/[\\w-]{43}$`))
  await expectAxeClean(desk)

  const page = await guest(browser)
  await page.goto(link)
  await expect(page.getByRole('heading', { level: 1, name: 'Nursery bookcase' })).toBeVisible()
  await expect(page.getByText('Promised for')).toBeVisible()
  await expect(page.getByRole('img', { name: /^Case: the piece itself, primer, 2 × paint/ })).toBeVisible()
  await expect(page.getByRole('img').first()).toHaveJSProperty('complete', true)
  expect(
    await page
      .getByRole('img')
      .first()
      .evaluate((img: HTMLImageElement) => img.naturalWidth),
  ).toBeGreaterThan(100)
  await expectAxeClean(page)
  // nobody is in by it, and nothing of it is kept
  expect(await page.context().cookies()).toEqual([])
  const headers = (await page.request.get(link)).headers()
  expect(headers['x-robots-tag']).toContain('noindex')
  expect(headers['referrer-policy']).toBe('no-referrer')
  expect(headers['cache-control']).toContain('no-store')

  // by keys alone; what didn't get through stays, and is kept once when it did
  await page.getByLabel('Your question').focus()
  await page.keyboard.type('May I bring the handles on Monday?')
  await page.context().setOffline(true)
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^It did not get through/)).toBeVisible()
  await expect(page.getByLabel('Your question')).toHaveValue('May I bring the handles on Monday?')
  await page.context().setOffline(false)
  await page.keyboard.press('Enter')
  await expect(page.getByText('Asked. The answer will stand here.')).toBeVisible()
  await expect(page.getByText('May I bring the handles on Monday?')).toHaveCount(1)

  await desk.goto(`${own.address()}/pieces`)
  await desk.getByRole('link', { name: /Nursery bookcase: a question/ }).click()
  await expect(desk.getByText('May I bring the handles on Monday?')).toBeVisible()
  await desk.getByLabel('Write to the client').fill('Monday after ten suits us.')
  await desk.getByRole('button', { name: 'Send it' }).click()
  await expect(desk.getByText('Monday after ten suits us.').first()).toBeVisible()
  await expect(desk.getByText('opened once', { exact: false }).or(desk.getByText(/opened (twice|\d+ times)/))).toBeVisible()
  // kept with the piece, and taken along with it
  const file = (await (
    await desk.request.get(`${own.address()}/api/pieces/${await pieceCalled('Nursery')}/export?as=json`)
  ).json()) as {
    saidWithClient: { personId: string | null; words: string }[]
  }
  expect(file.saidWithClient.slice(-2).map(({ personId, words }) => [personId === null, words])).toEqual([
    [true, 'May I bring the handles on Monday?'],
    [false, 'Monday after ten suits us.'],
  ])
  await page.reload()
  await expect(page.getByText('Monday after ten suits us.')).toBeVisible()
  await expect(page.getByText('The Lantern Loft').first()).toBeVisible()
})

test('what is chosen is what is shown, in the language that is chosen', async ({ browser, context }) => {
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const link = await makeLink(desk, await pieceCalled('Nursery'))
  const page = await guest(browser)
  // a program that looks what is behind a link has not seen the page
  expect((await page.request.get(link)).status()).toBe(200)
  await desk.reload()
  await expect(desk.getByText('not opened yet')).toBeVisible()
  await page.goto(link)
  const photo = (await page.getByRole('img').first().getAttribute('src')) ?? ''
  expect(await answer(page.request, photo)).toBe(200)
  await desk.getByRole('checkbox', { name: /^Questions/ }).uncheck()
  await desk.getByRole('checkbox', { name: /^What lies on it/ }).uncheck()
  await desk.getByLabel('In which language').selectOption({ label: 'Deutsch' })
  await desk.locator('fieldset input[type=checkbox]').first().uncheck()
  await desk.getByRole('button', { name: 'Keep it so' }).click()
  await expect(desk.getByRole('button', { name: 'Kept' })).toBeVisible()
  await page.reload()
  await expect(page.getByText('Es wird gestrichen.')).toBeVisible()
  await expect(page.getByText(/Freitag|Montag|Dienstag|Mittwoch|Donnerstag|Samstag|Sonntag/).first()).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Was darauf liegt' })).toBeHidden()
  await expect(page.getByText('Monday after ten suits us.')).toBeHidden()
  await expectAxeClean(page)
  // what was taken back is out of reach of the address it had, and a question is taken no more
  expect(await answer(page.request, photo)).toBe(404)
  const asked = await page.request.post(`${link}/word`, {
    data: { id: uuidv7(), words: 'And now?' },
    headers: { origin: own.address() },
  })
  expect(asked.status()).toBe(410)
})

test('nothing else is within reach: other pieces, other photographs, the workshop, by no session and by no other origin', async ({
  browser,
  context,
}) => {
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const link = await makeLink(desk, await pieceCalled('Nursery'))
  const token = link.split('/').at(-1) ?? ''
  const { request } = await guest(browser)
  const others = await own.ask<{ id: string }>(
    `select id from photo where piece_id <> (select piece_id from client_page limit 1) limit 5`,
  )
  expect(others.length).toBe(5)
  for (const { id } of others) {
    expect(await answer(request, `/for/${token}/photo/${id}`)).toBe(404)
    expect(await answer(request, `/api/photos/${id}`)).toBe(401)
  }
  // the link is no session, whether it is sent as one or asked by
  for (const cookie of [`itinerum=${token}`, `__Host-itinerum=${token}`])
    for (const path of ['/api/bench', `/api/pieces/${others[0]?.id ?? ''}/export?as=json`, '/api/week', '/api/happened'])
      expect([path, (await request.get(`${own.address()}${path}`, { headers: { cookie } })).status()]).toEqual([path, 401])
  expect(await answer(request, `/api/calendar/${token}`)).toBe(404)
  const text = await (await request.get(link)).text()
  // no figure of money, nobody's name of the workshop, no other piece
  const names = await own.ask<{ name: string }>(
    `select name from piece where name not like 'Nursery%' union select name from person union select name from product`,
  )
  for (const { name } of names) expect([name, text.includes(name)]).toEqual([name, false])
  expect(text).not.toMatch(/£\s?\d|(?:price|money|hourRate)\\?"\s*:\s*\\?"?[1-9]/)
  for (const origin of ['https://elsewhere.example', 'null']) {
    const sent = await request.post(`${link}/word`, { data: { id: uuidv7(), words: 'x' }, headers: { origin } })
    expect([origin, sent.status()]).toEqual([origin, 403])
  }
  for (const body of ['', 'x'.repeat(9_000), '{"id":"1","words":"x"}', `{"id":"${uuidv7()}","words":"   "}`]) {
    const headers = { origin: own.address(), 'content-type': 'application/json' }
    expect([413, 422]).toContain((await request.post(`${link}/word`, { data: Buffer.from(body), headers })).status())
  }
})

test('taken back, the link opens nothing; asked on and on, it tells to wait', async ({ browser, context }) => {
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const piece = await pieceCalled('Nursery')
  const link = await makeLink(desk, piece)
  await desk.getByRole('checkbox', { name: /^Questions/ }).check()
  await desk.getByRole('button', { name: 'Keep it so' }).click()
  await expect(desk.getByRole('button', { name: 'Kept' })).toBeVisible()
  const page = await guest(browser)
  const ask = async () => {
    const headers = { origin: own.address() }
    return (await page.request.post(`${link}/word`, { data: { id: uuidv7(), words: 'Is it done?' }, headers })).status()
  }
  // at once, and one more
  const asked = await Promise.all(Array.from({ length: 24 }, ask))
  asked.push(await ask())
  expect(asked.filter((status) => status === 200).length).toBeLessThanOrEqual(20)
  expect(asked.at(-1)).toBe(429)
  await page.goto(link)
  await expect(page.getByText('Es wird gestrichen.')).toBeVisible()
  await desk.goto(`${own.address()}/pieces/${piece}/client`)
  const back = desk.getByRole('button', { name: 'Take it back' })
  while ((await back.count()) > 0) {
    const before = await back.count()
    await back.first().click()
    await expect.poll(() => back.count()).toBeLessThan(before)
  }
  await page.reload()
  await expect(page.getByRole('heading', { name: 'This link opens nothing' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Dieser Link öffnet nichts' })).toBeVisible()
  await expectAxeClean(page)
  expect(await ask()).toBe(410)
  // who made and took back which is told
  await desk.goto(`${own.address()}/house/doors?of=house`)
  await expect(desk.getByText(/^Wenna .*took back a client’s link to Nursery bookcase\./).first()).toBeVisible()

  // who fails to come in stands in no client's way
  const wrong = `/for/${'g'.repeat(43)}`
  await own.ask(
    `insert into door.sign_in_try (id, name_digest, address) select gen_random_uuid(), sha256('x'), '127.0.0.1' from generate_series(1, 70)`,
  )
  expect(await answer(page.request, wrong)).toBe(404)
  // guessed at from one place: told to wait, while a link that is good opens all the same
  await own.ask(
    `insert into door.sign_in_try (id, address, kind) select gen_random_uuid(), '127.0.0.1', 'link' from generate_series(1, 70)`,
  )
  expect(await answer(page.request, wrong)).toBe(429)
  expect(await answer(page.request, new URL(await makeLink(desk, piece)).pathname)).toBe(200)
})

test('who wishes to be forgotten is: named before what goes, in two taps, and gone from what is taken along', async ({
  browser,
  context,
}) => {
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const piece = await pieceCalled('Nursery')
  const link = await makeLink(desk, piece)
  await expect(desk.getByRole('heading', { level: 1, name: 'For The Ferrow household' })).toBeVisible()
  // begun and left by a key, nothing is gone
  await desk.getByRole('button', { name: 'Erase this client…' }).click()
  await expect(desk.getByText(/^Their name goes from one piece, \d+ questions of theirs are erased/)).toBeVisible()
  await expectAxeClean(desk)
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('button', { name: 'Erase this client…' })).toBeFocused()
  await desk.keyboard.press('Enter')
  const words = desk.getByLabel('And strike these words')
  await expect(words).toHaveValue('Ferrow')
  await words.fill('Ferrow, 12')
  await desk.getByRole('button', { name: 'Erase it for good' }).click()
  await expect(desk.getByText(/Each at least three letters/)).toBeVisible()
  await words.fill('Ferrow, Ferrows')
  await desk.getByRole('button', { name: 'Erase it for good' }).click()
  await expect(desk.getByRole('heading', { level: 1, name: 'For the client' })).toBeVisible()
  await expect(desk.getByText('Is it done?')).toHaveCount(0)
  const page = await guest(browser)
  expect(await answer(page.request, new URL(link).pathname)).not.toBe(200)
  const file = await (await desk.request.get(`${own.address()}/api/pieces/${piece}/export?as=json`)).text()
  expect(file).not.toMatch(/Ferrow|handles on Monday/)
  await desk.goto(`${own.address()}/house/doors?of=house`)
  await expect(desk.getByText(/^Wenna .*erased what was known of the client of Nursery bookcase\./).last()).toBeVisible()
  // a painter is not asked
  const other = await browser.newContext()
  await own.letIn(other, 'Joss')
  const helper = await other.newPage()
  await helper.goto(`${own.address()}/pieces/${piece}`)
  await expect(helper.getByRole('button', { name: 'Erase this client…' })).toHaveCount(0)
})
