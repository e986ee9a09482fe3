/** The pieces that left last, each with what came of it. */
import 'server-only'
import type { Person, SalesChannel, Studio } from '@/core/house/studio'
import { bearRents, type Result, resultOf } from '@/core/house/taught'
import { readPieces } from '@/core/piece/journey'
import { listLeft } from '@/db/piece'
import { sumCredits } from '@/db/receipt'
import { listChannels, listPeople } from '@/db/studio'
import { loadContextOfLeft } from './context'
import { readPieceFiles } from './pieceFiles'
import { readStudio } from './session'

/** pieces looked back on */
const mostPieces = 60

export interface Taught {
  studio: Studio
  results: Result[]
  channels: SalesChannel[]
  people: Person[]
}
export const loadTaught = (): Promise<Taught> =>
  readStudio(async (client) => {
    const nowMs = Date.now()
    const files = await readPieceFiles(client, await listLeft(client, mostPieces))
    const { studio, others, learned } = await loadContextOfLeft(client, files)
    const journeys = readPieces(files, { climateOf: () => [], nowMs, method: studio.method, others, learned })
    const channels = await listChannels(client)
    const credits = await sumCredits(
      client,
      files.map(({ piece }) => piece.id),
    )
    const results = journeys.flatMap(
      (journey) => resultOf(journey, studio, studio.zone, credits.get(journey.file.piece.id)) ?? [],
    )
    return {
      studio,
      results: bearRents(results, new Map(channels.map(({ id, rent }) => [id, rent])), files.length >= mostPieces),
      channels,
      people: await listPeople(client),
    }
  })
