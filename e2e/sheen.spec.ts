/** How much it shines: wished at the desk, in the steps, in what is to be bought, on the coat's sheet, in the offer and in the record. */
import { expect } from '@playwright/test'
import { expectAxeClean } from './axe'
import { test } from './named'
import { begin, lane, steps, takenIn, takeThisWay, workOne } from './work'

test('dead flat is wished for: cleared instead of waxed, its own tin to buy; laid in satin it is told; offer and record say it', async ({
  page,
  mark,
}) => {
  test.setTimeout(300_000)
  const name = `Flat bedside ${mark}`
  await begin(page, name, 'Bedside cabinet', { is: 'solid wood, close-grained', on: 'bare' })
  await page.getByLabel('Client, for a commission').fill('The Ferrow household')
  const piece = await takenIn(page, name)
  await page.getByRole('link', { name: 'Choose a finish' }).first().click()
  await page.getByRole('radio', { name: 'Smooth solid' }).click()
  await page.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  const sheen = page.getByRole('group', { name: 'Sheen' })
  await page.getByLabel('Topcoat', { exact: true }).selectOption({ label: 'wax' })
  // wax shines as wax does
  await expect(sheen.getByRole('button', { name: 'dead flat' })).toBeDisabled()
  await page.getByLabel('Topcoat', { exact: true }).selectOption('')
  await sheen.getByRole('button', { name: 'dead flat' }).click()
  await expect(sheen.getByRole('button', { name: 'dead flat' })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByLabel('Topcoat', { exact: true }).locator('option:checked')).toHaveText(
    'as the house does: water-based clear',
  )
  await expect(
    page.getByLabel('Topcoat', { exact: true }).locator('option', { hasText: /^wax: not made dead flat$/ }),
  ).toBeDisabled()
  await expect(steps(page).filter({ hasText: 'water-based clear · dead flat' }).first()).toBeVisible()
  await expectAxeClean(page)
  await takeThisWay(page, name)
  await expect(page.getByText('Smooth solid, dead flat').first()).toBeVisible()

  // no tin here is made so
  await page.goto('/shelf/buy')
  await expect(page.getByText('Water-based clear, dead flat').first()).toBeVisible()
  await page.goto(`${piece}/offer`)
  await expect(page.getByLabel('Look and sheen').first()).toHaveValue('Smooth solid, dead flat, water-based clear')
  await page
    .getByRole('button', { name: /^Let them choose: sheen, / })
    .first()
    .click()
  await expect(page.locator('[name="options.0.choices.0.words"]')).toHaveValue('dead flat')
  await expect(page.locator('[name="options.0.choices.0.extra"]')).toHaveValue('0.00')

  await page.goto(piece)
  const part =
    (await page.getByRole('heading', { level: 2 }).allTextContents()).find(
      (each) => !['As it stands', 'Around the paint'].includes(each),
    ) ?? ''
  const on = lane(page, part)
  const heading = on.getByRole('heading', { level: 3 }).first()
  const isLast = async () => /^Clear coat (\d) of \1/.test((await heading.textContent()) ?? '')
  for (let worked = 0; worked < 25 && !(await isLast()); worked += 1) await workOne(page, on, '10')
  // the satin tin was at hand
  await on.getByRole('button', { name: 'Done already…' }).click()
  await on.getByLabel('How long it took').fill('20')
  await on.getByRole('button', { name: 'Write it down' }).click()
  const sheet = page.getByRole('dialog')
  // a tap right after another is let fall
  await expect(async () => {
    const more = sheet.getByText('Consistency, sheen, where, air, a note')
    if (!(await more.isVisible())) await sheet.getByText('Something was different').click({ timeout: 1_000 })
    else await more.click({ timeout: 1_000 })
    await expect(sheet.getByLabel('Sheen')).toBeVisible({ timeout: 700 })
  }).toPass()
  await expect(sheet.getByLabel('Sheen')).toHaveValue('flat')
  await sheet.getByLabel('Product', { exact: true }).selectOption({ label: 'Water-based clear, satin' })
  await expect(sheet.getByLabel('Sheen')).toHaveValue('satin')
  await sheet
    .getByRole('button', { name: /^(All well, write it down|Write it down)$/ })
    .first()
    .click()
  await expect(sheet).toBeHidden()
  await expect(
    page.getByText('It was laid in another sheen than was wished: one more thin coat, in the right one.').first(),
  ).toBeVisible()
  await page.goto(`${piece}/record`)
  await expect(page.getByText('Smooth solid, dead flat').first()).toBeVisible()
  await expect(page.getByText(/water-based clear, .*satin/).first()).toBeVisible()
})
