/** The section as the editor: layers tapped, pulled and moved by keys on the drawing; what the rules put in refused at its joint; steps of one's own; a draft that stays. */
import { expect, type Page } from '@playwright/test'
import { expectAxeClean } from './axe'
import { test } from './named'
import { takeIn } from './takeIn'

const varnished = { madeOf: 'solid wood, close-grained', onIt: 'varnish or polyurethane' }
const drawn = (page: Page) => page.locator('svg [data-layer]')
const names = (page: Page) => drawn(page).evaluateAll((all) => all.map((each) => each.getAttribute('aria-label') ?? ''))
const steps = (page: Page) => page.getByRole('list', { name: 'Steps' }).getByRole('listitem')
const layers = (page: Page) => page.getByRole('list', { name: 'Layers, the top one first' })

/** Where a layer can be got hold of: at the left end of the drawing, between its two surfaces. */
async function gripOf(page: Page, name: RegExp) {
  const layer = page.locator('svg').getByRole('button', { name })
  await layer.first().scrollIntoViewIfNeeded()
  return layer.first().evaluate((element) => {
    const path = element as SVGPathElement
    const box = path.getBBox()
    const within = Array.from({ length: Math.ceil(box.height * 2) }, (_, k) => box.y + k / 2).filter((at) =>
      path.isPointInFill(new DOMPoint(6, at)),
    )
    const middle = within[Math.floor(within.length / 2)] ?? NaN
    const { x, y } = new DOMPoint(6, middle).matrixTransform(path.getScreenCTM() ?? undefined)
    return { x, y }
  })
}
async function twoColours(page: Page, name: string) {
  await takeIn(page, name, varnished)
  await page.getByRole('radio', { name: 'Two-colour distress' }).click()
  await page.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  await expect(drawn(page)).toHaveCount(3)
}

test('a layer is pulled to another place, what it asks for is said, and it is undone; it is tapped and stands open', async ({
  page,
  mark,
}, { project }) => {
  test.skip(project.name === 'phone', 'by mouse; a finger’s is below')
  await twoColours(page, `Linen press, ${mark}`)
  const before = await names(page)
  expect(before[0]).toMatch(/^Coat, Ferry Slate/)
  const [lower, upper] = [await gripOf(page, /^Coat, Ferry Slate/), await gripOf(page, /^Coat, Oat Husk/)]
  await page.mouse.move(lower.x, lower.y)
  await page.mouse.down()
  await page.mouse.move(lower.x, lower.y - 12, { steps: 3 })
  await page.mouse.move(upper.x, upper.y - 24, { steps: 10 })
  // held there, it says what it would ask for
  await expect(page.getByText(/^(Here it asks for|No longer|Not here)/)).toBeVisible()
  await page.mouse.up()
  await expect.poll(async () => (await names(page))[0]).toMatch(/^Coat, Oat Husk/)
  // pulled in a look, the layers are the painter’s own
  await expect(page.getByRole('heading', { name: 'Your own layers' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => names(page)).toEqual(before)
  await expect(page.getByRole('heading', { name: 'Its layers' })).toBeVisible()

  // held and let go with Escape it is where it was
  const again = await gripOf(page, /^Coat, Ferry Slate/)
  await page.mouse.move(again.x, again.y)
  await page.mouse.down()
  await page.mouse.move(again.x, again.y - 60, { steps: 6 })
  await page.keyboard.press('Escape')
  await page.mouse.up()
  expect(await names(page)).toEqual(before)

  const top = await gripOf(page, /^Coat, Oat Husk/)
  await page.mouse.click(top.x, top.y)
  await expect(layers(page).locator('details[open] > summary[id^=layer-]')).toContainText('Coat, Oat Husk')
  await page.getByRole('button', { name: 'Put a layer over it', exact: true }).click()
  await expect(drawn(page)).toHaveCount(4)
  await expectAxeClean(page)
})

test('a finger that rests on a layer takes hold of it, one that moves at once scrolls the page', async ({ page, mark }, {
  project,
}) => {
  test.skip(project.name !== 'phone', 'by finger')
  await twoColours(page, `Linen press, ${mark}`)
  const before = await names(page)
  const [lower, upper] = [await gripOf(page, /^Coat, Ferry Slate/), await gripOf(page, /^Coat, Oat Husk/)]
  const touch = await page.context().newCDPSession(page)
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: points })
  // a sweep: nothing is moved
  await send('touchStart', [lower])
  for (let k = 1; k < 6; k += 1) await send('touchMove', [{ x: lower.x, y: lower.y - k * 12 }])
  await send('touchEnd', [])
  expect(await names(page)).toEqual(before)

  expect(upper.y).toBeLessThan(lower.y)
  // the page may still be rolling from the sweep: then the finger rests on what has come under it, and tries again
  await expect(async () => {
    if (/^Coat, Oat Husk/.test((await names(page))[0] ?? '')) return
    const [from, to] = [await gripOf(page, /^Coat, Ferry Slate/), await gripOf(page, /^Coat, Oat Husk/)]
    await send('touchStart', [from])
    await page.waitForTimeout(500)
    for (let k = 1; k <= 8; k += 1) await send('touchMove', [{ x: from.x, y: from.y + ((to.y - 22 - from.y) * k) / 8 }])
    await send('touchEnd', [])
    await expect.poll(async () => (await names(page))[0], { timeout: 2_000 }).toMatch(/^Coat, Oat Husk/)
  }).toPass({ timeout: 40_000 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0)
})

test('the drawing by keys alone: from layer to layer, moved, laid once more, opened, taken out, undone', async ({
  page,
  mark,
}) => {
  await twoColours(page, `Linen box, ${mark}`)
  const before = await names(page)
  const wear = page.locator('svg').getByRole('button', { name: /^Wear it back/ })
  await wear.focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.locator('svg').getByRole('button', { name: /^Coat, Oat Husk/ })).toBeFocused()
  await page.keyboard.press('Shift+ArrowDown')
  await expect.poll(async () => (await names(page))[0]).toMatch(/^Coat, Oat Husk/)
  await expect(page.locator('svg').getByRole('button', { name: /^Coat, Oat Husk/ })).toBeFocused()
  await page.keyboard.press('d')
  await expect(drawn(page)).toHaveCount(4)
  await page.keyboard.press('Delete')
  await expect(drawn(page)).toHaveCount(3)
  await page.keyboard.press('Enter')
  await expect(layers(page).locator('details[open] > summary[id^=layer-]')).toHaveCount(1)
  const undo = page.getByRole('button', { name: 'Undo' })
  // as far as the paint that was chosen
  for (let k = 0; k < 3; k += 1) await undo.click()
  await expect.poll(() => names(page)).toEqual(before)
})

test('what the rules put in is refused at its joint, with what that means, and put back', async ({ page, mark }) => {
  await twoColours(page, `Linen chest, ${mark}`)
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await layers(page).getByText('before it: thin clear between the colours').click()
  await layers(page).getByRole('button', { name: 'Leave out: Thin clear between the colours' }).click()
  await expect(layers(page).getByText('This colour will mix with the one below into mud: it re-wets.')).toBeVisible()
  // another layer in its place, and what was left out stays left out
  await layers(page)
    .getByRole('button', { name: /^Put a layer over Wear it back/ })
    .click()
  await expect(layers(page).getByRole('button', { name: 'Put back: Thin clear between the colours' })).toBeVisible()
  await layers(page).getByRole('button', { name: 'Put back: Thin clear between the colours' }).click()
  await expect(layers(page).getByText('This colour will mix')).toHaveCount(0)
})

test('a layer is split into two', async ({ page, mark }) => {
  await twoColours(page, `Linen box two, ${mark}`)
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await layers(page)
    .getByText(/Coat, Oat Husk/)
    .click()
  await layers(page).getByRole('button', { name: 'Split it' }).click()
  await expect(drawn(page)).toHaveCount(4)
  await expect(layers(page).locator('summary', { hasText: 'edges and recesses' })).toHaveCount(1)
  await expect(layers(page).locator('summary', { hasText: 'flats' })).toHaveCount(1)
})

test('steps of one’s own, minutes and a wait of one’s own, a step once more: taken, shown as the painter’s, and found again', async ({
  page,
  mark,
}) => {
  const name = `Hat stand, ${mark}`
  await takeIn(page, name, varnished)
  const own = page.getByText('A step of your own')
  await own.click()
  await page.getByRole('button', { name: 'Put it in' }).click()
  await expect(page.getByText('Say what is to be done.')).toBeVisible()
  await page.getByLabel('What is to be done').fill('Glue the foot that wobbles')
  await page.getByLabel('It comes').selectOption({ label: 'after clean off grease and polish' })
  await page.getByLabel('Minutes', { exact: true }).last().fill('1 h 10')
  await page.getByRole('button', { name: 'Put it in' }).click()
  const glue = steps(page).filter({ hasText: 'Glue the foot that wobbles' })
  await expect(glue).toContainText('70 min')
  await expect(glue).toContainText('yours')
  await expect(steps(page).nth(1)).toContainText('Glue the foot')

  await glue.locator('summary').click()
  await glue.getByLabel('Then wait, minutes').fill('a night')
  await expect(glue.getByText('Minutes like 45, 2 h or 3 d.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take this way' })).toBeDisabled()
  await glue.getByLabel('Then wait, minutes').fill('12 h')
  await expect(glue).toContainText('then wait 12 h')

  const coat = steps(page).filter({ hasText: /Coat 1 of/ })
  await coat.locator('summary').click()
  await coat.getByLabel('Minutes', { exact: true }).fill('44')
  await expect(coat).toContainText('changed by you')
  await coat.getByLabel('Then wait, minutes').fill('5')
  await expect(coat.getByText(/^Sooner than it is ready/)).toBeVisible()
  await coat.getByLabel('Then wait, minutes').fill('')
  await steps(page).filter({ hasText: 'Dust off' }).first().locator('summary').click()
  const count = await steps(page).count()
  await steps(page).filter({ hasText: 'Dust off' }).first().getByRole('button', { name: 'Once more' }).click()
  await expect(steps(page)).toHaveCount(count + 1)
  await expectAxeClean(page)
  await page.getByRole('button', { name: 'Take this way' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await expect(page.getByText('Glue the foot that wobbles').first()).toBeAttached()

  // the desk opens on the plan in force
  await page.locator('a[href*="/plan/"]').first().click()
  await expect(steps(page)).toHaveCount(count + 1)
  await expect(steps(page).nth(1)).toContainText('Glue the foot')
  await expect(steps(page).filter({ hasText: /Coat 1 of/ })).toContainText('44 min')
  await page.getByRole('button', { name: 'As it was planned' }).click()
  await expect(steps(page).filter({ hasText: 'Glue the foot' })).toHaveCount(0)
})

test('a desk that is left before its plan is taken is found as it was, and put away', async ({ page, mark }) => {
  await takeIn(page, `Shoe rack, ${mark}`, varnished)
  await page.getByRole('radio', { name: 'Light distress' }).click()
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await page.getByRole('button', { name: 'Put a layer below all' }).click()
  const left = await names(page)
  await page.reload()
  await expect(page.getByText('As you left it here, not yet taken.')).toBeVisible()
  await expect.poll(() => names(page)).toEqual(left)
  await page.getByRole('button', { name: 'Put the draft away' }).click()
  await expect(page.getByRole('radio', { name: 'Smooth solid' })).toBeChecked()
  await page.reload()
  await expect(page.getByRole('radio', { name: 'Smooth solid' })).toBeChecked()
  await expect(page.getByText('As you left it here')).toHaveCount(0)
})
