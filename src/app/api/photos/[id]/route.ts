/** Photographs in and out. The bytes of an id never change, so they may be kept by the browser for good. */
import { createHash } from 'node:crypto'
import * as z from 'zod'
import { mostBytes, type PictureIssue, readPicture } from '@/app/_server/picture'
import { answerPicture, noPicture } from '@/app/_server/pictureAnswer'
import { readStudio, sessionSecret, withStudio } from '@/app/_server/session'
import { TooMany } from '@/app/_server/turns'
import { lookUp } from '@/app/_server/whoIsIn'
import { instant } from '@/core/input/fields'
import type { IssueCode } from '@/core/input/issues'
import { addPhoto, findRendition } from '@/db/photo'
import { troubleOf } from '@/db/pool'
import { digestOf, takeDelivery } from '@/db/sent'
import { isOwnAddress, isOwnOrigin } from '@/origin'
import { isFor } from '@/sessionCookie'
import { issueWords } from '@/words/issues'
import { pictureWords } from '@/words/photo'

const idOf = async (params: Promise<{ id: string }>) => z.uuid().safeParse((await params).id)
/** asked here, for the proxy stands aside: before a body is read or a picture worked */
const isIn = async ({ headers }: Request) => {
  const session = await lookUp(await sessionSecret())
  return session !== null && session.isOpen && isFor(session, headers)
}
const elsewhere = () => new Response('This server isn’t called that.', { status: 421 })

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  if (!isOwnAddress(request.headers.get('host'))) return elsewhere()
  if (!(await isIn(request))) return new Response('Nobody is signed in.', { status: 401 })
  const id = await idOf(params)
  const size = z.enum(['small', 'large']).catch('large').parse(new URL(request.url).searchParams.get('size'))
  const bytes = id.success ? await readStudio((client) => findRendition(client, id.data, size)) : null
  // the bytes of a number never change
  return bytes
    ? answerPicture(request, { etag: `"${id.data ?? ''}-${size}"`, bytes, cache: 'private, max-age=31536000, immutable' })
    : noPicture()
}

const statuses: Record<PictureIssue, number> = { empty: 422, 'too-big': 413, 'no-picture': 415, broken: 422 }
const pictureTrouble = (issue: PictureIssue) => Response.json({ issue, words: pictureWords[issue] }, { status: statuses[issue] })

const trouble = (issue: IssueCode, status: number) =>
  Response.json({ issue, words: issueWords[issue] }, { status, ...(status === 503 && { headers: { 'retry-after': '2' } }) })
const again: readonly IssueCode[] = ['busy', 'unreachable']

const query = z.object({
  piece: z.uuid(),
  part: z.uuid().nullable().default(null),
  step: z.uuid().nullable().default(null),
  moment: z.enum(['before', 'during', 'after']),
  at: instant,
  alt: z.string().max(300).default(''),
})

/** Reads the body, but never more than the limit; what is torn on the way is told from what is whole. */
async function readBody(request: Request): Promise<Buffer | PictureIssue> {
  const promised = request.headers.get('content-length')
  if (Number(promised ?? 0) > mostBytes) return 'too-big'
  const chunks: Uint8Array[] = []
  let size = 0
  if (request.body) {
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      size += chunk.length
      if (size > mostBytes) return 'too-big'
      chunks.push(chunk)
    }
  }
  return promised !== null && Number(promised) !== size ? 'broken' : Buffer.concat(chunks)
}

/**
 * PUT the file's bytes under an id made by the sender; the same again changes nothing, other bytes under it are refused. The
 * proxy stands aside here, for it would cut the body: the address and the origin are asked for first of all.
 */
export async function PUT(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const host = request.headers.get('host')
  if (!isOwnAddress(host)) return elsewhere()
  if (!isOwnOrigin(request.headers.get('origin'), host)) return trouble('elsewhere', 403)
  if (!(await isIn(request))) return trouble('signed-out', 401)
  const id = await idOf(params)
  const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!id.success || !asked.success)
    return Response.json({ issue: 'not-readable', words: pictureWords.incomplete }, { status: 400 })
  const file = await readBody(request)
  if (typeof file === 'string') return pictureTrouble(file)
  const { piece: pieceId, part: partId, step: stepId, moment, at: takenAt, alt } = asked.data
  try {
    const picture = await readPicture(file)
    if ('issue' in picture) return pictureTrouble(picture.issue)
    const { width, height, bytes } = picture
    const photo = { id: id.data, partId, stepId, moment, takenAt, width, height, alt }
    const body = { ...asked.data, bytes: createHash('sha256').update(file).digest('hex') }
    const delivery = await withStudio(async (client, studioId) => {
      const found = await takeDelivery(client, studioId, id.data, digestOf('addPhoto', body))
      if (found === 'new') await addPhoto(client, studioId, pieceId, photo, bytes)
      return found
    })
    if (delivery === 'other') return trouble('id-taken', 409)
    return Response.json({ id: id.data, width, height }, { status: 201 })
  } catch (error) {
    if (error instanceof TooMany) return trouble('busy', 503)
    const issue = troubleOf(error)
    if (issue === null) throw error
    return trouble(issue, again.includes(issue) ? 503 : issue === 'not-found' ? 404 : 422)
  }
}
