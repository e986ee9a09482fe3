/** Wet hands don't wait: a tap before the scripts have come counts, once. */
import { expect, type Page, test } from '@playwright/test'

async function slowScripts(page: Page, ms: number): Promise<void> {
  await page.route('**/_next/static/**/*.js', async (route) => {
    await new Promise((wait) => setTimeout(wait, ms))
    await route.continue()
  })
}
async function aPiece(page: Page): Promise<string> {
  await page.goto('/pieces')
  return (await page.getByRole('main').getByRole('listitem').getByRole('link').first().getAttribute('href')) ?? ''
}

test('a tap before the scripts have come happens as soon as they have', async ({ page }) => {
  const piece = await aPiece(page)
  await slowScripts(page, 2_500)
  await page.goto(piece, { waitUntil: 'commit' })
  await page.getByRole('button', { name: 'Write a note' }).click()
  await expect(page.getByRole('textbox', { name: 'Note' })).toBeVisible()
})

test('taps all through the moment in which it comes alive count once each, or not at all', async ({ page }) => {
  test.setTimeout(240_000)
  const piece = await aPiece(page)
  await slowScripts(page, 150)
  for (let turn = 0; turn < 12; turn += 1) {
    await page.goto(piece, { waitUntil: 'commit' })
    const press = page.getByRole('button', { name: 'Write a note' })
    await press.waitFor()
    // a single tap at another moment of the coming alive each time
    await page.waitForTimeout(turn * 60)
    await press.evaluate((button: HTMLElement) => button.click())
    // twice would have closed it again
    await expect(press).toHaveAttribute('aria-expanded', 'true', { timeout: 5_000 })
    await page.waitForTimeout(300)
    await expect(press).toHaveAttribute('aria-expanded', 'true')
  }
})

test('with no tap nothing is tapped', async ({ page }) => {
  const piece = await aPiece(page)
  await page.goto(piece)
  await expect(page.getByRole('button', { name: 'Write a note' })).toHaveAttribute('aria-expanded', 'false')
})
