/** The bench and the desk without a mouse. */
import { expect, test } from '@playwright/test'

test('from the bench to a chosen finish with the keyboard alone', async ({ page }) => {
  await page.goto('/')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused()
  const reach = async (name: string | RegExp, role: 'link' | 'button' | 'radio' = 'link') => {
    const target = page.getByRole(role, { name }).first()
    for (let k = 0; k < 120; k += 1) {
      if (await target.evaluate((each) => each === document.activeElement)) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`${String(name)} can’t be reached with Tab`)
  }
  await reach('Pieces')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible()
  await reach(/Hall settle/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: /Hall settle/ })).toBeVisible()
  await reach('Choose a finish')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: /how shall it look/ })).toBeVisible()
  await reach(/Smooth solid/, 'radio')
  await page.keyboard.press('ArrowRight', { delay: 100 })
  await expect(page.getByRole('radio', { name: /Light distress/ })).toBeChecked()
  await page.keyboard.press('ArrowLeft', { delay: 100 })
  await expect(page.getByRole('radio', { name: /Smooth solid/ })).toBeChecked()
  await reach('Take this way', 'button')
})

test('a step is started and ended with the keyboard, and its coat sheet gives the focus back', async ({ page }) => {
  await page.goto('/pieces')
  await page
    .getByRole('link', { name: /Nursery bookcase/ })
    .first()
    .click()
  const way = page.getByRole('region', { name: 'Case' })
  await way.getByRole('button', { name: /^Start: Smooth lightly/ }).focus()
  await page.keyboard.press('Enter')
  await way.getByRole('button', { name: /^Done: Smooth lightly/ }).focus()
  await page.keyboard.press('Enter')
  const sheet = page.getByRole('dialog')
  await expect(sheet).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
  await expect(way.getByRole('heading', { level: 3, name: /^Clear coat 2 of 3/ })).toBeVisible()
})
