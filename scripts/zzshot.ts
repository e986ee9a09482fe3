import { chromium } from '@playwright/test'
import { launchWhole } from '../e2e/browser'
import { comeIn, cookieAt } from './comeIn'
const address = process.argv[2] ?? ''
const browser = await chromium.launch(launchWhole)
const page = await browser.newPage({ viewport: { width: 390, height: 844 }, reducedMotion: 'reduce' })
await page.context().addCookies([cookieAt(address, await comeIn(address))])
await page.goto(`${address}/pieces`)
const href = await page.locator('a', { hasText: 'Washstand' }).first().getAttribute('href')
await page.goto(`${address}${href}`)
await page.waitForTimeout(800)
await page.screenshot({ path: '/tmp/shots/piece-phone-full.png', fullPage: true })
await browser.close()
