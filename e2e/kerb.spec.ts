/** At the kerb by the thumb and without a connection: a bid in a few taps, bought, taken in when there is a line again; what was not bought teaches. */
import { expect, type Page, test } from '@playwright/test'
import { expectAxeClean } from './axe'

// it keeps what is needed without a connection
test.use({ serviceWorkers: 'allow' })

const bid = (page: Page) => page.locator('[data-figure="bid"]')
const minor = (text: string | null) => Math.round(Number((text ?? '').replace(/[^\d.]/g, '')) * 100)

/** The page, once the service worker keeps it. */
async function openKerb(page: Page) {
  await page.goto('/kerb')
  await expect(page.getByRole('heading', { level: 1, name: 'At the kerb' })).toBeVisible()
  await page.evaluate(async () => {
    await navigator.serviceWorker.register('/sw.js')
    await navigator.serviceWorker.ready
    localStorage.removeItem('itinerum.kerb')
  })
  await page.reload()
}

test('a chest at an auction, without a connection: a bid in a few taps, and what would change it', async ({ page, context }, {
  project,
}) => {
  await openKerb(page)
  await page.reload()
  await context.setOffline(true)
  await page.reload()
  // from the page: article, what is on it, how it stands, what it shall become
  let taps = 0
  const tap = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).click()
    taps += 1
  }
  await tap('Chest of drawers')
  await tap('varnish or polyurethane')
  await tap('finish surely younger than 1980')
  await tap('loose joints')
  await tap('Two-colour distress')
  await page.getByLabel('Should bring, GBP').fill('620')
  taps += 1
  await expect.poll(async () => minor(await bid(page).textContent())).toBeGreaterThan(0)
  expect(taps).toBeLessThan(12)
  const first = minor(await bid(page).textContent())
  await expect(page.getByText(/los(e|es) money.* at that bid/)).toBeVisible()
  await expect(page.locator('[data-changes] li')).toHaveCount(3)
  // it brings less: less is bid; the difference is the difference of what is kept
  await page.getByLabel('Should bring, GBP').fill('600')
  await expect.poll(async () => first - minor(await bid(page).textContent())).toBe(2_000)
  await expectAxeClean(page)
  // a name, a price that can't be read, then bought, with nobody there to hear it
  const name = `Tallboy, ${project.name} ${Date.now() % 100_000}`
  await page.getByText('Its name, its size, its wood').click()
  await page.getByLabel('Called').fill(name)
  await page.getByRole('button', { name: 'It is mine' }).click()
  await expect(page.getByText('Write what you paid: 0 where it was free.')).toBeVisible()
  await page.getByLabel('It went for, GBP').fill('85')
  // a wet thumb taps twice: one piece
  await page.getByRole('button', { name: 'It is mine' }).dblclick()
  await expect(page.getByText('Kept on this device until there is a connection.')).toBeVisible()
  // the page is opened again: nothing of it is lost
  await page.reload()
  await expect(page.getByText('It is yours, and taken in')).toBeVisible()
  await context.setOffline(false)
  const link = page.getByRole('link', { name: 'To the piece' })
  await expect(link).toBeVisible({ timeout: 20_000 })
  await link.click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const piece = page.url()
  await page.goto(`/pieces?q=${encodeURIComponent(name)}`)
  await expect(page.getByRole('main').getByRole('link', { name })).toHaveCount(1)
  await page.goto(`${piece}/money`)
  await expect(page.locator('[data-line="bought"]').first()).toHaveText('£85.00')
  await page.goto('/learned')
  const lesson = page.getByRole('region', { name: 'What was bid for' }).getByRole('listitem').filter({ hasText: name })
  await expect(lesson).toContainText('bought')
  await expect(lesson).toHaveCount(1)
})

test('several side by side with a purse; what went to somebody else is kept as a lesson', async ({ page }, { project }) => {
  await openKerb(page)
  await page.getByRole('button', { name: 'Chair', exact: true }).click()
  await page.getByLabel('Should bring, GBP').fill('300')
  const name = `Ladder chair, ${project.name} ${Date.now() % 100_000}`
  await page.getByText('Its name, its size, its wood').click()
  await page.getByLabel('Called').fill(name)
  await page.getByText(/^Spent £0/).click()
  await page.getByLabel('The sale').fill('Barn sale')
  await page.getByRole('button', { name: 'Another one' }).click()
  await page.getByRole('button', { name: 'Bookcase', exact: true }).click()
  await page.getByLabel('Should bring, GBP').fill('900')
  // hours are as this studio works by now, and the bids with them: the purse holds a pound less than both
  const open = page.getByText(/^Spent £0, £[\d,]+ open/)
  const openNow = async () => Number((/£([\d,]+) open/.exec((await open.textContent()) ?? '')?.[1] ?? '').replace(',', ''))
  await expect.poll(openNow).toBeGreaterThan(50)
  const budget = (await openNow()) - 1
  await page.getByLabel('Budget, GBP').fill(String(budget))
  await expect(page.getByText('All open bids together are more than what is left')).toBeVisible()
  // a figure that is none is told so, and stands as it was typed
  await page.getByLabel('Fetching it, GBP').fill('4o')
  await expect(page.getByText(/^Write an amount like/)).toBeVisible()
  await expect(page.getByLabel('Fetching it, GBP')).toHaveValue('4o')
  await page.getByLabel('Fetching it, GBP').fill('')
  // back to the chair: it goes for more than it bears
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click()
  await page.getByLabel('It went for, GBP').fill('290')
  await page.getByRole('button', { name: 'Somebody else has it' }).click()
  await expect(page.getByText('Somebody else has it. What it went for teaches the next bid.')).toBeVisible()
  // nothing was spent
  await expect(page.getByText(new RegExp(`£${budget.toLocaleString('en-GB')} left of the budget`))).toBeVisible()
  await page.goto('/learned')
  const lesson = page.getByRole('region', { name: 'What was bid for' }).getByRole('listitem').filter({ hasText: name })
  await expect(lesson).toContainText('went for £290')
  await expect(lesson).toContainText('Barn sale')
})
