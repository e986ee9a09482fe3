/** The list for the shop: what is short of all that is planned, ticked off without a connection, and on the shelf when there is one again. */
import { expect, test } from '@playwright/test'
import { expectAxeClean } from './axe'

// it keeps what is needed without a connection
test.use({ serviceWorkers: 'allow' })

test('what is short is bought in the shop, without a connection, and is on the shelf', async ({ page, context }, { project }) => {
  test.skip(project.name !== 'phone', 'one shelf for the house, and a shop is gone to with a phone')
  await page.goto('/shelf')
  await page.getByRole('link', { name: 'To buy', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'To buy' })).toBeVisible()
  await page.evaluate(async () => {
    await navigator.serviceWorker.register('/sw.js')
    await navigator.serviceWorker.ready
    localStorage.removeItem('itinerum.basket')
  })
  // the surer it is to be, the more it costs
  const toPay = page.locator('[data-figure="toPay"]')
  const pay = async () => Number(((await toPay.textContent()) ?? '').replace(/[^\d.]/g, ''))
  await page.getByRole('link', { name: 'just enough' }).click()
  await expect(page).toHaveURL(/be=half/)
  const least = await pay()
  await page.getByRole('link', { name: 'enough in nineteen of twenty' }).click()
  await expect(page).toHaveURL(/be=all/)
  expect(await pay()).toBeGreaterThanOrEqual(least)
  await expectAxeClean(page)
  await page.reload()
  await context.setOffline(true)
  await page.reload()
  const line = page
    .locator('[data-buy]')
    .filter({ has: page.getByRole('button', { name: 'It is in the basket' }) })
    .first()
  const key = await line.getAttribute('data-buy')
  const own = page.locator(`[data-buy="${key}"]`)
  const tins = own.locator('[data-tins]')
  await expect(tins).toHaveText(/\d × /)
  const bought = Number(await tins.getAttribute('data-tins'))
  const before = Number(await own.getAttribute('data-there'))
  await own.getByRole('button', { name: 'It is in the basket' }).click()
  await expect(own.getByText('In the basket', { exact: true })).toBeVisible()
  // opened again in the shop: it lies there still
  await page.reload()
  await expect(own.getByText('In the basket', { exact: true })).toBeVisible()
  await context.setOffline(false)
  // stored, and read anew: it is short no more; or another piece was planned meanwhile, and it stands there all the same
  await expect(async () => {
    await page.reload()
    await expect(page.getByRole('status').last()).toBeVisible({ timeout: 2_000 })
    if ((await own.count()) === 0) return
    expect(Number(await own.getAttribute('data-there', { timeout: 2_000 }))).toBeGreaterThan(before + bought - 1_000)
  }).toPass({ timeout: 30_000 })
})
