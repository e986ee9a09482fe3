/** What axe finds serious on a page as it stands. */
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** One pass over a page that has no frames; it waits for nothing that a busy machine brings late. */
export async function expectAxeClean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze()
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([])
}
