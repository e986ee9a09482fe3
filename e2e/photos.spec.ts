/** Photographs: told by their content, turned upright, stripped, in two sizes; clear answers to what is none. */
import { readFileSync } from 'node:fs'
import { type APIRequestContext, expect, type Page, test } from '@playwright/test'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'

async function pieceId(page: Page): Promise<string> {
  await page.goto('/pieces?q=Hall+settle')
  const href = await page.locator('a', { hasText: 'Hall settle' }).first().getAttribute('href')
  return href?.split('/').at(-1) ?? ''
}
const takenAt = new Date().toISOString()
const put = (request: APIRequestContext, baseURL: string | undefined, piece: string, id: string, data: Buffer) =>
  request.put(`/api/photos/${id}?${new URLSearchParams({ piece, moment: 'before', at: takenAt, alt: 'A settle' })}`, {
    data,
    headers: { origin: baseURL ?? '', 'content-type': 'application/octet-stream' },
  })

test('a sideways photograph of 30 megapixels is stored upright, small, without where it was taken', async ({
  page,
  request,
  baseURL,
}) => {
  const piece = await pieceId(page)
  const file = await sharp({ create: { width: 6400, height: 4800, channels: 3, background: '#35506b' } })
    .withMetadata({ orientation: 6 })
    .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '50/1 12/1 0/1' }, IFD0: { Make: 'A camera' } })
    .jpeg()
    .toBuffer()
  expect((await sharp(file).metadata()).exif?.length ?? 0).toBeGreaterThan(50)
  const id = uuidv7()
  const stored = await put(request, baseURL, piece, id, file)
  expect(stored.status()).toBe(201)
  // 4800 × 6400 upright, to 1600 at the longer side
  expect(await stored.json()).toMatchObject({ width: 1200, height: 1600 })
  const large = await request.get(`/api/photos/${id}?size=large`)
  expect(large.headers()['cache-control']).toContain('immutable')
  const seen = await sharp(await large.body()).metadata()
  expect(seen).toMatchObject({ format: 'webp', width: 1200, height: 1600 })
  expect(seen.exif).toBeUndefined()
  const small = await sharp(await (await request.get(`/api/photos/${id}?size=small`)).body()).metadata()
  expect(small).toMatchObject({ width: 360, height: 480 })
  const again = await request.get(`/api/photos/${id}?size=large`, { headers: { 'if-none-match': large.headers().etag ?? '' } })
  expect(again.status()).toBe(304)
  // sent twice, stored once
  expect((await put(request, baseURL, piece, id, file)).status()).toBe(201)
  await page.goto(`/pieces/${piece}`)
  await expect(page.locator(`img[src*="${id}"]`)).toHaveCount(1)
})

test('a text named .jpg, an empty file and a torn one are each told what they are', async ({ page, request, baseURL }) => {
  const piece = await pieceId(page)
  await page.goto(`/pieces/${piece}`)
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'settle.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('wax, rags') })
  await expect(page.getByText('This file is no photograph, whatever its name says.')).toBeVisible()
  const empty = await put(request, baseURL, piece, uuidv7(), Buffer.alloc(0))
  expect([empty.status(), ((await empty.json()) as { words: string }).words]).toEqual([
    422,
    'This file is empty. Choose the photograph again.',
  ])
  const noise = await sharp({
    create: { width: 800, height: 600, channels: 3, background: '#fff', noise: { type: 'gaussian', mean: 120, sigma: 40 } },
  })
    .jpeg()
    .toBuffer()
  const torn = await put(request, baseURL, piece, uuidv7(), noise.subarray(0, noise.length / 2))
  expect(torn.status()).toBe(422)
  const svg = await put(
    request,
    baseURL,
    piece,
    uuidv7(),
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
  )
  expect(svg.status()).toBe(415)
})

test('a real photograph of more than 10 MB arrives whole, and one of more than 40 MB is told its size', async ({
  page,
  request,
  baseURL,
}) => {
  const piece = await pieceId(page)
  // noise can't be made small: what a camera writes of gravel
  const noise = (side: number) =>
    sharp({
      create: {
        width: side,
        height: side,
        channels: 3,
        background: '#888',
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
      },
    })
      .jpeg({ quality: 100, chromaSubsampling: '4:4:4' })
      .toBuffer()
  const large = await noise(3200)
  expect(large.length).toBeGreaterThan(11_000_000)
  expect(large.length).toBeLessThan(40_000_000)
  const id = uuidv7()
  const stored = await put(request, baseURL, piece, id, large)
  expect([stored.status(), await stored.json()]).toEqual([201, { id, width: 1600, height: 1600 }])
  const kept = await sharp(await (await request.get(`/api/photos/${id}?size=large`)).body()).metadata()
  expect(kept).toMatchObject({ format: 'webp', width: 1600, height: 1600 })
  // by the browser's own way too: through the outbox, as a phone sends it
  await page.goto(`/pieces/${piece}`)
  const before = await page.locator('img[src*="/api/photos/"]').count()
  await page.locator('input[type=file]').first().setInputFiles({ name: 'gravel.jpg', mimeType: 'image/jpeg', buffer: large })
  await expect.poll(() => page.locator('img[src*="/api/photos/"]').count(), { timeout: 60_000 }).toBe(before + 1)
  const tooBig = await put(request, baseURL, piece, uuidv7(), Buffer.concat([large, Buffer.alloc(41_000_000 - large.length)]))
  expect([tooBig.status(), ((await tooBig.json()) as { words: string }).words]).toEqual([413, expect.stringContaining('40 MB')])
})

test('a phone’s HEIC is taken as any photograph is', async ({ page, request, baseURL }) => {
  const piece = await pieceId(page)
  const id = uuidv7()
  const stored = await put(request, baseURL, piece, id, readFileSync('e2e/fixtures/phone.heic'))
  expect(stored.status()).toBe(201)
  const seen = await sharp(await (await request.get(`/api/photos/${id}?size=large`)).body()).metadata()
  expect(seen.format).toBe('webp')
})

test('119 megapixels and a bomb are refused by their header, before they are unpacked', async ({ page, request, baseURL }) => {
  const piece = await pieceId(page)
  const flat = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#35506b' }, limitInputPixels: false })
  // 10 900 × 10 900: 118.8 megapixels in a file of about a megabyte
  const huge = await flat(10_900, 10_900).jpeg({ quality: 30 }).toBuffer()
  const bomb = await flat(20_000, 20_000).png({ compressionLevel: 9 }).toBuffer()
  for (const file of [huge, bomb]) {
    const begun = Date.now()
    const answer = await put(request, baseURL, piece, uuidv7(), file)
    expect(answer.status()).toBe(413)
    expect(((await answer.json()) as { words: string }).words).toContain('60 megapixels')
    // unpacking it would take longer than all the rest
    expect(Date.now() - begun).toBeLessThan(5_000)
  }
})

test('another picture under an id that is taken is refused and says so', async ({ page, request, baseURL }) => {
  const piece = await pieceId(page)
  const id = uuidv7()
  const picture = (background: string) =>
    sharp({ create: { width: 40, height: 30, channels: 3, background } })
      .png()
      .toBuffer()
  expect((await put(request, baseURL, piece, id, await picture('#35506b'))).status()).toBe(201)
  const other = await put(request, baseURL, piece, id, await picture('#806040'))
  expect([other.status(), await other.json()]).toEqual([409, expect.objectContaining({ issue: 'id-taken' })])
})
