/** The screen stays on while a clock runs, and no longer: hands full of paint wake none. */
import { expect, type Page, test } from '@playwright/test'
import { expectAxeClean } from './axe'
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

/** A phone whose browser knows lamps, and which has one once it is said: what is lit is noted on the page. */
async function withLamp(page: Page) {
  await page.addInitScript(() => {
    const lamp = { has: false, lit: new Set<object>() }
    Object.assign(window, { lamp })
    Object.defineProperty(navigator, 'mediaDevices', {
      value: {
        getSupportedConstraints: () => ({ torch: true }),
        getUserMedia: () => {
          const track = {
            getCapabilities: () => ({ torch: lamp.has }),
            applyConstraints: ({ advanced }: { advanced: { torch: boolean }[] }) =>
              Promise.resolve(advanced[0]?.torch ? lamp.lit.add(track) : undefined),
            stop: () => lamp.lit.delete(track),
          }
          return Promise.resolve({ getVideoTracks: () => [track], getTracks: () => [track] })
        },
      },
    })
  })
  const of = <T>(work: (lamp: { has: boolean; lit: Set<object> }) => T) => page.evaluate<T>(`(${work.toString()})(window.lamp)`)
  return { lit: () => of(({ lit }) => lit.size), give: () => of((lamp) => (lamp.has = true)) }
}

test('where a check asks for a lamp held low, the phone’s own lights it, and goes out with the sheet', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  await own.letIn(context, 'Wenna')
  const page = await context.newPage()
  const { lit, give } = await withLamp(page)
  await page.goto(own.address())
  // the demo's running coat ends by looking along it
  await page
    .getByRole('button', { name: /^Done: / })
    .first()
    .click()
  const lamp = page.getByRole('button', { name: 'The phone’s lamp' })
  await lamp.click()
  await expect(page.getByText('It has none that a page may light. Hold another lamp low.')).toBeVisible()
  expect(await lit()).toBe(0)
  await give()
  await lamp.click()
  await expect(lamp).toHaveAttribute('aria-pressed', 'true')
  expect(await lit()).toBe(1)
  await expectAxeClean(page)
  await lamp.click()
  await expect(lamp).toHaveAttribute('aria-pressed', 'false')
  expect(await lit()).toBe(0)
  await lamp.click()
  await expect.poll(lit).toBe(1)
  await page.keyboard.press('Escape')
  await expect(lamp).toBeHidden()
  expect(await lit()).toBe(0)
  await context.close()
})
