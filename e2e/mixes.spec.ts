/** Mixes end to end: a shade of tins made up, laid, and what is left of it kept as a tin; stripes set out, their tape counted. */
import { expect } from '@playwright/test'
import { expectAxeClean } from './axe'
import { openDiffering } from './browser'
import { test } from './named'
import { takeIn } from './takeIn'
import { lane, layers, openLayer, openRow, putTogether, rows, steps, takeThisWay, workOne } from './work'

test('three tins become a shade by parts, mixed from each; what is left is kept as a tin with its formula', async ({
  page,
  mark,
}) => {
  const name = `Hymn box, ${mark}`
  const shade = `Dusk, ${mark}`
  await takeIn(page, name, { madeOf: 'solid wood, close-grained', onIt: 'bare' })
  await putTogether(page, [{ done: 'Paint', with: 'chalk-style paint', colour: [shade, '#888888'], often: 'once' }])
  const sheet = openLayer(page)
  await openRow(page, 0)
  await sheet.getByText('Mix a shade of several').click()
  await sheet.getByRole('button', { name: 'One more colour' }).click()
  await sheet.getByLabel('Parts').nth(0).fill('3')
  await sheet.getByLabel('Parts').nth(2).fill('2')
  await sheet.getByRole('button', { name: 'Take this shade' }).click()
  await sheet.getByLabel('Its name').fill(shade)
  await expect(steps(page).filter({ hasText: shade })).toHaveCount(1)
  await takeThisWay(page, name)
  const piece = page.url()

  const body = lane(page, 'Body')
  for (
    let k = 0;
    k < 8 && !(await body.getByRole('heading', { level: 3, name: new RegExp(`^Coat, ${shade}`) }).isVisible());
    k += 1
  )
    await workOne(page, body, '5')
  await body.getByRole('button', { name: /^Mix it/ }).click()
  const mixing = page.getByRole('dialog')
  await mixing.getByLabel(/^How much/).fill('240')
  // 3 : 1 : 2 of 240 ml, large enough to be read from where one pours
  await expect(mixing.locator('dl dd')).toHaveText(['120ml', '40ml', '80ml'])
  for (const select of await mixing.getByRole('combobox', { name: /^The / }).all()) await expect(select).not.toHaveValue('')
  await expectAxeClean(page)
  await mixing.getByRole('button', { name: 'Mixed, write it down' }).click()
  await expect(mixing).toBeHidden()
  await body.getByRole('button', { name: 'Done already…' }).click()
  await body.getByLabel('How long it took').fill('20')
  await body.getByRole('button', { name: 'Write it down' }).click()
  const coat = page.getByRole('dialog')
  await expect(coat.getByText(/from the mix/)).toBeVisible()
  await openDiffering(page)
  await coat.getByLabel(/^Amount/).fill('90')
  await coat.getByRole('button', { name: 'All well, write it down' }).click()
  await expect(coat).toBeHidden()

  // 150 of 240 ml are left: more than there is can't be kept, what there is can
  const rests = page.getByRole('region', { name: 'Left of its mixes' })
  await expect(rests.getByText('150 ml')).toBeVisible()
  await rests.getByRole('button', { name: /^What becomes of it/ }).click()
  await expect(rests.getByLabel('Its name')).toHaveValue(shade)
  await rests.getByLabel(/^How much/).fill('200')
  await rests.getByRole('button', { name: 'Keep it as a tin' }).click()
  await expect(rests.getByText('Only 150 ml of it are left.')).toBeVisible()
  await rests.getByLabel(/^How much/).fill('150')
  await expectAxeClean(page)
  await rests.getByRole('button', { name: 'Keep it as a tin' }).click()
  await expect(rests).toBeHidden()
  await expect(page.getByText(/150 ml · kept as a tin/)).toBeVisible()
  await page.goto('/shelf')
  await page.getByRole('button', { name: new RegExp(`^${shade}`) }).click()
  await expect(page.getByText(/mixed here: .* 3 : 1 : 2/)).toBeVisible()
  await page.goto(`${piece}/record`)
  await expect(page.getByText(/90 ml, .* 3 : 1 : 2/)).toBeVisible()
})

test('stripes by count, width and gap are drawn on their face, their tape counted and said at its step', async ({
  page,
  mark,
}) => {
  const name = `Rope chest, ${mark}`
  await takeIn(page, name, { madeOf: 'solid wood, close-grained', onIt: 'bare' })
  await putTogether(page, [
    { done: 'Paint', with: 'chalk mineral paint', colour: ['Ferry Slate', '#3d5661'], often: 'twice' },
    { done: 'Paint', with: 'chalk mineral paint', colour: ['Oat Husk', '#e3d7bd'], often: 'twice' },
  ])
  const sheet = openLayer(page)
  await openRow(page, 0)
  await sheet.getByLabel('In a pattern').selectOption({ label: 'stripes, taped' })
  // its tape came with it, below and above
  await expect(rows(page)).toHaveCount(4)
  await openRow(page, 1)
  for (const [label, value] of [
    ['How many', '3'],
    ['Each wide, cm', '4'],
    ['Apart, cm', '6'],
  ] as const) {
    await sheet.getByLabel(label).fill(value)
    await sheet.getByLabel(label).blur()
  }
  // both edges of three stripes a metre long
  await expect(sheet.getByText('6 m of tape')).toBeVisible()
  await expect(sheet.getByRole('img', { name: '3 stripes of 4 cm, 6 cm apart, upright, set out from the middle' })).toBeVisible()
  await sheet.getByLabel('How many').fill('12')
  await sheet.getByLabel('How many').blur()
  await expect(sheet.getByText('It is wider than the face: fewer, narrower, or closer.')).toBeVisible()
  await sheet.getByLabel('How many').fill('3')
  await sheet.getByLabel('How many').blur()
  // two to set out, two a metre
  await expect(steps(page).filter({ hasText: 'Measure and tape' })).toContainText('14 min')
  await expectAxeClean(page)
  await expect(layers(page)).toBeVisible()
  await takeThisWay(page, name)
  await page.goto('/')
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0)
})
