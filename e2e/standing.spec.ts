import { expect } from '@playwright/test'
import { test } from './named'
import { begin, lane, takenIn, takeThisWay, workOne } from './work'

test('the piece itself is the place for what is wrong: a tap on a drawer says where, by keys too, and it stands there', async ({
  page,
  mark,
}) => {
  const name = `Collector’s chest, ${mark}`
  await begin(page, name, 'Chest of drawers', { is: 'solid wood, close-grained', on: 'varnish or polyurethane' })
  await takenIn(page, name)
  const drawing = page.getByRole('group', { name: `${name}, from the front` })
  await expect(drawing).toBeVisible()
  // nothing was done, so nothing can be mended
  await expect(drawing.getByRole('button')).toHaveCount(0)
  const fronts = lane(page, 'Drawer fronts')
  await fronts.getByRole('link', { name: 'Choose a finish' }).click()
  await expect(page.getByRole('heading', { name: 'The way there' })).toBeVisible()
  await takeThisWay(page, name)
  await workOne(page, fronts, '10')
  const drawn = drawing.getByRole('button', { name: 'Something is wrong: Drawer fronts' })
  await expect(drawing.getByRole('button')).toHaveCount(1)

  await drawn.scrollIntoViewIfNeeded()
  const box = (await drawn.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  await page.mouse.click(box.x + box.width * 0.8, box.y + box.height * 0.1)
  const sheet = page.getByRole('dialog', { name: 'Drawer fronts: what is wrong?' })
  await expect(sheet.getByRole('radio', { name: 'top right', exact: true })).toBeChecked()
  await sheet.getByLabel('Note').fill('A dent from the van')
  await sheet.getByRole('button', { name: 'Write it down' }).click()
  await expect(sheet).toBeHidden()
  const dot = drawing.locator('[data-snag=open]')
  await expect(dot).toHaveCount(1)
  const [at, of] = [await dot.boundingBox(), await drawn.boundingBox()]
  expect((at?.x ?? 0) + (at?.width ?? 0) / 2).toBeGreaterThan((of?.x ?? 0) + (of?.width ?? 0) * (2 / 3))
  expect((at?.y ?? 0) + (at?.height ?? 0) / 2).toBeLessThan((of?.y ?? 0) + (of?.height ?? 0) / 3)
  await expect(fronts.getByText('A dent from the van')).toBeVisible()

  // the second half of a double tap presses nothing on the sheet, and does not close it
  await drawn.scrollIntoViewIfNeeded()
  const now = (await drawn.boundingBox()) ?? box
  await page.mouse.dblclick(now.x + now.width * 0.5, now.y + now.height * 0.4)
  await expect(sheet.getByRole('radio', { name: 'middle', exact: true })).toBeChecked()
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()

  await drawn.focus()
  await page.keyboard.press('Enter')
  await expect(sheet.getByRole('radio', { checked: true })).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
  await expect(drawn).toBeFocused()
})

test('stripper is counted down section by section, and says what follows it up', async ({ page, mark }) => {
  const name = `Map cabinet, ${mark}`
  await page.clock.install()
  await begin(page, name, 'Chest of drawers', { is: 'solid wood, close-grained', on: 'varnish or polyurethane' })
  await takenIn(page, name)
  const carcass = lane(page, 'Carcass')
  await carcass.getByRole('link', { name: 'Choose a finish' }).click()
  await page.getByRole('radio', { name: 'Whitewash' }).click()
  await takeThisWay(page, name)
  // what comes before the stripper
  for (let step = 0; step < 6; step += 1) {
    if ((await carcass.getByRole('heading', { level: 3 }).first().textContent()) === 'Brush stripper on thickly') break
    await workOne(page, carcass, '5')
  }
  await carcass.getByRole('button', { name: /^Start: Brush stripper/ }).click()
  await carcass.getByRole('button', { name: 'By sections' }).click()
  const timer = page.getByRole('timer').last()
  await expect(timer).toHaveText(/^(30:00|29:5\d)$/)
  await page.clock.fastForward('28:30')
  await expect(page.getByText(/^Now on this section: scrape/)).toBeVisible()
  await page.clock.fastForward('02:00')
  await expect(page.getByText('It has dried out: brush stripper on again.')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
})
