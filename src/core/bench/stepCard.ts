/** One step as the bench shows it: plain data and codes, so that a small client island can act on it. Pure. */
import { checkOf, likelyRemedies } from '@/core/craft/checks'
import { mayHoldLead } from '@/core/craft/lead'
import { type CheckCode, getOperation, type OperationCode } from '@/core/craft/operations'
import type { PartKind } from '@/core/craft/parts'
import type { Face, Pattern } from '@/core/craft/pattern'
import { canShow, type RemedyCode, remedyCodes } from '@/core/craft/remedies'
import type { PastCode } from '@/core/craft/windows'
import type { Segment } from '@/core/drying/phase'
import type { AssistanceKind } from '@/core/drying/windowFor'
import { patternAt } from '@/core/finish/pattern'
import { type SectionClock, sectionClock, sectionsOf } from '@/core/finish/sections'
import { assistsNow } from '@/core/log/assistance'
import { ofKind } from '@/core/log/entry'
import type { LoggedCoat } from '@/core/log/lastLike'
import { isAhead } from '@/core/log/stepStates'
import type { Instant, PartId, PieceId, StepId } from '@/core/measure/named'
import { onceFor } from '@/core/measure/once'
import { faceFor } from '@/core/piece/area'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { Photo, PieceFile, PlanStep } from '@/core/piece/piece'
import { type CrossSection, sectionOf } from '@/core/piece/section'
import { stepsOf } from '@/core/piece/work'
import { remedyOf } from '@/core/plan/missed'
import { spoilsSoon } from './benchOrder'
import { type CoatContext, type CoatPlan, coatPlanOf } from './coatPlan'

export interface WindowView {
  segments: Segment[]
  opens: Instant | null
  mayOpen: string | null
  closes: Instant | null
  past: PastCode | null
  /** the remedy that makes up for it once it is gone */
  remedy: RemedyCode | null
  /** the step whose end started it */
  afterStepId: string
  /** the fans and heat guns that are on */
  assists: AssistanceKind[]
}
export interface StepCard {
  pieceId: PieceId
  pieceName: string
  partId: PartId
  partName: string
  kind: PartKind
  count: number
  /** width by height of its face, for the drawing that a snag is marked on */
  face: number
  /** dust, heat and blades are out of the question */
  lead: boolean
  stepId: StepId
  /** what is to be done, with what, and why */
  step: PlanStep
  /** running or paused: when it was started */
  startedAt: Instant | null
  paused: boolean
  /** a change of its piece waits for the client's yes: it is not begun until then */
  waits: boolean
  /** when the first of its two sides was laid */
  laidAt: Instant | null
  /** it waits to be turned: its window is that */
  turning: boolean
  /** entries of this step that the card was made with */
  heard: string[]
  /** when its clock last began to run, and ms it had run before; null while it stands */
  since: Instant | null
  ranMs: number
  check: CheckCode | null
  likely: RemedyCode[]
  /** what can have gone wrong on this part so far */
  mayShow: RemedyCode[]
  /** the last photographs of the piece: a snag may be marked on one */
  photos: Photo[]
  coat: CoatPlan | null
  section: CrossSection
  /** what it is set out by, on which face */
  pattern: { pattern: Pattern; face: Face } | null
  window: WindowView | null
  /** worked section by section, against the clock; null where it is done in one go */
  sectionClock: SectionClock | null
  /** in how many sections it and the next are worked; 1 where it is done in one go */
  sections: number
}

/** What the card is made beside: the shelf, the mixes, and the coats that were logged before. */
export interface CardContext extends CoatContext {
  /** pieces of which a change waits for the client's yes */
  waiting: ReadonlySet<PieceId>
}

/** The coats of these logs with the operation each was laid in: how a like one goes is learned from them. */
export const loggedCoats = (journeys: readonly Journey[]): LoggedCoat[] =>
  journeys.flatMap(({ file, log }) => {
    const steps = stepsOf(file)
    return ofKind(log, 'coat').flatMap(({ stepId, at, coat }) => {
      const operation: OperationCode | undefined = stepId === null ? undefined : steps.get(stepId)?.operation
      return operation ? [{ operation, at, coat }] : []
    })
  })

/** The window a part waits in, as the client draws it. */
export function windowView({ window, assistance }: Pick<PartJourney, 'window' | 'assistance'>, nowMs: number): WindowView | null {
  if (!window) return null
  const { segments, times, label, after } = window
  return {
    segments,
    opens: times.opens,
    mayOpen: times.mayOpen,
    closes: times.closes,
    past: label.past ?? null,
    remedy: label.past ? remedyOf[label.past] : null,
    afterStepId: after.id,
    assists: assistsNow(assistance, nowMs),
  }
}

/** Width by height of the first panel, kept to what can be drawn. */
export function faceOf({ part }: PartJourney): number {
  const panel = part.surfaces.find((surface) => surface.shape === 'panel')
  return panel?.shape === 'panel' ? Math.min(2.4, Math.max(0.5, panel.width / panel.height)) : 0.5
}

/** What a part looked like last: photographs of it and of the whole piece, the latest first. */
export const photosOf = ({ photos }: Pick<PieceFile, 'photos'>, partId: PartId): Photo[] =>
  photos
    .filter((photo) => photo.partId === null || photo.partId === partId)
    .slice(-4)
    .reverse()

const followerOf = ({ steps }: PartJourney, step: PlanStep) =>
  steps[steps.findIndex((each) => each.step.id === step.id) + 1]?.step

/** The mistakes that can show on a part, by what was done and what is to come. */
export const mayShowOn: (part: Pick<PartJourney, 'done' | 'running' | 'steps'>) => RemedyCode[] = onceFor(
  ({ done, running, steps }) => {
    const behind = [...done, ...(running ? [running] : [])].map(({ step }) => step)
    const ahead = steps.filter(({ state }) => isAhead(state)).map(({ step }) => step)
    return remedyCodes.filter((code) => canShow(code, behind, ahead))
  },
)

export function toStepCard(journey: Journey, part: PartJourney, step: PlanStep, around: CardContext): StepCard {
  const { file } = journey
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
    kind: part.part.kind,
    count: part.part.count,
    face: faceOf(part),
    lead: mayHoldLead(part.part),
    stepId: step.id,
    step,
    startedAt: begun ? state.startedAt : null,
    paused: state?.status === 'paused',
    waits: !begun && around.waiting.has(piece.id) && !spoilsSoon(part, around.nowMs),
    laidAt: state?.laidAt ?? null,
    turning: part.turn?.after.id === step.id,
    heard: file.log.flatMap(({ id, stepId }) => (stepId === step.id ? [id] : [])),
    since: begun ? state.since : null,
    ranMs: state?.ranMs ?? 0,
    check,
    likely: likelyRemedies(check, step.operation),
    mayShow: mayShowOn(part),
    photos: photosOf(file, part.part.id),
    coat: getOperation(step.operation).layer ? coatPlanOf(step, journey, part.part.plan?.paint ?? null, around) : null,
    section: sectionOf(part),
    pattern: patternOn(part, step),
    window: windowView({ window: part.turn ?? part.window, assistance: part.assistance }, around.nowMs),
    sectionClock: sectionClock(step, followerOf(part, step)),
    sections: sectionsOf(step, followerOf(part, step)),
  }
}

/** The pattern that a step is worked to, and the face it is set out on. */
export function patternOn(
  { part, done, steps }: Pick<PartJourney, 'part' | 'done' | 'steps'>,
  step: PlanStep,
): StepCard['pattern'] {
  const face = faceFor(part)
  const all = [...done.map((each) => each.step), ...steps.flatMap((each) => (isAhead(each.state) ? [each.step] : []))]
  const pattern =
    face &&
    patternAt(
      all,
      all.findIndex(({ id }) => id === step.id),
    )
  return face && pattern ? { pattern, face } : null
}

/** Whether a heat gun is out of the question: where lead is possible, and on stripper. */
export const noHeatOn = ({ part, window }: Pick<PartJourney, 'part' | 'window'>): boolean =>
  mayHoldLead(part) || window?.after.operation === 'strip'
