/** The server killed in the middle of a save, the database in the middle of the day: on a home of this test's own, fsync on. */
import { expect, type Page, test } from '@playwright/test'
import { ownServer } from './ownServer'

const own = ownServer('crash')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.beforeEach(({ context }) => own.letIn(context))

/** Whether the page has asked for nothing for so long: what is asked while the records go may not be answered at all. */
function watchAsking(page: Page) {
  let [asking, lastMs] = [0, Date.now()]
  const ended = (by: number) => (request: { url(): string }) => {
    if (!request.url().includes('_rsc=')) return
    asking += by
    lastMs = Date.now()
  }
  page.on('request', ended(1)).on('requestfinished', ended(-1)).on('requestfailed', ended(-1))
  return { quiet: (ms: number) => expect.poll(() => asking === 0 && Date.now() - lastMs > ms).toBe(true) }
}

async function fillIn(page: Page, name: string) {
  await page.goto(`${own.address()}/pieces/new`)
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Price paid, GBP').fill('18')
  await page.getByLabel('Called').fill('Rail')
  await page.getByLabel('Width').fill('60')
  await page.getByLabel('Height').fill('12')
}

test('killed in the middle of a save, nothing half-written shows, what was typed is kept, and sending it again stores it once', async ({
  page,
}) => {
  await fillIn(page, 'Hat rail')
  // the save stands still after the piece's own row, before its parts
  const blocker = await own.asOwner()
  await blocker.query('begin')
  await blocker.query('lock table part in access exclusive mode')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect
    .poll(
      async () =>
        (await own.ask(`select from pg_stat_activity where wait_event_type = 'Lock' and query like 'insert into part%'`)).length,
    )
    .toBe(1)
  await own.stop()
  await blocker.query('rollback')
  await blocker.end()
  await expect(page.getByText(/can’t be reached/)).toBeVisible()
  await expect(page.getByLabel('What it is')).toHaveValue('Hat rail')
  expect(await own.ask(`select from piece where name = 'Hat rail'`)).toHaveLength(0)

  await own.start()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Hat rail' })).toBeVisible()
  expect(await own.ask(`select from part join piece on piece.id = part.piece_id where piece.name = 'Hat rail'`)).toHaveLength(1)
  expect(await own.ask(`select from entry join piece on piece.id = entry.piece_id where piece.name = 'Hat rail'`)).toHaveLength(1)
})

test('the database killed in the middle of the day: every note that was acknowledged is there, and work goes on', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const watch = watchAsking(page)
  await page.goto(`${own.address()}/pieces?q=Hall`)
  await page.getByRole('link', { name: /Hall settle/ }).click()
  const write = async (note: string) => {
    await page.getByRole('button', { name: 'Write a note' }).click()
    await page.getByRole('textbox', { name: 'Note' }).fill(note)
    await page.getByRole('button', { name: 'Write it down' }).click()
  }
  for (const k of [1, 2, 3]) {
    await write(`Acknowledged ${k}`)
    await expect(page.getByText(`Acknowledged ${k}`)).toBeVisible()
  }
  await watch.quiet(1_000)
  await own.killDatabase()
  await write('Written while it was down')
  await expect(page.getByText('One entry is on this device, not stored yet.')).toBeVisible()
  await own.database()
  expect(
    (await own.ask(`select note from entry where note like 'Acknowledged%' order by note`)).map(({ note }) => note as string),
  ).toEqual(['Acknowledged 1', 'Acknowledged 2', 'Acknowledged 3'])
  // by itself, once the database is back
  await expect(page.locator('ol').getByText('Written while it was down')).toBeVisible({ timeout: 30_000 })
  expect(await own.ask(`select from entry where note = 'Written while it was down'`)).toHaveLength(1)
})
