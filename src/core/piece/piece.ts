/** A piece with its parts, plans and log, as the core reads it. Lengths in mm, money in minor units; pure types. */
import type { FamilyCode } from '@/core/craft/families'
import type { Counted } from '@/core/craft/job'
import type { LeadFinding } from '@/core/craft/lead'
import type { LookCode } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { ExistingFinishCode, PartKind, Polish, SubstrateCode, UseCode } from '@/core/craft/parts'
import type { Slot } from '@/core/craft/recipe'
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import type { Reading } from '@/core/drying/windowFor'
import type { PlannedStep } from '@/core/finish/step'
import type { Touch } from '@/core/finish/touch'
import type { Colour } from '@/core/finish/wish'
import type { Entry } from '@/core/log/entry'
import type { Day, Instant, PartId, PhotoId, PieceId, PlanId, RoomId, StepId } from '@/core/measure/named'
import type { MeasuredFace } from '@/core/measure/surfaceArea'
import type { StepEdits } from '@/core/plan/stepEdits'
import type { ArticleCode } from './articles'

export const sources = {
  auction: 'auction',
  classified: 'classified',
  fair: 'sale or fair',
  gift: 'gift',
  kerb: 'the kerb',
  own: 'our own',
  commission: 'commission',
} as const
export type Source = keyof typeof sources

export interface Piece {
  id: PieceId
  name: string
  source: Source
  sourceNote: string | null
  client: string | null
  /** YYYY-MM-DD in the studio's zone */
  promisedOn: Day | null
  takenInAt: Instant
  /** what it should bring, minor units */
  expected: number | null
  condition: string | null
  /** where it stands; null where no room was named */
  roomId: RoomId | null
  /** what it is; null where it was begun from none */
  article: ArticleCode | null
}

export interface PlanStep extends PlannedStep {
  id: StepId
  position: number
  /** the snag that this step mends */
  mends?: string | null
}
/** A part that is not painted, or the work around the paint: what is done instead of a finish. */
export const careCodes = ['untouched', 'cleaned', 'waxed', 'job'] as const
export type CareCode = (typeof careCodes)[number]
export interface Plan {
  id: PlanId
  /** no finish is laid: look and paint say nothing then */
  care?: CareCode | undefined
  look: LookCode
  with: LookCode[]
  paint: FamilyCode
  colours: Partial<Record<Slot, Colour>>
  /** the topcoat, where it was chosen by hand */
  seal: TopcoatCode | null
  /** how much it is to shine; as it comes unless given */
  sheen?: Sheen | undefined
  /** the painter's own list of layers, where it is no longer the look's */
  touches?: readonly Touch[] | undefined
  /** what the painter did to its steps: the desk opens on it */
  edits?: StepEdits | undefined
  /** where this part departs from the house method */
  departures: Partial<HouseMethod>
  madeAt: Instant
  steps: PlanStep[]
}
export interface Part {
  id: PartId
  name: string
  kind: PartKind
  count: number
  substrate: SubstrateCode
  existing: ExistingFinishCode
  lead: LeadFinding
  use: UseCode
  bleeds: boolean
  polish: Polish
  /** a patch of paint came off */
  slips: boolean
  /** the colour of old paint, #rrggbb */
  foundColour: string | null
  knots: number | null
  surfaces: MeasuredFace[]
  /** the plan in force; null until a finish is chosen */
  plan: Plan | null
  /** steps of earlier plans that the log still speaks of */
  earlier: PlanStep[]
}
export interface Photo {
  id: PhotoId
  moment: 'before' | 'during' | 'after'
  takenAt: Instant
  width: number
  height: number
  alt: string
  /** the part it shows, where it shows one; the step it was taken at, where it was taken at one */
  partId: PartId | null
  stepId: StepId | null
}
export interface PieceFile {
  piece: Piece
  parts: Part[]
  /** parts that were taken out: the log still speaks of them */
  takenOut: Part[]
  /** the work around the paint; null until it is planned */
  whole: Part | null
  /** what was counted on it */
  counted: Counted
  log: Entry[]
  photos: Photo[]
}
/** The studio's air: readings in any order. */
export type Climate = readonly Reading[]
