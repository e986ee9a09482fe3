/** One step as the bench shows it: plain data, so that a small client island can act on it. */
import type { Segment } from '../../core/drying/phase'
import { checkOf, likelyRepairs } from '../../core/finish/checks'
import { getFamily, unitOf, type FamilyCode } from '../../core/finish/families'
import { remedyOf } from '../../core/finish/missed'
import { mayHoldLead } from '../../core/finish/refusals'
import type { RepairCode } from '../../core/finish/repairs'
import { getOperation, type CheckCode } from '../../core/labour/operations'
import { sectionSecondsOf } from '../../core/labour/sections'
import { helpsNow } from '../../core/log/assistance'
import type { Entry } from '../../core/log/entry'
import { findLastLike } from '../../core/log/lastLike'
import type { Film } from '../../core/mix/coatVolumes'
import { factsOf } from '../../core/piece/facts'
import type { Journey, PartJourney } from '../../core/piece/journey'
import type { Photo, PieceFile, PlanStep } from '../../core/piece/piece'
import { sectionOf, type Section } from '../../core/piece/section'
import { isGood, volumeFor, type Batch } from '../../core/mix/batch'
import { coatsAhead } from '../../core/mix/coatsAhead'
import { parseMix } from '../../core/mix/parts'
import { findTin, lotsInTurn, type Product, type ShelfLot } from '../../core/stock/product'
import { cautionWords, pastWords, reasonWords, stepTitle, withWhat } from '../words/craft'

export interface Tin {
  id: string
  name: string
  unit: 'ml' | 'g'
  size: number
  /** what stands on the shelf of it, the one to reach for first */
  lots: ShelfLot[]
}
export interface CoatPlan {
  family: FamilyCode
  amount: number
  unit: 'ml' | 'g'
  mix: string
  applicator: string
  film: Film
  tinId: string
  tins: Tin[]
  /** mixes of this family that can still be used; the one to reach for first */
  batches: Batch[]
  batchId: string
  /** how much to make up, where it is mixed from parts or keeps for a while only; else null */
  mixVolume: number | null
}
export interface WindowView {
  segments: Segment[]
  opens: string | null
  mayOpen: string | null
  closes: string | null
  past: string | null
  /** the repair that makes up for it once it is gone */
  remedy: RepairCode | null
  /** the step whose end started it */
  afterStepId: string
  /** the fans and heat guns that are on */
  helps: string[]
}
export interface StepCard {
  pieceId: string
  pieceName: string
  partId: string
  partName: string
  /** width by height of its face, for the drawing that a snag is marked on */
  face: number
  /** dust, heat and blades are out of the question */
  lead: boolean
  stepId: string
  title: string
  with: string
  minutes: number
  /** running or paused: when it was started */
  startedAt: string | null
  paused: boolean
  /** entries of this step that the card was made with */
  heard: string[]
  /** when its clock last began to run, and ms it had run before; null while it stands */
  since: string | null
  ranMs: number
  cautions: string[]
  check: CheckCode | null
  likely: RepairCode[]
  /** the last photographs of the piece: a snag may be marked on one */
  photos: Photo[]
  reason: string
  coat: CoatPlan | null
  section: Section
  window: WindowView | null
  /** a very short window: worked section by section, against the clock; seconds a section has */
  sectionSeconds: number | null
}

/** What the card is made beside: the shelf, and the coats that were logged before. */
export interface CardAround {
  products: readonly Product[]
  lots: readonly ShelfLot[]
  batches: readonly Batch[]
  /** whose coats one mix may serve */
  journeys: readonly Journey[]
  coats?: readonly Entry[]
  nowMs: number
}

function coatPlan(step: PlanStep, { products, lots, batches, journeys, coats = [], nowMs }: CardAround): CoatPlan | null {
  if (!step.family || step.amount === null) return null
  const { family } = step
  const hex = step.colour?.hex ?? null
  const tin = findTin(products, family, hex)
  const fitting = products.filter((product) => product.family === family && (hex === null || product.colourHex === hex))
  const last = findLastLike(coats, family, new Set(fitting.map(({ id }) => id)))
  const mix = step.mix ?? last?.mix ?? ''
  const tinId = fitting.find(({ id }) => id === last?.productId)?.id ?? tin?.id ?? ''
  const good = batches.filter((batch) => batch.family === family && isGood(batch, nowMs))
  const mixed = parseMix(mix) !== null || getFamily(family).potLife !== undefined
  return {
    family,
    amount: step.amount,
    unit: tin?.unit ?? unitOf(family),
    mix,
    applicator: last?.applicator ?? step.applicator ?? '',
    film: step.film,
    tinId,
    tins: products
      .filter((product) => product.family === family)
      .map(({ id, name, unit, size }) => ({ id, name, unit, size, lots: lotsInTurn(lots, id) })),
    batches: good,
    batchId: good.find((batch) => batch.mix === mix && (batch.productId ?? '') === tinId)?.id ?? '',
    mixVolume: mixed ? Math.ceil(volumeFor(family, coatsAhead(journeys, step))) : null,
  }
}

/** The window a part waits in, as the client draws it. */
export function windowView({ window, assistance }: Pick<PartJourney, 'window' | 'assistance'>, nowMs: number): WindowView | null {
  if (!window) return null
  const { segments, times, label, after } = window
  return {
    segments,
    opens: times.opens,
    mayOpen: times.mayOpen,
    closes: times.closes,
    past: label.past ? pastWords[label.past] : null,
    remedy: label.past ? remedyOf[label.past] : null,
    afterStepId: after.id,
    helps: helpsNow(assistance, nowMs),
  }
}

/** Width by height of the first panel, kept to what can be drawn. */
export function faceOf({ part }: PartJourney): number {
  const panel = part.surfaces.find((surface) => surface.shape === 'panel')
  return panel?.shape === 'panel' ? Math.min(2.4, Math.max(0.5, panel.width / panel.height)) : 0.5
}

/** What a part looked like last: photographs of it and of the whole piece, the latest first. */
export const photosOf = ({ photos }: Pick<PieceFile, 'photos'>, partId: string): Photo[] =>
  photos
    .filter((photo) => photo.partId === null || photo.partId === partId)
    .slice(-4)
    .reverse()

export function toStepCard({ file }: Pick<Journey, 'file'>, part: PartJourney, step: PlanStep, around: CardAround): StepCard {
  const { piece } = file
  // one that runs may be a step of the plan before
  const worked = part.running?.step.id === step.id ? part.running : part.steps.find((each) => each.step.id === step.id)
  const state = worked?.state
  const begun = state?.status === 'running' || state?.status === 'paused'
  const check = checkOf(step)
  return {
    pieceId: piece.id,
    pieceName: piece.name,
    partId: part.part.id,
    partName: part.part.name,
    face: faceOf(part),
    lead: mayHoldLead(factsOf(part.part)),
    stepId: step.id,
    title: stepTitle(step),
    with: withWhat(step),
    minutes: step.minutes,
    startedAt: begun ? state.startedAt : null,
    paused: state?.status === 'paused',
    heard: file.log.flatMap(({ id, stepId }) => (stepId === step.id ? [id] : [])),
    since: begun ? state.since : null,
    ranMs: state?.ranMs ?? 0,
    cautions: step.cautions.map((code) => cautionWords[code]),
    check,
    likely: likelyRepairs(check, step.operation),
    photos: photosOf(file, part.part.id),
    reason: reasonWords[step.reason],
    coat: getOperation(step.operation).layer ? coatPlan(step, around) : null,
    section: sectionOf(part),
    window: windowView(part, around.nowMs),
    sectionSeconds: sectionSecondsOf(step.operation),
  }
}
