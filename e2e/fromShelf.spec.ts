/** What can I make with what is here: a look in a mix of what stands on the shelf, laid on the desk with its formula, and taken. */
import { expect } from '@playwright/test'
import { expectAxeClean } from './axe'
import { test } from './named'
import { takeIn } from './takeIn'
import { takeThisWay } from './work'

test('a mix for a colour that no tin has, taken with its formula', async ({ page, mark }) => {
  const name = `Post box, ${mark}`
  await takeIn(page, name, { madeOf: 'solid wood, close-grained', onIt: 'bare' })
  await page.getByRole('heading', { name: 'With what is here' }).click()
  const make = page.locator('details').filter({ has: page.getByRole('heading', { name: 'With what is here' }) })
  const takes = make.getByRole('button', { name: /^Take it: / })
  await expect(takes.first()).toBeVisible({ timeout: 20_000 })
  // a colour that stands in no tin
  await make.getByLabel('The colour it should come near: value').fill('#8a8468')
  const mixed = make.getByRole('listitem').filter({ hasText: / : \d/ })
  await expect(mixed.first()).toBeVisible({ timeout: 20_000 })
  await expect(mixed.first()).toContainText(/left|used up/)
  await expectAxeClean(page)
  const formula = (await mixed.first().innerText()).split('\n').find((line) => / : \d/.test(line)) ?? ''
  const [, tin = ''] = /^\d+ (.+?) : \d/.exec(formula) ?? []
  expect(tin).not.toBe('')
  await mixed
    .first()
    .getByRole('button', { name: /^Take it: / })
    .click()
  await takeThisWay(page, name)
  // each of its tins is wanted of the shelf by name
  await page.goto(`${page.url()}/way`)
  await expect(page.getByRole('region', { name: 'It takes' }).getByText(tin, { exact: true })).toBeVisible()
})
