/**
 * Pictures of the main views from a running demo studio. Usage: tsx scripts/screenshots.ts [ADDRESS] [FOLDER].
 */
import { mkdirSync } from 'node:fs'
import { chromium, type Page } from '@playwright/test'
import { launchWhole } from '../e2e/browser'
import { comeIn, cookieAt } from './comeIn'

const address = process.argv[2] ?? 'http://127.0.0.1:4700'
const folder = process.argv[3] ?? 'docs/screenshots'
mkdirSync(folder, { recursive: true })

const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

/** The address of the piece whose name begins so. */
async function pieceCalled(page: Page, name: string): Promise<string> {
  await page.goto(`${address}/pieces`)
  const href = await page.locator('a', { hasText: name }).first().getAttribute('href')
  if (!href) throw new Error(`the demo has no piece called ${name}`)
  return href
}

const browser = await chromium.launch(launchWhole)
const page = await browser.newPage({ viewport: wide, reducedMotion: 'reduce' })
await page.context().addCookies([cookieAt(address, await comeIn(address))])
const washstand = await pieceCalled(page, 'Washstand')
const chest = await pieceCalled(page, 'Blanket chest')
const bureau = await pieceCalled(page, 'Bureau')
const bookcase = (await pieceCalled(page, 'Nursery bookcase')).replace(/\/client$/, '')
await page.goto(`${address}${await pieceCalled(page, 'Hall settle')}`)
const plan = (await page.locator('a[href*="/plan/"]').first().getAttribute('href')) ?? bureau
/** A look taken as one's own list: a third colour here and there, gilt on the edges. */
async function makeLayers(on: Page): Promise<void> {
  await on.getByRole('radio', { name: 'Two-colour distress' }).click()
  await on.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  await on.getByRole('button', { name: 'Make the layers your own' }).click()
  const rows = on
    .getByRole('list', { name: 'Layers, the top one first' })
    .locator('details', { has: on.locator('summary[id^=layer-]') })
  await on
    .getByRole('button', { name: /^Put a layer over Coat/ })
    .first()
    .click()
  await rows.nth(1).getByLabel('How much of it').selectOption({ label: 'about half, here and there' })
  await rows.nth(1).getByLabel('Its name').fill('Kiln Dusk')
  await rows.nth(1).locator('input[type=color]').fill('#9a4b35')
  await rows.nth(1).locator('> summary').click()
  await on.getByRole('button', { name: /^Put a layer over Wear/ }).click()
  await rows.first().getByLabel('What is done').selectOption({ label: 'Gilding wax by finger on the high points' })
  await rows.first().getByRole('button', { name: 'flats' }).click()
  await rows.first().getByRole('button', { name: 'recesses' }).click()
  await rows.first().locator('> summary').click()
  await on
    .locator('svg[role=group]')
    .first()
    .evaluate((drawing) => {
      drawing.scrollIntoView({ block: 'center' })
    })
}
/** Planned, and as good as it gets: it is looked for twice. */
async function settleWeek(on: Page): Promise<void> {
  const isOver = on.getByText(/No week is (better|more than)/)
  await isOver.waitFor()
  await on.waitForTimeout(4000)
  await isOver.waitFor()
}
/** By a link made at the desk, on a phone. */
async function openAsClient(on: Page): Promise<void> {
  await on.getByRole('button', { name: 'Make a link' }).click()
  await on.goto((await on.locator('[data-client-link]').textContent()) ?? '')
}
/** Out, and before the door. */
async function goOut(on: Page): Promise<void> {
  await on.context().clearCookies()
  await on.goto(`${address}/sign-in`)
}
/** What it may come to, drawn. */
async function showChances(on: Page): Promise<void> {
  await on.locator('[data-chances]').waitFor()
  await on.locator('[data-figure=ask]').evaluate((ask) => {
    ask.scrollIntoView({ block: 'start' })
  })
}
/** A chest at the kerb, looked at. */
async function standAtKerb(on: Page): Promise<void> {
  await on.getByRole('button', { name: 'Chest of drawers', exact: true }).click()
  await on.getByRole('button', { name: 'varnish or polyurethane' }).click()
  await on.getByRole('button', { name: 'finish surely younger than 1980' }).click()
  await on.getByLabel(/^Should bring/).fill('320')
  await on.locator('[data-changes] li').nth(2).waitFor()
  await on.evaluate(() => scrollTo(0, 0))
}
/** Two tins pulled to what is in them. */
async function countTwo(on: Page): Promise<void> {
  await on.getByRole('slider').nth(2).fill('14')
  await on.getByRole('slider').nth(5).fill('30')
}
/** A chest of five drawers, pulled to its size. */
async function beginChest(on: Page): Promise<void> {
  await on.getByRole('button', { name: 'Chest of drawers' }).click()
  await on.getByRole('button', { name: 'One more: Drawers of it' }).click()
  await on.getByRole('group', { name: 'Begin from an article' }).evaluate((articles) => {
    articles.scrollIntoView({ block: 'start' })
  })
}
const views: [name: string, path: string, viewport: typeof wide, scheme: 'light' | 'dark', make?: (on: Page) => Promise<void>][] =
  [
    ['bench', '/', wide, 'light'],
    ['bench-phone', '/', phone, 'light'],
    ['pieces', '/pieces', wide, 'light'],
    ['piece', washstand, wide, 'light'],
    ['piece-phone', washstand, phone, 'light'],
    ['plan', plan, wide, 'light'],
    ['layers', plan, wide, 'light', makeLayers],
    ['around', `${bureau}/around`, wide, 'light'],
    ['find', plan.replace('/plan/', '/find/'), wide, 'light'],
    ['shelf', '/shelf/count', wide, 'light', countTwo],
    ['money', `${bookcase}/money`, wide, 'light', showChances],
    ['record', `${chest}/record`, wide, 'light'],
    ['client', `${bookcase}/client`, phone, 'light', openAsClient],
    ['air', '/air', wide, 'light'],
    ['intake', '/pieces/new', wide, 'light', beginChest],
    ['week', '/week', wide, 'light', settleWeek],
    ['kerb', '/kerb', phone, 'light', standAtKerb],
    ['house', '/house', wide, 'light'],
    // last: whoever stands before the door is not in
    ['door', '/house', wide, 'light', goOut],
  ]
const wanted = process.argv.slice(4)
for (const [name, path, viewport, colorScheme, make] of views) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  await page.setViewportSize(viewport)
  await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
  await page.goto(`${address}${path}`, { waitUntil: 'load' })
  // pictures and the chart have come by then; the line that tells of changes stays open for ever
  await page.waitForTimeout(1_200)
  await make?.(page)
  await page.waitForTimeout(make ? 600 : 0)
  await page.screenshot({ path: `${folder}/${name}.png` })
  console.log(`${folder}/${name}.png`)
}
await browser.close()
