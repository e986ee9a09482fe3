/** One flip, from the kerb without a connection to what it taught: bid, bought, worked to the end, sold, and the hour that it earned. */
import { expect, test } from '@playwright/test'
import Papa from 'papaparse'
import { letGo, takeThisWay, workPiece } from './work'

// it keeps what is needed without a connection
test.use({ serviceWorkers: 'allow' })

test('a chair from an auction: bid for and bought offline, worked, sold; its hour and its bid are learned', async ({
  page,
  context,
}, { project }) => {
  test.setTimeout(300_000)
  const name = `Nursing chair, ${project.name} ${Date.now() % 100_000}`
  await page.goto('/kerb')
  await page.evaluate(async () => {
    await navigator.serviceWorker.register('/sw.js')
    await navigator.serviceWorker.ready
    localStorage.removeItem('itinerum.kerb')
  })
  await page.reload()
  await context.setOffline(true)
  await page.reload()
  for (const chip of ['Chair', 'varnish or polyurethane', 'finish surely younger than 1980', 'Smooth solid'])
    await page.getByRole('button', { name: chip, exact: true }).click()
  await page.getByLabel('Should bring, GBP').fill('190')
  await page.getByText('Its name, its size, its wood').click()
  await page.getByLabel('Called').fill(name)
  await page.getByLabel('It went for, GBP').fill('22')
  await page.getByRole('button', { name: 'It is mine' }).click()
  await expect(page.getByText('Kept on this device until there is a connection.')).toBeVisible()
  await context.setOffline(false)
  const link = page.getByRole('link', { name: 'To the piece' })
  await expect(link).toBeVisible({ timeout: 20_000 })
  await link.click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const piece = page.url()
  // what it shall become was said at the kerb, and is planned; what was not is chosen here
  const choose = page.getByRole('link', { name: 'Choose a finish' })
  while ((await choose.count()) > 0) {
    await choose.first().click()
    await takeThisWay(page, name)
  }
  const steps = await workPiece(page, '6')
  expect(steps).toBeGreaterThan(4)
  await page.goto(`${piece}/money`)
  await expect(page.getByText(/(more|less) than planned so far|As planned so far/)).toBeVisible()
  await letGo(page, piece, { price: '180' })
  const csv = (await (await page.request.get('/api/studio/earned')).text()).replace('\uFEFF', '')
  const row = Papa.parse<Record<string, string>>(csv, { header: true }).data.find((each) => each.Piece === name)
  const minor = (column: string) => Math.round(Number(row?.[`${column}, GBP`]) * 100)
  expect(row?.article).toBe('Chair')
  expect(minor('Price')).toBe(18_000)
  // what is left is the price less fees, rent, tax and all that it cost
  expect(minor('Left')).toBe(18_000 - minor('Fees') - minor('Rent of the place') - minor('Tax') - minor('What it cost'))
  expect(minor('What it cost')).toBeGreaterThan(2_200)
  // six minutes a step, set-up that alike work shares taken off
  expect(Number(row?.Hours)).toBeGreaterThan(0)
  expect(Number(row?.Hours)).toBeLessThanOrEqual((steps * 6) / 60 + 0.01)
  await page.goto('/learned/earned')
  await page.getByRole('link', { name: 'by article', exact: true }).click()
  await expect(page.getByRole('row', { name: /^Chair/ })).toBeVisible()
  await page.goto('/learned')
  const lesson = page.getByRole('region', { name: 'What was bid for' }).getByRole('listitem').filter({ hasText: name })
  await expect(lesson).toContainText('bought')
})
