/**
 * The bench as plain data, and its journeys read from it: by the server for the page, by a device that has no connection with
 * what it has written since. Pure.
 */
import { climateIn, homeOf, type Climates, type Room } from '../climate/rooms'
import type { HouseMethod } from '../finish/method'
import type { WorkingHours } from '../house/workingHours'
import type { Learned } from '../learn/learned'
import { blankEntry, effectiveLog, type Entry, type EntryKind } from '../log/entry'
import { journeysIn, type Journey, type OtherWork } from '../piece/journey'
import type { Part, Photo, PieceFile, Plan, PlanStep } from '../piece/piece'
import type { Product, ShelfLot } from '../stock/product'

/** An entry on its way to a device: what is empty is left out. */
type SlimEntry = Pick<Entry, 'id' | 'kind' | 'at'> & Partial<Entry>
/** A step likewise. */
type SlimStep = Pick<PlanStep, 'id' | 'position' | 'operation' | 'film' | 'minutes' | 'reason' | 'needed'> & Partial<PlanStep>
type SlimPart = Omit<Part, 'plan' | 'earlier'> & {
  plan: (Omit<Plan, 'steps'> & { steps: SlimStep[] }) | null
  earlier: SlimStep[]
}
type SlimFile = Omit<PieceFile, 'log' | 'parts'> & { parts: SlimPart[]; log: SlimEntry[] }

const emptyStep: PlanStep = {
  id: '',
  position: 0,
  operation: 'clean',
  film: 'normal',
  minutes: 0,
  reason: 'cover',
  needed: true,
  family: null,
  colour: null,
  mix: null,
  applicator: null,
  grit: null,
  amount: null,
  window: null,
  check: null,
  coat: null,
  mends: null,
  cautions: [],
}

interface BenchAround {
  climates: Climates
  rooms: Room[]
  method: HouseMethod
  hours: WorkingHours
  others: OtherWork[]
  learned: Learned
  products: Product[]
  lots: ShelfLot[]
}
export interface BenchData extends BenchAround {
  files: SlimFile[]
}

/** What the bench never asks after. */
const elsewhere = new Set<EntryKind>(['cost', 'note', 'amended'])

const said = (thing: object): unknown => Object.fromEntries(Object.entries(thing).filter(([, value]) => value !== null))
/** Its piece is known where it stands, and when it was written down is nobody's question here. */
const slim = ({ pieceId: _, recordedAt: __, ...entry }: Entry) => said(entry) as SlimEntry
/** Of the checks of a step the last alone counts, and one that was passed asks nothing more. */
function isAsked(entry: Entry, log: readonly Entry[]): boolean {
  if (entry.kind !== 'checked') return true
  return entry.result === 'later' && log.findLast(({ kind, stepId }) => kind === 'checked' && stepId === entry.stepId) === entry
}
// all fields first, then what is said: hundreds of these are made for a page, and any other way takes forty times as long
const emptyEntry: Entry = { id: '', pieceId: '', kind: 'note', at: '', recordedAt: '', ...blankEntry }
const whole = (entry: SlimEntry, pieceId: string): Entry =>
  Object.assign({ ...emptyEntry }, entry, { pieceId, recordedAt: entry.at })

/** Steps that are done and ask nothing more; the last one done holds a part back yet. */
function settledIn(log: readonly Entry[]): Set<string | null> {
  const settled = new Set<string | null>()
  const last = new Map<string | null, string | null>()
  for (const { kind, partId, stepId } of effectiveLog(log)) {
    if (kind !== 'ended') continue
    settled.add(stepId)
    last.set(partId, stepId)
  }
  for (const stepId of last.values()) settled.delete(stepId)
  for (const entry of log) if (entry.kind === 'checked' && isAsked(entry, log)) settled.delete(entry.stepId)
  return settled
}
/** What is settled is drawn and reckoned, not read: how it was to be done stays home. */
const slimStep = (step: PlanStep, settled: ReadonlySet<string | null>) =>
  said(
    settled.has(step.id)
      ? { ...step, window: null, check: null, mix: null, applicator: null, grit: null, cautions: null }
      : { ...step, cautions: step.cautions.length > 0 ? step.cautions : null },
  ) as SlimStep
const wholeStep = (step: SlimStep): PlanStep => Object.assign({ ...emptyStep }, step)

/** the last few are enough to point at what is wrong */
const mostPhotos = 4
const lastOf = (photos: readonly Photo[]): Photo[] => photos.slice(-mostPhotos)

/** Pieces of the workshop, without what the bench does not ask after. */
export function toBenchData(files: readonly PieceFile[], around: BenchAround): BenchData {
  // the air where something stands; the rest is looked up on its own page
  const stands = new Set([null, ...files.map(({ piece }) => piece.roomId)].map((room) => homeOf(room, around.rooms)))
  const climates = Object.fromEntries(Object.entries(around.climates).filter(([room]) => stands.has(room)))
  return {
    ...around,
    climates,
    files: files.map(({ piece, parts, log, photos }) => {
      const settled = settledIn(log)
      return {
        piece: { ...piece, condition: null, sourceNote: null },
        parts: parts.map((part) => ({
          ...part,
          plan: part.plan && { ...part.plan, steps: part.plan.steps.map((step) => slimStep(step, settled)) },
          earlier: part.earlier.map((step) => slimStep(step, settled)),
        })),
        photos: lastOf(photos),
        log: log.filter((entry) => !elsewhere.has(entry.kind) && isAsked(entry, log)).map(slim),
      }
    }),
  }
}

/** The journeys of a bench at `nowMs`, with entries it does not know yet. */
export function journeysOn(data: BenchData, written: readonly Entry[], nowMs: number): Journey[] {
  const files = data.files.map((file): PieceFile => {
    const known = new Set(file.log.map(({ id }) => id))
    const own = written.filter(({ id, pieceId }) => pieceId === file.piece.id && !known.has(id))
    const parts = file.parts.map((part) => ({
      ...part,
      plan: part.plan && { ...part.plan, steps: part.plan.steps.map(wholeStep) },
      earlier: part.earlier.map(wholeStep),
    }))
    return { ...file, parts, log: [...file.log.map((entry) => whole(entry, file.piece.id)), ...own] }
  })
  const { climates, rooms, method, others, learned } = data
  const climateOf = ({ piece }: PieceFile) => climateIn(climates, piece.roomId, rooms)
  return journeysIn(files, { climateOf, nowMs, method, others, learned })
}
