/**
 * Pictures of the main views from a running demo studio. Usage: tsx scripts/screenshots.ts [ADDRESS] [FOLDER].
 */
import { mkdirSync } from 'node:fs'
import { chromium, type Page } from '@playwright/test'
import { launch } from '../e2e/browser'

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

const browser = await chromium.launch(launch)
const page = await browser.newPage({ viewport: wide, reducedMotion: 'reduce' })
const washstand = await pieceCalled(page, 'Washstand')
const chest = await pieceCalled(page, 'Blanket chest')
const bureau = await pieceCalled(page, 'Bureau')
await page.goto(`${address}${await pieceCalled(page, 'Hall settle')}`)
const plan = (await page.locator('a[href*="/plan/"]').first().getAttribute('href')) ?? bureau
const views: [name: string, path: string, viewport: typeof wide, scheme: 'light' | 'dark'][] = [
  ['bench', '/', wide, 'light'],
  ['bench-evening', '/', wide, 'dark'],
  ['bench-phone', '/', phone, 'light'],
  ['pieces', '/pieces', wide, 'light'],
  ['piece', washstand, wide, 'light'],
  ['piece-phone', washstand, phone, 'light'],
  ['plan', plan, wide, 'light'],
  ['find', plan.replace('/plan/', '/find/'), wide, 'light'],
  ['way', `${bureau}/way`, wide, 'light'],
  ['money', `${chest}/money`, wide, 'light'],
  ['record', `${chest}/record`, wide, 'light'],
  ['story', `${washstand}/story?show=coats`, wide, 'light'],
  ['air', '/air', wide, 'light'],
  ['learned', '/learned', wide, 'light'],
  ['intake', '/pieces/new', wide, 'light'],
  ['shelf', '/shelf', wide, 'light'],
  ['house', '/house', wide, 'light'],
]
const wanted = process.argv.slice(4)
for (const [name, path, viewport, colorScheme] of views) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  await page.setViewportSize(viewport)
  await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
  await page.goto(`${address}${path}`, { waitUntil: 'load' })
  // pictures and the chart have come by then; the line that tells of changes stays open for ever
  await page.waitForTimeout(1_200)
  await page.screenshot({ path: `${folder}/${name}.png` })
  console.log(`${folder}/${name}.png`)
}
await browser.close()
