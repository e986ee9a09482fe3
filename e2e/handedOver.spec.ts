/** Photographs that a phone's gallery hands over: they wait on the device, without a connection too, until it is said whose they are. */
import { expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { expectAxeClean } from './axe'

// it keeps what is needed without a connection
test.use({ serviceWorkers: 'allow' })

const photograph = (background: string) =>
  sharp({ create: { width: 640, height: 480, channels: 3, background } })
    .jpeg()
    .toBuffer()

/** As a phone does it: a form of its own, sent to where the app takes what is shared. */
async function handOver(page: Page, files: readonly { name: string; type: string; data: Buffer }[]) {
  // it may lead to where the page is already
  const arrived = page.waitForEvent('domcontentloaded')
  await page.evaluate(
    (all) => {
      const input = Object.assign(document.createElement('input'), { type: 'file', name: 'photos', multiple: true })
      const chosen = new DataTransfer()
      for (const { name, type, bytes } of all) chosen.items.add(new File([new Uint8Array(bytes)], name, { type }))
      input.files = chosen.files
      const form = Object.assign(document.createElement('form'), {
        method: 'POST',
        action: '/share',
        enctype: 'multipart/form-data',
      })
      form.append(input)
      document.body.append(form)
      // once this has answered: the page goes with it
      setTimeout(() => form.submit())
    },
    files.map(({ data, ...file }) => ({ ...file, bytes: [...data] })),
  )
  await arrived
  await page.waitForURL('**/shared')
}
/** The service worker has the page, and what brings it to life. */
async function atHand(page: Page) {
  await page.goto('/')
  const kept = () => page.evaluate(async () => (await (await caches.open('itinerum-pages')).match('/shared')) !== undefined)
  await expect.poll(kept, { timeout: 60_000 }).toBe(true)
  await page.goto('/shared')
  await expect(page.getByText('Nothing waits here.')).toBeVisible()
}

test('two are handed over, one is none of ours, the other goes to its piece; a text among them is left behind', async ({
  page,
}) => {
  const manifest = (await (await page.request.get('/manifest.webmanifest')).json()) as { share_target?: { action: string } }
  expect(manifest.share_target).toMatchObject({ action: '/share', method: 'POST', enctype: 'multipart/form-data' })
  await atHand(page)
  await handOver(page, [
    { name: 'settle.jpg', type: 'image/jpeg', data: await photograph('#7a4b2c') },
    { name: 'holiday.jpg', type: 'image/jpeg', data: await photograph('#3d6ea5') },
    { name: 'words.txt', type: 'text/plain', data: Buffer.from('wax, rags') },
  ])
  const waiting = page.getByRole('main').getByRole('img')
  await expect(waiting).toHaveCount(2)
  await expectAxeClean(page)
  const holiday = page.getByRole('listitem').filter({ has: page.getByRole('img', { name: 'holiday.jpg' }) })
  await holiday.getByRole('button', { name: 'Not this one: holiday.jpg' }).press('Enter')
  await expect(waiting).toHaveCount(1)
  // whoever goes by keys is at the next one
  await expect(page.getByRole('button', { name: 'Not this one: settle.jpg' })).toBeFocused()
  await page.getByLabel('Whose they are').selectOption({ label: 'Hall settle with a lifting seat' })
  await page.getByLabel('Taken').selectOption('before')
  await page.getByRole('button', { name: 'Put it with the piece' }).click()
  await expect(page.getByText('One photograph is with')).toBeVisible()
  await page.getByRole('link', { name: 'Hall settle with a lifting seat' }).click()
  await expect(page.getByRole('img', { name: 'Hall settle with a lifting seat, before' }).last()).toBeVisible()
  // nothing of it waits any more
  await page.goto('/shared')
  await expect(page.getByText('Nothing waits here.')).toBeVisible()
})

test('without a connection they wait on the device, and go with what else waits when it is back', async ({ page, context }) => {
  await atHand(page)
  await context.setOffline(true)
  await handOver(page, [{ name: 'stand.jpg', type: 'image/jpeg', data: await photograph('#55604a') }])
  await expect(page.getByRole('img', { name: 'stand.jpg' })).toBeVisible()
  await page.getByLabel('Whose they are').selectOption({ label: 'Tall plant stand' })
  await page.getByRole('button', { name: 'Put it with the piece' }).click()
  await expect(page.getByText('One photograph is with')).toBeVisible()
  await context.setOffline(false)
  await expect(async () => {
    await page.goto('/pieces?q=Tall+plant')
    await page
      .getByRole('link', { name: /Tall plant stand/ })
      .first()
      .click()
    await expect(page.getByRole('img', { name: 'Tall plant stand, during' }).first()).toBeVisible({ timeout: 4_000 })
  }).toPass({ timeout: 60_000 })
})

test('what can’t be read is told under its picture and waits still; that there was no room is told, too', async ({ page }) => {
  await atHand(page)
  await handOver(page, [{ name: 'torn.jpg', type: 'image/jpeg', data: Buffer.from('wax, rags') }])
  await page.getByRole('button', { name: 'Put it with the piece' }).dblclick()
  await expect(page.getByText('This file is no photograph, whatever its name says.')).toBeVisible()
  await expectAxeClean(page)
  await page.getByRole('button', { name: 'Not this one: torn.jpg' }).click()
  await expect(page.getByText('Nothing waits here.')).toBeVisible()
  await page.goto('/blank')
  await page.goto('/shared#lost')
  await expect(page.getByText('Not all of them could be kept: this device has no room left.')).toBeVisible()
})
