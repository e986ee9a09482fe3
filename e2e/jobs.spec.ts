/** Whole jobs through the screens, from the article at intake to the record: every step worked, hours, cost and layers read off the pages. */
import { expect } from '@playwright/test'
import { test } from './named'
import { begin, lane, layers, openLayer, spanOf, takenIn, takeThisWay, workAll, workOne, young } from './work'

test('a set of four chairs: two colours and a ragged third, worn, worked to the end; one of them leaves', async ({
  page,
  mark,
}) => {
  test.setTimeout(300_000)
  const name = `Four ladder-backs, ${mark}`
  await begin(page, name, 'Chair', { is: 'solid wood, close-grained', on: 'varnish or polyurethane', lead: young })
  for (let k = 0; k < 3; k += 1) await page.getByRole('button', { name: 'One more: Alike ones of it' }).click()
  const piece = await takenIn(page, name)

  await lane(page, 'Chairs').getByRole('link', { name: 'Choose a finish' }).click()
  await page.getByRole('radio', { name: 'Two-colour distress' }).click()
  await page.getByLabel('Paint', { exact: true }).selectOption({ label: 'clay paint' })
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  await layers(page)
    .getByRole('button', { name: /^Put a layer over Coat/ })
    .first()
    .click()
  const sheet = openLayer(page)
  await sheet.getByLabel('How much of it').selectOption({ label: 'about a third, here and there' })
  await sheet.getByLabel('Its name').fill('Quince Rind')
  await sheet.locator('input[type=color]').fill('#b8923a')
  await takeThisWay(page, name)

  const around = lane(page, 'Around the paint')
  // photographs, joints and the turn come before the paint
  for (const title of ['Photograph it', 'Glue loose joints', 'Turn it over']) {
    await expect(around.getByRole('heading', { level: 3 })).toContainText(title)
    await workOne(page, around, '10')
  }
  const painted = (await workAll(page, lane(page, 'Chairs'), '30')).length
  const after = (await workAll(page, around, '10')).length
  expect([painted > 10, after]).toEqual([true, 3])

  await page.goto(`${piece}/record`)
  for (const layer of ['Ferry Slate', 'Oat Husk', 'Quince Rind']) await expect(page.getByText(layer).first()).toBeVisible()
  await expect(page.getByText('Nothing done yet')).toHaveCount(0)
  // three of ten minutes before, three after, and thirty for each of the rest
  await expect(page.getByText(spanOf(painted * 30 + 60))).toBeVisible()
  await page.goto(`${piece}/split`)
  await page.getByLabel('Of chairs leave').fill('1')
  await page.getByLabel('What leaves is called').fill(`${name}, the first`)
  await page.getByRole('button', { name: 'Split it off' }).click()
  await expect(page.getByRole('heading', { level: 1, name: `${name}, the first` })).toBeVisible()
})

test('a nursery chest with lead in question: nothing rubbed dry, a barrier, the same on all its parts, its record says so', async ({
  page,
  mark,
}) => {
  test.setTimeout(300_000)
  const name = `Nursery chest, ${mark}`
  await begin(page, name, 'Bedside cabinet', {
    is: 'solid wood, close-grained',
    on: 'oil paint',
    lead: 'painted before about 1980, or age unknown',
  })
  await page.getByRole('button', { name: 'One fewer: Doors of it' }).click()
  const piece = await takenIn(page, name)
  await lane(page, 'Carcass').getByRole('link', { name: 'Choose a finish' }).click()
  await expect(page.getByText('Lead is possible here. The plan covers it')).toBeVisible()
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem')
  await expect(steps.filter({ hasText: /Prime (for grip|against bleed)/ })).not.toHaveCount(0)
  await page.getByRole('checkbox', { name: 'The same on top and drawer front' }).check()
  await takeThisWay(page, name)
  for (const part of ['Carcass', 'Top', 'Drawer front'])
    expect((await workAll(page, lane(page, part), '12')).length).toBeGreaterThan(6)
  await page.goto(`${piece}/record`)
  await expect(page.getByText('Lead is possible below this finish')).toHaveCount(3)
})
