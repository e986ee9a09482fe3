/** A part put right, taken out and put back, and four chairs of which one leaves: all of it in the log. */
import { expect, type Page } from '@playwright/test'
import { test } from './named'

async function takeIn(page: Page, name: string, parts: { called: string; alike: string }[]) {
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Price paid, GBP').fill('80')
  for (const [k, { called, alike }] of parts.entries()) {
    if (k > 0) await page.getByRole('button', { name: /Another part|Add a part/ }).click()
    await page.getByLabel('Called').nth(k).fill(called)
    await page.getByLabel('How many alike').nth(k).fill(alike)
    await page.getByLabel('Width').nth(k).fill('50')
    await page.getByLabel('Height').nth(k).fill('40')
  }
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
}

test('a part’s use, count and measurements are put right; taken out its log stays; put back it stands as it was', async ({
  page,
  mark,
}) => {
  const name = `Plate rack, ${mark}`
  await takeIn(page, name, [
    { called: 'Frame', alike: '1' },
    { called: 'Board', alike: '2' },
  ])
  const piece = page.url()
  const shelf = page.getByRole('region', { name: 'Board' })
  // 2 × 50 × 40 cm
  await expect(shelf.getByText('0.40 m²')).toBeVisible()
  await shelf.getByRole('link', { name: 'Put right' }).click()
  await page.getByLabel('How many alike').fill('3')
  await page.getByLabel('Width').fill('60')
  await page.getByLabel('Where it will live').selectOption({ index: 1 })
  await page.getByRole('button', { name: 'Keep the changes' }).click()
  // 3 × 60 × 40 cm
  await expect(shelf.getByText('0.72 m²')).toBeVisible()
  await page.goto(`${piece}/story`)
  await expect(page.getByText(/how many alike: 2 → 3/)).toBeVisible()

  await page.goto(piece)
  await shelf.getByRole('link', { name: 'Put right' }).click()
  // it is stored, and its answer is lost on the way, and no other way tells of it: pressed again it is the same thing, and no other
  await expect(page.getByLabel('Why')).toBeVisible()
  await page.route('**/api/live**', (route) => route.abort())
  await page.reload()
  await page.getByLabel('Why').fill('Too far gone')
  let lost = false
  await page.route('**', async (route) => {
    if (lost || route.request().method() !== 'POST' || !route.request().headers()['next-action']) return route.fallback()
    lost = true
    await route.fetch()
    await route.abort()
  })
  await page.getByRole('button', { name: 'Take Board out' }).click()
  await expect(page.getByText(/can’t be reached/)).toBeVisible()
  await expect(page.getByLabel('Why')).toHaveValue('Too far gone')
  await page.getByRole('button', { name: 'Take Board out' }).click()
  await expect(shelf).toHaveCount(0)
  await page.getByRole('link', { name: 'Board', exact: true }).click()
  await page.getByRole('button', { name: 'Put Board back' }).click()
  await expect(shelf.getByText('0.72 m²')).toBeVisible()
  await page.goto(`${piece}/story`)
  await expect(page.getByText(/Too far gone/)).toBeVisible()
})

test('of four chairs one leaves with its quarter of what they cost, and three stay', async ({ page, mark }) => {
  const name = `Four chairs, ${mark}`
  await takeIn(page, name, [{ called: 'Chair', alike: '4' }])
  const set = page.url()
  await expect(page.getByText('£80.00').first()).toBeVisible()
  await page.getByRole('link', { name: 'Split the set' }).click()
  await page.getByLabel('What leaves is called').fill(`One chair, ${mark}`)
  const leaving = page.getByLabel('Of chair leave')
  await expect(leaving).toHaveValue('1')
  for (const [typed, said] of [
    ['0', 'Say how many leave.'],
    ['4', 'Something must stay'],
    ['5', 'There are not so many.'],
  ] as const) {
    await leaving.fill(typed)
    await page.getByRole('button', { name: 'Split it off' }).click()
    await expect(page.getByText(said)).toBeVisible()
    await expect(leaving).toHaveValue(typed)
  }
  await leaving.fill('1')
  await page.getByRole('button', { name: 'Split it off' }).click()
  await expect(page.getByRole('heading', { level: 1, name: `One chair, ${mark}` })).toBeVisible()
  await expect(page.getByText('£20.00').first()).toBeVisible()
  await page.goto(set)
  await expect(page.getByText(/£60(\.00)?\b/).first()).toBeVisible()
  await expect(page.getByRole('region', { name: 'Chair' }).getByText('0.60 m²')).toBeVisible()
})
