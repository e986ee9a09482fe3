/** A page stands still while its code comes: nothing that the server drew goes away or moves under a finger. */
import { expect, test } from '@playwright/test'

const slowMs = 1_500
/** a word that a late font sets a little wider is no jump */
const least = 0.02

test.use({ serviceWorkers: 'block' })

interface Shift {
  value: number
  sources: { node: Node | null }[]
}

for (const path of ['/', '/pieces', '/shelf'])
  test(`${path} stands still on a slow line`, async ({ page }) => {
    await page.addInitScript(() => {
      const shifts: string[] = []
      Object.assign(window, { shifts })
      const seen = (list: PerformanceObserverEntryList) => {
        for (const entry of list.getEntries() as unknown as Shift[])
          shifts.push(`${entry.value} ${entry.sources.map(({ node }) => node?.textContent?.slice(0, 40)).join(' | ')}`)
      }
      new PerformanceObserver(seen).observe({ type: 'layout-shift', buffered: true })
    })
    await page.route(/_next\/static\/.*\.js/, async (route) => {
      await new Promise((wait) => setTimeout(wait, slowMs))
      await route.continue()
    })
    await page.goto(path)
    await expect(page.getByRole('heading').first()).toBeVisible()
    // its own code, and what that asks for
    await page.waitForTimeout(3 * slowMs)
    const shifts = await page.evaluate(() => (window as unknown as { shifts: string[] }).shifts)
    expect(shifts.filter((shift) => parseFloat(shift) > least)).toEqual([])
  })
