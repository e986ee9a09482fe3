import { chromium } from '@playwright/test'
import { launch } from '../e2e/browser'
import { comeIn, cookieAt } from './comeIn'
const A = process.argv[2] ?? ''
const browser = await chromium.launch(launch)
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
await context.addCookies([cookieAt(A, await comeIn(A, 'Wenna'))])
const page = await context.newPage()
await page.goto(`${A}/pieces`)
await page.screenshot({ path: '/tmp/shots/pieces.png' })
const href = await page.locator('a', { hasText: 'Nursery bookcase' }).last().getAttribute('href')
await page.goto(`${A}${(href ?? '').replace(/\/client$/, '')}/client`)
await page.getByRole('button', { name: 'Make a link' }).click()
const link = (await page.locator('[data-client-link]').textContent()) ?? ''
await page.screenshot({ path: '/tmp/shots/desk.png', fullPage: true })
await page.setViewportSize({ width: 390, height: 844 })
await page.screenshot({ path: '/tmp/shots/desk-phone.png', fullPage: true })
const guest = await browser.newContext({ viewport: { width: 390, height: 844 }, reducedMotion: 'reduce' })
const g = await guest.newPage()
await g.goto(link)
await g.waitForTimeout(500)
await g.screenshot({ path: '/tmp/shots/client-phone.png', fullPage: true })
await g.setViewportSize({ width: 1280, height: 800 })
await g.screenshot({ path: '/tmp/shots/client.png', fullPage: true })
await g.emulateMedia({ media: 'print' })
await g.pdf({ path: '/tmp/shots/client.pdf' }).catch(() => undefined)
console.log(link)
await browser.close()
