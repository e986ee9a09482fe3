/** Whole jobs through the screens: an article taken in, layers put together on the desk, every step worked, figures read off the pages. */
import { expect, type Locator, type Page } from '@playwright/test'

export const young = 'finish surely younger than 1980'
export const lane = (page: Page, name: string) => page.getByRole('region', { name, exact: true })
export const layers = (page: Page) => page.getByRole('list', { name: 'Layers, the top one first' })
export const rows = (page: Page) => layers(page).locator('summary[id^=layer-]')
/** The layer that stands open. */
export const openLayer = (page: Page) => layers(page).locator('details[open]', { has: page.locator('summary[id^=layer-]') })
export const steps = (page: Page) => page.getByRole('list', { name: 'Steps' }).getByRole('listitem')

interface Facts {
  is: string
  on: string
  lead?: string
}
/** An article chosen at intake, with what all of it is; nothing is sent yet. */
export async function begin(page: Page, name: string, article: string, facts: Facts) {
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Price paid, GBP').fill('40')
  await page.getByRole('button', { name: article, exact: true }).click()
  await page.getByLabel('All of it is').selectOption({ label: facts.is })
  await page.getByLabel('On all of it now').selectOption({ label: facts.on })
  await page.getByLabel('Lead on any of it').selectOption({ label: facts.lead ?? young })
}
/** Takes it in; the address of its page. */
export async function takenIn(page: Page, name: string): Promise<string> {
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  return page.url()
}
export async function takeThisWay(page: Page, name: string) {
  await page.getByRole('button', { name: 'Take this way' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
}

export interface Layer {
  /** as it is called in the list of what may be done */
  done: string
  with?: string
  colour?: [name: string, hex: string]
  share?: string
  often?: string
  /** the only places it goes to */
  only?: 'flats' | 'edges' | 'recesses'
  mix?: string
  chips?: boolean
}
/** The layers of the desk, bottom up, in place of the look's own. */
export async function putTogether(page: Page, wanted: readonly Layer[]) {
  await page.getByRole('button', { name: 'Make the layers your own' }).click()
  for (const [k, layer] of wanted.entries()) {
    const before = await rows(page).count()
    if (k === 0) await page.getByRole('button', { name: 'Put a layer below all' }).click()
    else
      await layers(page)
        .getByRole('button', { name: /^Put a layer over/ })
        .nth(before - k)
        .click()
    await expect(rows(page)).toHaveCount(before + 1)
    await expect(rows(page).nth(before - k)).toBeFocused()
    await describeLayer(page, layer)
  }
  // what the look had lies on top now, and goes
  while ((await rows(page).count()) > wanted.length) {
    const left = await rows(page).count()
    await openRow(page, 0)
    await openLayer(page).getByRole('button', { name: 'Take it out' }).click()
    await expect(rows(page)).toHaveCount(left - 1)
  }
}
/** A tap right after another is let fall, so it is tapped until it stands open. */
export async function openRow(page: Page, at: number) {
  const top = rows(page).nth(at)
  await expect(async () => {
    if ((await top.locator('..').getAttribute('open')) === null) await top.click()
    await expect(top.locator('..')).toHaveAttribute('open', '', { timeout: 700 })
  }).toPass()
}
async function describeLayer(page: Page, layer: Layer) {
  const sheet = openLayer(page)
  await sheet.getByLabel('What is done').selectOption({ label: layer.done })
  if (layer.with) await sheet.getByLabel('With', { exact: true }).selectOption({ label: layer.with })
  if (layer.colour) {
    await sheet.getByLabel('Its name').fill(layer.colour[0])
    await sheet.locator('input[type=color]').fill(layer.colour[1])
  }
  if (layer.share) await sheet.getByLabel('How much of it').selectOption({ label: layer.share })
  if (layer.often) await sheet.getByLabel('How often').selectOption({ label: layer.often })
  if (layer.only)
    for (const place of ['flats', 'edges', 'recesses'])
      if (place !== layer.only) await sheet.getByRole('button', { name: place, exact: true }).click()
  if (layer.mix) {
    await sheet.getByLabel('Mix', { exact: true }).fill(layer.mix)
    await sheet.getByLabel('Mix', { exact: true }).blur()
  }
  if (layer.chips) await sheet.getByLabel('Meant to let go in flakes').check()
}

/** Looked at as often as a finger would try, without a picture of the page each time. */
const often = { intervals: [100, 200, 300], timeout: 90_000 }

/** Works the step at hand of a lane as done already; its title, or null where there is none. */
export async function workOne(page: Page, on: Locator, minutes: string): Promise<string | null> {
  const heading = on.getByRole('heading', { level: 3 }).first()
  const done = on.getByRole('button', { name: 'Done already…' })
  const anyway = on.getByText('Begin it all the same')
  if ((await anyway.count()) > 0 && !(await done.isVisible())) await anyway.click()
  if ((await done.count()) === 0) return null
  const title = (await heading.textContent()) ?? ''
  const took = on.getByLabel('How long it took')
  // a tap right after another in the same place is let fall
  await expect
    .poll(async () => {
      const isOpen = (await done.getAttribute('aria-expanded')) === 'true'
      if (!isOpen) await done.click({ timeout: 1_000 }).catch(() => undefined)
      // another tap would shut what is on its way
      await took.waitFor({ timeout: 1_500 }).catch(() => undefined)
      return took.isVisible()
    }, often)
    .toBe(true)
  await took.fill(minutes)
  await on.getByRole('button', { name: 'Write it down' }).click()
  const sheet = page.getByRole('dialog')
  // the last one goes, and is not waited for
  const isNext = async () => (await heading.allTextContents())[0] !== title
  await expect.poll(async () => (await sheet.isVisible()) || (await isNext()), often).toBe(true)
  if (await sheet.isVisible()) {
    // the question stands still for a moment, for a finger that was still tapping
    await sheet
      .getByRole('button', { name: /^(Yes, well done|All well, write it down|Write it down)$/ })
      .first()
      .click()
    await expect(sheet).toBeHidden()
  }
  await expect.poll(isNext, often).toBe(true)
  return title
}
/** Works a lane to its end; the titles of what was worked. */
export async function workAll(page: Page, on: Locator, minutes: string): Promise<string[]> {
  const worked: string[] = []
  for (let next = await workOne(page, on, minutes); next !== null && worked.length < 80; next = await workOne(page, on, minutes))
    worked.push(next)
  return worked
}
/** Hours as the record says them. */
export const spanOf = (minutes: number): string =>
  `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} of work so far`

/** Works a piece to its end: what stands before the paint, the paint, and what waits for it. How many steps that was. */
export async function workPiece(page: Page, minutes: string): Promise<number> {
  const parts = await page.getByRole('heading', { level: 2 }).allTextContents()
  const lanes = parts.filter((each) => !['As it stands', 'Photographs', 'Log', 'Left of mixes'].includes(each))
  let steps = 0
  for (let round = 0; round < 3; round += 1)
    for (const part of lanes)
      if ((await lane(page, part).count()) > 0) steps += (await workAll(page, lane(page, part), minutes)).length
  return steps
}
/** Lets a piece go from its money page, whatever is not done about it. */
export async function letGo(page: Page, piece: string, { how, price }: { how?: string; price?: string }) {
  await page.goto(`${piece}/money`)
  await page.getByText('It leaves: sold, handed over, kept, given').click()
  if (how) await page.getByLabel('How it left').selectOption({ label: how })
  if (price) await page.getByLabel('Price paid, GBP').fill(price)
  await page.getByRole('button', { name: 'It has left' }).click()
  const left = page.getByRole('heading', { level: 1, name: /What it earned|what it cost/i })
  const anyway = page.getByRole('checkbox', { name: /leaves all the same/ })
  await expect(left.or(anyway)).toBeVisible()
  if (await anyway.isVisible()) {
    await anyway.check()
    await page.getByRole('button', { name: 'It has left' }).click()
  }
  await expect(left).toBeVisible()
}
