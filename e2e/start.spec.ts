/** A first start: a studio of one's own, empty, on a device that says where it stands. */
import { expect, type Page, test } from '@playwright/test'
import { expectAxeClean } from './axe'
import { ownServer } from './ownServer'

const own = ownServer('start', 'own')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.beforeEach(({ context }) => own.letOwnerIn(context))
test.use({ locale: 'en-US', timezoneId: 'America/Chicago' })

const chosen = (page: Page, label: string) => page.getByLabel(label).evaluate((field: HTMLSelectElement) => field.value)

test('an empty bench asks how the house reckons, by what the device knows; then a tin by the quart, told in ounces', async ({
  page,
}) => {
  await page.goto(own.address())
  const rate = page.getByLabel('An hour of your work, USD')
  await expect(rate).toBeVisible()
  expect([
    await chosen(page, 'Measures'),
    await chosen(page, 'Dates and figures written'),
    await chosen(page, 'Time zone'),
  ]).toEqual(['us', 'en-US', 'America/Chicago'])
  await expectAxeClean(page)
  // what can't be read is said, and stays
  await rate.fill('thirty')
  await page.getByRole('button', { name: 'That is so' }).click()
  await expect(page.getByText('Write the amount, like 42 or 42.50.')).toBeVisible()
  await expect(rate).toHaveValue('thirty')
  await rate.fill('1,032.50')
  // a wet thumb taps twice; the keyboard does as well
  await page.getByRole('button', { name: 'That is so' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await expect(page.getByText('USD, America/Chicago, inches, US pints, $1,032.50 an hour of work.')).toBeVisible()

  await page.getByRole('link', { name: 'Put a tin there' }).click()
  await page.getByLabel('What stands on it').fill('Dock Grey')
  await page.getByLabel('Size, fl oz').fill('1 lb')
  await page.getByLabel('Price, USD').fill('38.50')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page.getByText('An amount like 8, 8 fl oz, 1 pint or ½ quart.')).toBeVisible()
  await page.getByLabel('Size, fl oz').fill('1 quart')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page.getByText('32 fl oz left')).toBeVisible()
  await page.goto(own.address())
  await expect(page.getByText('One tin stands there.')).toBeVisible()
})

test('a currency without small coins is taken as it stands in the fields', async ({ page }) => {
  await own.ask('update studio set kept_at = null')
  // a slow line: the currency is chosen before any script has run
  let come = () => {}
  const scripts = new Promise<void>((resolve) => (come = resolve))
  await page.route('**/*.js', async (route) => {
    await scripts
    await route.continue()
  })
  await page.goto(own.address(), { waitUntil: 'commit' })
  await page.getByLabel('Currency').selectOption('JPY')
  come()
  await page.getByLabel('An hour of your work, JPY').fill('2500')
  await page.getByRole('button', { name: 'That is so' }).click()
  await expect(page.getByText(/^JPY, .* ¥2,500 an hour of work\.$/)).toBeVisible()
  expect(await own.ask('select hour_rate::int as rate, wish_value::int as wish, price_step::int as step from studio')).toEqual([
    { rate: 2500, wish: 2500, step: 5 },
  ])
})
