/** Photographs: told by their content, turned upright, stripped, in two sizes; clear answers to what is none. */
import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'

async function pieceId(page: Page): Promise<string> {
  await page.goto('/pieces')
  const href = await page.locator('a', { hasText: 'Hall settle' }).first().getAttribute('href')
  return href?.split('/').at(-1) ?? ''
}
const put = (request: APIRequestContext, baseURL: string | undefined, piece: string, id: string, data: Buffer) =>
  request.put(
    `/api/photos/${id}?${new URLSearchParams({ piece, moment: 'before', at: new Date().toISOString(), alt: 'A settle' })}`,
    {
      data,
      headers: { origin: baseURL ?? '', 'content-type': 'application/octet-stream' },
    },
  )

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
