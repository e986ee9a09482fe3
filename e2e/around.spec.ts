/** The work around the paint: counted, planned, worked first, changed half-way; a part that stays as it is. */
import { expect, type Locator, type Page } from '@playwright/test'
import { expectAxeClean } from './axe'
import { test } from './named'
import { takeIn } from './takeIn'

const bare = { madeOf: 'solid wood, close-grained', onIt: 'bare' }
const more = async (page: Page, what: string, times: number) => {
  for (let k = 0; k < times; k += 1) await page.getByRole('button', { name: `One more: ${what}` }).click()
}
const minutesOf = (page: Page, what: string) => page.getByLabel(`Minutes of: ${what}`)

test('what is counted is planned before the paint and after, worked, and changed half-way', async ({ page, mark }) => {
  const name = `Brush cupboard, ${mark}`
  await takeIn(page, name, bare)
  await page.getByRole('radio', { name: 'Smooth solid' }).click()
  await page.getByRole('button', { name: 'Take this way' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await page.getByRole('link', { name: 'Count what is on it' }).click()

  // nothing counted: photographs and a last look, 5 + 10 + 5
  await expect(page.getByText('20 min around the paint')).toBeVisible()
  await more(page, 'Fittings that come off and go back', 6)
  await more(page, 'Old holes to fill', 4)
  await page.getByLabel('Drawers', { exact: true }).fill('3')
  // 6 × 2 apart, 6 × 3 together, 6 × 4 + 5 polished, 4 × 3 filled, 3 × 8 + 5 washed out, 3 × 2 eased: 1 h 46 more
  await expect(page.getByText('2 h 06 around the paint')).toBeVisible()
  await minutesOf(page, 'Fill holes').fill('25')
  await page.getByRole('button', { name: 'One fewer: Old holes to fill' }).click()
  // what was set by hand stays, though a count changes
  await expect(minutesOf(page, 'Fill holes')).toHaveValue('25')

  const before = page.getByRole('region', { name: 'Before the paint' })
  await before.getByRole('button', { name: 'Put it in' }).click()
  await expect(before.getByText('Say what is to be done.')).toBeVisible()
  await before.getByLabel('What is to be done').fill('Steam the dents out')
  await before.getByRole('button', { name: 'Put it in' }).click()
  await minutesOf(page, 'Steam the dents out').fill('20')
  await page.getByRole('button', { name: 'Up: Steam the dents out' }).click()
  await page.getByRole('button', { name: 'Take out: Photograph it' }).first().click()
  await expect(before.getByRole('listitem')).toContainText([
    'Take apart',
    'Vacuum and wash the drawers out',
    'Steam the dents out',
    'Fill holes',
  ])
  // a double tap takes out one; what can't be read is said, and stays
  await page.getByRole('button', { name: 'Take out: Look it over, inside edges too' }).dblclick()
  const after = page.getByRole('region', { name: 'After the paint' })
  await expect(after.getByRole('listitem')).toContainText([
    'Wax the drawer runners',
    'Polish the metal fittings',
    'Put together again',
    'Photograph it',
  ])
  await after.getByRole('button', { name: 'Take out: Photograph it' }).focus()
  await page.keyboard.press('Enter')
  await expect(after.getByRole('heading')).toBeFocused()
  await expect(after.getByRole('listitem')).toHaveCount(3)
  await minutesOf(page, 'Steam the dents out').fill('a while')
  await page.getByRole('button', { name: 'This is the work' }).click()
  await expect(before.getByText('Whole minutes, 1 to 2,400.')).toBeVisible()
  await expect(minutesOf(page, 'Steam the dents out')).toHaveValue('a while')
  await minutesOf(page, 'Steam the dents out').fill('20')
  // more drawers bring nothing back that was taken out
  await page.getByRole('button', { name: 'One more: Drawers' }).click()
  await expect(page.getByText('Look it over, inside edges too').and(page.locator('span:not(.sr-only)'))).toHaveCount(0)
  await expectAxeClean(page)
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0)
  await page.getByRole('button', { name: 'This is the work' }).click()

  // it comes first, and its minutes are in what is still to come
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  const around = page.getByRole('region', { name: 'Around the paint' })
  await expect(around.getByRole('heading', { level: 3 })).toHaveText('Take apart, bag and number the fittings')
  await around.getByRole('button', { name: /^Start/ }).click()
  await around.getByRole('button', { name: /^Done/ }).click()
  await expect(around.getByRole('heading', { level: 3 })).toHaveText('Vacuum and wash the drawers out, runners too')

  // changed half-way: what is done is not asked for again
  await around.getByRole('link', { name: 'Change the work' }).click()
  await expect(minutesOf(page, 'Take apart, bag and number the fittings')).toHaveCount(0)
  await expect(minutesOf(page, 'Steam the dents out')).toHaveValue('20')
  await more(page, 'Loose joints', 1)
  await page.getByRole('button', { name: 'This is the work' }).click()
  await expect(around.getByText('Glue loose joints, old glue and wax off first, clamped over night')).toBeVisible()
  await expect(around.getByText('One step behind it')).toBeVisible()
  await page.getByRole('link', { name: 'Its way' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Its way' })).toBeVisible()
  // together again after the paint: the last but one, before it is looked over
  await expect(page.getByText('Steam the dents out')).toBeVisible()
  await expect(page.getByText('Put together again')).toBeVisible()
})

test('a part that stays as it is is cleaned and waxed, or done as it stands', async ({ page, mark }) => {
  const name = `Brush shelf, ${mark}`
  await takeIn(page, name, bare)
  const stays = page.getByRole('region', { name: 'It stays as it is:' })
  await stays.getByRole('button', { name: /^cleaned and waxed/ }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await expect(page.getByText('Stays as it is, cleaned and waxed')).toBeVisible()
  await expect(page.getByRole('heading', { level: 3 }).first()).toHaveText('Clean off grease and polish')
  await page.getByRole('link', { name: 'Change the finish' }).click()
  await expect(stays.getByRole('button', { name: /^cleaned and waxed/ })).toHaveAttribute('aria-pressed', 'true')
  await stays.getByRole('button', { name: 'not touched' }).click()
  await expect(page.getByText('Stays as it is, untouched')).toBeVisible()
  await expect(page.getByText('Ready to list', { exact: true })).toBeVisible()
})

test('a chest with everything counted is taken in by one template and a few taps, its work planned with it', async ({
  page,
  mark,
}) => {
  const name = `Loft chest, ${mark}`
  const began = Date.now()
  let taps = 0
  const tap = async (what: Locator) => {
    taps += 1
    await what.click()
  }
  await page.goto('/pieces/new')
  await tap(page.getByLabel('What it is'))
  await page.keyboard.type(name)
  await tap(page.getByRole('button', { name: 'Chest of drawers' }))
  // measured at its side, one drawer more; eight fittings become ten with it
  await tap(page.getByLabel('Wide, cm'))
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('102')
  await tap(page.getByRole('button', { name: 'One more: Drawers of it' }))
  await expect(page.getByLabel('Drawers', { exact: true })).toHaveValue('5')
  await expect(page.getByLabel('Fittings that come off and go back', { exact: true })).toHaveValue('10')
  await expect(page.getByRole('slider', { name: 'Width' })).toHaveAttribute('aria-valuetext', '102 cm')
  taps += 3
  await page.getByLabel('All of it is').selectOption({ label: 'solid wood, close-grained' })
  await page.getByLabel('On all of it now').selectOption({ label: 'varnish or polyurethane' })
  await page.getByLabel('Lead on any of it').selectOption({ label: 'finish surely younger than 1980' })
  await tap(page.getByLabel('Old holes to fill', { exact: true }))
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('8')
  await tap(page.getByRole('button', { name: 'One more: Loose joints' }))
  await tap(page.getByRole('button', { name: 'Take it in' }))
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  // by script; a hand has its sixty seconds
  expect([taps <= 15, Date.now() - began < 60_000]).toEqual([true, true])
  const around = page.getByRole('region', { name: 'Around the paint' })
  await expect(around.getByRole('heading', { level: 3 })).toHaveText('Photograph it')
  await expect(around.getByRole('listitem').filter({ hasText: 'Fill holes' })).toContainText('24 min')
  await expect(around.getByRole('listitem').filter({ hasText: 'Glue loose joints' })).toContainText('35 min')
  for (const part of ['Carcass', 'Top', 'Drawer fronts'])
    await expect(page.getByRole('region', { name: part, exact: true })).toBeVisible()

  // its finish, on all of it, in three taps more
  let more = 0
  const tapMore = async (what: Locator) => {
    more += 1
    await what.click()
  }
  await tapMore(page.getByRole('region', { name: 'Carcass', exact: true }).getByRole('link', { name: 'Choose a finish' }))
  await tapMore(page.getByRole('checkbox', { name: 'The same on top and drawer fronts' }))
  await tapMore(page.getByRole('button', { name: 'Take this way' }))
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  for (const part of ['Carcass', 'Top', 'Drawer fronts'])
    await expect(page.getByRole('region', { name: part, exact: true }).getByText('Smooth solid').first()).toBeVisible()
  expect(more).toBeLessThanOrEqual(5)
})
