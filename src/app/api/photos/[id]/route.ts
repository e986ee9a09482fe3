/** Photographs in and out. The bytes of an id never change, so they may be kept by the browser for good. */
import pg from 'pg'
import { z } from 'zod'
import { addPhoto, findRendition } from '@/db/photo'
import { findPiece } from '@/db/piece'
import { mostBytes, readPicture, type PictureIssue } from '@/app/_server/picture'
import { withStudio } from '@/app/_server/session'

const idOf = async (params: Promise<{ id: string }>) => z.uuid().safeParse((await params).id)

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = await idOf(params)
  const size = z.enum(['small', 'large']).catch('large').parse(new URL(request.url).searchParams.get('size'))
  if (!id.success) return new Response('No such photograph.', { status: 404 })
  const etag = `"${id.data}-${size}"`
  const headers = { ETag: etag, 'Cache-Control': 'private, max-age=31536000, immutable' }
  const bytes = await withStudio((client) => findRendition(client, id.data, size))
  if (!bytes) return new Response('No such photograph.', { status: 404 })
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers })
  return new Response(new Uint8Array(bytes), {
    headers: {
      ...headers,
      'Content-Type': 'image/webp',
      'Content-Disposition': 'inline',
      'Content-Security-Policy': "default-src 'none'",
    },
  })
}

const trouble: Record<PictureIssue, { status: number; words: string }> = {
  empty: { status: 422, words: 'This file is empty. Choose the photograph again.' },
  'too-big': { status: 413, words: 'This photograph is too big: 40 MB and 120 megapixels are the most. Send a smaller one.' },
  heic: {
    status: 415,
    words:
      'This is a HEIC photograph, which can’t be read here. Set the phone’s camera to “most compatible”, or send it as JPEG.',
  },
  'no-picture': {
    status: 415,
    words: 'This file is no photograph, whatever its name says. Choose a JPEG, PNG, WebP, AVIF or TIFF.',
  },
  broken: { status: 422, words: 'This photograph is damaged and can’t be read to its end. Choose it again.' },
}
const answer = (issue: PictureIssue) => Response.json({ issue, words: trouble[issue].words }, { status: trouble[issue].status })

const query = z.object({
  piece: z.uuid(),
  part: z.uuid().nullable().default(null),
  step: z.uuid().nullable().default(null),
  moment: z.enum(['before', 'during', 'after']),
  at: z.iso.datetime(),
  alt: z.string().max(300).default(''),
})

/** Reads the body, but never more than the limit. */
async function readBody(request: Request): Promise<Buffer | null> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) return null
  const chunks: Uint8Array[] = []
  let size = 0
  if (request.body) {
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      size += chunk.length
      if (size > mostBytes) return null
      chunks.push(chunk)
    }
  }
  return Buffer.concat(chunks)
}

/** PUT the file's bytes under an id made by the sender; the same again changes nothing. The proxy has checked the origin. */
export async function PUT(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = await idOf(params)
  const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!id.success || !asked.success)
    return Response.json(
      { issue: 'not-readable', words: 'This upload is incomplete. Reload the page and choose the photograph again.' },
      { status: 400 },
    )
  const file = await readBody(request)
  if (!file) return answer('too-big')
  const picture = await readPicture(file)
  if ('issue' in picture) return answer(picture.issue)
  const { piece: pieceId, part: partId, step: stepId, moment, at: takenAt, alt } = asked.data
  const { width, height, bytes } = picture
  const photo = { id: id.data, partId, stepId, moment, takenAt, width, height, alt }
  const found = await withStudio(async (client, studioId) => {
    if (!(await findPiece(client, pieceId))) return false
    await addPhoto(client, studioId, pieceId, photo, bytes)
    return true
  }).catch((error: unknown) => {
    // a part or a step that is not there
    if (error instanceof pg.DatabaseError && error.code === '23503') return false
    throw error
  })
  return found
    ? Response.json({ id: id.data, width, height }, { status: 201 })
    : Response.json({ issue: 'not-found', words: 'The piece or part of this photograph is not here any more.' }, { status: 404 })
}
