/** The screen stays on while a clock runs, and no longer: hands full of paint wake none. */
import { expect, type Page, test } from '@playwright/test'

/** Counts what the page holds of the device's screen. */
async function countLocks(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const held = new Set<object>()
    Object.assign(window, { held })
    Object.defineProperty(navigator, 'wakeLock', {
      value: {
        request: () => {
          const lock = { release: () => Promise.resolve(held.delete(lock)) }
          held.add(lock)
          return Promise.resolve(lock)
        },
      },
    })
  })
  return () => page.evaluate(() => (window as unknown as { held: Set<object> }).held.size)
}

test('on while a clock of the bench runs; given back where none is looked at', async ({ page }) => {
  const held = await countLocks(page)
  await page.goto('/')
  // the demo has work under way
  await expect(page.getByText('Its clock is running.')).toBeVisible()
  await expect.poll(held).toBe(1)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect.poll(held).toBe(0)
})
