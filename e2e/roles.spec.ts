/** What a helper sees of a studio with two years of figures in it: its work, and no money by any route; and writes it all the same. */
import { expect, test } from '@playwright/test'
import { expectAxeClean } from './axe'
import { ownServer } from './ownServer'
import { routesOfBuild } from './routes'

const own = ownServer('roles', 'demo')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
  await own.ask(`update door.membership set role = 'helper' where person_id = (select id from person where name like 'Joss%')`)
})
test.afterAll(() => own.end())
test.use({ storageState: { cookies: [], origins: [] } })

/** figures of money as they are written anywhere: with the currency's sign, or as a field of data that is not nought */
const money =
  /[£]\s?\d|(?:price|money|fees|expected|hourRate|overheadRate|feeShare|feeFixed|haggle|earnedRate|profit|margin)\\?"\s*:\s*\\?"?[1-9]/g
/** Every route of the build, of the pieces that there are. */
async function paths(): Promise<string[]> {
  const routes = routesOfBuild()
  const pieces = await own.ask<{ piece: string; part: string; entry: string }>(
    `select p.id as piece, (select id from part where piece_id = p.id order by position limit 1) as part,
            (select id from entry where piece_id = p.id and kind in ('coat', 'sold', 'listed') order by at desc limit 1) as entry
     from piece p where exists (select from entry where piece_id = p.id and kind in ('coat', 'sold', 'listed'))
     order by p.ended_at nulls last, p.id limit 5`,
  )
  return routes
    .filter((route) => !/live|token|v1|photos|_|icon|manifest|health|authority|sign-in/.test(route))
    .flatMap((route) => {
      const of = (one: (typeof pieces)[number]) =>
        route.replace('[id]', one.piece).replace('[part]', one.part).replace('[entry]', one.entry)
      const each = route.includes('[id]') ? pieces.map(of) : [route]
      return each.flatMap((path) => (path.endsWith('/export') ? [`${path}?as=json`, `${path}?as=csv`] : [path]))
    })
}

test('no route answers a helper with a figure of money; the same routes answer the owner with many', async ({ browser }) => {
  test.setTimeout(300_000)
  const found = { helper: new Map<string, string[]>(), owner: new Map<string, string[]>() }
  const all = await paths()
  expect(all.length).toBeGreaterThan(60)
  for (const [who, name] of [
    ['helper', 'Joss'],
    ['owner', 'Wenna'],
  ] as const) {
    const context = await browser.newContext()
    await own.letIn(context, name)
    for (const path of all)
      // as a page, and as what the router asks for
      for (const rsc of path.startsWith('/api/') ? [''] : ['', '1']) {
        const answer = await context.request.get(`${own.address()}${path}`, rsc ? { headers: { rsc } } : {})
        // some only take what is written, and show nothing
        const isShut = path.startsWith('/api/studio/') && who === 'helper'
        expect([path, answer.status()]).toEqual([
          path,
          isShut ? 403 : answer.status() === 405 && path.startsWith('/api/') ? 405 : 200,
        ])
        const figures = (await answer.text()).match(money) ?? []
        // CSV has a column of it, empty
        if (path.endsWith('csv') && who === 'helper')
          for (const cell of (await answer.text()).split('\n')[0]?.split(',') ?? []) expect(cell).not.toMatch(/^\d+\.\d\d$/)
        if (figures.length > 0) found[who].set(path, figures)
      }
  }
  expect([...found.helper]).toEqual([])
  expect(found.owner.size).toBeGreaterThan(20)
})

test('a helper works a step: what it takes costs what it costs, and they do not see it', async ({ browser }) => {
  const context = await browser.newContext()
  await own.letIn(context, 'Joss')
  const page = await context.newPage()
  await page.goto(own.address())
  await expectAxeClean(page)
  await page
    .getByRole('button', { name: /^Done: / })
    .first()
    .click()
  await page.getByRole('dialog').getByRole('button', { name: 'All well, write it down' }).click()
  await expect(page.getByText(/not stored yet/)).toHaveCount(0)
  await expect
    .poll(() =>
      own.ask(`select e.kind from entry e join person p on p.id = e.written_by where p.name like 'Joss%' and e.kind = 'ended'`),
    )
    .toHaveLength(1)
  const [coat] = await own.ask<{ money: number; draws: number }>(
    `select money::int, (select count(*)::int from draw where entry_id = e.id) as draws
     from entry e join person p on p.id = e.written_by where p.name like 'Joss%' and e.kind = 'coat'`,
  )
  if (coat && coat.draws > 0) expect(coat.money).toBeGreaterThan(0)
})

test('what is not theirs is not offered; opened all the same, it says so', async ({ browser }) => {
  const context = await browser.newContext()
  await own.letIn(context, 'Joss')
  const page = await context.newPage()
  await page.goto(`${own.address()}/pieces`)
  await expect(page.getByRole('link', { name: 'Take a piece in' })).toHaveCount(0)
  await page.getByRole('main').getByRole('listitem').getByRole('link').first().click()
  await expect(page.getByRole('link', { name: 'Its record' })).toBeVisible()
  for (const name of ['Price it', 'Change its facts', 'Add a part', 'Split the set'])
    await expect(page.getByRole('link', { name })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Add a cost' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Write a note' })).toBeVisible()
  await page.goto(`${page.url()}/money`)
  await expect(page.getByRole('heading', { name: 'What a piece costs isn’t yours here' })).toBeVisible()
  await expectAxeClean(page)
  await page.goto(`${own.address()}/house`)
  await expect(page.getByLabel(/^An hour of/)).toHaveCount(0)
  await expect(page.getByRole('link', { name: /Who comes in/ })).toBeVisible()
})

test('every page of the build answers each role, and says what is not theirs: by this table', async ({ browser }) => {
  test.setTimeout(300_000)
  const plans = /\/(?:pieces\/new|facts|part|part\/[^/]+|split|around|plan\/[^/]+|find\/[^/]+)$/
  const notTheirs = {
    painter: /^\/house\/(?:api|prices)$/,
    bookkeeper: new RegExp(`${plans.source}|^\\/house\\/(?:api|prices)$`),
    helper: new RegExp(
      `${plans.source}|\\/(?:money|client|offer)$|^\\/(?:house\\/(?:api|prices)|kerb|shelf\\/(?:buy|count|labels|table)|learned\\/earned)$`,
    ),
  }
  const context = await browser.newContext()
  await own.letIn(context, 'Joss')
  const pages = (await paths()).filter((path) => !path.startsWith('/api/'))
  expect(pages.length).toBeGreaterThan(50)
  for (const [role, pattern] of Object.entries(notTheirs)) {
    await own.ask(`update door.membership set role = $1 where person_id = (select id from person where name like 'Joss%')`, [
      role,
    ])
    const told: [string, boolean][] = []
    for (const path of pages) {
      const answer = await context.request.get(`${own.address()}${path}`)
      expect([role, path, answer.status()]).toEqual([role, path, 200])
      told.push([path, (await answer.text()).includes('isn’t yours here')])
    }
    expect([role, ...told]).toEqual([role, ...pages.map((path) => [path, pattern.test(path)])])
  }
})

test('what one is changes what is seen at once', async ({ browser }) => {
  const context = await browser.newContext()
  await own.letIn(context, 'Wenna')
  const page = await context.newPage()
  await page.goto(`${own.address()}/house/doors`)
  const row = page.getByRole('listitem').filter({ hasText: /Joss[^.]*, helper/ })
  await row.getByRole('button', { name: 'Another role' }).click()
  await row.getByRole('button', { name: 'bookkeeper' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: /Joss[^.]*, bookkeeper/ })).toBeVisible()
  // the session of before is over; the next one sees what a bookkeeper sees
  const joss = await browser.newContext()
  const seen = await joss.newPage()
  await seen.goto(`${own.address()}/sign-in?to=/shelf`)
  await seen.getByRole('button', { name: /Joss/ }).click()
  await seen.getByRole('button', { name: /^Barley Lamp/ }).click()
  await expect(seen.getByText(/£.* a coat of 1 m²/)).toBeVisible()
})
