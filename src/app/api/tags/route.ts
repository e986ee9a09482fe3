/** Tags for the pieces that stand in the workshop, or for one of them: PDF, each with a code that opens its page. */
import * as z from 'zod'
import { tagsPaper } from '@/app/_server/papers'
import { readPieceFiles } from '@/app/_server/pieceFiles'
import { loadStudio, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { readPieces } from '@/core/piece/journey'
import { listOpenPieces } from '@/db/piece'
import { ownOrigin } from '@/origin'

/** thirteen sheets are enough for one cut */
const mostTags = 104

export async function GET(request: Request): Promise<Response> {
  if (!(await whoIsIn())) return Response.json({ issue: 'signed-out' }, { status: 401 })
  const wanted = new URL(request.url).searchParams.get('piece')
  if (wanted !== null && !z.uuid().safeParse(wanted).success) return Response.json({ issue: 'not-readable' }, { status: 400 })
  const studio = await loadStudio()
  const files = await readStudio(async (client) => {
    const open = await listOpenPieces(client)
    return readPieceFiles(client, wanted === null ? open.slice(0, mostTags) : open.filter(({ id }) => id === wanted))
  })
  if (files.length === 0) return Response.json({ issue: 'not-found' }, { status: 404 })
  const journeys = readPieces(files, { climateOf: () => [], nowMs: Date.now(), method: studio.method })
  return tagsPaper(studio, journeys, ownOrigin(request.headers))
}
