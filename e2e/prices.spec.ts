/** The price desk by clicks and keys: how prices are made, four ways, the chances at a price, where it goes, how it comes down. */
import { expect, type Page, test } from '@playwright/test'

const minor = (text: string | null) => Math.round(Number((text ?? '').replace(/[^\d.−-]/g, '').replace('−', '-')) * 100)
const figure = (page: Page, key: string) => page.locator(`[data-figure="${key}"]`)

/** A piece of the demo, by its name, at its price desk. */
async function atDesk(page: Page, name: string) {
  await page.goto(`/pieces?q=${encodeURIComponent(name)}`)
  await page.getByRole('main').getByRole('link', { name }).first().click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await page.goto(`${page.url()}/money`)
}

test('each place to sell says its ask; the chances follow the price that is tried, by the keys alone', async ({ page }) => {
  await atDesk(page, 'Nursery bookcase')
  const places = page.getByRole('navigation', { name: 'Sold through' })
  await places.getByRole('link', { name: /Booth at the old sail shed/ }).click()
  await expect(page).toHaveURL(/channel=/)
  const ask = await figure(page, 'ask').textContent()
  await expect(places.locator('[aria-current] [data-ask]')).toHaveText(ask ?? '')
  // twenty thousand draws beside the page
  const tried = page.getByRole('slider', { name: /Sold for/ })
  await expect(tried).toBeVisible()
  const chances = page.locator('[data-chances]')
  const losing = async () => {
    const said = (await chances.textContent()) ?? ''
    return /None of them loses/.test(said) ? 0 : Number(/^(\d+) of 20/.exec(said)?.[1] ?? 0.5)
  }
  await tried.focus()
  await page.keyboard.press('Home')
  await expect.poll(losing).toBeGreaterThanOrEqual(19)
  await page.keyboard.press('End')
  await expect.poll(losing).toBe(0)
  await expect(chances).toContainText('In the middle one an hour earns')
  // where the ask goes, to the last coin
  const goes = page.locator('[data-goes]')
  const paid = (await goes.allTextContents()).reduce((sum, text) => sum + minor(text), 0)
  expect(paid).toBe(minor(ask))
  // it comes down and never up
  const rungs = (await page.locator('[data-rung]').allTextContents()).map(minor)
  expect(rungs[0]).toBe(minor(ask))
  expect(rungs).toEqual([...rungs].sort((one, other) => other - one))
})

test('the rate card is kept, is refused with what to do, and the price of an article is found on it', async ({ page }, {
  project,
}) => {
  test.skip(project.name !== 'desk', 'one card for the house')
  await page.goto('/house')
  await page.getByRole('link', { name: 'How prices are made' }).click()
  await page.getByLabel('Cost plus: on top, %').fill('40')
  await page.getByRole('button', { name: 'A first line' }).click()
  await page.getByLabel('Article').selectOption({ label: 'Bookcase' })
  await page.getByLabel('Up to, m²').fill('lots')
  await page.getByLabel('Ask, GBP').fill('365')
  await page.getByRole('button', { name: 'Keep how prices are made' }).click()
  await expect(page.getByText('An area, like 2.5; or leave it empty for any size.')).toBeVisible()
  // what was typed is still there
  await expect(page.getByLabel('Ask, GBP')).toHaveValue('365')
  await page.getByLabel('Up to, m²').fill('')
  await page.getByRole('button', { name: 'Keep how prices are made' }).click()
  await expect(page.getByText('Kept.')).toBeVisible()
  await atDesk(page, 'Nursery bookcase')
  await expect(page.locator('[data-way="rate-card"]')).toHaveText('£365.00')
  await expect(page.getByText('costs and hours, and 40 % on top')).toBeVisible()
  // as the house began, for who comes next
  await page.goto('/house/prices')
  await page.getByLabel('Cost plus: on top, %').fill('25')
  await page.getByRole('button', { name: 'Strike it' }).click()
  await page.getByRole('button', { name: 'Keep how prices are made' }).click()
  await expect(page.getByText('Kept.')).toBeVisible()
})
