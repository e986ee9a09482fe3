/**
 * The bench as plain data, and its journeys read from it: by the server for the page, by a device that has no connection with
 * what it has written since. Pure.
 */
import { climateIn, type Climates, homeOf, type Room } from '@/core/climate/rooms'
import type { HouseMethod } from '@/core/craft/method'
import { plainStep } from '@/core/finish/step'
import type { Learned } from '@/core/learn/learned'
import { effectiveLog } from '@/core/log/effectiveLog'
import { type Entry, type EntryDraft, type EntryKind, ofKind, wholeEntry } from '@/core/log/entry'
import { makeKept } from '@/core/measure/kept'
import type { PartId, PieceId, StepId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import type { WorkingHours } from '@/core/measure/workingHours'
import { readBack, writeDown, type Written } from '@/core/measure/written'
import { type Journey, readPieces } from '@/core/piece/journey'
import type { Part, Photo, PieceFile, Plan, PlanStep } from '@/core/piece/piece'
import type { OtherWork } from '@/core/piece/work'
import type { Product, ShelfLot } from '@/core/stock/product'
import type { Planned } from './benchOrder'

/** An entry on its way to a device: what is empty is left out, and so is the piece, which is known where it stands. */
type SlimEntry = { [K in EntryKind]: Omit<Extract<EntryDraft, { kind: K }>, 'pieceId'> }[EntryKind]
/** A step likewise. */
type SlimStep = Pick<PlanStep, 'id' | 'position' | 'operation' | 'film' | 'minutes' | 'reason' | 'needed'> & Partial<PlanStep>
type SlimPart = Omit<Part, 'plan' | 'earlier'> & {
  plan: (Omit<Plan, 'steps'> & { steps: SlimStep[] }) | null
  earlier: SlimStep[]
}
type SlimFile = Omit<PieceFile, 'log' | 'parts' | 'takenOut' | 'whole' | 'counted'> & {
  parts: SlimPart[]
  takenOut: SlimPart[]
  whole: SlimPart | null
  log: SlimEntry[]
}

const emptyStep: PlanStep = { ...plainStep('clean', 0), id: '', position: 0, mends: null }

interface BenchContext {
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

/** What the bench never asks after. */
const elsewhere = new Set<EntryKind>(['cost', 'note', 'amended'])

const withoutNulls = (thing: object): unknown => Object.fromEntries(Object.entries(thing).filter(([, value]) => value !== null))
/** When it was written down, and by whom, is nobody's question here. */
const slim = ({ pieceId: _, recordedAt: __, writtenBy: ___, ...entry }: Entry) => withoutNulls(entry) as SlimEntry
/** Of the checks of a step the last alone counts, and one that was passed asks nothing more. */
function isAsked(entry: Entry, log: readonly Entry[]): boolean {
  if (entry.kind !== 'checked') return true
  return entry.result === 'later' && ofKind(log, 'checked').findLast(({ stepId }) => stepId === entry.stepId) === entry
}
const whole = (entry: SlimEntry, pieceId: PieceId): Entry => wholeEntry({ ...entry, pieceId })

/** Steps that are done and ask nothing more; the last one done holds a part back yet. */
function settledIn(log: readonly Entry[]): Set<StepId | null> {
  const settled = new Set<StepId | null>()
  const last = new Map<PartId | null, StepId | null>()
  for (const { kind, partId, stepId } of effectiveLog(log)) {
    if (kind !== 'ended') continue
    settled.add(stepId)
    last.set(partId, stepId)
  }
  for (const stepId of last.values()) settled.delete(stepId)
  for (const entry of log) if (entry.kind === 'checked' && isAsked(entry, log)) settled.delete(entry.stepId)
  return settled
}
/** Clocks so much older than the last that was written share no minute with one that runs. */
const longMs = 48 * 60 * 60_000
const moves = new Set<EntryKind>(['started', 'paused', 'resumed'])
/** What moved the clock of a step that was settled long before: that it ended, and when, is all that is asked of it. */
function longOver(log: readonly Entry[], settled: ReadonlySet<StepId | null>): Set<Entry> {
  const lastMs = Math.max(...log.map(({ at }) => Date.parse(at)))
  const ends = new Map(
    ofKind(effectiveLog(log), 'ended').flatMap(({ stepId, at }) =>
      settled.has(stepId) && lastMs - Date.parse(at) > longMs ? [[stepId, at] as const] : [],
    ),
  )
  const corrected = new Set(log.map(({ corrects }) => corrects))
  const isOver = ({ id, kind, corrects, stepId, at }: Entry) =>
    moves.has(kind) && corrects === null && !corrected.has(id) && stepId !== null && at <= (ends.get(stepId) ?? '')
  return new Set(log.filter(isOver))
}
/** What is settled is drawn and reckoned, not read: how it was to be done stays home. */
const slimStep = (step: PlanStep, settled: ReadonlySet<StepId | null>) =>
  withoutNulls(
    settled.has(step.id)
      ? { ...step, window: null, check: null, mix: null, applicator: null, grit: null, cautions: null }
      : { ...step, cautions: step.cautions.length > 0 ? step.cautions : null },
  ) as SlimStep
const wholeStep = (step: SlimStep): PlanStep => Object.assign({ ...emptyStep }, step)
const slimPart = (part: Part, settled: ReadonlySet<StepId | null>): SlimPart => ({
  ...part,
  plan: part.plan && { ...part.plan, steps: part.plan.steps.map((step) => slimStep(step, settled)) },
  earlier: part.earlier.map((step) => slimStep(step, settled)),
})
const wholePart = (part: SlimPart): Part => ({
  ...part,
  plan: part.plan && { ...part.plan, steps: part.plan.steps.map(wholeStep) },
  earlier: part.earlier.map(wholeStep),
})

/** the last few are enough to point at what is wrong */
const mostPhotos = 4
const lastOf = (photos: readonly Photo[]): Photo[] => photos.slice(-mostPhotos)

/** The air where something stands; the rest is looked up on its own page. */
function nearby<A extends Pick<BenchContext, 'climates' | 'rooms'>>(files: readonly PieceFile[], around: A): A {
  const stands = new Set([null, ...files.map(({ piece }) => piece.roomId)].map((room) => homeOf(room, around.rooms)))
  const climates = Object.fromEntries(Object.entries(around.climates).filter(([room]) => stands.has(room)))
  return { ...around, climates }
}
/** Pieces of the workshop, without what the bench does not ask after. */
export const toBenchData = (files: readonly PieceFile[], around: BenchContext): BenchData => ({
  ...nearby(files, around),
  files: files.map(slimFile),
})
/** The bench on its way to a device, written down file by file. */
export interface WrittenBench {
  around: Written<BenchContext>
  files: Written<SlimFile>[]
}
/** A file that stands as it stood is not written down again. */
export const writeBench = (files: readonly PieceFile[], around: BenchContext): WrittenBench => ({
  around: writeDown(nearby(files, around)),
  files: files.map(writtenFile),
})
/** Nor is it read back again. */
const readLately = makeKept<Written<SlimFile>, SlimFile>(300)
function readFile(text: Written<SlimFile>): SlimFile {
  const file = readLately.get(text) ?? readBack(text)
  readLately.set(text, file)
  return file
}
export const readBenchBack = ({ around, files }: WrittenBench): BenchData => ({ ...readBack(around), files: files.map(readFile) })

const slimFile: (file: PieceFile) => SlimFile = onceFor(({ piece, parts, takenOut, whole: lane, log, photos }) => {
  const settled = settledIn(log)
  const over = longOver(log, settled)
  return {
    piece: { ...piece, condition: null, sourceNote: null },
    parts: parts.map((part) => slimPart(part, settled)),
    takenOut: takenOut.map((part) => slimPart(part, settled)),
    whole: lane && slimPart(lane, settled),
    photos: lastOf(photos),
    log: log.filter((entry) => !elsewhere.has(entry.kind) && isAsked(entry, log) && !over.has(entry)).map(slim),
  }
})

const writtenFile: (file: PieceFile) => Written<SlimFile> = onceFor((file) => writeDown(slimFile(file)))

/** A file as it was before it was made slim, as far as the bench asks after it. */
const wholeFile: (file: SlimFile) => PieceFile = onceFor((file) => ({
  ...file,
  parts: file.parts.map(wholePart),
  takenOut: file.takenOut.map(wholePart),
  whole: file.whole && wholePart(file.whole),
  counted: {},
  log: file.log.map((entry) => whole(entry, file.piece.id)),
}))

/** The journeys of a bench at `nowMs`, with entries it does not know yet. */
export function readBench(data: BenchData, written: readonly Entry[], nowMs: number): Journey[] {
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
