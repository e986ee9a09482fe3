/** The shelf counted and brought in as a table: what is left follows, why is told, a damaged table takes nothing. */
import { expect, type Page } from '@playwright/test'
import { textOfPdf } from '../src/papers/testing/textOfPdf'
import { expectAxeClean } from './axe'
import { test } from './named'

const row = (page: Page, name: string) => page.getByRole('listitem').filter({ hasText: name })

test('a table with damage is said line by line and nothing is taken; put right, its tins stand there, and one is counted', async ({
  page,
  mark,
}) => {
  const name = `Loft rest ${mark}`
  await page.goto('/shelf')
  await page.getByRole('link', { name: 'Many at once, from a table (CSV)' }).click()
  const lines = page.getByLabel('Its lines')
  const read = page.getByRole('button', { name: 'Read it' })
  await lines.fill('name;price\nJar;20')
  await read.click()
  await expect(page.getByText('family, size are not there', { exact: false })).toBeVisible()
  const head = 'name;family;colour;value;size;price;left;stamped'
  await lines.fill(`${head}\n${name};clay paint;${name};#51636b;500 ml;20;320 ml;L1\n${name};magic paint;;;500;20;;`)
  await read.click()
  await expect(page.getByText('No family is called so here.', { exact: false })).toBeVisible()
  const put = page.getByRole('button', { name: 'Put one tin on the shelf' })
  await expect(put).toBeDisabled()
  await expectAxeClean(page)
  // a file, as a spreadsheet of another country writes it
  await page.getByLabel('Choose a file').setInputFiles({
    name: 'shelf.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `\ufeff${head.replaceAll(';', ',')}\r\n${name},clay paint,${name},#51636b,500 ml,20,320 ml,L1\r\n${name},clay,${name},#51636b,500,20,,L2\r\n`,
    ),
  })
  await page.getByRole('button', { name: 'Put 2 tins on the shelf' }).click()
  await expect(page.getByText('2 tins put on the shelf.')).toBeVisible()
  await page.getByRole('link', { name: 'See them there' }).click()
  // 320 of 500 and a full one
  const bay = page.getByRole('button', { name: new RegExp(`^${name}`) })
  await expect(bay).toContainText('820 ml left')
  await bay.click()
  await expect(row(page, name)).toContainText('Tin L1, not opened: 320 ml left of 500 ml')
  await expect(row(page, name)).toContainText('Tin L2, not opened: 500 ml left of 500 ml')

  await page.getByRole('link', { name: 'Count it' }).click()
  await page.getByLabel(`In it: ${name}, tin L1`).fill('900')
  await expect(page.getByText('It holds 500 ml when it is full.')).toBeVisible()
  await page.getByLabel(`In it: ${name}, tin L1`).fill('120')
  await page.getByLabel('Why it is another than thought').selectOption({ label: 'spilled' })
  // what is pulled waits on the device
  await page.reload()
  await expect(page.getByLabel(`In it: ${name}, tin L1`)).toHaveValue('120')
  await page.getByRole('slider', { name: `How full: ${name}, tin L2` }).press('ArrowLeft')
  // 39/40 of 500
  await expect(page.getByLabel(`In it: ${name}, tin L2`)).toHaveValue('488')
  await page.getByRole('button', { name: `Leave it as thought: ${name}, tin L2` }).click()
  // 200 of 500 at £20
  await expect(page.getByText(/£8\.00\s+gone/)).toBeVisible()
  await expectAxeClean(page)
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('One tin written down.')).toBeVisible()
  const told = page.getByRole('region', { name: 'Counted lately' }).getByRole('listitem').filter({ hasText: name }).first()
  await expect(told).toContainText('120 ml found, spilled')
  await expect(told).toContainText('−200 ml')
  await page.goto('/shelf')
  await expect(bay).toContainText('620 ml left')
  // its card has its colour, how far it goes and when it dries
  const cards = await page.request.get((await page.getByRole('link', { name: 'Cards (PDF)' }).getAttribute('href')) ?? '')
  const said = await textOfPdf(await cards.body())
  for (const part of [name, 'clay paint', '10–13 m² a litre', 'Water lifts it until it is sealed.']) expect(said).toContain(part)
  // a piece has its tag, and one that is none is told
  await page.goto('/pieces')
  const piece = await page.getByRole('main').getByRole('listitem').getByRole('link').first().getAttribute('href')
  await page.goto(piece ?? '')
  const title = (await page.getByRole('heading', { level: 1 }).textContent()) ?? ''
  const tag = await page.request.get((await page.getByRole('link', { name: 'Tag (PDF)' }).getAttribute('href')) ?? '')
  expect(await textOfPdf(await tag.body())).toContain(title.split(' ')[0])
  expect((await page.request.get('/api/tags?piece=none')).status()).toBe(400)
})
