/** What pages read: pieces as journeys, in the studio's air. */
import 'server-only'
import { notFound } from 'next/navigation'
import { cache } from 'react'
import { z } from 'zod'
import type { Reading } from '../../core/drying/windowFor'
import type { FamilyCode } from '../../core/finish/families'
import { journeyOf, type Journey } from '../../core/piece/journey'
import type { PieceFile } from '../../core/piece/piece'
import type { Client } from '../../db/pool'
import { findPieceFile, listEndedPieces, listOpenPieces, listPieceFiles, type EndedCursor } from '../../db/piece'
import type { SalesChannel, Studio } from '../../core/house/studio'
import type { Product } from '../../core/stock/product'
import { getStudio, listChannels, listProducts, listReadings } from '../../db/studio'
import { withStudio } from './session'

/** How far back the air still matters: the longest cure is 30 days. */
const airDays = 45
const listAir = (client: Client, nowMs: number): Promise<Reading[]> =>
  listReadings(client, new Date(nowMs - airDays * 86_400_000).toISOString())

export interface Workshop {
  studio: Studio
  journeys: Journey[]
  air: Reading | null
  products: Product[]
  nowMs: number
}

/** Every piece in the workshop. */
export const loadWorkshop = (): Promise<Workshop> =>
  withStudio(async (client) => {
    const nowMs = Date.now()
    const studio = await getStudio(client)
    const files = await listPieceFiles(client, await listOpenPieces(client))
    const climate = await listAir(client, nowMs)
    return {
      studio,
      journeys: files.map((file) => journeyOf(file, climate, nowMs, studio.method)),
      air: climate.at(-1) ?? null,
      products: await listProducts(client),
      nowMs,
    }
  })

/** A page of pieces that have left, and where the next page begins. */
export const loadEnded = (limit: number, after: EndedCursor | null): Promise<{ journeys: Journey[]; next: EndedCursor | null }> =>
  withStudio(async (client) => {
    const pieces = await listEndedPieces(client, limit + 1, after)
    const shown = pieces.slice(0, limit)
    const files = await listPieceFiles(client, shown)
    const last = shown.at(-1)
    return {
      journeys: files.map((file) => journeyOf(file, [], Date.now())),
      next: pieces.length > limit && last ? { endedAt: last.endedAt, id: last.id } : null,
    }
  })

export interface PieceView {
  studio: Studio
  journey: Journey
  channels: SalesChannel[]
  products: Product[]
  nowMs: number
}

/** One piece with all that its pages need; null where there is none. */
export const findPieceView = cache((id: string): Promise<PieceView | null> =>
  withStudio(async (client) => {
    const nowMs = Date.now()
    const file: PieceFile | null = await findPieceFile(client, id)
    if (!file) return null
    const studio = await getStudio(client)
    const climate = await listAir(client, nowMs)
    return {
      studio,
      journey: journeyOf(file, climate, nowMs, studio.method),
      channels: await listChannels(client),
      products: await listProducts(client),
      nowMs,
    }
  }),
)

/** The piece a route names; answers 404 where there is none. */
export async function getPieceView(params: Promise<{ id: string }>): Promise<PieceView> {
  const id = z.uuid().safeParse((await params).id)
  const view = id.success ? await findPieceView(id.data) : null
  return view ?? notFound()
}

/** Money per ml or g of a family, from the cheapest price a unit on the shelf; null where the shelf has none. */
export function unitPriceFrom(products: readonly Product[]): (family: FamilyCode) => number | null {
  return (family) => {
    const prices = products.filter((product) => product.family === family).map(({ price, size }) => price / size)
    return prices.length > 0 ? Math.min(...prices) : null
  }
}
