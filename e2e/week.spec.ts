/** The week: planned on the device, a step held, somebody away, damp air, one more piece; taken, and the bench follows it. */
import { expect, type Locator, type Page, test } from '@playwright/test'
import { expectAxeClean } from './axe'

test.describe.configure({ mode: 'serial' })

/** A step of a later day, of a piece on which nobody works meanwhile, by what it says: while others work the days are planned anew.
    Looking over a piece that is done is no step of its plan: it can't be held. */
async function laterLine(page: Page): Promise<Locator> {
  const steps = page.locator('details[open] li button')
  let said = ''
  await expect(async () => {
    for (const day of await page.locator('details:not([open]) summary').all()) {
      await day.click({ timeout: 2_000 })
      const texts = await steps.allTextContents()
      const text = texts.find((each) => !/, (desk|phone)|can’t be kept|Put together/.test(each)) ?? ''
      said = (/\d\d:\d\d(.*?)(?:held)?[^ ,]+( [^ ,]+)?, \d+ min/.exec(text)?.[1] ?? '').trim()
      if (said) return
    }
    expect(said).not.toBe('')
  }).toPass({ timeout: 20_000 })
  return page.locator('li button').filter({ hasText: said }).first()
}
async function open(line: Locator): Promise<void> {
  await expect(async () => {
    // planned anew, it may stand on another day, which is folded away
    const day = line.locator('xpath=ancestor::details')
    if ((await day.count()) > 0 && (await day.getAttribute('open')) === null)
      await day.locator('> summary').click({ timeout: 2_000 })
    if ((await line.getAttribute('aria-expanded')) !== 'true') await line.click({ timeout: 2_000 })
    await expect(line).toHaveAttribute('aria-expanded', 'true', { timeout: 1_000 })
  }).toPass({ timeout: 20_000 })
}

test('the week is planned, every step stands in it, and why', async ({ page }) => {
  await page.goto('/week')
  await expect(page.getByRole('heading', { level: 1, name: 'The week' })).toBeVisible()
  await expect(page.getByText(/h of work ahead/)).toBeVisible()
  await expect(page.getByText(/No week is (more than \d+ % )?better/)).toBeVisible({ timeout: 20_000 })
  const ready = page.getByRole('region', { name: 'Ready when' })
  await expect(ready.getByText(/holds in (all|none|\d+) of 100 weeks|In 80 of 100 weeks/).first()).toBeVisible({
    timeout: 40_000,
  })
  await expectAxeClean(page)
  // a later day opens, and a step of it says why it stands there
  await open(await laterLine(page))
  await expect(
    page.getByText(/Ready so long after|The hands|The day begins|window|Nothing holds|waits for|place to dry/).first(),
  ).toBeVisible()
})

test('a step is held half an hour later, its price said before; taken, it stands there at that time', async ({ page }) => {
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const line = await laterLine(page)
  await open(line)
  const thought = page.getByRole('region', { name: 'What it would do' })
  const heading = thought.getByRole('heading')
  let later = ''
  await expect(async () => {
    // at the end of a day that can't be, and is said; half an hour sooner, or a day later, can
    for (const wish of ['Half an hour later', 'Half an hour sooner', 'A day later']) {
      await open(line)
      await page.getByRole('button', { name: wish }).click({ timeout: 3_000 })
      await thought.getByText(/steps move|Nothing else moves|That can’t be/).waitFor({ timeout: 5_000 })
      later = /\d\d:\d\d/.exec((await heading.textContent()) ?? '')?.[0] ?? ''
      if (await thought.getByRole('button', { name: 'Take it' }).isEnabled()) break
    }
    expect(later).not.toBe('')
    await expect(thought.getByText(/steps move|Nothing else moves/)).toBeVisible({ timeout: 1_000 })
  }).toPass({ timeout: 40_000 })
  await thought.getByRole('button', { name: 'Take it' }).click()
  await expect(thought).toHaveCount(0, { timeout: 20_000 })
  const held = page.locator('li button').filter({ has: page.getByText('held', { exact: true }) })
  await expect(held.filter({ hasText: later }).first()).toBeAttached({ timeout: 20_000 })
})

test('held to a time at which nobody works, it says so, and can’t be taken', async ({ page }) => {
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const line = await laterLine(page)
  const thought = page.getByRole('region', { name: 'What it would do' })
  await expect(async () => {
    await open(line)
    await line.focus()
    // from where it stands, whatever was pressed before
    await page.keyboard.press('Escape')
    const [hour = 0] = (/(\d\d):\d\d/.exec((await line.textContent()) ?? '') ?? []).slice(1).map(Number)
    // by quarters of an hour, until ten in the evening at the soonest
    for (let quarters = 4 * (22 - hour); quarters > 0; quarters -= 1) await page.keyboard.press('ArrowRight')
    // an hour at which nobody works is known without planning a week
    await expect(thought.getByText(/That can’t be/)).toBeVisible({ timeout: 2_000 })
  }).toPass({ timeout: 60_000 })
  await expect(thought.getByRole('button', { name: 'Take it' })).toBeDisabled()
  await thought.getByRole('button', { name: 'Leave it' }).click()
  await expect(thought).toHaveCount(0)
})

test('pulled on the drawing, a step is asked for at another time', async ({ page }) => {
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const asked = page.getByRole('region', { name: 'What it would do' })
  // a stroke may go while others work: then the next one is pulled
  let tries = 0
  await expect(async () => {
    const strokes = page.locator('g[data-step]:visible')
    const stroke = strokes.nth(tries++ % Math.min(4, await strokes.count()))
    await stroke.evaluate((drawn) => {
      drawn.scrollIntoView({ block: 'center' })
    })
    const box = await stroke.boundingBox()
    if (!box) throw new Error('no stroke is drawn')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 4 })
    await page.mouse.up()
    await expect(asked).toBeVisible({ timeout: 2_000 })
  }).toPass({ timeout: 30_000 })
  const thought = page.getByRole('region', { name: 'What it would do' })
  await expect(thought.getByText(/steps move|Nothing else moves|That can’t be/)).toBeVisible({ timeout: 20_000 })
  await thought.getByRole('button', { name: 'Leave it' }).click()
})

test('by keys: a quarter of an hour later, and left again', async ({ page }, { project }) => {
  test.skip(project.name !== 'desk', 'keys')
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const line = await laterLine(page)
  await open(line)
  await line.focus()
  await line.press('ArrowRight')
  await expect(page.getByText('Reckoning…').or(page.getByText(/steps move|Nothing else moves|That can’t be/))).toBeVisible()
  await expect(line).toBeFocused()
  await line.press('Escape')
  await expect(page.getByText(/steps move|Nothing else moves|That can’t be|Reckoning…/)).toHaveCount(0)
})

test('what if: somebody away, damp air, one more piece, longer hours', async ({ page }) => {
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const answer = page.getByText(/steps move|Nothing else moves|That can’t be/)
  for (const name of [
    /is away|Nobody works/,
    'It gets cold and damp',
    'One more like this comes in',
    'We stay two hours longer',
  ]) {
    await page.getByRole('button', { name }).first().click()
    await expect(answer).toBeVisible({ timeout: 20_000 })
    await page.getByRole('button', { name: 'Leave it' }).click()
    await expect(answer).toHaveCount(0)
  }
})

test('a day on which nobody works is said, and taken back', async ({ page }, { project }) => {
  // six days on at the desk, five on the phone: the two are asked beside each other
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const whatIf = page.getByRole('region', { name: 'What if' })
  const day = whatIf.getByLabel('The day')
  await day.selectOption({ index: project.name === 'desk' ? 6 : 5 })
  const words = ((await day.locator('option:checked').textContent()) ?? '').trim()
  // that day's own: the other days are whoever else's
  const said = whatIf.locator('li').filter({ hasText: words }).getByRole('button', { name: 'As usual again' })
  const thought = page.getByRole('region', { name: 'What it would do' })
  const takeIt = async () => {
    await expect(thought.getByText(/steps move|Nothing else moves/)).toBeVisible({ timeout: 20_000 })
    await thought.getByRole('button', { name: 'Take it' }).click()
    await expect(thought).toHaveCount(0, { timeout: 20_000 })
  }
  const takeBack = async () => {
    for (let left = await said.count(); left > 0; left -= 1) {
      await said.first().click()
      await takeIt()
      await expect(said).toHaveCount(left - 1, { timeout: 20_000 })
    }
  }
  // what a try that was cut short left
  await takeBack()
  const button = whatIf.getByRole('button', { name: /is away|Nobody works|works? that day/ })
  const isWorked = /away|Nobody/.test((await button.textContent()) ?? '')
  await expect(whatIf.getByRole('button', { name: 'We stay two hours longer' })).toHaveCount(isWorked ? 1 : 0)
  await button.click()
  await takeIt()
  await expect(said.first()).toBeVisible({ timeout: 20_000 })
  await takeBack()
})

test.describe(() => {
  test.use({ serviceWorkers: 'allow' })
  test('taken, the bench says what is next in it; offline the week is still there', async ({ page, context }) => {
    await page.goto('/week')
    await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
    const take = page.getByRole('button', { name: /Take (this week|it as it stands now)/ })
    if (await take.isVisible()) await take.click()
    // others may have worked on in between: then it stands otherwise again
    await expect(page.getByRole('button', { name: /This is the week|Take it as it stands now/ })).toBeVisible({ timeout: 30_000 })
    await page.goto('/')
    const more = page.getByRole('button', { name: /^\d+ more$/ })
    if (await more.isVisible()) await more.click()
    await expect(page.getByText('It is next in the week you took.').first()).toBeVisible()
    // whoever has looked at it has it without a connection
    await page.waitForTimeout(3_000)
    await page.goto('/week')
    await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
    await context.setOffline(true)
    await page.reload()
    await expect(page.getByText(/h of work ahead/)).toBeVisible({ timeout: 20_000 })
    await context.setOffline(false)
  })
})

test('what reckons the week may fail: it is said, and asked once more', async ({ page }, { project }) => {
  test.skip(project.name === 'phone', 'the same on both')
  await page.route(/-worker-/, (route) => route.abort())
  await page.goto('/week')
  const alert = page.getByRole('alert').filter({ hasText: 'This device could not reckon it.' })
  await expect(alert).toBeVisible()
  await expectAxeClean(page)
  await page.unroute(/-worker-/)
  await alert.getByRole('button', { name: 'Reckon it again' }).click()
  await expect(page.getByText(/No week is (better|more than)/)).toBeVisible()
})

test('as it was before: the day that was said with the plan is taken back with it', async ({ page }, { project }) => {
  await page.goto('/week')
  await page.getByText(/No week is (better|more than)/).waitFor({ timeout: 20_000 })
  const whatIf = page.getByRole('region', { name: 'What if' })
  const thought = page.getByRole('region', { name: 'What it would do' })
  // a day that nobody else asks after meanwhile
  const day = whatIf.getByLabel('The day')
  await day.selectOption({ index: project.name === 'desk' ? 4 : 3 })
  const words = ((await day.locator('option:checked').textContent()) ?? '').trim()
  const said = whatIf.locator('li').filter({ hasText: words })
  const before = await said.count()
  await whatIf.getByRole('button', { name: /is away|Nobody works|works? that day/ }).click()
  await expect(thought.getByText(/steps move|Nothing else moves/)).toBeVisible({ timeout: 20_000 })
  await thought.getByRole('button', { name: 'Take it' }).click()
  await expect(said).toHaveCount(before + 1, { timeout: 20_000 })
  await page.getByRole('button', { name: 'As it was before' }).click()
  await expect(said).toHaveCount(before, { timeout: 20_000 })
})

test('a day hangs on the wall: what, on what, when, by whom, and when the next may be', async ({ page }) => {
  await page.goto('/week/sheet')
  await expect(page.getByText(/by the week taken/)).toBeVisible()
  await expect(page.locator('article li').first()).toContainText(/\d+ min/)
  await expect(
    page
      .locator('article')
      .getByText(/then (from|by)/)
      .first(),
  ).toBeVisible()
  await expectAxeClean(page)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Days' })).toBeHidden()
  await expect(page.locator('article li').first()).toBeVisible()
})

test('what the air will be is said, told, and taken back', async ({ page }, { project }) => {
  await page.goto('/air')
  const temperature = project.name === 'desk' ? '12.5' : '12.7'
  // what is said later of the same days takes the place of it: each says it of days of their own
  const dayAhead = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
  const first = project.name === 'desk' ? 10 : 20
  await page.getByLabel('From').fill(dayAhead(first + 1))
  await page.getByLabel('To', { exact: true }).fill(dayAhead(first))
  await page.getByLabel('°C then').fill('warm')
  await page.getByLabel('% humidity then').fill('82')
  await page.getByRole('button', { name: 'Expect it' }).click()
  await expect(page.getByText('Write the temperature in °C, from -30 to 50.')).toBeVisible()
  await page.getByLabel('°C then').fill(temperature)
  await expect(page.getByText(/The last day is the first one or later/)).toBeVisible()
  await page.getByLabel('From').fill(dayAhead(first))
  await page.getByRole('button', { name: 'Expect it' }).click()
  const told = page.locator('li').filter({ hasText: `${temperature} °C, 82 %` })
  await expect(told).toHaveCount(1, { timeout: 20_000 })
  await expectAxeClean(page)
  await told.getByRole('button', { name: 'Take it back' }).click()
  await expect(told).toHaveCount(0, { timeout: 20_000 })
})

test('places to dry are said for the house and for a room; what can’t be read stays typed', async ({ page, context }, {
  project,
}) => {
  test.skip(project.name !== 'desk', 'one studio’s, said once')
  await page.goto('/house')
  const form = page.getByRole('form', { name: 'Places to dry' })
  const room = form.getByLabel('Of them in Wax room')
  const keep = form.getByRole('button', { name: 'Keep the places' })
  await room.fill('a few')
  await keep.click()
  await expect(form.getByText('A whole number from 1 to 500, or nothing where there is room enough.')).toBeVisible()
  await expect(room).toHaveValue('a few')
  // so many that nothing has to wait
  await room.fill('120')
  await keep.click()
  await expect(form.getByText('Kept.')).toBeVisible()
  await page.reload()
  await expect(room).toHaveValue('120')
  await expect(form.getByLabel('Of them in Loft')).toHaveValue('')
  await expectAxeClean(page)
  await page.goto('/week')
  await expect(page.getByText(/h of work ahead/)).toBeVisible()
  await page.goto('/house')
  await expect(room).toHaveValue('120')
  // somebody else says it of another room, while this one is open
  const other = await context.newPage()
  await other.goto('/house')
  const its = other.getByRole('form', { name: 'Places to dry' })
  await its.getByLabel('Of them in Loft').fill('110')
  await its.getByRole('button', { name: 'Keep the places' }).click()
  await expect(its.getByText('Kept.')).toBeVisible()
  await room.fill('130')
  await keep.click()
  await expect(form.getByText('Kept.')).toBeVisible()
  await page.reload()
  await expect(form.getByLabel('Of them in Loft')).toHaveValue('110')
  await expect(room).toHaveValue('130')
  await form.getByLabel('Of them in Loft').fill('')
  await room.fill('')
  await keep.click()
  await expect(form.getByText('Kept.')).toBeVisible()
  await page.reload()
  await expect(room).toHaveValue('')
})
