/** The painter's own layers: begun from a look, put together by hand, taken, found again, kept for the house; a list that can't be had says why. */
import { expect, type Page } from '@playwright/test'
import { expectAxeClean } from './axe'
import { test } from './named'
import { takeIn } from './takeIn'

const bare = { madeOf: 'solid wood, close-grained', onIt: 'bare' }
const layers = (page: Page) => page.getByRole('list', { name: 'Layers, the top one first' })
const rows = (page: Page) => layers(page).locator('summary[id^=layer-]')
/** The one that stands open. */
const open = (page: Page) => layers(page).locator('details[open]', { has: page.locator('summary[id^=layer-]') })
const steps = (page: Page) => page.getByRole('list', { name: 'Steps' }).getByRole('listitem')

test('two colours become three: a ragged coat of a mixed shade, gilt on the edges, each step where it belongs; found again as it was left', async ({
  page,
  mark,
}) => {
  await takeIn(page, `Slant box, ${mark}`, bare)
  await page.getByRole('radio', { name: 'Two-colour distress' }).click()
  await page.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await expect(rows(page)).toHaveCount(3)

  // over the top colour a third, here and there, in a shade of two
  await layers(page)
    .getByRole('button', { name: /^Put a layer over Coat/ })
    .first()
    .click()
  await expect(rows(page)).toHaveCount(4)
  // it stands open, and the keys are on it
  await expect(rows(page).nth(1)).toBeFocused()
  const sheet = open(page)
  await sheet.getByLabel('How much of it').selectOption({ label: 'about a third, here and there' })
  await sheet.getByLabel('Its name').fill('Third Colour')
  await sheet.locator('input[type=color]').fill('#7a3b2e')
  await expect(sheet.getByText('about a third, here and there').first()).toBeVisible()
  // the ragged coat takes a third of what a whole one takes, and the list says what it needs below
  await expect(steps(page).filter({ hasText: 'Third Colour' })).toHaveCount(1)
  await expect(steps(page).filter({ hasText: 'Thin clear between the colours' })).not.toHaveCount(0)

  // gilt over all, on the edges alone
  await page.getByRole('button', { name: /^Put a layer over Wear it back/ }).click()
  await expect(rows(page)).toHaveCount(5)
  const top = open(page)
  await top.getByLabel('What is done').selectOption({ label: 'Gilding wax by finger on the high points' })
  await top.getByRole('button', { name: 'flats' }).click()
  await top.getByRole('button', { name: 'recesses' }).click()
  await expect(steps(page).last()).toContainText('Buff')
  await expect(rows(page).first()).toContainText('edges')

  // every change is undone, and done again
  const undo = page.getByRole('button', { name: 'Undo' })
  for (let k = 0; (await undo.isEnabled()) && k < 20; k += 1) await undo.click()
  // as far as the desk as it was opened
  await expect(page.getByRole('radio', { name: 'Smooth solid' })).toBeChecked()
  const again = page.getByRole('button', { name: 'Do it again' })
  for (let k = 0; (await again.isEnabled()) && k < 20; k += 1) await again.click()
  await expect(rows(page)).toHaveCount(5)
  await expectAxeClean(page)

  await page.getByRole('heading', { name: 'House recipes' }).click()
  await page.getByLabel('Keep this finish as').fill(`Three in clay, ${mark}`)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: `Three in clay, ${mark}` })).toBeVisible()
  await page.getByRole('button', { name: 'Take this way' }).click()
  await expect(page.getByRole('heading', { level: 1, name: `Slant box, ${mark}` })).toBeVisible()
  await expect(page.getByText('Third Colour').first()).toBeVisible()

  await page.locator('a[href*="/plan/"]').first().click()
  await expect(rows(page)).toHaveCount(5)
  await expect(rows(page).nth(2)).toContainText('about a third, here and there')

  // on another piece, from the house
  await takeIn(page, `Slant box two, ${mark}`, bare)
  await page.getByRole('heading', { name: 'House recipes' }).click()
  await page.getByRole('button', { name: `Three in clay, ${mark}` }).click()
  await expect(rows(page)).toHaveCount(5)
})

test('a layer that can’t be had says why where it lies, and the nearest list is one tap away', async ({ page, mark }) => {
  await takeIn(page, `Slant box three, ${mark}`, bare)
  await page.getByRole('radio', { name: 'Crackle' }).click()
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  // a whole coat over the crackle closes it
  await layers(page)
    .getByRole('button', { name: /^Put a layer over Colour over the crackle/ })
    .click()
  await expect(layers(page).getByText('Another coat over the crackle closes it.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take this way' })).toBeDisabled()
  await page.getByRole('button', { name: /^Nearest: the layers that hold/ }).click()
  await expect(page.getByRole('button', { name: 'Take this way' })).toBeEnabled()
  // by keys: the undo, and the crackle is covered again
  await page.getByRole('button', { name: 'Undo' }).focus()
  await page.keyboard.press('Enter')
  await expect(layers(page).getByText('Another coat over the crackle closes it.')).toBeVisible()
  // here and there it lets the crackle be seen
  await open(page).getByLabel('How much of it').selectOption({ label: 'about half, here and there' })
  await expect(page.getByRole('button', { name: 'Take this way' })).toBeEnabled()
})

test('a wrong entry is said in its layer, a double tap puts in one, a list laid aside is taken up again, and the keys alone do it all', async ({
  page,
  mark,
}) => {
  await takeIn(page, `Slant box four, ${mark}`, bare)
  await page.getByRole('radio', { name: 'Light distress' }).click()
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await expect(rows(page)).toHaveCount(2)
  await page.getByRole('button', { name: 'Put a layer below all' }).dblclick()
  await expect(rows(page)).toHaveCount(3)

  const sheet = open(page)
  await sheet.getByLabel('Its name').fill('')
  await expect(sheet.locator('summary').first()).toContainText('Say the colour’s name.')
  await expect(page.getByText('There is no way yet. Say the colour’s name.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take this way' })).toBeDisabled()
  await sheet.getByLabel('Its name').pressSequentially('Tarn Glass')
  await expect(page.getByRole('button', { name: 'Take this way' })).toBeEnabled()
  // letters are one change: undone with what was there before
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(rows(page)).toHaveCount(3)
  await expect(sheet.getByLabel('Its name')).not.toHaveValue(/^Tarn/)

  await page.getByRole('button', { name: 'Back to a look' }).click()
  await expect(page.getByRole('radio', { name: 'Light distress' })).toBeVisible()
  await page.getByRole('button', { name: 'Back to your own layers' }).click()
  await expect(rows(page)).toHaveCount(3)

  // by keys: open it, move it up, take it out, undo
  const lowest = rows(page).last()
  await lowest.focus()
  await page.keyboard.press('Enter')
  await layers(page).getByRole('button', { name: /^Up: / }).focus()
  await page.keyboard.press('Enter')
  await expect(rows(page).nth(1)).toBeFocused()
  await layers(page).getByRole('button', { name: 'Take it out' }).focus()
  await page.keyboard.press('Enter')
  await expect(rows(page)).toHaveCount(2)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(rows(page)).toHaveCount(3)
  // nothing is wider than the screen
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0)
  await expectAxeClean(page)
})
