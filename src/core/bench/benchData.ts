/**
 * The bench as plain data, and its journeys read from it: by the server for the page, by a device that has no connection with
 * what it has written since. Pure.
 */
import { type Columns, fromColumns } from '@/core/climate/columns'
import { climateIn, type Climates, type Room } from '@/core/climate/rooms'
import type { HouseMethod } from '@/core/craft/method'
import type { Reading } from '@/core/drying/windowFor'
import { plainStep } from '@/core/finish/step'
import type { Learned } from '@/core/learn/learned'
import { type Entry, type EntryDraft, type EntryKind, wholeEntry } from '@/core/log/entry'
import { type Kept, keptOr, makeKept } from '@/core/measure/kept'
import type { PieceId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import type { WorkingHours } from '@/core/measure/workingHours'
import { readBack, type Written } from '@/core/measure/written'
import { type Journey, readPieces } from '@/core/piece/journey'
import type { Part, PieceFile, Plan, PlanStep } from '@/core/piece/piece'
import type { OtherWork } from '@/core/piece/work'
import type { Product, ShelfLot } from '@/core/stock/product'
import type { Planned } from './benchOrder'

/** An entry on its way to a device: what is empty is left out, and so is the piece, which is known where it stands. */
export type SlimEntry = { [K in EntryKind]: Omit<Extract<EntryDraft, { kind: K }>, 'pieceId'> }[EntryKind]
/** A step likewise. */
export type SlimStep = Partial<PlanStep>
export type SlimPart = Omit<Part, 'plan' | 'earlier'> & {
  plan: (Omit<Plan, 'steps'> & { steps: SlimStep[] }) | null
  earlier: SlimStep[]
}
export type SlimFile = Omit<PieceFile, 'log' | 'parts' | 'takenOut' | 'whole' | 'counted'> & {
  parts: SlimPart[]
  takenOut: SlimPart[]
  whole: SlimPart | null
  log: SlimEntry[]
}

/** What a step is where nothing else is said. */
export const emptyStep: PlanStep = { ...plainStep('clean', 0), id: '', position: 0, mends: null }

export interface BenchContext {
  climates: Climates
  rooms: Room[]
  method: HouseMethod
  hours: WorkingHours
  others: OtherWork[]
  learned: Learned
  products: Product[]
  lots: ShelfLot[]
  /** when steps begin by the week that was taken */
  planned: Planned
  /** pieces of which a change was offered that nobody answered: work on them waits */
  waiting: PieceId[]
}
export interface BenchData extends BenchContext {
  files: SlimFile[]
}

const whole = (entry: SlimEntry, pieceId: PieceId): Entry => wholeEntry({ ...entry, pieceId })

const wholeStep = (step: SlimStep): PlanStep => Object.assign({ ...emptyStep }, step)
const wholePart = (part: SlimPart): Part => ({
  ...part,
  plan: part.plan && { ...part.plan, steps: part.plan.steps.map(wholeStep) },
  earlier: part.earlier.map(wholeStep),
})

/** The bench on its way to a device, written down file by file; one below the other, for many texts are many things to send. */
export interface WrittenBench {
  around: Written<Omit<BenchContext, 'climates'>>
  /** by room, column by column */
  air: Record<string, Written<Columns>>
  files: string
}
/** What a file is full of beside the fields of a step. */
const often =
  'kind at partId stepId personId money touch source rule clock opens productId batchId lotId number name count width height relief ' +
  'shape surfaces substrate existing place sheen unit departures foundColour earlier takenAt bleeds polish slips'
/** The fields that are short in what is written down, for both sides in one order. */
export const fields = [...Object.keys(emptyStep), ...often.split(' ')]

export const inEachRoom = <A, B>(climates: Readonly<Record<string, A>>, work: (climate: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(climates).map(([room, climate]) => [room, work(climate)]))

/** What was read back is not read back again. */
const aroundLately = makeKept<string, Omit<BenchContext, 'climates'>>(20)
const airLately = makeKept<string, readonly Reading[]>(60)
const filesLately = makeKept<string, SlimFile>(300)
const readAround = (text: WrittenBench['around']) => keptOr(aroundLately, text, readBack)
const readAir = (text: Written<Columns>) => keptOr(airLately, text, (written) => fromColumns(readBack(written)))
const readFile = (text: Written<SlimFile>) => keptOr(filesLately, text, (written) => readBack(written, fields))

const isSame = (one: WrittenBench, other: WrittenBench): boolean =>
  one.around === other.around && one.files === other.files && JSON.stringify(one.air) === JSON.stringify(other.air)

/** The benches read last: all devices of a studio ask at once when they are told of a change, and get the very same. */
const benches = makeKept<string, { written: WrittenBench; data: BenchData }>(8)
export function readBenchBack(written: WrittenBench): BenchData {
  const known = benches.get(written.around)
  if (known && isSame(known.written, written)) return known.data
  const { around, air, files } = written
  const data = {
    ...readAround(around),
    climates: inEachRoom(air, readAir),
    files: (files === '' ? [] : (files.split('\n') as Written<SlimFile>[])).map(readFile),
  }
  benches.set(around, { written, data })
  return data
}

/** A file as it was before it was made slim, as far as the bench asks after it. */
const wholeFile: (file: SlimFile) => PieceFile = onceFor((file) => ({
  ...file,
  parts: file.parts.map(wholePart),
  takenOut: file.takenOut.map(wholePart),
  whole: file.whole && wholePart(file.whole),
  counted: {},
  log: file.log.map((entry) => whole(entry, file.piece.id)),
}))

const journeysOf: (data: BenchData) => Kept<number, Journey[]> = onceFor(() => makeKept(1))
/** The journeys of a bench at `nowMs`, with entries it does not know yet. */
export const readBench = (data: BenchData, written: readonly Entry[], nowMs: number): Journey[] =>
  written.length > 0 ? readWith(data, written, nowMs) : keptOr(journeysOf(data), nowMs, () => readWith(data, written, nowMs))

function readWith(data: BenchData, written: readonly Entry[], nowMs: number): Journey[] {
  const files = data.files.map((slimmed): PieceFile => {
    const file = wholeFile(slimmed)
    const mine = written.filter(({ pieceId }) => pieceId === file.piece.id)
    if (mine.length === 0) return file
    const known = new Set(file.log.map(({ id }) => id))
    return { ...file, log: [...file.log, ...mine.filter(({ id }) => !known.has(id))] }
  })
  const { climates, rooms, method, others, learned } = data
  const climateOf = ({ piece }: PieceFile) => climateIn(climates, piece.roomId, rooms)
  return readPieces(files, { climateOf, nowMs, method, others, learned })
}
