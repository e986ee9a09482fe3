/**
 * Frames while a layer of the desk's drawing is dragged, with twenty layers on it, or as many as are said: how long each took, and how long the page's own thread
 * worked for it; beside a blank page on which one square follows the pointer, in the same browser, in turns. What a machine that is shared
 * lets fall, it lets fall on both.
 * Usage: npm run bench:frames [ROUNDS [LAYERS]], while the demo runs, or with ITINERUM_URL.
 */
import { readFileSync } from 'node:fs'
import { type CDPSession, chromium, type Page } from '@playwright/test'
import { launchWhole } from '../e2e/browser'
import { comeIn, cookieAt } from './comeIn'

const rounds = Number(process.argv[2] ?? 5)
const layers = Number(process.argv[3] ?? 20)
const moves = 240
const address = process.env.ITINERUM_URL ?? readFileSync('.data/demo/address', 'utf8').trim()

const browser = await chromium.launch(launchWhole)
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
await context.addCookies([cookieAt(address, await comeIn(address))])

async function openDesk(): Promise<Page> {
  const page = await context.newPage()
  await page.goto(`${address}/pieces`)
  const piece = await page
    .getByRole('link', { name: /Washstand with a splashback/ })
    .first()
    .getAttribute('href')
  await page.goto(`${address}${piece}`)
  const part = /\/(?:part|plan)\/([\w-]{36})/.exec(await page.content())?.[1]
  await page.goto(`${address}${piece}/plan/${part}`)
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  const list = page.getByRole('list', { name: 'Layers, the top one first' })
  const rows = list.locator('summary[id^=layer-]')
  await rows.first().focus()
  // D lays a layer once more
  const drawn = page.locator('svg[role=group] [data-layer]')
  await drawn.first().waitFor()
  for (let tries = 0; tries < 60 && (await drawn.count()) < layers; tries += 1) {
    await drawn.last().focus()
    await page.keyboard.press('d')
    await page.waitForTimeout(150)
  }
  if ((await drawn.count()) < layers) throw new Error(`only ${await drawn.count()} layers could be laid`)
  await page.waitForTimeout(2_000)
  return page
}
async function openBlank(): Promise<Page> {
  const page = await context.newPage()
  await page.goto(`${address}/trust`)
  await page.setContent(
    `<body style="margin:0;height:800px"><div id="follows" style="position:absolute;width:80px;height:80px;background:#206a5d"></div></body>`,
  )
  await page.evaluate(`addEventListener('pointermove', ({ clientX, clientY }) => {
    document.getElementById('follows').style.transform = 'translate(' + clientX + 'px,' + clientY + 'px)'
  })`)
  return page
}

interface Frames {
  spans: number[]
  worked: number[]
  /** shapes of layers that were drawn anew */
  redrawn: number
}
/** ms on the page's own thread, from its start until now */
async function busy(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics')
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0) * 1000
}
async function drag(page: Page, from: { x: number; y: number; reach: number }): Promise<Frames> {
  await page.bringToFront()
  const session = await context.newCDPSession(page)
  await session.send('Performance.enable')
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x, from.y + 8)
  await page.waitForTimeout(400)
  // as text: what this file is compiled by must not reach into the page
  await page.evaluate(`{
    window.frames_ = []
    let last = performance.now()
    const next = (at) => {
      window.frames_.push(at - last)
      last = at
      if (!window.over_) requestAnimationFrame(next)
    }
    window.over_ = false
    window.redrawn_ = 0
    new MutationObserver((changes) => { if (!window.over_) window.redrawn_ += changes.length }).observe(document.body, { subtree: true, attributes: true, attributeFilter: ['d'] })
    requestAnimationFrame(next)
  }`)
  const before = await busy(session)
  for (let k = 0; k < moves; k += 1) {
    await page.mouse.move(from.x, from.y + from.reach * Math.abs(Math.sin(k / 25)))
    await page.waitForTimeout(12)
  }
  const after = await busy(session)
  const spans = await page.evaluate<number[]>(`(window.over_ = true, window.frames_.slice(2))`)
  const redrawn = await page.evaluate<number>(`window.redrawn_`)
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await session.detach()
  return { spans, worked: [(after - before) / spans.length], redrawn }
}

const desk = await openDesk()
const blank = await openBlank()
await desk.bringToFront()
await desk.evaluate(() => scrollTo(0, 0))
/** Where the middle layer can be taken hold of. */
const hold = await desk.evaluate<{ x: number; y: number } | null>(`(() => {
  const all = [...document.querySelectorAll('svg[role=group] [data-layer]')]
  const layer = all[all.length >> 1]
  const { left, right, top, bottom } = layer.getBoundingClientRect()
  for (let x = left + (right - left) * 0.3; x < right; x += 4)
    for (let y = top; y < bottom; y += 1) if (document.elementFromPoint(x, y) === layer) return { x, y: y + 1 }
  return null
})()`)
if (!hold) throw new Error('the layer is not on the screen')
const all = new Map<string, Frames>([
  ['desk', { spans: [], worked: [], redrawn: 0 }],
  ['blank', { spans: [], worked: [], redrawn: 0 }],
])
for (let round = 0; round < rounds; round += 1)
  for (const [name, page, from] of [
    ['blank', blank, { x: 200, y: 200, reach: 120 }],
    ['desk', desk, { ...hold, reach: 120 }],
  ] as const) {
    const { spans, worked, redrawn } = await drag(page, from)
    const sum = all.get(name)
    if (!sum) continue
    sum.spans.push(...spans)
    sum.worked.push(...worked)
    sum.redrawn += redrawn
  }
await browser.close()

const share = (values: readonly number[], part: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * part))] ?? NaN
console.log(`a layer dragged among ${layers}, ${rounds} times ${moves} moves of the pointer`)
console.log('page      frames   median ms   95 % ms   over 25 ms   own thread ms a frame   shapes drawn anew')
for (const [name, { spans, worked, redrawn }] of all)
  console.log(
    `${name.padEnd(8)} ${String(spans.length).padStart(7)} ${share(spans, 0.5).toFixed(1).padStart(11)} ${share(spans, 0.95).toFixed(1).padStart(9)} ${`${((100 * spans.filter((ms) => ms > 25).length) / spans.length).toFixed(1)} %`.padStart(12)} ${share(worked, 0.5).toFixed(2).padStart(24)} ${String(redrawn).padStart(19)}`,
  )
