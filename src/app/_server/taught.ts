/** The pieces that left last, each with what came of it. */
import 'server-only'
import type { Person, SalesChannel, Studio } from '@/core/house/studio'
import { bearRents, type Result, resultOf } from '@/core/house/taught'
import type { PieceId } from '@/core/measure/named'
import { readPieces } from '@/core/piece/journey'
import type { Piece } from '@/core/piece/piece'
import { listLeft } from '@/db/piece'
import { keepOfPieces, type KeptOfPieces, listPieceMarks, readByMarks } from '@/db/pieceMark'
import type { Client } from '@/db/pool'
import { sumCredits } from '@/db/receipt'
import { getStudio, listChannels, listPeople } from '@/db/studio'
import { loadContextOfLeft } from './context'
import { readPieceFiles } from './pieceFiles'
import { readStudio } from './session'
import { makeUnchanged } from './unchanged'

/** pieces looked back on */
const mostPieces = 60
/** Hands that were elsewhere at the same time may be put right there: what came of a piece stands for so long. */
const standsMs = 10 * 60_000
interface Came {
  /** what it was reckoned by beside the piece */
  by: string
  untilMs: number
  result: Result | null
}
const holder = globalThis as { itinerumResults?: KeptOfPieces<Came> }
const kept = (holder.itinerumResults ??= keepOfPieces(2_000))

/** What came of pieces that have left: as it was reckoned under the same mark and terms lately, else anew. */
async function resultsOf(client: Client, studio: Studio, pieces: readonly Piece[]): Promise<Result[]> {
  const nowMs = Date.now()
  const ids = pieces.map(({ id }) => id)
  const [credits, marks] = await Promise.all([sumCredits(client, ids), listPieceMarks(client, ids)])
  const byOf = (id: PieceId) => JSON.stringify([studio, credits.get(id) ?? 0])
  const reckon = async (wanted: readonly PieceId[]): Promise<Map<PieceId, Came>> => {
    const files = await readPieceFiles(
      client,
      pieces.filter(({ id }) => wanted.includes(id)),
    )
    const { others, learned } = await loadContextOfLeft(client, files)
    const journeys = readPieces(files, { climateOf: () => [], nowMs, method: studio.method, others, learned })
    return new Map(
      journeys.map((journey): [PieceId, Came] => {
        const { id } = journey.file.piece
        const result = resultOf(journey, studio, studio.zone, credits.get(id))
        return [id, { by: byOf(id), untilMs: nowMs + standsMs, result }]
      }),
    )
  }
  const came = await readByMarks(marks, kept, ids, reckon, (id, { by, untilMs }) => untilMs > nowMs && by === byOf(id))
  return ids.flatMap((id) => came.get(id)?.result ?? [])
}

export interface Taught {
  studio: Studio
  results: Result[]
  channels: SalesChannel[]
  people: Person[]
}
/** Whether there are more that left; and what came of the last. */
interface Left {
  isCut: boolean
  results: Result[]
}
/** studios that are kept in mind */
const mostStudios = 200
const asItStood = makeUnchanged<Left>(mostStudios)
export const loadTaught = (): Promise<Taught> =>
  readStudio(async (client, studioId, beganMs) => {
    const [studio, channels, people] = await Promise.all([getStudio(client), listChannels(client), listPeople(client)])
    // what the house reckons by is told by no change
    const { isCut, results } = await asItStood.or(studioId, JSON.stringify(studio), beganMs, async () => {
      const left = await listLeft(client, mostPieces)
      return { isCut: left.length >= mostPieces, results: await resultsOf(client, studio, left) }
    })
    const rents = new Map(channels.map(({ id, rent }) => [id, rent]))
    return { studio, results: bearRents(results, rents, isCut), channels, people }
  })
