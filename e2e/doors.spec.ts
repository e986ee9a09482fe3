/** What must not get in, and what is told to whoever sent it: over the served app, by the ways a page and a device take. */
import { type APIRequestContext, expect, type Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { test } from './named'

const one = 'Hall settle'
async function idOf(page: Page, name: string): Promise<string> {
  await page.goto(`/pieces?q=${encodeURIComponent(name)}`)
  return (await page.locator('a', { hasText: name }).first().getAttribute('href'))?.split('/').at(-1) ?? ''
}
const bench =
  (request: APIRequestContext, baseURL: string | undefined) =>
  async (action: string, typed: Record<string, unknown>): Promise<{ status: number; answer: unknown }> => {
    const response = await request.post('/api/bench', { data: { action, typed }, headers: { origin: baseURL ?? '' } })
    return { status: response.status(), answer: await response.json() }
  }

test('no host but this machine’s is answered, whatever it begins or ends with, on whatever looks like a file', async ({
  request,
  baseURL,
}) => {
  const port = new URL(baseURL ?? '').port
  const hosts = ['127.0.0.1.elsewhere.example', 'localhost.elsewhere.example', `elsewhere.example:${port}`, `x127.0.0.1:${port}`]
  const paths = ['/', '/sw.jsfoo', '/icon.svgx', '/_next/staticfoo', '/api/health', `/api/photos/${uuidv7()}`, '/api/photos/x']
  for (const host of hosts)
    for (const path of paths) expect((await request.get(path, { headers: { host } })).status(), `${host} ${path}`).toBe(421)
  const write = await request.post('/api/bench', {
    data: { action: 'addNote', typed: {} },
    headers: { host: 'elsewhere.example', origin: 'http://elsewhere.example' },
  })
  expect(write.status()).toBe(421)
})

test('a day that is none, or of no workshop’s time, is refused, and the story still opens', async ({
  page,
  request,
  baseURL,
}) => {
  const pieceId = await idOf(page, one)
  const send = bench(request, baseURL)
  for (const at of [
    '0001-01-01T00:00:00.000Z',
    '1999-12-31T23:59:59.000Z',
    '2101-01-01T00:00:00.000Z',
    '9999-12-31T23:59:59.999Z',
    '2026-02-31T10:00:00.000Z',
    'now',
    '',
  ]) {
    const { answer } = await send('addNote', { entryId: uuidv7(), pieceId, at, note: 'When was this?' })
    expect(answer, at).toMatchObject({ issue: 'not-readable' })
  }
  for (const path of ['story', 'record', 'way', '']) expect((await request.get(`/pieces/${pieceId}/${path}`)).status()).toBe(200)
})

test('text the database can’t hold is cleaned at the door, and what was meant stays', async ({ page, request, baseURL }) => {
  const pieceId = await idOf(page, one)
  const send = bench(request, baseURL)
  const mark = uuidv7().slice(-6)
  const note = `wax\u0000 rags \ud800and \udc00oil ${mark}`
  expect((await send('addNote', { entryId: uuidv7(), pieceId, at: new Date().toISOString(), note })).answer).toEqual({ ok: true })
  await page.goto(`/pieces/${pieceId}`)
  await expect(page.getByText(`wax rags and oil ${mark}`)).toBeVisible()
})

test('a number sent again with the same is stored once; with another body it is refused and says so', async ({
  page,
  request,
  baseURL,
}) => {
  const pieceId = await idOf(page, one)
  const send = bench(request, baseURL)
  const note = { entryId: uuidv7(), pieceId, at: new Date().toISOString(), note: `First of all ${uuidv7().slice(-6)}` }
  expect((await send('addNote', note)).answer).toEqual({ ok: true })
  expect((await send('addNote', note)).answer).toEqual({ ok: true })
  expect((await send('addNote', { ...note, note: 'Something else' })).answer).toEqual({ issue: 'id-taken' })
  // nor as anything else
  const cost = { entryId: note.entryId, pieceId, at: note.at, costKind: 'other', money: '4', note: '' }
  expect((await send('addCost', cost)).answer).toEqual({ issue: 'id-taken' })
  await page.goto(`/pieces/${pieceId}`)
  await expect(page.getByText(note.note)).toHaveCount(1)
})

test('money is figures alone: what was typed is kept, with what to do', async ({ page }) => {
  await page.goto(`/pieces/${await idOf(page, one)}`)
  for (const typed of ['1e3', '4o', '12,50,3', 'NaN']) {
    const open = page.getByLabel(/^Amount/)
    if (!(await open.isVisible())) await page.getByRole('button', { name: 'Add a cost' }).click()
    await open.fill(typed)
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(open).toHaveAttribute('aria-invalid', 'true')
    await expect(open).toHaveValue(typed)
  }
})

test('two people who end one step at once are both heard, and somebody says who counts', async ({ browser, page, mark }) => {
  const name = `Letter rack, ${mark}`
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Called').fill('Body')
  await page.getByLabel('Made of').selectOption({ label: 'solid wood, close-grained' })
  await page.getByLabel('On it now').selectOption({ label: 'bare' })
  await page.getByLabel('Width').fill('30')
  await page.getByLabel('Height').fill('20')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await page.getByRole('link', { name: 'Choose a finish' }).first().click()
  await page.getByRole('button', { name: 'Take this way' }).click()
  await page
    .getByRole('button', { name: /^Start: / })
    .first()
    .click()
  await expect(page.getByRole('button', { name: /^Done: / })).toBeVisible()
  const other = await (await browser.newContext()).newPage()
  await other.goto(page.url())
  await expect(other.getByRole('button', { name: /^Done: / })).toBeVisible()
  // neither has heard of the other when they tap
  for (const each of [page, other]) await each.route('**/api/live*', (route) => route.abort())
  await Promise.all([page, other].map((each) => each.getByRole('button', { name: /^Done: / }).click()))
  for (const each of [page, other]) {
    const sheet = each.getByRole('dialog')
    await expect(sheet.locator('[role=group][aria-disabled]')).toHaveCount(0)
    await sheet.getByRole('button', { name: /well done/ }).click()
    await expect(sheet).toBeHidden()
  }
  // each device sends in its own time
  await expect(async () => {
    await page.reload()
    await expect(page.getByText('Two people ended this step.')).toBeVisible({ timeout: 3_000 })
  }).toPass({ timeout: 40_000 })
  await page.getByRole('button', { name: /^The second counts/ }).click()
  await expect(page.getByText('Two people ended this step.')).toBeHidden()
})

test('three who sell one piece at once: one does, the two others are told', async ({ browser, page, mark }) => {
  const name = `Egg cupboard, ${mark}`
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Called').fill('Body')
  await page.getByLabel('Width').fill('30')
  await page.getByLabel('Height').fill('20')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const address = `${page.url()}/money`
  const pages = [page, ...(await Promise.all([1, 2].map(async () => (await browser.newContext()).newPage())))]
  for (const each of pages) {
    await each.goto(address)
    await each.getByText('It leaves: sold, handed over, kept, given').click()
    await each.getByLabel('Price paid, GBP').fill('90')
    await each.getByLabel('It leaves all the same').check()
  }
  const told = 'This piece has left already.'
  const heard = new Set<Page>()
  // in the form, or at the head of the page where the form is gone: whoever has had it there for seconds has read it
  for (const each of pages)
    void each
      .getByText(told)
      .waitFor({ timeout: 60_000 })
      .then(
        () => heard.add(each),
        () => undefined,
      )
  await Promise.all(pages.map((each) => each.getByRole('button', { name: 'It has left' }).click()))
  for (const each of pages) await expect(each.getByRole('heading', { level: 1, name: 'What it earned' })).toBeVisible()
  await expect.poll(() => heard.size).toBe(2)
  for (const each of pages) if (!heard.has(each)) await expect(each.getByText(told)).toHaveCount(0)
  await page.goto(address.replace(/\/money$/, ''))
  await expect(page.getByRole('link', { name: /^Put right: Sold/ })).toHaveCount(1)
})
