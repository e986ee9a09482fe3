/**
 * The bench as plain data, and its journeys read from it: by the server for the page, by a device that has no connection with
 * what it has written since. Pure.
 */
import { climateIn, homeOf, type Climates, type Room } from '../climate/rooms'
import type { HouseMethod } from '../finish/method'
import type { WorkingHours } from '../house/workingHours'
import type { Learned } from '../learn/learned'
import { blankEntry, type Entry, type EntryKind } from '../log/entry'
import { journeysIn, type Journey, type OtherWork } from '../piece/journey'
import type { Part, Photo, PieceFile, Plan, PlanStep } from '../piece/piece'
import type { Product, ShelfLot } from '../stock/product'

/** An entry on its way to a device: what is empty is left out. */
type SlimEntry = Pick<Entry, 'id' | 'kind' | 'at'> & Partial<Entry>
/** A step likewise. */
type SlimStep = Pick<PlanStep, 'id' | 'position' | 'operation' | 'film' | 'minutes' | 'cautions' | 'reason' | 'needed'> &
  Partial<PlanStep>
type SlimPart = Omit<Part, 'plan' | 'earlier'> & {
  plan: (Omit<Plan, 'steps'> & { steps: SlimStep[] }) | null
  earlier: SlimStep[]
}
type SlimFile = Omit<PieceFile, 'log' | 'parts'> & { parts: SlimPart[]; log: SlimEntry[] }

const blankStep = {
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
} satisfies Partial<PlanStep>

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
const whole = (entry: SlimEntry, pieceId: string): Entry => ({ ...blankEntry, recordedAt: entry.at, ...entry, pieceId })
const slimStep = (step: PlanStep) => said(step) as SlimStep
const wholeStep = (step: SlimStep): PlanStep => ({ ...blankStep, ...step })

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
    files: files.map(({ piece, parts, log, photos }) => ({
      piece: { ...piece, condition: null, sourceNote: null },
      parts: parts.map((part) => ({
        ...part,
        plan: part.plan && { ...part.plan, steps: part.plan.steps.map(slimStep) },
        earlier: part.earlier.map(slimStep),
      })),
      photos: lastOf(photos),
      log: log.filter((entry) => !elsewhere.has(entry.kind) && isAsked(entry, log)).map(slim),
    })),
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
