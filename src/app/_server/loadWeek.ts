/** What the bench and the week are read from, as data: a device reads them anew by itself. */
import 'server-only'
import type { BenchContext, BenchData, WrittenBench } from '@/core/bench/benchData'
import type { Planned } from '@/core/bench/benchOrder'
import { toBenchData, writeBench } from '@/core/bench/writeBench'
import { homeOf, type Room } from '@/core/climate/rooms'
import type { Studio } from '@/core/house/studio'
import type { PieceId } from '@/core/measure/named'
import { dayAfter, dayOf } from '@/core/measure/time'
import type { WorkingHours } from '@/core/measure/workingHours'
import type { PieceFile } from '@/core/piece/piece'
import { stepsOf } from '@/core/piece/work'
import type { Hand } from '@/core/week/hands'
import { type WeekAround, type WeekInForce, writeWeek, type WrittenWeek } from '@/core/week/weekData'
import { listForecasts } from '@/db/airAhead'
import { listOpenPiecesOf } from '@/db/piece'
import type { Client } from '@/db/pool'
import { listWaiting } from '@/db/quote'
import { listLots } from '@/db/stock'
import { getStudio, listPeople, listProducts } from '@/db/studio'
import { findDryingPlaces, findWeek, listOtherDays, listPersonHours } from '@/db/week'
import { readMeanAir } from './air'
import { daysAgo, loadContext, loadWorkplace, type Look } from './context'
import { loadPace } from './pace'
import { readOpenFiles, readPieceFiles } from './pieceFiles'
import { readStudio } from './session'

interface BenchRead {
  files: PieceFile[]
  around: BenchContext
  studio: Studio
  week: WeekInForce | null
}
/** The bench as data. */
export const loadBench = (): Promise<BenchData> =>
  readStudio(async (client, studioId, beganMs) => {
    const { files, around } = await readBenchOf(client, { studioId, beganMs, nowMs: Date.now() })
    return toBenchData(files, around)
  })
/** The same on its way to a device, which reads it anew by itself, with what it has written since; and of which pieces it tells. */
export const loadWrittenBench = (): Promise<{ bench: WrittenBench; pieceIds: PieceId[]; tins: number }> =>
  readStudio(async (client, studioId, beganMs) => {
    const { files, around } = await readBenchOf(client, { studioId, beganMs, nowMs: Date.now() })
    return { bench: writeBench(files, around), pieceIds: files.map(({ piece }) => piece.id), tins: around.lots.length }
  })

async function readBenchOf(client: Client, look: Look): Promise<BenchRead> {
  const [files, workplace, week, products, lots, waiting] = await Promise.all([
    readOpenFiles(client),
    loadWorkplace(client),
    findWeek(client),
    listProducts(client),
    listLots(client),
    listWaiting(client),
  ])
  const { studio, ...air } = await loadContext(client, look, files, workplace)
  const { method, hours } = studio
  const around = {
    ...air,
    ...{ method, hours, products, lots },
    planned: plannedAhead(week, files),
    waiting: waiting.map(({ pieceId }) => pieceId),
  }
  return { files, around, studio, week }
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
/** By room; what was read in no room is the first one's. */
async function expectedIn(client: Client, look: Look, rooms: readonly Room[]) {
  const { '': nowhere, ...byRoom } = await readMeanAir(client, look, daysAgo(look.nowMs, expectedDays))
  const first = homeOf(null, rooms)
  return nowhere && !byRoom[first] ? { ...byRoom, [first]: nowhere } : byRoom
}
/** Everybody with their hours; one pair of hands without a name where nobody is named. */
async function readHands(client: Client, usual: WorkingHours): Promise<Hand[]> {
  const [withOwn, people] = await Promise.all([listPersonHours(client), listPeople(client)])
  const own = new Map(withOwn.map(({ id, hours }) => [id, hours]))
  const hands = people.map(({ id, name }) => ({ id, name, hours: own.get(id) ?? usual }))
  return hands.length > 0 ? hands : [{ id: null, name: null, hours: usual }]
}
/** What hangs on the wall: the plan in force, its pieces, and whose hands. */
export const loadSheet = (): Promise<{ week: WeekInForce | null; files: PieceFile[]; hands: Hand[] }> =>
  readStudio(async (client) => {
    const week = await findWeek(client)
    const pieces = await listOpenPiecesOf(client, week?.lines.map(({ stepId }) => stepId) ?? [])
    return {
      week,
      files: await readPieceFiles(client, pieces),
      hands: await readHands(client, (await getStudio(client)).hours),
    }
  })
/** The week on its way to a device, which plans it by itself. */
export const loadWeek = (): Promise<WrittenWeek> =>
  readStudio(async (client, studioId, nowMs) => {
    const look = { studioId, beganMs: nowMs, nowMs }
    const { files, around, studio, week } = await readBenchOf(client, look)
    const { hours: usual, zone } = studio
    const today = dayOf(daysAgo(nowMs, 0), zone)
    const [hands, others, places, expected, forecasts, pace] = await Promise.all([
      readHands(client, usual),
      listOtherDays(client, dayAfter(today, -1)),
      findDryingPlaces(client),
      expectedIn(client, look, around.rooms),
      listForecasts(client, today),
      loadPace(client, studioId, nowMs),
    ])
    const rest: WeekAround = { zone, hands, others, places, expected, forecasts, pace, week }
    return writeWeek(writeBench(files, around), rest)
  })
