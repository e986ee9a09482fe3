/** What pieces earned, by whatever it is asked; and the books, which balance to the last coin. */
import { expect, test } from '@playwright/test'
import Papa from 'papaparse'

test('an hour by article and by month; the table is what the chart shows', async ({ page }) => {
  await page.goto('/learned')
  await page.getByRole('link', { name: 'What it earned', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'What it earned' })).toBeVisible()
  for (const by of ['by article', 'by month', 'by painter']) {
    await page.getByRole('link', { name: by, exact: true }).click()
    await expect(page.getByRole('link', { name: by, exact: true })).toHaveAttribute('aria-current', 'true')
    await expect(page.locator('canvas')).toBeVisible()
    const pieces = await page.locator('tbody tr td:nth-of-type(1)').allTextContents()
    const said = (await page.getByText(/of (one piece|\d+ pieces)/).textContent()) ?? ''
    const all = /one piece/.test(said) ? 1 : Number(/of (\d+) pieces/.exec(said)?.[1])
    expect(pieces.reduce((sum, text) => sum + Number(text), 0)).toBe(all)
  }
})

test('the books of a year by month: every month balances, and goes on from the one before', async ({ page }) => {
  await page.goto('/learned/earned')
  const href = await page
    .getByRole('link', { name: /^The books of \d{4}, by month$/ })
    .first()
    .getAttribute('href')
  const answer = await page.request.get(href ?? '')
  expect(answer.headers()['content-disposition']).toMatch(/books-\d{4}-month\.csv/)
  const { data } = Papa.parse<Record<string, string>>((await answer.text()).replace('\uFEFF', ''), { header: true })
  const minor = (text: string | undefined) => Math.round(Number(text) * 100)
  const last = new Map<string, number>()
  const months = new Map<string, number>()
  expect(data.length).toBeGreaterThan(3)
  for (const row of data) {
    const [account = '', month = ''] = [row.Account, row.Month]
    const closing = minor(row['Closing, GBP'])
    if (last.has(account)) expect(minor(row['Opening, GBP'])).toBe(last.get(account))
    expect(closing).toBe(minor(row['Opening, GBP']) + minor(row['Debit, GBP']) - minor(row['Credit, GBP']))
    last.set(account, closing)
    months.set(month, (months.get(month) ?? 0) + closing)
  }
  expect([...months.values()].every((sum) => sum === 0)).toBe(true)
  // a year that is none is told so
  expect((await page.request.get('/api/studio/books?year=soon')).status()).toBe(400)
})
