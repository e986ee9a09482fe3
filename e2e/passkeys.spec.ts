/** Passkeys: made by who says again that it is them, come in by without a password or a code, signed once, ended from anywhere. */
import { type CDPSession, expect, type Page, test } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import { expectAxeClean } from './axe'
import { ownServer } from './ownServer'

const own = ownServer('passkeys', 'own')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.use({ storageState: { cookies: [], origins: [] } })
test.describe.configure({ mode: 'serial' })

const password = 'linen cupboard ladder'
/** A passkey is for a name, and for no bare number. */
const named = () => own.address().replace('127.0.0.1', 'localhost')

/** What keeps passkeys, as a phone does: it looks who is there, and says yes. */
async function keeper(page: Page): Promise<{ keys: CDPSession; id: string }> {
  const keys = await page.context().newCDPSession(page)
  await keys.send('WebAuthn.enable')
  const { authenticatorId: id } = await keys.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
  return { keys, id }
}

test('one is made, and comes in once by what it signs; ended, it is nobody’s', async ({ page }) => {
  const { keys, id: authenticatorId } = await keeper(page)
  await page.goto(own.firstDoor().replace('127.0.0.1', 'localhost'))
  await page.getByLabel('You, as the log calls you').fill('Isolt Wray')
  await page.getByLabel('The name you sign in with').fill('Isolt')
  await page.getByLabel('A password').fill(password)
  await page.getByRole('button', { name: 'Come in' }).click()
  await expect(page.getByLabel(/^An hour of your work/)).toBeVisible()

  await page.goto(`${named()}/house/doors`)
  await page.locator('summary', { hasText: 'A passkey instead of a password' }).click()
  await page.getByRole('button', { name: 'Make one on this device' }).click()
  await page.getByLabel('What you call it').fill('')
  await page.getByLabel('Your password').fill('another password')
  const make = page.getByRole('button', { name: 'Make the passkey' })
  await make.click()
  await expect(page.getByText('Say what you call it, to know it again.')).toBeVisible()
  await page.getByLabel('What you call it').fill('The workshop’s computer')
  await make.click()
  await expect(page.getByText('That is not your password.')).toBeVisible()
  // nothing was made that is not kept
  expect((await keys.send('WebAuthn.getCredentials', { authenticatorId })).credentials).toEqual([])
  await page.getByLabel('Your password').fill(password)
  await expectAxeClean(page)
  await make.click()
  await expect(page.locator('summary', { hasText: 'Your passkeys: 1' })).toBeVisible()
  await expect(page.getByText(/^for localhost, made .*, not used yet$/)).toBeVisible()
  await expect(page.getByText('Isolt comes in by a passkey, too: The workshop’s computer.')).toBeVisible()
  await expectAxeClean(page)
  // the same device keeps no second one
  await page.getByRole('button', { name: 'Make one on this device' }).click()
  await page.getByLabel('Your password').fill(password)
  await make.click()
  await expect(page.getByText(/^No passkey was made\./)).toBeVisible()

  // a code is asked beside the password from now on; whoever shows the passkey is asked for neither
  await own.ask(`update door.account set second_factor = '${new Secret({ size: 20 }).base32}' where name = 'Isolt'`)
  await page.context().clearCookies()
  await page.goto(`${named()}/sign-in?to=/house/doors`)
  await expectAxeClean(page)
  const asked = page.waitForRequest((request) => request.url().endsWith('/api/session/passkey') && request.method() === 'PUT')
  const come = page.getByRole('button', { name: 'Come in with a passkey' })
  await come.click()
  await expect(page.getByRole('heading', { level: 2, name: 'Where you are in' })).toBeVisible()
  await page.locator('summary', { hasText: 'Your passkeys: 1' }).click()
  await expect(page.getByText(/^for localhost, made .*, last used /)).toBeVisible()

  // what it signed was heard by somebody else: it comes in no second time, from nowhere
  const signed = (await asked).postData() ?? ''
  const again = await fetch(`${named()}/api/session/passkey`, {
    method: 'PUT',
    body: signed,
    headers: { origin: named(), 'content-type': 'application/json' },
  })
  expect([again.status, await again.json(), again.headers.has('set-cookie')]).toEqual([401, { issue: 'wrong' }, false])

  // its keeper did not see who was there
  await page.context().clearCookies()
  await page.goto(`${named()}/sign-in`)
  await keys.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: false })
  await come.click()
  await expect(page.getByText(/^No passkey was shown\./)).toBeVisible({ timeout: 40_000 })
  await keys.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: true })
  await come.click()
  await expect(page).toHaveURL(new RegExp(`^${named()}/(start)?$`))

  // ended by who says again that it is them: with their code now
  const [account] = await own.ask<{ secret: string }>(`select second_factor as secret from door.account where name = 'Isolt'`)
  await page.goto(`${named()}/house/doors`)
  await page.locator('summary', { hasText: 'Your passkeys: 1' }).click()
  await page.getByRole('button', { name: 'End it' }).click()
  await page.getByLabel('Your password').last().fill(password)
  await page
    .getByLabel('The figures of your app')
    .last()
    .fill(new TOTP({ secret: Secret.fromBase32(account?.secret ?? '') }).generate())
  await page.getByRole('button', { name: 'End The workshop’s computer' }).click()
  await expect(page.getByText('A passkey of Isolt opens nothing any more: The workshop’s computer.')).toBeVisible()
  await page.context().clearCookies()
  await page.goto(`${named()}/sign-in`)
  await come.click()
  await expect(page.getByText(/^The door doesn’t know that passkey/)).toBeVisible()
  await expect(page).toHaveURL(`${named()}/sign-in`)
})

test('at a bare number none is offered, and what is sent all the same is refused in words', async ({ page }) => {
  await page.goto(`${own.address()}/sign-in`)
  await expect(page.getByRole('button', { name: 'Come in', exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Come in with a passkey' })).toHaveCount(0)
  const headers = { origin: own.address() }
  const asked = await page.request.post(`${own.address()}/api/session/passkey`, { data: {}, headers })
  expect([asked.status(), await asked.json()]).toEqual([409, { issue: 'bare-number' }])
  const bytes = 'A'.repeat(40)
  const signed = {
    ...{ id: bytes, rawId: bytes, type: 'public-key', clientExtensionResults: {} },
    response: { clientDataJSON: bytes, authenticatorData: bytes, signature: bytes },
  }
  const made = { ...signed, response: { clientDataJSON: bytes, attestationObject: bytes } }
  const statuses = [
    await page.request.put(`${own.address()}/api/session/passkey`, { data: signed, headers }),
    await page.request.put(`${named()}/api/session/passkey`, { data: signed, headers: { origin: named() } }),
    await page.request.put(`${own.address()}/api/session/passkey`, { data: { ...signed, id: '<' }, headers }),
    await page.request.put(`${own.address()}/api/passkeys`, { data: { name: 'x', made }, headers }),
    await page.request.delete(`${own.address()}/api/passkeys`, { data: { id: bytes, password }, headers }),
  ].map((response) => response.status())
  expect(statuses).toEqual([401, 401, 422, 401, 401])
})
