/** Every view: nothing serious for axe in either theme, nothing wider than the screen, nothing said to the console. */
import { expect, type Page, test } from '@playwright/test'
import { expectAxeClean } from './axe'

/** found once: every view of a piece asks for it */
const found = new Map<string, string>()

async function hrefOf(page: Page, list: string, match: string | RegExp): Promise<string> {
  const key = `${list} ${String(match)}`
  const known = found.get(key)
  if (known) return known
  await page.goto(list)
  const href = await page.locator('main a', { hasText: match }).first().getAttribute('href')
  if (!href) throw new Error(`no link ${String(match)} on ${list}`)
  found.set(key, href)
  return href
}

const views: Record<string, (page: Page) => Promise<string>> = {
  bench: () => Promise.resolve('/'),
  pieces: () => Promise.resolve('/pieces'),
  'a piece': (page) => hrefOf(page, '/pieces?q=Washstand', 'Washstand'),
  'a piece’s money': async (page) => `${await hrefOf(page, '/pieces?q=Blanket', 'Blanket chest')}/money`,
  'the money of a piece with work ahead': async (page) => `${await hrefOf(page, '/pieces?q=Nursery', 'Nursery bookcase')}/money`,
  'a sold piece’s money': async (page) => `${await hrefOf(page, '/pieces?q=sewing', 'Treadle sewing table')}/money`,
  'what a client is offered': async (page) => `${await hrefOf(page, '/pieces?q=Washstand', 'Washstand')}/offer`,
  'a piece’s way': async (page) => `${await hrefOf(page, '/pieces?q=Washstand', 'Washstand')}/way`,
  record: async (page) => `${await hrefOf(page, '/pieces?q=Blanket', 'Blanket chest')}/record`,
  'the work around its paint': async (page) => `${await hrefOf(page, '/pieces?q=Fall', 'Fall-front bureau')}/around`,
  facts: async (page) => `${await hrefOf(page, '/pieces?q=Washstand', 'Washstand')}/facts`,
  'a part to add': async (page) => `${await hrefOf(page, '/pieces?q=Washstand', 'Washstand')}/part`,
  plan: async (page) => hrefOf(page, await hrefOf(page, '/pieces?q=Fall', 'Fall-front bureau'), /finish/),
  'what is on it': async (page) =>
    (await hrefOf(page, await hrefOf(page, '/pieces?q=Fall', 'Fall-front bureau'), /finish/)).replace('/plan/', '/find/'),
  correction: async (page) => hrefOf(page, await hrefOf(page, '/pieces?q=Fall', 'Fall-front bureau'), 'Put right'),
  intake: () => Promise.resolve('/pieces/new'),
  'its story': async (page) => `${await hrefOf(page, '/pieces?q=Washstand', 'Washstand')}/story`,
  air: () => Promise.resolve('/air'),
  learned: () => Promise.resolve('/learned'),
  'what it earned': () => Promise.resolve('/learned/earned'),
  shelf: () => Promise.resolve('/shelf'),
  'to buy': () => Promise.resolve('/shelf/buy'),
  'counting the shelf': () => Promise.resolve('/shelf/count'),
  'a shelf brought in': () => Promise.resolve('/shelf/table'),
  'what labels say': () => Promise.resolve('/shelf/labels'),
  house: () => Promise.resolve('/house'),
  'at the kerb': () => Promise.resolve('/kerb'),
  'photographs handed over': () => Promise.resolve('/shared'),
  'how prices are made': () => Promise.resolve('/house/prices'),
  'who comes in': () => Promise.resolve('/house/doors'),
  'a place that is not there': () => Promise.resolve('/nowhere'),
}

for (const [name, find] of Object.entries(views)) {
  test(`${name}: axe clean, and nothing cut`, async ({ page }, { project }) => {
    const path = await find(page)
    const said: string[] = []
    page.on(
      'console',
      (message) => message.type() === 'error' && !/status of 404/.test(message.text()) && said.push(message.text()),
    )
    page.on('pageerror', (error) => said.push(error.message))
    // the markup is the same at both widths: the desk looks in both themes, the phone in the evening’s
    const themes = project.name === 'phone' ? (['dark'] as const) : (['light', 'dark'] as const)
    await page.emulateMedia({ colorScheme: themes[0] })
    await page.goto(path, { waitUntil: 'load' })
    for (const colorScheme of themes) {
      await page.emulateMedia({ colorScheme })
      await expectAxeClean(page)
    }
    const { wide, room } = await page.evaluate(() => ({
      wide: document.documentElement.scrollWidth,
      room: document.documentElement.clientWidth,
    }))
    expect(wide).toBeLessThanOrEqual(room)
    expect(said).toEqual([])
  })
}

test('what opens over a page is axe clean too, and silent', async ({ page }) => {
  const said: string[] = []
  page.on('console', (message) => message.type() === 'error' && said.push(message.text()))
  await page.goto(await hrefOf(page, '/pieces?q=Washstand', 'Washstand'))
  await page
    .getByRole('button', { name: /^Larger/ })
    .nth(1)
    .click()
  await expect(page.getByRole('dialog').getByRole('img')).toBeVisible()
  await expectAxeClean(page)
  // the strip by keys: the next one, and back where one was
  const shown = () => page.getByRole('dialog').getByRole('img').getAttribute('src')
  const first = await shown()
  await page.keyboard.press('ArrowRight')
  await expect.poll(shown).not.toBe(first)
  await page.keyboard.press('ArrowLeft')
  await expect.poll(shown).toBe(first)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^Larger/ }).nth(1)).toBeFocused()
  await page.getByText('Something went wrong').first().click()
  await page
    .getByRole('button', { name: /^On: Washstand/ })
    .first()
    .click()
  await expect(page.getByText('Tap where it is.')).toBeVisible()
  await expectAxeClean(page)
  await page.goto('/shelf')
  await page.getByRole('button', { name: /^Barley Lamp/ }).click()
  await page.getByRole('button', { name: /^Another tin of/ }).click()
  await expectAxeClean(page)
  expect(said).toEqual([])
})

test('at the bench every target is 48 px high, and the figure can be read from two metres', async ({ page }) => {
  await page.goto('/')
  const targets = page.locator('main button:visible, main a.press:visible, nav[aria-label="Places"] a:visible')
  // what is drawn anew meanwhile is looked at again
  await expect(async () => {
    const small = await targets.evaluateAll((all) =>
      all
        .map((each) => ({ words: each.textContent, height: each.getBoundingClientRect().height }))
        .filter(({ height }) => height < 48),
    )
    expect(small).toEqual([])
  }).toPass({ timeout: 10_000 })
  const size = await page
    .locator('main .figure')
    .first()
    .evaluate((figure) => parseFloat(getComputedStyle(figure).fontSize))
  expect(size).toBeGreaterThanOrEqual(64)
})
