/** Whole jobs through the screens, from the article at intake to the record: every step worked, hours, cost and layers read off the pages. */
import { expect, type Locator, type Page, test } from '@playwright/test'

/** Works the step at hand of a lane as done already; false where there is none. */
async function workOne(page: Page, lane: Locator, minutes: string): Promise<boolean> {
  const anyway = lane.getByText('Begin it all the same')
  if ((await anyway.count()) > 0 && !(await lane.getByRole('button', { name: 'Done already…' }).isVisible())) await anyway.click()
  const done = lane.getByRole('button', { name: 'Done already…' })
  if ((await done.count()) === 0) return false
  const title = (await lane.getByRole('heading', { level: 3 }).first().textContent()) ?? ''
  await done.click()
  await lane.getByLabel('How long it took').fill(minutes)
  await lane.getByRole('button', { name: 'Write it down' }).click()
  const sheet = page.getByRole('dialog')
  const next = lane.getByRole('heading', { level: 3 }).first()
  await expect(async () => {
    if (await sheet.isVisible()) return
    expect((await next.count()) === 0 || (await next.textContent()) !== title).toBe(true)
  }).toPass()
  if (await sheet.isVisible()) {
    // the question stands still for a moment, for a finger that was still tapping
    await sheet
      .getByRole('button', { name: /^(Yes, well done|All well, write it down|Write it down)$/ })
      .first()
      .click()
    await expect(sheet).toBeHidden()
  }
  await expect
    .poll(async () => ((await next.count()) === 0 ? '' : await next.textContent()), { message: `${title} is behind` })
    .not.toBe(title)
  return true
}
async function workAll(page: Page, lane: Locator, minutes: string): Promise<number> {
  let worked = 0
  while (worked < 60 && (await workOne(page, lane, minutes))) worked += 1
  return worked
}
const lane = (page: Page, name: string) => page.getByRole('region', { name, exact: true })
const layers = (page: Page) => page.getByRole('list', { name: 'Layers, the top one first' })
async function begin(page: Page, name: string, article: string, facts: { is: string; on: string; lead: string }) {
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Price paid, GBP').fill('40')
  await page.getByRole('button', { name: article, exact: true }).click()
  await page.getByLabel('All of it is').selectOption({ label: facts.is })
  await page.getByLabel('On all of it now').selectOption({ label: facts.on })
  await page.getByLabel('Lead on any of it').selectOption({ label: facts.lead })
}
const young = 'finish surely younger than 1980'

test('a set of four chairs: two colours and a ragged third, worn, worked to the end; one of them leaves', async ({ page }, {
  project,
}) => {
  test.setTimeout(300_000)
  const name = `Four ladder-backs, ${project.name}`
  await begin(page, name, 'Chair', { is: 'solid wood, close-grained', on: 'varnish or polyurethane', lead: young })
  for (let k = 0; k < 3; k += 1) await page.getByRole('button', { name: 'One more: Alike ones of it' }).click()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const piece = page.url()

  await lane(page, 'Chairs').getByRole('link', { name: 'Choose a finish' }).click()
  await page.getByRole('radio', { name: 'Two-colour distress' }).click()
  await page.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await layers(page)
    .getByRole('button', { name: /^Put a layer over Coat/ })
    .first()
    .click()
  const sheet = layers(page).locator('details[open]', { has: page.locator('summary[id^=layer-]') })
  await sheet.getByLabel('How much of it').selectOption({ label: 'about a third, here and there' })
  await sheet.getByLabel('Its name').fill('Quince Rind')
  await sheet.locator('input[type=color]').fill('#b8923a')
  await page.getByRole('button', { name: 'Take this way' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()

  const around = lane(page, 'Around the paint')
  // photographs, joints and the turn come before the paint
  for (const title of ['Photograph it', 'Glue loose joints', 'Turn it over']) {
    await expect(around.getByRole('heading', { level: 3 })).toContainText(title)
    await workOne(page, around, '10')
  }
  const painted = await workAll(page, lane(page, 'Chairs'), '30')
  const after = await workAll(page, around, '10')
  expect([painted > 10, after]).toEqual([true, 3])

  await page.goto(`${piece}/record`)
  for (const layer of ['Ferry Slate', 'Oat Husk', 'Quince Rind']) await expect(page.getByText(layer).first()).toBeVisible()
  await expect(page.getByText('Nothing done yet')).toHaveCount(0)
  // three of ten minutes before, three after, and thirty for each of the rest
  const hours = painted * 30 + 60
  const said = `${Math.floor(hours / 60)} h ${String(hours % 60).padStart(2, '0')} of work so far`
  await expect(page.getByText(said)).toBeVisible()
  await page.goto(`${piece}/split`)
  await page.getByLabel('Of chairs leave').fill('1')
  await page.getByLabel('What leaves is called').fill(`${name}, the first`)
  await page.getByRole('button', { name: 'Split it off' }).click()
  await expect(page.getByRole('heading', { level: 1, name: `${name}, the first` })).toBeVisible()
})

test('a nursery chest with lead in question: nothing rubbed dry, a barrier, the same on all its parts, its record says so', async ({
  page,
}, { project }) => {
  test.setTimeout(300_000)
  const name = `Nursery chest, ${project.name}`
  await begin(page, name, 'Bedside cabinet', {
    is: 'solid wood, close-grained',
    on: 'oil paint',
    lead: 'painted before about 1980, or age unknown',
  })
  await page.getByRole('button', { name: 'One fewer: Doors of it' }).click()
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const piece = page.url()
  await lane(page, 'Carcass').getByRole('link', { name: 'Choose a finish' }).click()
  await expect(page.getByText('Lead is possible here. The plan covers it')).toBeVisible()
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem')
  await expect(steps.filter({ hasText: /Prime (for grip|against bleed)/ })).not.toHaveCount(0)
  await page.getByRole('checkbox', { name: 'The same on top and drawer front' }).check()
  await page.getByRole('button', { name: 'Take this way' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  for (const part of ['Carcass', 'Top', 'Drawer front']) expect(await workAll(page, lane(page, part), '12')).toBeGreaterThan(6)
  await page.goto(`${piece}/record`)
  await expect(page.getByText('Lead is possible below this finish')).toHaveCount(3)
})
