/** What axe finds serious on a page as it stands. */
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** A page that is being renewed may be seen half-way: what stays wrong is wrong. */
const looks = 3

/** One pass over a page that has no frames. */
export async function expectAxeClean(page: Page): Promise<void> {
  let found: string[] = []
  for (let look = 0; look < looks; look += 1) {
    const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze()
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
    found = serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)
    if (found.length === 0) return
    await page.waitForTimeout(500)
  }
  expect(found).toEqual([])
}
