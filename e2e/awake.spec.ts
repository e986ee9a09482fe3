/** The screen stays on while a clock runs, and no longer: hands full of paint wake none. */
import { expect, type Page, test } from '@playwright/test'
import { ownServer } from './ownServer'

const own = ownServer('awake')
test.beforeAll(async () => {
  test.setTimeout(120_000)
  await own.begin()
})
test.afterAll(() => own.end())
test.use({ storageState: { cookies: [], origins: [] } })

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

test('on while a clock of the bench runs; given back where none is looked at', async ({ page, context }) => {
  await own.letIn(context, 'Wenna')
  const held = await countLocks(page)
  await page.goto(own.address())
  // the demo has work under way
  await expect(page.getByRole('timer', { name: 'Running for' }).first()).toBeVisible()
  await expect.poll(held).toBe(1)
  await page
    .getByRole('button', { name: /^Pause: / })
    .first()
    .click()
  await expect.poll(held).toBe(0)
  await page
    .getByRole('button', { name: /^Go on: / })
    .first()
    .click()
  await expect.poll(held).toBe(1)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect.poll(held).toBe(0)
})
