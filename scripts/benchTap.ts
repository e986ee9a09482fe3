/**
 * From the tap on Start to the running clock on the screen, beside the tap on an empty page, in one run: medians in ms.
 * Usage: npm run bench:tap [ADDRESS], with the demo running.
 */
import { chromium, type Page } from '@playwright/test'
import { launchWhole } from '../e2e/browser'
import { comeIn, cookieAt } from './comeIn'

const address = process.argv[2] ?? 'http://127.0.0.1:4700'
/** ms that a tap may take to show */
const allowed = 100
const rounds = 20

/** Clicks what `selector` finds, and gives ms from the tap to the frame in which `shown` is seen. */
async function tap(page: Page, selector: string, shown: string): Promise<number> {
  // as text: what this file is compiled by must not reach into the page
  await page.evaluate(`(() => {
    addEventListener('pointerdown', () => { window.tapped = performance.now() }, { once: true, capture: true })
    window.seen = new Promise((resolve) => {
      const watching = new MutationObserver(() => {
        if (![...document.querySelectorAll('p span, button')].some((each) => each.textContent.trim() === ${JSON.stringify(shown)})) return
        watching.disconnect()
        requestAnimationFrame(() => resolve(performance.now() - window.tapped))
      })
      watching.observe(document.body, { childList: true, subtree: true, characterData: true })
    })
  })()`)
  await page.locator(selector).first().click()
  return page.evaluate<number>('window.seen')
}
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN

async function main(): Promise<void> {
  const browser = await chromium.launch(launchWhole)
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await page.context().addCookies([cookieAt(address, await comeIn(address))])
  page.setDefaultTimeout(8_000)
  await page.goto(`${address}/blank`)
  // until the page has come alive: what is put in before that is swept out again
  await page.waitForTimeout(1_500)
  await page.evaluate(`{
    const button = document.createElement('button')
    button.textContent = 'empty'
    button.onclick = () => { button.textContent = button.textContent === 'empty' ? 'tapped' : 'empty' }
    document.querySelector('main').append(button)
  }`)
  const empty: number[] = []
  for (let k = 0; k < rounds; k += 1) empty.push(await tap(page, 'main button', k % 2 === 0 ? 'tapped' : 'empty'))

  await page.goto(address)
  await page.waitForTimeout(1_500)
  const running: number[] = []
  for (let k = 0; k < rounds; k += 1) {
    const go = page
      .locator('main section')
      .first()
      .getByRole('button', { name: /^(Start|Go on)/ })
    if ((await go.count()) === 0)
      await page
        .locator('main section')
        .first()
        .getByRole('button', { name: /^Pause/ })
        .click()
    await go.first().waitFor()
    running.push(await tap(page, 'main section button[aria-label^="Start"], main section button[aria-label^="Go on"]', 'running'))
    await page.waitForTimeout(150)
  }
  await browser.close()
  console.log(`empty page's tap       ${median(empty).toFixed(0)} ms`)
  console.log(
    `start to running clock ${median(running).toFixed(0)} ms   ${(median(running) / median(empty)).toFixed(1)} × the empty tap`,
  )
  if (median(running) > allowed) {
    console.error(`above ${allowed} ms`)
    process.exitCode = 1
  }
}
void main()
