/** The bench and the desk without a mouse. */
import { expect, test } from '@playwright/test'
import { expectAxeClean } from './axe'

test('from the bench to a chosen finish with the keyboard alone', async ({ page }) => {
  await page.goto('/')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused()
  const reach = async (name: string | RegExp, role: 'link' | 'button' | 'radio' | 'searchbox' = 'link') => {
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
  await reach('Look for a piece', 'searchbox')
  await page.keyboard.type('hall')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/q=hall/)
  await page.keyboard.press('Tab')
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
  await page.goto('/pieces?q=Nursery')
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

test('a question mark shows the keys of the page, and each presses the button it names; they can be put off', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: /^Done: |^Start: / }).first()).toBeVisible()
  const list = page.getByRole('dialog', { name: 'Keys' })
  // keys are heard once the page is awake
  await expect(async () => {
    if (!(await list.isVisible())) await page.keyboard.press('?')
    await expect(list.getByText('Start the step at hand; end it when it runs')).toBeVisible({ timeout: 2_000 })
  }).toPass()
  // what the page has no button for is not listed
  await expect(list.getByText('Take this way')).toHaveCount(0)
  await expectAxeClean(page)
  await page.keyboard.press('Escape')
  await expect(list).toBeHidden()
  await page.keyboard.press('3')
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible()
  // a letter that is typed is a letter
  await page.getByRole('searchbox').fill('')
  await page.getByRole('searchbox').press('3')
  await expect(page.getByRole('searchbox')).toHaveValue('3')
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible()
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('?')
  await list.getByLabel('Letters are keys').uncheck()
  await list.getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('4')
  await page.waitForTimeout(300)
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible()
})

test('a form stands there with its values before any script has run', async ({ browser }, { project }) => {
  const page = await (await browser.newContext({ javaScriptEnabled: false, baseURL: project.use.baseURL })).newPage()
  await page.goto('/house')
  await expect(page.getByLabel('The studio’s name')).not.toHaveValue('')
  await expect(page.getByLabel('Currency')).toHaveValue('GBP')
  await expect(page.getByLabel('An hour of work, GBP')).toHaveValue(/^\d+\.\d\d$/)
})
