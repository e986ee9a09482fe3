/** The bench as plain data: pieces without what is not asked of them there, and on their way to a device. Pure. */
import { type Columns, toColumns } from '@/core/climate/columns'
import { homeOf } from '@/core/climate/rooms'
import type { Reading } from '@/core/drying/windowFor'
import { effectiveLog } from '@/core/log/effectiveLog'
import { type Entry, type EntryKind, ofKind } from '@/core/log/entry'
import type { PartId, StepId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import { makeWriter, writeDown, type Written } from '@/core/measure/written'
import type { Part, Photo, PieceFile, PlanStep } from '@/core/piece/piece'
import {
  type BenchContext,
  type BenchData,
  emptyStep,
  fields,
  inEachRoom,
  type SlimEntry,
  type SlimFile,
  type SlimPart,
  type SlimStep,
  type WrittenBench,
} from './benchData'

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
const settledStep = { window: null, check: null, mix: null, applicator: null, grit: null, cautions: [] }
function slimStep(step: PlanStep, settled: ReadonlySet<StepId | null>): SlimStep {
  const kept = { ...step, ...(settled.has(step.id) && settledStep) }
  const usual = emptyStep as unknown as Record<string, unknown>
  // where there is no caution the usual list has none either
  const isUsual = ([field, value]: [string, unknown]) =>
    value === (usual[field] ?? null) || (field === 'cautions' && kept.cautions.length === 0)
  return Object.fromEntries(Object.entries(kept).filter((each) => !isUsual(each)))
}
const slimPart = (part: Part, settled: ReadonlySet<StepId | null>): SlimPart => ({
  ...part,
  plan: part.plan && { ...part.plan, steps: part.plan.steps.map((step) => slimStep(step, settled)) },
  earlier: part.earlier.map((step) => slimStep(step, settled)),
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

const writtenFile: (file: PieceFile) => Written<SlimFile> = onceFor((file) => writeDown(slimFile(file), fields))

const writtenAir: (readings: readonly Reading[]) => Written<Columns> = onceFor((readings) => writeDown(toColumns(readings)))

/** studios whose pages are asked for again and again */
const mostAround = 20
const writtenAround = makeWriter<Omit<BenchContext, 'climates'>>(mostAround)

/** A file that stands as it stood is not written down again, nor is the air of a room. */
export function writeBench(files: readonly PieceFile[], around: BenchContext): WrittenBench {
  const { climates, ...rest } = nearby(files, around)
  return { around: writtenAround(rest), air: inEachRoom(climates, writtenAir), files: files.map(writtenFile).join('\n') }
}
