/** Doors: the first owner, an invitation, a lost phone, somebody who comes in no more; and nobody else by any route. */
import { type BrowserContext, expect, type Page, test } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import { v7 as uuidv7 } from 'uuid'
import { expectAxeClean } from './axe'
import { ownServer } from './ownServer'

const own = ownServer('people', 'own')
/** The bench, or what a studio is asked before its first. */
const home = () => new RegExp(`^${own.address()}/(start)?$`)
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
// nobody is in before they come in
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

const words = { isolt: 'linen cupboard ladder', perran: 'seven brushes drying' }

async function comeIn(page: Page, name: string, password: string) {
  await page.getByLabel('Your name here').fill(name)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Come in' }).click()
}
const signedIn = async (context: BrowserContext, name: string, password: string) => {
  const page = await context.newPage()
  await page.goto(`${own.address()}/sign-in?to=/house/doors`)
  await comeIn(page, name, password)
  await expect(page.getByRole('heading', { level: 2, name: 'Where you are in' })).toBeVisible()
  return page
}

/** Makes a link on the owner's page. */
async function linkAs(owner: Page, role: string, who = 'somebody new'): Promise<string> {
  await owner.goto(`${own.address()}/house/doors`)
  await owner.getByLabel('Who', { exact: true }).selectOption({ label: who })
  await owner.getByLabel('As what').selectOption({ label: role })
  await owner.getByRole('button', { name: 'Make the link' }).click()
  return (await owner.locator('[data-invitation]').textContent()) ?? ''
}
async function joinBy(link: string, name: string, password: string): Promise<[number, unknown]> {
  const answer = await fetch(`${own.address()}/api/join`, {
    method: 'POST',
    body: JSON.stringify({ token: link.split('/').at(-1), name, called: '', password }),
    headers: { origin: own.address(), 'content-type': 'application/json' },
  })
  return [answer.status, await answer.json()]
}

test('whoever opens the printed address first owns the studio; it opens once', async ({ page, browser }) => {
  await page.goto(own.address())
  await expect(page.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
  await expect(page.getByText('This is the demo')).toBeHidden()
  await expectAxeClean(page)
  await page.goto(own.firstDoor())
  await expect(page.getByRole('heading', { name: 'The key is yours' })).toBeVisible()
  await expectAxeClean(page)
  await page.getByLabel('You, as the log calls you').fill('Isolt Wray')
  await page.getByLabel('The name you sign in with').fill('Isolt')
  for (const [password, told] of [
    ['short', 'At least 10 letters: three or four plain words make a good one.'],
    ['isolt isolt isolt', 'That is guessed at once. Three or four plain words make a good one.'],
    ['1111111111', 'That is guessed at once. Three or four plain words make a good one.'],
  ] as const) {
    await page.getByLabel('A password').fill(password)
    await page.getByRole('button', { name: 'Come in' }).click()
    await expect(page.getByText(told)).toBeVisible()
  }
  // what was typed is there still
  await expect(page.getByLabel('You, as the log calls you')).toHaveValue('Isolt Wray')
  await page.getByLabel('A password').fill(words.isolt)
  await page.getByRole('button', { name: 'Come in' }).click()
  await expect(page.getByLabel(/^An hour of your work/)).toBeVisible()
  // what is kept of the password can't be read back, and no secret stands in the clear
  const [account] = await own.ask<{ password: string }>('select password from door.account')
  expect(account?.password).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)

  const other = await (await browser.newContext()).newPage()
  await other.goto(own.firstDoor())
  await expect(other.getByRole('heading', { name: 'This link opens nothing' })).toBeVisible()
  const again = await other.request.post(`${own.address()}/api/join`, {
    data: { token: own.firstDoor().split('/').at(-1), name: 'Second', called: '', password: words.perran },
    headers: { origin: own.address() },
  })
  expect([again.status(), await again.json()]).toEqual([410, { issue: 'gone' }])
})

test('a wrong name and a wrong password are told the same; then one is where one wanted to go', async ({ page, request }) => {
  await page.goto(`${own.address()}/shelf?show=all`)
  await comeIn(page, 'Isolt', 'linen cupboard')
  const told = page.getByText('That name and password don’t belong together.')
  await expect(told).toBeVisible()
  const sent = (name: string, password: string) =>
    request.post(`${own.address()}/api/session`, { data: { name, password }, headers: { origin: own.address() } })
  const [one, two] = [await sent('Isolt', 'wrong words here'), await sent('Nobody at all', 'wrong words here')]
  expect([one.status(), await one.text()]).toEqual([two.status(), await two.text()])
  expect(one.headers()['set-cookie']).toBeUndefined()
  await page.reload()
  // longer than any password: told as any other that is wrong
  await comeIn(page, 'Isolt', 'linen '.repeat(60))
  await expect(told).toBeVisible()
  await comeIn(page, 'ISOLT', words.isolt)
  await expect(page).toHaveURL(`${own.address()}/shelf?show=all`)
  const [cookie] = await page.context().cookies()
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax', path: '/' })
  // who tried and did not is told to whose name it was
  await page.goto(`${own.address()}/house/doors`)
  await expect(page.getByText('Somebody tried to come in as you and did not')).toBeVisible()
  await expect(page.getByText(/\d times from 127\.0\.0\.1, last/)).toBeVisible()
  // on to no other place than our own
  for (const to of ['//elsewhere.example', '/\\elsewhere.example', 'http://elsewhere.example', '/sign-in', '/api/session']) {
    await page.goto(`${own.address()}/sign-in?to=${encodeURIComponent(to)}`)
    await expect(page, to).toHaveURL(home())
  }
})

test('a session begins anew at each sign-in: what was planted before, or stolen before, opens nothing', async ({
  page,
  context,
}) => {
  const name = `itinerum-${new URL(own.address()).port}`
  const valueOf = async () => (await context.cookies()).find((each) => each.name === name)?.value ?? ''
  const planted = 'p'.repeat(43)
  await context.addCookies([{ name, value: planted, url: own.address() }])
  await page.goto(own.address())
  await comeIn(page, 'Isolt', words.isolt)
  await expect(page.getByLabel(/^An hour of your work/)).toBeVisible()
  const first = await valueOf()
  expect(first).not.toBe(planted)
  const answered = await page.request.post(`${own.address()}/api/session`, {
    data: { name: 'Isolt', password: words.isolt },
    headers: { origin: own.address() },
  })
  expect(answered.status()).toBe(200)
  expect(await valueOf()).not.toBe(first)
  const old = await fetch(`${own.address()}/api/week`, { headers: { cookie: `${name}=${first}` } })
  expect(old.status).toBe(401)
})

test('somebody asked in comes in by their link, and asks nobody in', async ({ browser, context }) => {
  const owner = await signedIn(context, 'Isolt', words.isolt)
  await expectAxeClean(owner)
  await owner.getByLabel('As what').selectOption({ label: 'Painter' })
  await owner.getByRole('button', { name: 'Make the link' }).click()
  const link = (await owner.locator('[data-invitation]').textContent()) ?? ''
  await expect(owner.getByText(/Somebody, as painter, open until/)).toBeVisible()

  const painter = await (await browser.newContext()).newPage()
  await painter.goto(link)
  await expect(painter.getByText('You are asked into Our workshop as painter.')).toBeVisible()
  await painter.getByLabel('You, as the log calls you').fill('Perran Loft')
  await painter.getByLabel('The name you sign in with').fill('isolt')
  await painter.getByLabel('A password').fill(words.perran)
  await painter.getByRole('button', { name: 'Come in' }).click()
  await expect(painter.getByText(/^Somebody signs in by that name already. If that is you/)).toBeVisible()
  await painter.getByLabel('The name you sign in with').fill('perran')
  await painter.getByRole('button', { name: 'Come in' }).click()
  await expect(painter).toHaveURL(home())
  await painter.goto(`${own.address()}/house/doors`)
  await expect(painter.getByText('Painter here, signed in as perran')).toBeVisible()
  await expect(painter.getByRole('heading', { name: 'Ask somebody in' })).toBeHidden()
  await expect(painter.getByRole('button', { name: /Comes in no more/ })).toBeHidden()
  await owner.reload()
  await expect(owner.getByText('Perran Loft, painter')).toBeVisible()
  await expect(owner.getByText(/as painter, open until/)).toBeHidden()
})

test('a lost phone is signed out from the desk: it stays out, and what it kept is gone', async ({ browser, context }) => {
  const phone = await signedIn(
    await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' }),
    'perran',
    words.perran,
  )
  const kept = () =>
    phone.evaluate(async () => ({
      pages: (await caches.keys()).filter((name) => name !== 'itinerum-code'),
      stores: (await indexedDB.databases()).map(({ name }) => name).filter((name) => name?.startsWith('itinerum')),
      words: Object.keys(localStorage).filter((key) => key.startsWith('itinerum.')),
    }))
  await phone.goto(own.address())
  await phone.evaluate(() => localStorage.setItem('itinerum.draft', 'a wash stand'))
  await expect.poll(async () => (await kept()).pages).toContain('itinerum-pages')
  expect((await kept()).stores).toHaveLength(1)

  const desk = await signedIn(context, 'perran', words.perran)
  await desk.getByRole('button', { name: 'Sign out all the others' }).click()
  // whoever only found the desk open ends nobody's way in
  const passerBy = await desk.request.delete(`${own.address()}/api/session`, {
    data: { ids: (await own.ask<{ id: string }>('select id from door.session where ended_at is null')).map(({ id }) => id) },
    headers: { origin: own.address() },
  })
  expect([passerBy.status(), await passerBy.json()]).toEqual([422, { issue: 'wrong' }])
  await desk.getByLabel('Your password').fill(words.perran)
  await desk.getByRole('button', { name: /^Sign (that device|\d+ devices) out$/ }).click()
  await expect(desk.getByRole('button', { name: 'Sign it out' })).toHaveCount(0)
  // it lies open on the bench, and nobody touches it
  await expect(phone.getByText('This device was signed out from another one. What was kept here is gone from it.')).toBeVisible({
    timeout: 60_000,
  })
  await expect.poll(kept).toEqual({ pages: [], stores: [], words: [] })
  await phone.goto(own.address())
  await expect(phone.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
})

test('who signs out leaves nothing on the device but what was not stored, if they wish', async ({ context }) => {
  const page = await signedIn(context, 'perran', words.perran)
  await page.getByRole('button', { name: 'Sign out' }).first().click()
  await expect(page.getByText('You are signed out, and this device keeps nothing of yours.')).toBeVisible()
  const stores = () =>
    page.evaluate(async () => (await indexedDB.databases()).filter(({ name }) => name?.startsWith('itinerum')).length)
  expect(await stores()).toBe(0)
  await page.goto(own.address())
  await expect(page.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
})

test('a helper writes clocks and notes, and neither costs nor plans: told so, and nothing is stored', async ({
  browser,
  context,
}) => {
  const owner = await signedIn(context, 'Isolt', words.isolt)
  await owner.goto(`${own.address()}/pieces/new`)
  await owner.getByLabel('What it is').fill('Peg rail')
  await owner.getByLabel('Called').fill('Rail')
  await owner.getByLabel('Width').fill('60')
  await owner.getByLabel('Height').fill('12')
  await owner.getByRole('button', { name: 'Take it in' }).click()
  await expect(owner.getByRole('heading', { level: 1, name: 'Peg rail' })).toBeVisible()
  const pieceId = owner.url().split('/').at(-1) ?? ''
  await owner.goto(`${own.address()}/house/doors`)
  await owner.getByLabel('As what').selectOption({ label: 'Helper' })
  await owner.getByRole('button', { name: 'Make the link' }).click()
  await expect(owner.getByText(/Somebody, as helper, open until/)).toBeVisible()
  const helper = await (await browser.newContext()).newPage()
  await helper.goto((await owner.locator('[data-invitation]').textContent()) ?? '')
  await helper.getByLabel('The name you sign in with').fill('Jory')
  await helper.getByLabel('A password').fill('ladder brush bucket')
  await helper.getByRole('button', { name: 'Come in' }).click()
  await expect(helper).toHaveURL(home())
  const send = async (action: string, typed: object) =>
    (
      await helper.request.post(`${own.address()}/api/bench`, {
        data: { action, typed: { entryId: uuidv7(), pieceId, at: new Date().toISOString(), ...typed } },
        headers: { origin: own.address() },
      })
    ).json() as Promise<unknown>
  expect(await send('addNote', { note: 'The rail is split at the end.' })).toEqual({ ok: true })
  // what somebody else wrote on this device before is not taken in this session
  const other = await helper.request.post(`${own.address()}/api/bench`, {
    data: { action: 'addNote', typed: { entryId: uuidv7(), pieceId, at: new Date().toISOString(), note: 'Not mine' } },
    headers: { origin: own.address(), 'itinerum-member': uuidv7() },
  })
  expect(other.status()).toBe(401)
  expect(await send('addCost', { costKind: 'other', money: '4', note: '' })).toEqual({ issue: 'not-yours' })
  // neither is it offered
  await helper.goto(`${own.address()}/pieces/${pieceId}`)
  await expect(helper.getByRole('button', { name: 'Write a note' })).toBeVisible()
  await expect(helper.getByRole('button', { name: 'Add a cost' })).toHaveCount(0)
  await helper.goto(`${own.address()}/house`)
  await expect(helper.getByRole('heading', { level: 1, name: 'The house' })).toBeVisible()
  await expect(helper.getByLabel('One more pair of hands')).toHaveCount(0)
  expect(await own.ask(`select from entry where kind = 'cost'`)).toHaveLength(0)
})

test('what the house goes by is told as it changes, by whom, and taken along as CSV', async ({ context }) => {
  const owner = await signedIn(context, 'Isolt', words.isolt)
  await owner.goto(`${own.address()}/house`)
  // what it comes to stands beside it as it is typed: eight hours at 21.50, bought for three of them
  await owner.getByLabel('An hour of work, GBP').fill('21.50')
  await expect(owner.getByText('A piece of 8 hours, bought for £64.50')).toBeVisible()
  await expect(owner.getByText(/^That does not pay its hours: they are paid from £\d+\.\d\d on/)).toBeVisible()
  await owner.getByLabel('How much', { exact: true }).fill('25')
  await expect(owner.getByRole('row', { name: 'The hours, at their rate £172.00' })).toBeVisible()
  // half typed it stays as it was
  await owner.getByLabel('Room to haggle, %').fill('1x')
  await owner.getByLabel('An hour of work, GBP').fill('22')
  await expect(owner.getByText('A piece of 8 hours, bought for £64.50')).toBeVisible()
  await owner.getByLabel('Room to haggle, %').fill('10')
  await expect(owner.getByText('A piece of 8 hours, bought for £66.00')).toBeVisible()
  await owner.getByLabel('An hour of work, GBP').fill('21.50')
  // a day more, drawn
  const sunday = owner.getByRole('group', { name: 'Days worked' }).first().getByRole('checkbox', { name: 'Sun' })
  const sundays = owner.locator('[data-works="0"]')
  await expect(sundays).toHaveCount(0)
  await sunday.check()
  await expect(sundays).toHaveCount(1)
  await sunday.uncheck()
  await owner.getByRole('button', { name: 'Keep it' }).first().click()
  await expect.poll(() => own.ask('select from studio where hour_rate = 2150')).toHaveLength(1)
  await owner.goto(`${own.address()}/house/doors`)
  const told = 'Isolt changed the house: an hour of work £18.00 → £21.50'
  await expect(owner.getByText(told)).toBeVisible()
  const csv = await owner.request.get(`${own.address()}/api/happened`)
  expect(await csv.text()).toContain(told)
})

test('a forgotten password is renewed by an address of the owner’s; one’s own is changed by the old one', async ({
  browser,
  context,
}) => {
  const lost = await signedIn(await browser.newContext(), 'perran', words.perran)
  const owner = await signedIn(context, 'Isolt', words.isolt)
  await owner.getByRole('listitem').filter({ hasText: 'Perran Loft' }).getByRole('button', { name: 'A new password' }).click()
  const link = (await owner.locator('[data-password]').textContent()) ?? ''
  const page = await (await browser.newContext()).newPage()
  await page.goto(link)
  await expect(page.getByText('For perran.')).toBeVisible()
  await expectAxeClean(page)
  await page.getByLabel('A password').fill('qwerty1')
  await page.getByRole('button', { name: 'Keep it and come in' }).click()
  await expect(page.getByText('At least 10 letters')).toBeVisible()
  await page.getByLabel('A password').fill('oak handle, brass screw')
  await page.getByRole('button', { name: 'Keep it and come in' }).click()
  await expect(page).toHaveURL(home())
  await lost.goto(own.address())
  await expect(lost.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
  await lost.goto(link)
  await expect(lost.getByRole('heading', { name: 'This link opens nothing' })).toBeVisible()

  await page.goto(`${own.address()}/house/doors`)
  await page.locator('summary', { hasText: 'Another password' }).click()
  await page.getByLabel('The old one').fill(words.perran)
  await page.getByLabel('The new one').fill(words.perran)
  await page.getByRole('button', { name: 'Keep the new one' }).click()
  await expect(page.getByText('The old password is another one. Nothing was changed.')).toBeVisible()
  await page.getByLabel('The old one').fill('oak handle, brass screw')
  await page.getByRole('button', { name: 'Keep the new one' }).click()
  await expect(page.getByText('Kept. Every other device is signed out.')).toBeVisible()
})

test('a code from an app is asked for beside the password: each comes in once; printed ones stand in for a lost phone', async ({
  browser,
  context,
}) => {
  const page = await signedIn(await browser.newContext(), 'perran', words.perran)
  await page.locator('summary', { hasText: 'A code from an app as well' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('img', { name: 'What your app takes up by its camera' })).toBeVisible()
  await expectAxeClean(page)
  const secret = (await page.locator('[data-secret]').getAttribute('data-secret')) ?? ''
  const figures = (stepsOn = 0) =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + stepsOn * 30_000 })
  await page.getByLabel('Your password').fill(words.perran)
  await page.getByLabel('The figures of your app').fill('000000')
  await page.getByRole('button', { name: 'Ask for it from now on' }).click()
  await expect(page.getByText(/^Those are not the figures of this minute/)).toBeVisible()
  await page.getByLabel('Your password').fill('another password')
  await page.getByLabel('The figures of your app').fill(figures())
  await page.getByRole('button', { name: 'Ask for it from now on' }).click()
  await expect(page.getByText('That is not your password. Nothing was changed.')).toBeVisible()
  await page.getByLabel('Your password').fill(words.perran)
  const first = figures()
  await page.getByLabel('The figures of your app').fill(first)
  await page.getByRole('button', { name: 'Ask for it from now on' }).click()
  const codes = page.locator('[data-codes] li')
  await expect(codes).toHaveCount(10)
  const printed = await codes.allTextContents()
  expect(printed.every((code) => /^[a-z2-9]{4}(-[a-z2-9]{4}){5}$/.test(code))).toBe(true)
  await expect(page.getByText('perran comes in with a code from an app from now on.')).toBeVisible()

  // who found the page open and knows the password puts no app of their own in its place
  const another = new Secret({ size: 20 }).base32
  const code = new TOTP({ secret: Secret.fromBase32(another) }).generate()
  const put = await page.request.put(`${own.address()}/api/second-factor`, {
    data: { secret: another, password: words.perran, code },
    headers: { origin: own.address() },
  })
  expect([put.status(), await put.json()]).toEqual([409, { issue: 'on' }])
  // printed, the codes stand alone
  await page.emulateMedia({ media: 'print' })
  await expect(codes.first()).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Where you are in' })).toBeHidden()
  await page.emulateMedia({ media: null })

  const sent = async (code: string) => {
    const answer = await fetch(`${own.address()}/api/session`, {
      method: 'POST',
      body: JSON.stringify({ name: 'perran', password: words.perran, code }),
      headers: { origin: own.address(), 'content-type': 'application/json' },
    })
    return [answer.status, ((await answer.json()) as { issue?: string }).issue, answer.headers.has('set-cookie')]
  }
  expect(await sent('')).toEqual([401, 'code', false])
  // the figures it was turned on by came in already
  expect(await sent(first)).toEqual([401, 'code-wrong', false])
  expect(await sent(figures(5))).toEqual([401, 'code-wrong', false])
  const phone = await (await browser.newContext()).newPage()
  await phone.goto(`${own.address()}/sign-in?to=/shelf`)
  await comeIn(phone, 'perran', words.perran)
  await expect(phone.getByText('Now the six figures that your app shows')).toBeVisible()
  await expectAxeClean(phone)
  await phone.getByLabel('The figures of your app').fill(figures(1))
  await phone.getByRole('button', { name: 'Come in' }).click()
  await expect(phone).toHaveURL(`${own.address()}/shelf`)
  expect(await sent(printed[3] ?? '')).toEqual([200, undefined, true])
  expect(await sent(printed[3] ?? '')).toEqual([401, 'code-wrong', false])

  // app and paper gone: the owner ends it, and they come in by the password alone
  const owner = await signedIn(context, 'Isolt', words.isolt)
  await owner.getByRole('listitem').filter({ hasText: 'Perran Loft' }).getByRole('button', { name: 'Without codes…' }).click()
  await owner.getByRole('button', { name: 'Perran Loft comes in by the password alone' }).click()
  await expect(owner.getByText('perran comes in without codes from now on, says Isolt.')).toBeVisible()
  expect(await sent('')).toEqual([200, undefined, true])
})

test('a code is asked of everybody: who has none sets one up before they come any further', async ({ browser, context }) => {
  const owner = await signedIn(context, 'Isolt', words.isolt)
  const perran = await signedIn(await browser.newContext(), 'perran', words.perran)
  const figures = (secret: string, stepsOn = 0) =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + stepsOn * 30_000 })
  const setUp = async (page: Page, password: string): Promise<string> => {
    await page.getByRole('button', { name: 'Begin' }).click()
    const secret = (await page.locator('[data-secret]').getAttribute('data-secret')) ?? ''
    await page.getByLabel('Your password').fill(password)
    await page.getByLabel('The figures of your app').fill(figures(secret))
    await page.getByRole('button', { name: 'Ask for it from now on' }).click()
    await expect(page.locator('[data-codes] li')).toHaveCount(10)
    return secret
  }
  // nobody asks of others what they don't do themself, whatever is sent
  await expect(owner.getByText('Begin with yourself: a code from an app as well')).toBeVisible()
  const asks = (page: Page) =>
    page.request.put(`${own.address()}/api/codes-for-all`, {
      data: { ask: true, password: page === owner ? words.isolt : words.perran },
      headers: { origin: own.address() },
    })
  expect(await (await asks(owner)).json()).toEqual({ issue: 'own-first' })
  expect(await (await asks(perran)).json()).toEqual({ issue: 'not-yours' })
  await owner.locator('summary', { hasText: 'A code from an app as well' }).click()
  const secret = await setUp(owner, words.isolt)
  await owner.reload()
  // begun and left by a key, one is where one was
  const ask = owner.getByRole('button', { name: 'Ask it of everybody' })
  await ask.focus()
  await owner.keyboard.press('Enter')
  const proof = owner.locator('form', { has: owner.getByRole('button', { name: 'Ask everybody from now on' }) })
  await expect(proof.getByLabel('Your password')).toBeFocused()
  await owner.keyboard.press('Escape')
  await expect(ask).toBeFocused()
  await owner.keyboard.press('Enter')
  await proof.getByLabel('Your password').fill(words.isolt)
  await proof.getByLabel('The figures of your app').fill(figures(secret, 1))
  await owner.keyboard.press('Enter')
  await expect(owner.getByText('Isolt asks a code from an app of everybody.')).toBeVisible()
  await expect(owner.getByText(/^Asked of everybody here\. (one has|\d+ have) none yet/)).toBeVisible()
  await expectAxeClean(owner)

  // who is in without one comes no further, by no way
  await perran.goto(`${own.address()}/shelf?show=all`)
  await expect(perran).toHaveURL(`${own.address()}/codes?to=${encodeURIComponent('/shelf?show=all')}`)
  await expect(perran.getByRole('heading', { name: 'One more thing' })).toBeVisible()
  await expectAxeClean(perran)
  for (const path of ['/api/bench', '/api/week', '/api/happened', '/api/live'])
    expect([path, (await perran.request.get(`${own.address()}${path}`)).status()]).toEqual([path, 401])
  await setUp(perran, words.perran)
  await perran.getByRole('button', { name: 'Go on' }).click()
  await expect(perran).toHaveURL(`${own.address()}/shelf?show=all`)
  await expect(perran.getByRole('heading', { level: 1 })).toBeVisible()

  // left to each again
  await owner.getByRole('button', { name: 'Leave it to each' }).click()
  const left = owner.locator('form', { has: owner.getByRole('button', { name: 'Leave it to each from now on' }) })
  await left.getByLabel('Your password').fill(words.isolt)
  await own.ask(`update door.account set last_step = null where name in ('Isolt', 'perran')`)
  await left.getByLabel('The figures of your app').fill(figures(secret))
  await owner.keyboard.press('Enter')
  await expect(owner.getByText('Isolt leaves a code from an app to each.')).toBeVisible()
  await own.ask(`update door.account set second_factor = null, last_step = null where name in ('Isolt', 'perran')`)
})

test('a cookie that was copied is good until one of the two is given another; then neither is in, and both are told', async ({
  browser,
}) => {
  const mine = await browser.newContext()
  const page = await signedIn(mine, 'Isolt', words.isolt)
  const copied = await mine.storageState()
  const cookieOf = async (context: BrowserContext) => (await context.cookies()).map(({ value }) => value).join()
  const [first] = await own.ask<{ id: string }>(
    `select id from door.session where ended_at is null order by made_at desc limit 1`,
  )
  const age = (minutes: number) =>
    own.ask(`update door.session set renewed_at = now() - make_interval(mins => $2) where id = $1`, [first?.id, minutes])
  const before = await cookieOf(mine)

  // two hours later its own browser is given the next one, and goes on by it as if nothing were
  await age(121)
  await page.goto(`${own.address()}/pieces`)
  const after = await cookieOf(mine)
  expect(after).not.toBe(before)
  await page.goto(`${own.address()}/shelf`)
  expect(await cookieOf(mine)).toBe(after)
  expect(
    await own.ask('select from door.session where id = $1 and next_digest is null and last_digest is not null', [first?.id]),
  ).toHaveLength(1)

  // whoever copied it comes with the one before
  await age(5)
  const thief = await browser.newContext({ storageState: copied })
  const theirs = await thief.newPage()
  await theirs.goto(`${own.address()}/pieces`)
  await expect(theirs.getByText('Another device came in by this sign-in, so it was ended for both.')).toBeVisible()
  expect((await thief.request.get(`${own.address()}/api/bench`)).status()).toBe(401)
  // the open page of its owner is led out as well, and the log says why
  await expect(page.getByText('Another device came in by this sign-in, so it was ended for both.')).toBeVisible({
    timeout: 30_000,
  })
  await expectAxeClean(page)
  const again = await signedIn(await browser.newContext(), 'Isolt', words.isolt)
  await expect(again.getByText(/^Two devices came by one sign-in of Isolt/)).toBeVisible()
})

test('who comes in no more is out at once, wherever they were in', async ({ browser, context }) => {
  const painter = await signedIn(await browser.newContext(), 'perran', words.perran)
  const owner = await signedIn(context, 'Isolt', words.isolt)
  await owner.getByRole('listitem').filter({ hasText: 'Perran Loft' }).getByRole('button', { name: 'Comes in no more…' }).click()
  await owner.getByRole('button', { name: 'Perran Loft comes in no more' }).click()
  await expect(owner.getByText('Perran Loft, painter')).toBeHidden()
  await expect(owner.getByText('perran comes in no more, says Isolt.')).toBeVisible()
  await painter.goto(`${own.address()}/pieces`)
  await expect(painter.getByRole('heading', { name: 'Who comes in?' })).toBeVisible()
  await comeIn(painter, 'perran', words.perran)
  await expect(painter.getByText('That name and password don’t belong together.')).toBeVisible()

  // asked in anew, they come by the name and password they have, and are the hands they were
  const link = await linkAs(owner, 'Bookkeeper')
  await painter.goto(link)
  await painter.getByLabel('The name you sign in with').fill('Perran')
  await painter.getByLabel('A password').fill('oak handle, brass screw')
  await painter.getByRole('button', { name: 'Come in' }).click()
  await expect(painter.getByText(/If that is you, the password is the one you come in by/)).toBeVisible()
  await painter.getByLabel('A password').fill(words.perran)
  await painter.getByRole('button', { name: 'Come in' }).click()
  await expect(painter).toHaveURL(home())
  expect(await own.ask(`select from person where name like 'Perran%'`)).toHaveLength(1)
  expect(await joinBy(await linkAs(owner, 'Painter'), 'perran', words.perran)).toEqual([409, { issue: 'member' }])

  // what somebody is changes in place: they sign in anew, as what they are
  await owner.reload()
  const row = owner.getByRole('listitem').filter({ hasText: 'Perran Loft, bookkeeper' })
  await row.getByRole('button', { name: 'Another role' }).click()
  await row.getByRole('button', { name: 'painter' }).click()
  await expect(owner.getByText('Perran Loft, painter')).toBeVisible()
  await expect(owner.getByText('perran is a painter here now, says Isolt.')).toBeVisible()
  // what was tapped is where one goes on; and of what happened a part is asked for
  await expect(
    row
      .or(owner.getByRole('listitem').filter({ hasText: 'Perran Loft, painter' }))
      .getByRole('button', { name: 'Another role…' }),
  ).toBeFocused()
  await owner.getByRole('link', { name: 'At the door' }).click()
  await expect(owner.getByText('perran is a painter here now, says Isolt.')).toBeHidden()
  await expect(owner.getByText(/Isolt came in/).first()).toBeVisible()
  await painter.goto(`${own.address()}/pieces`)
  await comeIn(painter, 'perran', words.perran)
  await expect(painter).toHaveURL(`${own.address()}/pieces`)
  await painter.goto(`${own.address()}/house/doors`)
  await expect(painter.getByText('Painter here, signed in as perran')).toBeVisible()
})

test('one name, or one pair of hands, is taken by the first of two who join at once', async ({ context }) => {
  const owner = await signedIn(context, 'Isolt', words.isolt)
  const [one, two] = [await linkAs(owner, 'Helper'), await linkAs(owner, 'Helper')]
  // what many had before is told by its field, and uses nothing up
  expect(await joinBy(one, 'Kerensa', 'Basketball99')).toMatchObject([422, { fields: { password: /^That is guessed at once/ } }])
  const same = await Promise.all([one, two].map((link) => joinBy(link, 'Kerensa', 'three plain words here')))
  expect(same.map(([status]) => status).sort()).toEqual([200, 409])
  const lost = same[0]?.[0] === 200 ? two : one
  expect(await joinBy(lost, 'Tamsyn', 'three plain words here')).toEqual([200, { ok: true }])

  await own.ask(`insert into person (id, studio_id, name) select $1, id, 'Demelza Pool' from studio`, [uuidv7()])
  const hands = [await linkAs(owner, 'Painter', 'Demelza Pool'), await linkAs(owner, 'Painter', 'Demelza Pool')]
  const both = await Promise.all(hands.map((link, k) => joinBy(link, `demelza ${k}`, 'three plain words here')))
  expect(both.map(([status]) => status).sort()).toEqual([200, 410])
  expect(await own.ask(`select from door.account where name like 'demelza%'`)).toHaveLength(1)
})

test('somebody of two studios goes over from one into the other, and is never in both', async ({ context, browser }) => {
  const token = 't'.repeat(43)
  const other = await own.otherStudio(token)
  expect(await joinBy(`/join/${token}`, 'perran', words.perran)).toEqual([200, { ok: true }])
  const page = await (await browser.newContext()).newPage()
  await page.goto(`${own.address()}/sign-in?to=/house/doors`)
  await comeIn(page, 'perran', words.perran)
  // into the one they were in last
  await expect(page.getByText('Owner here, signed in as perran')).toBeVisible()
  const studios = page.getByRole('region', { name: 'Your studios' })
  await expect(studios.getByRole('listitem')).toHaveText([/The other workshop, owner\s*this one/, /Our workshop, painter/])
  await expectAxeClean(page)
  const before = (await page.context().cookies())[0]
  await studios.getByRole('button', { name: 'Go over' }).click()
  await expect(page).toHaveURL(home())
  await page.goto(`${own.address()}/pieces`)
  await expect(page.getByText('Peg rail')).toBeVisible()
  const old = await fetch(`${own.address()}/api/week`, { headers: { cookie: `${before?.name}=${before?.value}` } })
  expect(old.status).toBe(401)
  // nobody goes over into a studio of others
  const owner = await signedIn(context, 'Isolt', words.isolt)
  const [membership] = await own.ask<{ id: string }>('select id from door.membership where studio_id = $1', [other])
  const tried = await owner.request.post(`${own.address()}/api/session`, {
    data: { membership: membership?.id },
    headers: { origin: own.address() },
  })
  expect(tried.status()).toBe(401)
})

test('guesses at one name are slowed down, whoever makes them and from wherever they say they come', async ({
  request,
  page,
}) => {
  const guess = (k: number) =>
    request.post(`${own.address()}/api/session`, {
      data: { name: 'Isolt', password: `guess number ${k}` },
      headers: { origin: own.address(), 'x-forwarded-for': `10.0.0.${k}` },
    })
  const statuses: number[] = []
  for (let k = 0; k < 14; k += 1) statuses.push((await guess(k)).status())
  expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(10)
  expect(statuses.slice(-3)).toEqual([429, 429, 429])
  await page.goto(`${own.address()}/sign-in`)
  await comeIn(page, 'Isolt', words.isolt)
  await expect(page.getByText('Too many tries. Wait a quarter of an hour, then try again.')).toBeVisible()
})
