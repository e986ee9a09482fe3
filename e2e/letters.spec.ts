/** Addresses sent by mail: written here first, sent by itself, tried again, given up with why; and nothing of anybody else's by it. */
import { type ChildProcess, spawn } from 'node:child_process'
import { expect, type Page, test } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { expectAxeClean } from './axe'
import { freePort, ownServer } from './ownServer'

const more: Record<string, string> = { ITINERUM_CLERK_MS: '300' }
const own = ownServer('letters', 'own', more)
let box: ChildProcess
let shown = ''
test.beforeAll(async () => {
  test.setTimeout(120_000)
  const [smtp, page] = [await freePort(), await freePort()]
  more.ITINERUM_MAIL = `smtp://127.0.0.1:${smtp}`
  shown = `http://127.0.0.1:${page}`
  box = spawn('node_modules/.bin/tsx', ['mail/server.ts', String(smtp), String(page)], { stdio: 'ignore' })
  await own.begin()
})
test.afterAll(async () => {
  box.kill()
  await own.end()
})
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

const came = async () =>
  (await (await fetch(`${shown}/letters`)).json()) as { to: string; subject: string; words: string; id: string }[]
const fault = (what: string) => fetch(`${shown}/fault`, { method: 'PUT', body: what })
async function madeLink(page: Page): Promise<string> {
  await page.goto(`${own.address()}/house/doors`)
  await page.getByRole('button', { name: 'Make the link' }).click()
  return (await page.locator('[data-invitation]').textContent()) ?? ''
}
async function sendTo(page: Page, to: string) {
  await page.getByLabel('Send it by mail to').fill(to)
  await page.getByRole('button', { name: 'Send the letter' }).click()
}
/** The same, and it is written down that it goes. */
async function mail(page: Page, to: string) {
  await sendTo(page, to)
  await expect(page.getByText(`On its way to ${to}.`)).toBeVisible()
}

test('an invitation goes by mail and lets its reader in; where no mail goes it waits, and what is refused is told', async ({
  browser,
}) => {
  const context = await browser.newContext()
  await own.letOwnerIn(context)
  const page = await context.newPage()
  const link = await madeLink(page)
  await sendTo(page, 'not an address')
  await expect(page.getByText('An address of mail, like name@mill.example.')).toBeVisible()
  await expect(page.getByLabel('Send it by mail to')).toHaveValue('not an address')
  await mail(page, 'ada@mill.example')
  await expectAxeClean(page)
  await expect.poll(async () => (await came()).length).toBe(1)
  const [letter] = await came()
  expect(letter).toMatchObject({ to: 'ada@mill.example', subject: 'Come in at Our workshop' })
  expect(letter?.words).toContain(`\n${link}\n`)
  const reader = await (await browser.newContext()).newPage()
  await reader.goto(link)
  await expect(reader.getByLabel('The name you sign in with')).toBeVisible()

  // nobody takes it: it is sent again, by itself, once
  await fault('down')
  await madeLink(page)
  await mail(page, 'bo@mill.example')
  await expect
    .poll(async () => (await own.ask<{ tries: number }>('select tries from door.letter where next_try is not null'))[0]?.tries)
    .toBe(1)
  await fault('none')
  await own.ask('update door.letter set next_try = now() where next_try is not null')
  await expect.poll(async () => (await came()).filter(({ to }) => to === 'bo@mill.example').length).toBe(1)

  await fault('refuse')
  await madeLink(page)
  await mail(page, 'nobody@mill.example')
  await expect.poll(async () => (await own.ask('select from door.letter where failed is not null')).length).toBe(1)
  await page.reload()
  const letters = page.getByRole('region', { name: 'Letters' })
  await expect(letters.getByRole('listitem').first()).toHaveText(
    /The address to come in by to n…@mill\.example.*never went\. The mail server refused it\. Give it by hand\./,
  )
  await expect(letters.getByRole('listitem').last()).toHaveText(/a…@mill\.example.*went/)

  // one that comes twice is the same letter
  await fault('twice')
  await madeLink(page)
  await mail(page, 'cy@mill.example')
  await expect.poll(async () => (await came()).filter(({ to }) => to === 'cy@mill.example').length).toBe(2)
  expect(new Set((await came()).filter(({ to }) => to === 'cy@mill.example').map(({ id }) => id)).size).toBe(1)
  await fault('none')
})

test('a client’s page goes by mail in their language', async ({ browser }) => {
  const context = await browser.newContext()
  await own.letOwnerIn(context)
  const page = await context.newPage()
  await own.ask(
    `insert into piece (id, studio_id, name, client, source, taken_in_at) select $1, id, 'Fußbank', 'Orla Hain', 'commission', now() from studio limit 1`,
    [uuidv7()],
  )
  const [piece] = await own.ask<{ id: string }>(`select id from piece where name = 'Fußbank'`)
  await page.goto(`${own.address()}/pieces/${piece?.id}/client`)
  await page.getByLabel('In which language').selectOption({ label: 'Deutsch' })
  await page.getByRole('button', { name: 'Make a link' }).click()
  await sendTo(page, 'orla@hain.example')
  await expect.poll(async () => (await came())[0]?.to).toBe('orla@hain.example')
  expect((await came())[0]).toMatchObject({
    subject: 'Fußbank, bei Our workshop',
    words: expect.stringMatching(/^Hier sehen Sie, wie es mit „Fußbank“ vorangeht/),
  })
})

test('no letter brings an address that is not one of this studio’s own, or is none of ours', async ({ browser }) => {
  const context = await browser.newContext()
  await own.letOwnerIn(context)
  const ask = async (address: string) => {
    const answer = await context.request.post(`${own.address()}/api/letters`, {
      data: { id: uuidv7(), to: 'ada@mill.example', address },
      headers: { origin: own.address() },
    })
    return [answer.status(), await answer.json()] as const
  }
  const token = 'n'.repeat(43)
  for (const address of [
    `https://elsewhere.example/join/${token}`,
    `${own.address()}/join/${token}`,
    `${own.address()}/for/${token}`,
    `${own.address()}/new-password/${token}`,
    `${own.address()}/pieces`,
  ])
    expect([address, ...(await ask(address))]).toEqual([address, 410, { issue: 'gone' }])
  expect((await ask('javascript:alert(1)'))[0]).toBe(422)
  await own.ask(
    `insert into door.letter (id, studio_id, by_account, about, shown_to, recipient, subject, words)
     select gen_random_uuid(), s.id, a.id, 'for', 'x…@y', 'x@y', 'x', 'x' from studio s, door.account a, generate_series(1, 40) limit 40`,
  )
  const page = await context.newPage()
  await madeLink(page)
  await sendTo(page, 'ada@mill.example')
  await expect(page.getByText('Thirty letters within an hour are enough.')).toBeVisible()
})
