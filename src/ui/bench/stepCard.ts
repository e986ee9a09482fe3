/** One step as the bench shows it: plain data, so that a small client island can act on it. */
import { unitOf, type FamilyCode } from '../../core/finish/families'
import type { PartJourney } from '../../core/piece/journey'
import type { PlanStep } from '../../core/piece/piece'
import { sectionOf, type Section } from '../../core/piece/section'
import { findTin, type Product } from '../../core/stock/product'
import type { Film } from '../../core/mix/coatVolumes'
import type { Segment } from '../../core/drying/phase'
import { getOperation } from '../../core/labour/operations'
import { cautionWords, checkWords, pastWords, reasonWords, stepTitle, withWhat } from '../words/craft'

export interface Tin {
  id: string
  name: string
  unit: 'ml' | 'g'
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
}
export interface WindowView {
  segments: Segment[]
  opens: string | null
  mayOpen: string | null
  closes: string | null
  past: string | null
}
export interface StepCard {
  pieceId: string
  pieceName: string
  partId: string
  partName: string
  stepId: string
  title: string
  with: string
  minutes: number
  startedAt: string | null
  cautions: string[]
  check: string | null
  reason: string
  coat: CoatPlan | null
  section: Section
  window: WindowView | null
}

function coatPlan(step: PlanStep, products: readonly Product[]): CoatPlan | null {
  if (!step.family || step.amount === null) return null
  const tin = findTin(products, step.family, step.colour?.hex ?? null)
  return {
    family: step.family,
    amount: step.amount,
    unit: tin?.unit ?? unitOf(step.family),
    mix: step.mix ?? '',
    applicator: step.applicator ?? '',
    film: step.film,
    tinId: tin?.id ?? '',
    tins: products.filter(({ family }) => family === step.family).map(({ id, name, unit }) => ({ id, name, unit })),
  }
}

/** The window a part waits in, as the client draws it. */
export function windowView({ window }: Pick<PartJourney, 'window'>): WindowView | null {
  if (!window) return null
  const { segments, times, label } = window
  return {
    segments,
    opens: times.opens,
    mayOpen: times.mayOpen,
    closes: times.closes,
    past: label.past ? pastWords[label.past] : null,
  }
}

export function toStepCard(
  piece: { id: string; name: string },
  part: PartJourney,
  step: PlanStep,
  products: readonly Product[],
): StepCard {
  const state = part.steps.find((each) => each.step.id === step.id)?.state
  return {
    pieceId: piece.id,
    pieceName: piece.name,
    partId: part.part.id,
    partName: part.part.name,
    stepId: step.id,
    title: stepTitle(step),
    with: withWhat(step),
    minutes: step.minutes,
    startedAt: state?.status === 'running' ? state.startedAt : null,
    cautions: step.cautions.map((code) => cautionWords[code]),
    check: step.check ? checkWords[step.check] : null,
    reason: reasonWords[step.reason],
    coat: getOperation(step.operation).layer ? coatPlan(step, products) : null,
    section: sectionOf(part),
    window: windowView(part),
  }
}
