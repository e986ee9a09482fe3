/** One commission from the enquiry, with its client in a browser of their own: taken in, planned, offered, chosen, accepted to the letter, paid ahead, changed twice, worked with a snag, paid, handed over. */
import { type ChildProcess, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { type Browser, expect, type Page, test } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { textOfPdf } from '../src/papers/testing/textOfPdf'
import { signed } from '../src/paymentSignature'
import { expectAxeClean } from './axe'
import { freePort, ownServer } from './ownServer'
import { begin, lane, takenIn, takeThisWay, workOne, workPiece } from './work'

const key = 'of the tests alone'
const more: Record<string, string> = { ITINERUM_PAYMENTS_KEY: key }
const own = ownServer('commission', 'demo', more)
let service: ChildProcess
test.beforeAll(async () => {
  test.setTimeout(120_000)
  const port = await freePort()
  more.ITINERUM_PAYMENTS = `http://127.0.0.1:${port}`
  service = spawn('node_modules/.bin/tsx', ['payments/server.ts', String(port)], {
    env: { ...process.env, ITINERUM_PAYMENTS_KEY: key, ITINERUM_PAYMENTS_LATE_MS: '1500' },
    stdio: 'ignore',
  })
  await own.begin()
})
test.afterAll(async () => {
  service.kill()
  await own.end()
})
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

let link = ''
const piecePath = async () =>
  `${own.address()}/pieces/${(await own.ask<{ id: string }>(`select id from piece where name like 'Playroom%'`))[0]?.id ?? ''}`
const asClient = async (browser: Browser): Promise<Page> => {
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await page.goto(link)
  return page
}
const atDesk = async (browser: Browser): Promise<Page> => {
  const context = await browser.newContext({ baseURL: own.address() })
  await own.letIn(context, 'Wenna')
  return context.newPage()
}
const figures = async (page: Page) => {
  const all: Record<string, string> = {}
  for (const key_ of ['agreed', 'paid', 'balance'])
    all[key_] = (await page.locator(`[data-figure="${key_}"]`).textContent()) ?? ''
  return all
}
/** Waits for what the service tells. */
const comesTo = (page: Page, expected: Record<string, string>) =>
  expect(async () => {
    await page.reload()
    expect(await figures(page)).toEqual(expected)
  }).toPass({ timeout: 30_000 })

test('an enquiry: a bookcase they would like painted, matt, is taken in for its client and planned', async ({ browser }) => {
  test.setTimeout(180_000)
  const desk = await atDesk(browser)
  await begin(desk, 'Playroom bookcase', 'Bookcase', { is: 'solid wood, close-grained', on: 'varnish or polyurethane' })
  await desk.getByLabel('Price paid, GBP').fill('0')
  await desk.getByLabel('From', { exact: true }).selectOption({ label: 'commission' })
  await desk.getByLabel('Client, for a commission').fill('The Ferrow household')
  await takenIn(desk, 'Playroom bookcase')
  await lane(desk, 'Case').getByRole('link', { name: 'Choose a finish' }).click()
  await desk.getByRole('radio', { name: 'Smooth solid' }).click()
  await desk.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  await desk.getByRole('group', { name: 'Sheen' }).getByRole('button', { name: 'matt', exact: true }).click()
  await desk.getByRole('checkbox', { name: /^The same on/ }).check()
  await takeThisWay(desk, 'Playroom bookcase')
  for (const part of ['Case', 'Shelves']) await expect(lane(desk, part).getByText('Smooth solid, matt')).toBeVisible()
})

test('an offer by part, with a way to choose, is read by the client, accepted by name, and kept to the letter', async ({
  browser,
  context,
}) => {
  test.setTimeout(180_000)
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const piece = await piecePath()
  await desk.goto(piece)
  await desk.getByRole('link', { name: 'Offer', exact: true }).click()
  await expect(desk.getByRole('heading', { level: 1, name: 'Offered to The Ferrow household' })).toBeVisible()
  // what the plan makes of it: a line a part, in whole steps of the house's prices
  await expect(desk.getByText(/As planned it costs you £[\d.]+ and takes/)).toBeVisible()
  await expect(desk.getByLabel('Look and sheen').first()).toHaveValue('Smooth solid, matt, water-based clear')
  await desk.locator('[name="lines.0.money"]').fill('175')
  await desk.locator('[name="lines.1.money"]').fill('110')
  await desk.getByRole('button', { name: 'Another line' }).click()
  await desk.locator('[name="lines.2.words"]').fill('You fetch it yourselves')
  await desk.locator('[name="lines.2.money"]').fill('-5')
  await expect(desk.locator('[data-figure="offered"]')).toHaveText('£280.00')
  await desk.getByRole('button', { name: 'Let them choose: protection, Case' }).click()
  const ways = await desk
    .locator('[name^="options.0.choices."][name$=".words"]')
    .evaluateAll((all) => all.map((each) => (each as HTMLInputElement).value))
  await desk.locator(`[name="options.0.choices.${ways.indexOf('hard exterior clear')}.extra"]`).fill('45')
  await desk.getByLabel('Not in it').fill('New shelves')
  // the day that the week gives, with what it pushes aside; then one with room in it
  await desk.getByRole('button', { name: 'When could it be ready?' }).click()
  await desk.getByRole('button', { name: /^Tell them / }).click({ timeout: 30_000 })
  await expect(desk.getByLabel('Ready', { exact: true })).toHaveValue(/^20\d\d-\d\d-\d\d$/)
  await desk.getByLabel('Ready', { exact: true }).fill('2098-01-15')
  await expectAxeClean(desk)
  // nonsense is told beside its field, and nothing typed is lost
  await desk.getByLabel(/^Deposit/).fill('a third')
  await desk.getByRole('button', { name: 'Offer it' }).click()
  await expect(desk.getByText('Write a share, in percent, from 0 to 99.')).toBeVisible()
  await desk.getByLabel(/^Deposit/).fill('30')
  await desk.getByRole('button', { name: 'Offer it' }).click()
  await expect(desk.getByText(/Waits for their answer, until/)).toBeVisible()
  await desk.goto(`${piece}/client`)
  await desk.getByRole('button', { name: 'Make a link' }).click()
  link = (await desk.locator('[data-client-link]').textContent()) ?? ''

  const client = await asClient(browser)
  const elsewhere = await asClient(browser)
  await expect(client.getByRole('heading', { name: 'What we offer' })).toBeVisible()
  await expect(client.getByText('Not in it: New shelves')).toBeVisible()
  // the words on the page and in what was sealed: a Wednesday
  await expect(client.getByText(/Wednesday 15 January/)).toBeVisible()
  await expectAxeClean(client)
  await client.getByRole('button', { name: 'I accept this' }).click()
  await expect(client.getByText('Write your name first.')).toBeVisible()
  await client.getByLabel('Your name').fill('Ode Ferrow')
  await client.getByRole('button', { name: 'I accept this' }).click()
  await expect(client.getByText('Choose one of each first.')).toBeVisible()
  await client.getByRole('radio', { name: /hard exterior clear .*£45\.00/ }).check()
  // 175 + 110 − 5 + 45, of it 30 %
  await expect(client.locator('[data-figure="total"]')).toHaveText('£325.00')
  await expect(client.locator('[data-figure="deposit"]')).toHaveText('£97.50')
  await client.getByRole('button', { name: 'I accept this' }).click()
  await expect(client.getByText(/Accepted by Ode Ferrow on/)).toBeVisible()
  expect(await figures(client)).toEqual({ agreed: '£325.00', paid: '£0.00', balance: '£325.00' })
  // the seal is of the very bytes of the file
  const download = client.waitForEvent('download')
  await client.getByRole('link', { name: 'The file that was sealed' }).click()
  const file = readFileSync(await (await download).path())
  const digest = createHash('sha256').update(file).digest('hex')
  await expect(client.getByText(digest)).toBeVisible()
  expect(JSON.parse(file.toString())).toMatchObject({ total: 32_500, deposit: 9_750, offer: { excluded: 'New shelves' } })
  // on paper it says the same
  const paper = await client.request.get(
    new URL((await client.getByRole('link', { name: 'PDF' }).getAttribute('href')) ?? '', link).href,
  )
  const text = await textOfPdf(await paper.body())
  for (const said of [
    'Playroom bookcase',
    'for The Ferrow household',
    '£325.00',
    '£97.50',
    'New shelves',
    'Accepted by Ode Ferrow',
    digest,
  ])
    expect(text).toContain(said)
  // who had it open elsewhere is told that it was answered
  await elsewhere.getByLabel('Your name').fill('Ode Ferrow')
  await elsewhere.getByRole('button', { name: 'No, thank you' }).click()
  await expect(elsewhere.getByText(/Accepted by Ode Ferrow on/)).toBeVisible()
  await desk.goto(`${own.address()}/pieces`)
  await desk.getByRole('link', { name: /Playroom bookcase: they accepted the offer, £325\.00/ }).click()
  await expect(desk.getByText(digest)).toBeVisible()
  // what they chose is not what was planned: planned so by one press, on the page of the piece too
  await expect(desk.getByText('They chose hard exterior clear for case; its plan is another still.')).toBeVisible()
  await desk.goto(piece)
  const chosen = desk.getByText('They chose hard exterior clear for case; its plan is another still.')
  await expect(chosen).toBeVisible()
  await expectAxeClean(desk)
  await desk.getByRole('button', { name: 'Plan it so' }).click()
  await expect(chosen).toHaveCount(0)
  expect(
    await own.ask(
      `select distinct s.family, s.sheen from step s join plan p on p.id = s.plan_id join part on part.id = p.part_id
       where part.name = 'Case' and s.operation = 'clear-coat' and p.seal = 'hard' order by 1`,
    ),
  ).toEqual([
    { family: 'hard-clear', sheen: 'matt' },
    { family: 'water-clear', sheen: 'satin' },
  ])
  await desk.goto(`${piece}/offer`)
  const kept = (await desk.getByRole('link', { name: 'The file', exact: true }).getAttribute('href')) ?? ''
  const letter = await (await desk.request.get(new URL(kept, link).href)).body()
  expect(createHash('sha256').update(letter).digest('hex')).toBe(digest)
})

test('the deposit is told twice and booked once; a silent service takes nothing; what is damaged or not signed books nothing', async ({
  browser,
  context,
}) => {
  test.setTimeout(180_000)
  const client = await asClient(browser)
  const fault = (what: string) => fetch(`${more.ITINERUM_PAYMENTS}/fault`, { method: 'PUT', body: what })
  await fault('down')
  await client.getByRole('button', { name: 'Pay the deposit, £97.50' }).click()
  await expect(client.getByText(/The payment service does not answer\. Nothing was taken/)).toBeVisible({ timeout: 20_000 })
  await fault('none')
  await client.getByRole('button', { name: 'Pay the deposit, £97.50' }).click()
  await expect(client.getByRole('heading', { name: '£97.50' })).toBeVisible()
  await client.getByRole('button', { name: 'Refuse' }).click()
  await expect(client.getByRole('button', { name: 'Pay the deposit, £97.50' })).toBeVisible()
  await client.getByRole('button', { name: 'Pay the deposit, £97.50' }).click()
  await client.getByRole('button', { name: 'Pay; it is told twice' }).click()
  await comesTo(client, { agreed: '£325.00', paid: '£97.50', balance: '£227.50' })
  expect(
    await own.ask('select amount::int, way from payment p join piece on piece.id = piece_id where name like $1', ['Playroom%']),
  ).toEqual([{ amount: 9_750, way: 'service' }])
  const [asked] = await own.ask<{ id: string }>(
    `select r.id from payment_request r join piece on piece.id = piece_id where name like 'Playroom%' order by r.at desc limit 1`,
  )
  const notice = {
    request: asked?.id,
    mark: uuidv7(),
    result: 'paid',
    amount: 9_750,
    currency: 'GBP',
    at: new Date().toISOString(),
  }
  const tell = async (said: unknown, by = key) => {
    const body = typeof said === 'string' ? said : JSON.stringify(said)
    const headers = { 'itinerum-signature': signed(body, by, Date.now()) }
    return (await fetch(`${own.address()}/api/payments`, { method: 'POST', body, headers })).status
  }
  expect(await tell(notice, 'another key')).toBe(401)
  expect(await tell({ ...notice, amount: 1 })).toBe(409)
  expect(await tell({ ...notice, request: uuidv7() })).toBe(404)
  expect(await tell({ ...notice, at: 'yesterday' })).toBe(422)
  expect(await tell('{"request":')).toBe(422)
  expect(await tell({ ...notice, result: 'refused' })).toBe(200)
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  await desk.goto(`${await piecePath()}/offer`)
  expect(await figures(desk)).toEqual({ agreed: '£325.00', paid: '£97.50', balance: '£227.50' })
})

test('two changes of mind: each waits for a yes; a snag is mended; the balance, something back, and it is handed over', async ({
  browser,
  context,
}) => {
  test.setTimeout(480_000)
  await own.letIn(context, 'Wenna')
  const desk = await context.newPage()
  const piece = await piecePath()
  const change = async (words: string, money: string) => {
    await desk.goto(`${piece}/offer`)
    await desk.getByText('A change of what was agreed').click()
    await desk.locator('[name="lines.0.words"]').fill(words)
    await desk.locator('[name="lines.0.money"]').fill(money)
    await desk.getByRole('button', { name: 'Offer the change' }).click()
    await expect(desk.getByText(/A change waits for their yes/)).toBeVisible()
  }
  await change('Brass handles', '40')
  await desk.goto(piece)
  await expect(desk.getByText(/A change waits for the client’s yes/).first()).toBeVisible()
  // no step of it is begun meanwhile, here or at the bench
  await expect(desk.getByText(/It is begun when they have said it/).first()).toBeVisible()
  await expect(desk.getByRole('button', { name: /^Start: / })).toHaveCount(0)
  await desk.goto(`${own.address()}/`)
  await expect(desk.getByRole('heading', { name: 'Waits for its client' })).toBeVisible()
  await expect(desk.getByRole('link', { name: 'Playroom bookcase' }).last()).toBeVisible()
  const client = await asClient(browser)
  await expect(client.getByRole('heading', { name: 'A change of what was agreed' })).toBeVisible()
  await client.getByLabel('Your name').fill('Ode Ferrow')
  await client.getByRole('button', { name: 'I accept this' }).click()
  await comesTo(client, { agreed: '£365.00', paid: '£97.50', balance: '£267.50' })
  await change('Without the top shelf', '−25')
  await desk.getByText('They said it here, or it is withdrawn').click()
  await desk.getByRole('button', { name: 'They accepted' }).click()
  await expect(desk.getByText(/Say how you know/)).toBeVisible()
  await desk.getByLabel(/^How you know/).fill('Said by telephone')
  await desk.getByRole('button', { name: 'They accepted' }).click()
  await expect(desk.locator('[data-figure="agreed"]')).toHaveText('£340.00')
  await expect(desk.getByText(/A change waits/)).toHaveCount(0)
  await desk.goto(piece)
  await expect(desk.getByRole('link', { name: 'Its record' })).toBeVisible()
  await expect(desk.getByText(/A change waits/)).toHaveCount(0)

  // it is worked; on the way there is something wrong, and it is mended
  const bench = await atDesk(browser)
  await bench.goto(piece)
  const on = lane(bench, 'Case')
  const heading = on.getByRole('heading', { level: 3 }).first()
  for (let worked = 0; worked < 25 && !((await heading.textContent()) ?? '').startsWith('Coat 2'); worked += 1)
    if ((await workOne(bench, on, '20')) === null) await workPiece(bench, '20')
  await on.getByText('Something went wrong').click()
  await on.getByLabel('What is wrong').selectOption({ label: 'Brush marks' })
  await on.getByRole('button', { name: 'Put the mending into the plan' }).click()
  await expect(on.getByRole('list', { name: 'Snags' })).toContainText('Brush marks')
  await workPiece(bench, '20')
  await expect(on.getByRole('list', { name: 'Snags' })).toContainText(/mended/)
  await client.reload()
  await client.getByRole('button', { name: 'Pay the balance, £242.50' }).click()
  await client.getByRole('button', { name: 'Pay; it is told late' }).click()
  await comesTo(client, { agreed: '£340.00', paid: '£340.00', balance: '£0.00' })
  await desk.goto(`${piece}/offer`)
  await desk.locator('[data-paid=balance]').getByText('Give back', { exact: true }).click()
  await desk.locator('[data-paid=balance]').getByLabel('GBP').fill('900')
  await desk.getByRole('button', { name: 'Give it back' }).click()
  await expect(desk.getByText('No more goes back than came.')).toBeVisible()
  // refused, nothing is given, and it may be asked for again
  const fault = (what: string) => fetch(`${more.ITINERUM_PAYMENTS}/fault`, { method: 'PUT', body: what })
  await fault('refuse')
  await desk.locator('[data-paid=balance]').getByLabel('GBP').fill('242.50')
  await desk.getByRole('button', { name: 'Give it back' }).click()
  await expect(async () => {
    await desk.reload()
    await expect(desk.getByText('The service would not give £242.50 back')).toBeVisible({ timeout: 1_000 })
  }).toPass({ timeout: 30_000 })
  expect(await figures(desk)).toEqual({ agreed: '£340.00', paid: '£340.00', balance: '£0.00' })
  await fault('none')
  await desk.locator('[data-paid=balance]').getByText('Give back', { exact: true }).click()
  await desk.locator('[data-paid=balance]').getByLabel('GBP').fill('10')
  await desk.getByRole('button', { name: 'Give it back' }).click()
  await comesTo(desk, { agreed: '£340.00', paid: '£330.00', balance: '£10.00' })
  // written by mistake, and struck
  await desk.locator('[name="amount"]').fill('10')
  await desk.getByRole('button', { name: 'Write it down' }).click()
  await comesTo(desk, { agreed: '£340.00', paid: '£340.00', balance: '£0.00' })
  await desk.locator('[data-paid]').getByRole('button', { name: 'Strike it' }).click()
  await comesTo(desk, { agreed: '£340.00', paid: '£330.00', balance: '£10.00' })

  await desk.goto(`${piece}/money`)
  await expect(desk.getByText('£10.00 of what was agreed is still to come.')).toBeAttached()
  await desk.getByText('It leaves: sold, handed over, kept, given').click()
  await desk.getByLabel('How it left').selectOption({ label: 'handed over' })
  await expect(desk.getByLabel('Price paid, GBP')).toHaveValue('340.00')
  await desk.getByRole('button', { name: 'It has left' }).click()
  const anyway = desk.getByRole('checkbox', { name: /leaves all the same/ })
  if (await anyway.isVisible().catch(() => false)) {
    await anyway.check()
    await desk.getByRole('button', { name: 'It has left' }).click()
  }
  await expect(desk.getByRole('heading', { level: 1, name: 'What it earned' })).toBeVisible()
  // billed to the letter; of it a scratch is taken back, and what went back is owed no more
  const bill = desk.getByRole('region', { name: 'Invoice' })
  await bill.getByRole('button', { name: 'Make the invoice' }).click()
  await expect(bill.getByText('Invoice 1', { exact: true })).toBeVisible()
  await bill.getByText('Take some of it back').click()
  await bill.getByLabel('How much, GBP').fill('340.01')
  await bill.getByLabel('Why').fill('A scratch on the way')
  await bill.getByRole('button', { name: 'Make the credit note' }).click()
  await expect(bill.getByText('More than still stands on that invoice', { exact: false })).toBeVisible()
  await bill.getByLabel('How much, GBP').fill('10')
  await bill.getByRole('button', { name: 'Make the credit note' }).click()
  await expect(bill.getByText('Credit note 2', { exact: true })).toBeVisible()
  await expectAxeClean(desk)
  await client.reload()
  await comesTo(client, { agreed: '£340.00', paid: '£330.00', balance: '£0.00' })
  const paperOf = async (name: string) =>
    textOfPdf(
      await (
        await client.request.get(new URL((await client.getByRole('link', { name }).getAttribute('href')) ?? '', link).href)
      ).body(),
    )
  const invoice = await paperOf('Invoice 1')
  for (const part of ['Invoice 1', 'Playroom bookcase', '£340.00', '£330.00', '£10.00', 'SHA-256'])
    expect(invoice).toContain(part)
  const note = await paperOf('Credit note 2')
  for (const part of ['Credit note 2', 'Taken back of invoice 1: A scratch on the way', '£10.00']) expect(note).toContain(part)
  const year = new Date().getFullYear()
  const receipts = await (await desk.request.get(`${own.address()}/api/studio/receipts?year=${year}`)).text()
  expect(receipts.split(/\r?\n/).map((each) => each.split(',').slice(0, 2).join(' '))).toEqual([
    '\uFEFFNumber What',
    '1 Invoice',
    '2 Credit note',
  ])
  // its papers, for the client and at the desk
  const handed = await client.request.get(
    new URL((await client.getByRole('link', { name: 'Handover (PDF)' }).getAttribute('href')) ?? '', link).href,
  )
  const said = await textOfPdf(await handed.body())
  for (const part of ['Handover', 'Playroom bookcase', 'Case', 'Shelves', 'Tall furniture is fixed to the wall', 'To touch up'])
    expect(said).toContain(part)
  const desks = await desk.request.get(`${piece.replace('/pieces/', '/api/pieces/')}/paper`)
  expect(await textOfPdf(await desks.body())).toContain('What was laid, and when')
  const books = await (
    await desk.request.get(`${own.address()}/api/studio/books?by=posting&year=${new Date().getFullYear()}`)
  ).text()
  const lines = books.split(/\r?\n/).filter((line) => line.includes('Playroom bookcase') && line.includes('Clients'))
  // 97.50 and 242.50 came, 10.00 went back, 10.00 were written and struck; 340.00 is the sale, 10.00 of it taken back
  const amounts = lines.map((line) => line.split(',').at(-1)).toSorted()
  expect(amounts).toEqual(['10.00', '10.00', '10.00', '10.00', '242.50', '340.00', '97.50'])
})

test('a link that was taken back opens nothing, and answers nothing', async ({ browser, context }) => {
  await own.letIn(context, 'Wenna')
  const client = await asClient(browser)
  await own.ask(`update client_link set revoked_at = now()`)
  const token = new URL(link).pathname
  const headers = { origin: own.address(), 'content-type': 'application/json' }
  const answer = { id: uuidv7(), quoteId: uuidv7(), digest: 'a'.repeat(64), answer: 'accepted', name: 'Ode', chosen: {} }
  const post = async (path: string, data: unknown) =>
    (await client.request.post(`${own.address()}${token}${path}`, { data, headers })).status()
  expect(await post('/answer', answer)).toBe(410)
  expect(await post('/pay', { id: uuidv7(), what: 'balance' })).toBe(410)
  await client.reload()
  await expect(client.getByText('This link opens nothing')).toBeVisible()
})
