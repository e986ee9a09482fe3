/** Four hall seats bought as a lot: worked as one, two sold, one kept, one gone into a commission; to the penny all of what was paid. */
import { expect, type Page, test } from '@playwright/test'
import Papa from 'papaparse'
import { letGo, takeThisWay, workPiece } from './work'

/** Splits off so many under a name; the address of what they are then. */
async function split(page: Page, set: string, name: string, many: string): Promise<string> {
  await page.goto(set)
  await page.getByRole('link', { name: 'Split the set' }).click()
  await page.getByLabel('What leaves is called').fill(name)
  await page.getByLabel('Of seat leave').fill(many)
  await page.getByRole('button', { name: 'Split it off' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  return page.url()
}

test('four seats, one lot: two are sold, one is kept, one is handed to its client; nothing of what was paid is lost', async ({
  page,
}, { project }) => {
  test.setTimeout(300_000)
  const tag = `${project.name} ${Date.now() % 100_000}`
  const name = `Hall seats ${tag}`
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  // four do not share a pound and a penny alike
  await page.getByLabel('Price paid, GBP').fill('81.01')
  await page.getByLabel('Called').fill('Seat')
  await page.getByLabel('How many alike').fill('4')
  await page.getByLabel('Lead', { exact: true }).selectOption({ label: 'finish surely younger than 1980' })
  await page.getByLabel('Width').fill('50')
  await page.getByLabel('Height').fill('40')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const set = page.url()
  await page.getByRole('link', { name: 'Choose a finish' }).first().click()
  await takeThisWay(page, name)
  expect(await workPiece(page, '6')).toBeGreaterThan(3)

  const two = await split(page, set, `Two of ${name}`, '2')
  const kept = await split(page, set, `Ours of ${name}`, '1')
  await letGo(page, two, { price: '190' })
  await letGo(page, kept, { how: 'kept' })
  // the last one becomes somebody's
  await page.goto(`${set}/facts`)
  await page.getByLabel('Client').fill(`The ${tag} household`)
  await page.getByRole('button', { name: /Keep/ }).click()
  await page.goto(`${set}/offer`)
  await page.locator('[name="lines.0.money"]').fill('120')
  await page.getByRole('button', { name: 'Offer it' }).click()
  await page.getByText('They said it here, or it is withdrawn').click()
  await page.getByLabel(/^How you know/).fill('Said at the door')
  await page.getByRole('button', { name: 'They accepted' }).click()
  await expect(page.locator('[data-figure="agreed"]')).toHaveText('£120.00')
  await letGo(page, set, { how: 'handed over', price: '120' })
  await page.getByRole('button', { name: 'Make the invoice' }).click()
  await expect(page.getByRole('region', { name: 'Invoice' }).getByText(/^Invoice \d+$/)).toBeVisible()

  const csv = (await (await page.request.get('/api/studio/earned')).text()).replace('\uFEFF', '')
  const rows = Papa.parse<Record<string, string>>(csv, { header: true }).data.filter((each) => each.Piece?.includes(name))
  expect(rows.map((row) => [row.Piece, row['Price, GBP']]).toSorted()).toEqual([
    [name, '120.00'],
    [`Ours of ${name}`, '0.00'],
    [`Two of ${name}`, '190.00'],
  ])
  // the lot is paid once, and every seat of it stands in somebody's account: what was bought, laid and used up leaves as it came
  const year = new Date().getFullYear()
  const books = (await (await page.request.get(`/api/studio/books?by=posting&year=${year}`)).text()).replace('\uFEFF', '')
  const own = Papa.parse<Record<string, string>>(books, { header: true }).data.filter((each) => each.Piece?.includes(name))
  const minor = (wanted: (each: Record<string, string>) => boolean) =>
    own.filter(wanted).reduce((sum, each) => sum + Math.round(Number(each['Amount, GBP']) * 100), 0)
  const inWork = 'Stock: pieces in work'
  expect(minor(({ Debit, Credit }) => Debit === inWork && Credit === 'Money')).toBe(8_101)
  expect(minor(({ Debit }) => Debit === inWork)).toBe(minor(({ Credit }) => Credit === inWork))
  const left = own.filter(({ Credit }) => Credit === inWork).map(({ Debit }) => Debit)
  expect(left.toSorted()).toEqual(['Kept and given', 'What sold pieces cost', 'What sold pieces cost'])
})
