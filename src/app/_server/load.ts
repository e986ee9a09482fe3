/** What pages read: pieces as journeys, in the studio's air. */
import 'server-only'
import { notFound } from 'next/navigation'
import { cache } from 'react'
import * as z from 'zod'
import { climateIn, type Room } from '@/core/climate/rooms'
import type { Reading } from '@/core/drying/windowFor'
import type { SalesChannel, Studio } from '@/core/house/studio'
import { type Batch, batchesIn } from '@/core/log/batch'
import type { PieceId } from '@/core/measure/named'
import { type Journey, type ReadingContext, readPiece, readPieces } from '@/core/piece/journey'
import type { PieceFile } from '@/core/piece/piece'
import type { Product, ShelfLot } from '@/core/stock/product'
import { listRooms } from '@/db/climate'
import { listMixLog } from '@/db/entry'
import { listPieces, type PieceCursor } from '@/db/piece'
import type { Client } from '@/db/pool'
import { listLots } from '@/db/stock'
import { listChannels, listProducts } from '@/db/studio'
import { daysAgo, loadContext, loadWorkplace, type Look, type Workplace } from './context'
import { readOpenFiles, readPieceFile, readPieceFiles } from './pieceFiles'
import { readStudio } from './session'

/** a mix that keeps is looked for no longer */
const mixDays = 14

export interface Workshop {
  studio: Studio
  journeys: Journey[]
  nowMs: number
}

async function readWorkshop(client: Client, look: Look, files: readonly PieceFile[], workplace: Workplace): Promise<Workshop> {
  const { nowMs } = look
  const { studio, rooms, climates, learned, others } = await loadContext(client, look, files, workplace)
  const climateOf = ({ piece }: PieceFile) => climateIn(climates, piece.roomId, rooms)
  return {
    studio,
    journeys: readPieces(files, { climateOf, nowMs, method: studio.method, others, learned }),
    nowMs,
  }
}

/** Every piece in the workshop. */
export const loadWorkshop = (): Promise<Workshop> =>
  readStudio(async (client, studioId, beganMs) => {
    const [files, workplace] = await Promise.all([readOpenFiles(client), loadWorkplace(client)])
    return readWorkshop(client, { studioId, beganMs, nowMs: Date.now() }, files, workplace)
  })

export interface PiecesPage extends Workshop {
  /** in the order they are shown: those here, then those that have left */
  ended: Journey[]
  /** where the next page begins */
  next: PieceCursor | null
}
/** A page of pieces: those in the workshop, read in their air, then those that have left. */
export const loadPieces = (asked: { limit: number; sought: string; after: PieceCursor | null }): Promise<PiecesPage> =>
  readStudio(async (client, studioId, beganMs) => {
    const look = { studioId, beganMs, nowMs: Date.now() }
    const read = async () => {
      const found = await listPieces(client, { ...asked, limit: asked.limit + 1 })
      const shown = found.slice(0, asked.limit)
      return { found, shown, files: await readPieceFiles(client, shown) }
    }
    const [{ found, shown, files }, workplace] = await Promise.all([read(), loadWorkplace(client)])
    const here = shown.filter(({ endedAt }) => endedAt === null).length
    const last = shown.at(-1)
    return {
      ...(await readWorkshop(client, look, files.slice(0, here), workplace)),
      ended: readPieces(files.slice(here), { climateOf: () => [], nowMs: look.nowMs }),
      next:
        found.length > asked.limit && last
          ? { left: last.endedAt !== null, at: last.endedAt ?? last.takenInAt, id: last.id }
          : null,
    }
  })

export interface PieceView {
  studio: Studio
  rooms: Room[]
  /** the air it stands in, as last read */
  air: Reading | null
  /** what its journey is read in */
  around: ReadingContext
  journey: Journey
  channels: SalesChannel[]
  nowMs: number
}

/** One piece with all that its pages need; null where there is none. */
export const findPieceView = cache((id: PieceId): Promise<PieceView | null> =>
  readStudio(async (client, studioId, beganMs) => {
    const nowMs = Date.now()
    const [file, workplace, channels] = await Promise.all([
      readPieceFile(client, id),
      loadWorkplace(client),
      listChannels(client),
    ])
    if (!file) return null
    const { studio, rooms, climates, learned, others } = await loadContext(
      client,
      { studioId, beganMs, nowMs },
      [file],
      workplace,
    )
    const climate = climateIn(climates, file.piece.roomId, rooms)
    const around = { climate, nowMs, method: studio.method, others, learned }
    return {
      studio,
      rooms,
      air: climate.at(-1) ?? null,
      around,
      journey: readPiece(file, around),
      channels,
      nowMs,
    }
  }),
)

/** The piece a route names; answers 404 where there is none. */
export async function getPieceView(params: Promise<{ id: string }>): Promise<PieceView> {
  return (await findPieceView(await idIn(params))) ?? notFound()
}
async function idIn(params: Promise<{ id: string }>): Promise<PieceId> {
  const id = z.uuid().safeParse((await params).id)
  return id.success ? id.data : notFound()
}

/** The piece a route names as it stands in the records, for pages that read no windows and no figures from it; 404 likewise. */
export async function getPieceFile(params: Promise<{ id: string }>): Promise<{ file: PieceFile; rooms: Room[] }> {
  const id = await idIn(params)
  return readStudio(async (client) => {
    const [file, rooms] = await Promise.all([readPieceFile(client, id), listRooms(client)])
    return { file: file ?? notFound(), rooms }
  })
}

export interface Stock {
  products: Product[]
  lots: ShelfLot[]
  /** mixes of any piece that may still be good */
  batches: Batch[]
}
/** The shelf with its tins. */
export const readShelf = async (client: Client): Promise<Pick<Stock, 'products' | 'lots'>> => {
  const [products, lots] = await Promise.all([listProducts(client), listLots(client)])
  return { products, lots }
}
/** A piece that a route names, with what is read beside it, asked at once: the shelf and its mixes, in the air that the piece stands in. */
export async function getPieceAndStock<T>(
  params: Promise<{ id: string }>,
  beside: (client: Client, id: PieceId) => Promise<T>,
): Promise<{ view: PieceView; stock: Stock; also: T }> {
  const id = await idIn(params)
  const nowMs = Date.now()
  const [view, [shelf, log, also]] = await Promise.all([
    getPieceView(params),
    readStudio((client) =>
      Promise.all([readShelf(client), listMixLog(client, daysAgo(nowMs, mixDays)), beside(client, id)] as const),
    ),
  ])
  return { view, stock: { ...shelf, batches: batchesIn([{ log, climate: view.around.climate }]) }, also }
}
/** Read once a request. */
export const loadProducts = cache((): Promise<Product[]> => readStudio(listProducts))
