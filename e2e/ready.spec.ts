/** When a piece could be ready: asked at the desk before the way is taken, and where it is promised. */
import { expect } from '@playwright/test'
import { expectAxeClean } from './axe'
import { test } from './named'
import { takeIn } from './takeIn'
import { takeThisWay, young } from './work'

test('the desk says by when it is ready in 80 of 100 weeks; the day is taken as the promise', async ({ page, mark }) => {
  const name = `Tea trolley, ${mark}`
  await takeIn(page, name, { madeOf: 'solid wood, close-grained', onIt: 'bare', lead: young })
  const ready = page.getByRole('region', { name: 'When could it be ready?' })
  await ready.getByRole('button', { name: 'When could it be ready?' }).click()
  await expect(ready.getByText(/^Ready .+ in 80 of 100 weeks; as it is planned .+\./)).toBeVisible({ timeout: 20_000 })
  await expect(ready.getByText(/pushes nothing else aside|is done .+ (later|sooner)/).first()).toBeVisible()
  await expectAxeClean(page)
  await takeThisWay(page, name)
  const piece = page.url()
  await page.goto(`${piece}/facts`)
  await page.getByRole('button', { name: 'When could it be ready?' }).click()
  const promise = page.getByRole('button', { name: /^Promise it for / })
  await expect(promise).toBeVisible({ timeout: 20_000 })
  await promise.click()
  const day = await page.getByLabel('Promised for').inputValue()
  expect(day).toMatch(/^\d{4}-\d\d-\d\d$/)
  await page.getByRole('button', { name: 'Keep the changes' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await page.goto(`${piece}/facts`)
  await expect(page.getByLabel('Promised for')).toHaveValue(day)
})

test('a piece that is being taken in says by when it could be ready, before it is the studio’s', async ({ page }, {
  project,
}) => {
  test.skip(project.name !== 'desk', 'once')
  await page.goto('/pieces/new')
  const ready = page.getByRole('region', { name: 'When could it be ready?' })
  await ready.getByRole('button').click()
  await expect(page.getByText(/Measure its parts first/)).toBeVisible()
  await page.getByRole('button', { name: 'Chest of drawers' }).click()
  await ready.getByRole('button', { name: /When could it be ready|Reckon it again/ }).click()
  await expect(ready.getByText(/^Ready .+ in 80 of 100 weeks/)).toBeVisible({ timeout: 20_000 })
  await ready.getByRole('button', { name: /^Promise it for / }).click()
  await expect(page.getByLabel('Promised for')).toHaveValue(/^\d{4}-\d\d-\d\d$/)
})

test('where the week can’t be read it says so, and asks again', async ({ page }, { project }) => {
  test.skip(project.name !== 'desk', 'once')
  await takeIn(page, 'Umbrella stand', { madeOf: 'solid wood, close-grained', onIt: 'bare', lead: young })
  await page.route('**/api/week', (route) => route.abort())
  const ready = page.getByRole('region', { name: 'When could it be ready?' })
  await ready.getByRole('button').click()
  await expect(ready.getByText('can’t be read just now')).toBeVisible()
  await page.unroute('**/api/week')
  await ready.getByRole('button').click()
  await expect(ready.getByText(/in 80 of 100 weeks/)).toBeVisible({ timeout: 20_000 })
})
