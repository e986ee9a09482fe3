/** The workshop's network: TLS by the studio's own authority, a phone brought in by a picture, and nothing that comes in without. */
import { type ChildProcess, execFile, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { Agent, get } from 'node:https'
import { networkInterfaces, tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { type BrowserContext, expect, type Page, test } from '@playwright/test'
import { expectAxeClean } from './axe'
import { freePort, ownServer } from './ownServer'

// it keeps what is needed without a connection
test.use({ serviceWorkers: 'allow' })

const more: Record<string, string> = { ITINERUM_FRONT_KEY: 'the front of this test' }
const own = ownServer('lan', 'own', more)
const tls = (name: string) => join(own.home, 'tls', name)
const isOnNetwork = Object.values(networkInterfaces()).some((all) =>
  all?.some(({ family, internal }) => family === 'IPv4' && !internal),
)
let front: ChildProcess
let lan = ''
test.beforeAll(async () => {
  test.setTimeout(120_000)
  // a machine without a network of its own has another address of itself
  if (!isOnNetwork) process.env.ITINERUM_LAN_NAMES = '127.0.0.2'
  await own.command('database', 'tls')
  const port = await freePort()
  more.ITINERUM_LAN = readFileSync(tls('names'), 'utf8')
    .trim()
    .split('\n')
    .map((name) => `${name}:${port}`)
    .join(',')
  more.ITINERUM_AUTHORITY = tls('ca.crt')
  lan = `https://${more.ITINERUM_LAN.split(',')[0] ?? ''}`
  await own.begin()
  front = spawn('node_modules/.bin/tsx', ['src/worker/lan.ts'], {
    env: { ...process.env, ...more, ITINERUM_TLS: join(own.home, 'tls'), ITINERUM_BEHIND: new URL(own.address()).port },
    stdio: 'inherit',
  })
  await expect
    .poll(
      () =>
        ask('/api/health').then(
          ({ status }) => status,
          () => 0,
        ),
      { timeout: 30_000 },
    )
    .toBe(200)
})
test.afterAll(async () => {
  front.kill()
  await own.end()
})
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

/** Asked as by a phone that trusts the studio's authority and no other. */
const ask = (path: string, headers: Record<string, string> = {}, ca: Buffer | undefined = readFileSync(tls('ca.crt'))) =>
  new Promise<{ status: number; text: string; headers: Record<string, unknown> }>((resolve, reject) => {
    // asked by another name, the certificate is still the studio's own
    const agent = new Agent({ ...(ca && { ca }), ...(headers.host && { checkServerIdentity: () => undefined }) })
    get(`${lan}${path}`, { agent, headers }, (response) => {
      let text = ''
      response.setEncoding('utf8').on('data', (more: string) => (text += more))
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text, headers: response.headers }))
    }).on('error', reject)
  })

/** At the desk: the picture for a phone's camera, and what it says. */
async function showPicture(context: BrowserContext): Promise<{ desk: Page; link: string }> {
  await own.letOwnerIn(context)
  const desk = await context.newPage()
  await desk.goto(`${own.address()}/house/doors`)
  await desk.getByRole('button', { name: 'Bring a phone in' }).click()
  // who only stands at an open desk brings none in
  await desk.getByLabel('Your password').fill('three other words')
  await desk.getByRole('button', { name: 'Show the picture' }).click()
  await expect(desk.getByText('That is not your password.')).toBeVisible()
  await desk.getByLabel('Your password').fill(own.ownerPassword)
  await desk.getByRole('button', { name: 'Show the picture' }).click()
  return { desk, link: (await desk.locator('[data-pairing]').textContent()) ?? '' }
}

test('who trusts the studio’s authority reaches it by TLS; who does not, or asks by another name, or without TLS, does not', async () => {
  expect((await ask('/sign-in')).text).toContain('Who comes in?')
  await expect(ask('/sign-in', {}, Buffer.from(''))).rejects.toThrow(/certificate|issuer|self.signed/i)
  expect((await ask('/sign-in', { host: 'elsewhere.example' })).status).toBe(421)
  // the server itself listens on loopback alone
  const bare = `http://${new URL(lan).hostname}:${new URL(own.address()).port}/sign-in`
  await expect(fetch(bare)).rejects.toThrow()
  // to the door without a session, on the same address
  expect((await ask('/shelf')).headers.location).toMatch(/^\/sign-in\?to=|^https:\/\//)
  const authority = await ask('/api/authority')
  expect([authority.text, authority.headers['content-type']]).toEqual([
    readFileSync(tls('ca.crt'), 'utf8'),
    'application/x-x509-ca-cert',
  ])
})

test('where openssl fails nothing is served by half a certificate, and the authority that phones trust stays', async () => {
  const [authority, certificate] = [readFileSync(tls('ca.crt'), 'utf8'), readFileSync(tls('server.crt'), 'utf8')]
  const broken = mkdtempSync(join(tmpdir(), 'itinerum-openssl-'))
  writeFileSync(join(broken, 'openssl'), '#!/bin/sh\nexit 1\n', { mode: 0o755 })
  const env = { ...process.env, ITINERUM_HOME: own.home, PATH: `${broken}:${process.env.PATH ?? ''}` }
  await expect(promisify(execFile)('./itinerum', ['database', 'tls'], { env })).rejects.toThrow(/no certificate could be made/)
  rmSync(broken, { recursive: true })
  await own.command('database', 'tls')
  expect([readFileSync(tls('ca.crt'), 'utf8'), readFileSync(tls('server.crt'), 'utf8')]).toEqual([authority, certificate])
})

test('a phone is brought in by the picture at the desk, once; both work, and one sees what the other writes', async ({
  context,
  browser,
}) => {
  const { desk, link } = await showPicture(context)
  await expect(desk.getByRole('img', { name: 'What the phone’s camera is shown' })).toBeVisible()
  await expectAxeClean(desk)
  expect(link).toMatch(new RegExp(`^${lan}/pair/[\\w-]{43}$`))

  const aPhone = (): Promise<BrowserContext> =>
    browser.newContext({
      ignoreHTTPSErrors: true,
      viewport: { width: 390, height: 844 },
      extraHTTPHeaders: { 'x-forwarded-for': '8.8.8.8' },
    })
  const phone = await aPhone()
  const page = await phone.newPage()
  await page.goto(link)
  await expect(page.getByRole('heading', { name: 'Come in, Isolt' })).toBeVisible()
  await expectAxeClean(page)
  await page.getByRole('button', { name: 'Come in on this device' }).click()
  await expect(page).toHaveURL(new RegExp(`^${lan}/(start)?$`))
  const [cookie] = await phone.cookies()
  expect(cookie).toMatchObject({ name: '__Host-itinerum', secure: true, httpOnly: true, sameSite: 'Lax', path: '/' })
  // at the desk the picture goes as the phone is in
  await expect(desk.getByText('The phone is in.')).toBeVisible()
  await expect(desk.locator('[data-pairing]')).toBeHidden()
  await expect(desk.getByText('a phone', { exact: false }).first()).toBeVisible()
  // it says of itself that it comes from elsewhere; what stands before the server knows better
  const sessions = await own.ask<{ address: string }>(
    'select address from door.session where ended_at is null order by made_at desc',
  )
  expect(sessions[0]?.address).toBe(isOnNetwork ? new URL(lan).hostname : '127.0.0.1')

  const other = await (await aPhone()).newPage()
  await other.goto(link)
  await expect(other.getByRole('heading', { name: 'This picture opens nothing' })).toBeVisible()

  // a piece taken in at the desk stands on the phone, by itself
  await page.goto(`${lan}/pieces`)
  await desk.goto(`${own.address()}/pieces/new`)
  await desk.getByLabel('What it is').fill('Peg rail')
  await desk.getByLabel('Called').fill('Rail')
  await desk.getByLabel('Width').fill('60')
  await desk.getByLabel('Height').fill('12')
  await desk.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('Peg rail')).toBeVisible({ timeout: 30_000 })
  // and a note of the phone's stands at the desk
  await page.getByRole('link', { name: /Peg rail/ }).click()
  await page.getByRole('button', { name: 'Write a note' }).click()
  await page.getByRole('textbox', { name: 'Note' }).fill('Written by the saw')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(desk.getByText('Written by the saw')).toBeVisible({ timeout: 30_000 })
})

test('a picture that is over opens nothing, and the page that tells how to trust is there for everybody', async ({
  context,
  browser,
}) => {
  const { link } = await showPicture(context)
  await own.ask(`update door.pairing set expires_at = now() - interval '1 second'`)
  const phone = await (await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } })).newPage()
  await phone.goto(link)
  await expect(phone.getByRole('heading', { name: 'This picture opens nothing' })).toBeVisible()
  await phone.goto(`${lan}/trust`)
  await expect(phone.getByRole('link', { name: 'Load the studio’s authority' })).toBeVisible()
  await expectAxeClean(phone)
})

test('the server is killed: what stands before says so, and goes on when it is back', async () => {
  await own.stop()
  const away = await ask('/api/health')
  expect([away.status, away.headers['retry-after']]).toEqual([503, '2'])
  await own.start()
  await expect.poll(async () => (await ask('/api/health')).status).toBe(200)
})
