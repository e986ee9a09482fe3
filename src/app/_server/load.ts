/** What pages read: pieces as journeys, in the studio's air. */
import 'server-only'
import { notFound } from 'next/navigation'
import { cache } from 'react'
import { z } from 'zod'
import { type BenchData, toBenchData } from '@/core/bench/benchData'
import type { Planned } from '@/core/bench/benchOrder'
import { climateIn, climatesOf, homeOf, type Room } from '@/core/climate/rooms'
import type { Reading } from '@/core/drying/windowFor'
import type { SalesChannel, Studio } from '@/core/house/studio'
import { type Batch, batchesIn } from '@/core/log/batch'
import { workDays } from '@/core/log/labour'
import type { PieceId } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import { type Journey, type ReadingContext, readPiece, readPieces, stepsOf } from '@/core/piece/journey'
import type { PieceFile } from '@/core/piece/piece'
import type { Product, ShelfLot } from '@/core/stock/product'
import type { WeekData, WeekInForce } from '@/core/week/weekData'
import { listLearned, listReadings, listRooms } from '@/db/climate'
import { listMixLog, listOtherWork } from '@/db/entry'
import { findPieceFile, listOpenPieces, listPieceFiles, listPieces, type PieceCursor } from '@/db/piece'
import type { Client } from '@/db/pool'
import { listLots } from '@/db/stock'
import { getStudio, listChannels, listPeople, listProducts } from '@/db/studio'
import { findDryingPlaces, findWeek, listMeanAir, listOtherDays, listPersonHours } from '@/db/week'
import { readStudio } from './session'

/** How far back the air still matters: the longest cure is 30 days. */
const airDays = 45
/** windows of hours are read by every reading, cures of weeks by means */
const exactAirDays = 1
const dayMs = 86_400_000
const daysAgo = (nowMs: number, days: number) => new Date(nowMs - days * dayMs).toISOString()
/** a mix that keeps is looked for no longer */
const mixDays = 14

/** The air of the rooms these pieces stand in, as far back as something on them still dries by it. */
async function listAir(client: Client, nowMs: number, files: readonly PieceFile[], rooms: readonly Room[]) {
  const since = files.reduce(
    (earliest, { log }) => {
      const lastOf = new Map<string | null, string>()
      for (const { kind, partId, at } of log) if (kind === 'ended') lastOf.set(partId, at)
      return [...lastOf.values()].reduce((least, at) => (at < least ? at : least), earliest)
    },
    daysAgo(nowMs, 0),
  )
  const homes = new Set([null, ...files.map(({ piece }) => piece.roomId)].map((roomId) => homeOf(roomId, rooms)))
  return listReadings(client, {
    roomIds: [...homes].filter(Boolean),
    since: later(since, daysAgo(nowMs, airDays)),
    exactSince: later(since, daysAgo(nowMs, exactAirDays)),
  })
}
const later = (one: string, other: string) => (one > other ? one : other)

/** What journeys are read in beside the pieces themselves. */
async function loadContext(client: Client, nowMs: number, files: readonly PieceFile[]) {
  const rooms = await listRooms(client)
  return {
    studio: await getStudio(client),
    rooms,
    climates: climatesOf(await listAir(client, nowMs, files, rooms), rooms),
    learned: await listLearned(client),
    others: await listOtherWork(
      client,
      files.map(({ piece }) => piece.id),
      workDays(files.map(({ log }) => log)),
    ),
  }
}

export interface Workshop {
  studio: Studio
  journeys: Journey[]
  nowMs: number
}

async function readWorkshop(client: Client, nowMs: number, files: readonly PieceFile[]): Promise<Workshop> {
  const { studio, rooms, climates, learned, others } = await loadContext(client, nowMs, files)
  const climateOf = ({ piece }: PieceFile) => climateIn(climates, piece.roomId, rooms)
  return {
    studio,
    journeys: readPieces(files, { climateOf, nowMs, method: studio.method, others, learned }),
    nowMs,
  }
}

/** Every piece in the workshop. */
export const loadWorkshop = (): Promise<Workshop> =>
  readStudio(async (client) => readWorkshop(client, Date.now(), await listPieceFiles(client, await listOpenPieces(client))))

export interface PiecesPage extends Workshop {
  /** in the order they are shown: those here, then those that have left */
  ended: Journey[]
  /** where the next page begins */
  next: PieceCursor | null
}
/** A page of pieces: those in the workshop, read in their air, then those that have left. */
export const loadPieces = (asked: { limit: number; sought: string; after: PieceCursor | null }): Promise<PiecesPage> =>
  readStudio(async (client) => {
    const nowMs = Date.now()
    const found = await listPieces(client, { ...asked, limit: asked.limit + 1 })
    const shown = found.slice(0, asked.limit)
    const files = await listPieceFiles(client, shown)
    const here = shown.filter(({ endedAt }) => endedAt === null).length
    const last = shown.at(-1)
    return {
      ...(await readWorkshop(client, nowMs, files.slice(0, here))),
      ended: readPieces(files.slice(here), { climateOf: () => [], nowMs }),
      next:
        found.length > asked.limit && last
          ? { left: last.endedAt !== null, at: last.endedAt ?? last.takenInAt, id: last.id }
          : null,
    }
  })

/** The bench as data: a device reads it anew by itself, with what it has written since. */
export const loadBench = (): Promise<BenchData> => readStudio(async (client) => (await readBenchData(client, Date.now())).bench)

async function readBenchData(
  client: Client,
  nowMs: number,
): Promise<{ bench: BenchData; studio: Studio; week: WeekInForce | null }> {
  const files = await listPieceFiles(client, await listOpenPieces(client))
  const { studio, ...around } = await loadContext(client, nowMs, files)
  const { method, hours } = studio
  const week = await findWeek(client)
  const bench = toBenchData(files, {
    ...around,
    method,
    hours,
    products: await listProducts(client),
    lots: await listLots(client),
    planned: plannedAhead(week, files),
  })
  return { bench, studio, week }
}

/** When the steps of these pieces begin by the week that was taken; of two sides the first. */
function plannedAhead(week: WeekInForce | null, files: readonly PieceFile[]): Planned {
  if (!week) return {}
  const here = new Set(files.flatMap((file) => [...stepsOf(file).keys()]))
  const lines = week.lines.filter(({ stepId }) => here.has(stepId)).sort((a, b) => b.at - a.at)
  return Object.fromEntries(lines.map(({ stepId, at }) => [stepId, at]))
}

/** how far back the air of the days to come is looked for */
const expectedDays = 14
/** The week as data: a device plans it by itself. */
export const loadWeek = (): Promise<WeekData> =>
  readStudio(async (client) => {
    const nowMs = Date.now()
    const { bench, studio, week } = await readBenchData(client, nowMs)
    const { hours: usual, zone } = studio
    const own = new Map((await listPersonHours(client)).map(({ id, hours }) => [id, hours]))
    const people = await listPeople(client)
    const hands = people.map(({ id, name }) => ({ id, name, hours: own.get(id) ?? usual }))
    return {
      bench,
      zone,
      hands: hands.length > 0 ? hands : [{ id: null, name: null, hours: usual }],
      others: await listOtherDays(client, dayOf(daysAgo(nowMs, 1), zone)),
      places: await findDryingPlaces(client),
      expected: await listMeanAir(client, daysAgo(nowMs, expectedDays)),
      week,
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
  readStudio(async (client) => {
    const nowMs = Date.now()
    const file: PieceFile | null = await findPieceFile(client, id)
    if (!file) return null
    const { studio, rooms, climates, learned, others } = await loadContext(client, nowMs, [file])
    const climate = climateIn(climates, file.piece.roomId, rooms)
    const around = { climate, nowMs, method: studio.method, others, learned }
    return {
      studio,
      rooms,
      air: climate.at(-1) ?? null,
      around,
      journey: readPiece(file, around),
      channels: await listChannels(client),
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
  return readStudio(async (client) => ({
    file: (await findPieceFile(client, id)) ?? notFound(),
    rooms: await listRooms(client),
  }))
}

export interface Stock {
  products: Product[]
  lots: ShelfLot[]
  /** mixes of any piece that may still be good */
  batches: Batch[]
}
/** The shelf, and the mixes in the air that a piece stands in: for pages where something is taken of them. */
export const loadStock = ({ around: { climate, nowMs } }: Pick<PieceView, 'around'>): Promise<Stock> =>
  readStudio(async (client) => ({
    products: await listProducts(client),
    lots: await listLots(client),
    batches: batchesIn([{ log: await listMixLog(client, daysAgo(nowMs, mixDays)), climate }]),
  }))
export const loadProducts = (): Promise<Product[]> => readStudio(listProducts)
