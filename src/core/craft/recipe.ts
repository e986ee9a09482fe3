/**
 * What recipes are written in: lines of steps with the phase they belong to, so that two looks on one part fall into one
 * order. Types and codes.
 */
import type { Film } from '@/core/measure/film'
import type { FamilyCode } from './families'
import type { SchoolsAsked } from './method'
import type { OperationCode } from './operations'
import type { Sheen } from './sheen'

/** Colours of a look: A lies under B. */
export type Slot = 'a' | 'b'
/** `by-colour`: as many as the colour needs over what is below. `by-use`: as many clears as the use asks for. */
export type Times = number | 'by-colour' | 'by-use'

/** The order of work on one part, whatever the looks that ask for it. */
export const phases = [
  'prep',
  'prime',
  'under',
  'texture',
  'base',
  'between',
  'medium',
  'top',
  'over',
  'wear',
  'finish',
  'seal',
  'tint',
  'rub',
  'buff',
  'metal',
] as const
export type PhaseCode = (typeof phases)[number]

export interface RecipeLine {
  phase: PhaseCode
  operation: OperationCode
  times?: Times
  /** paint by slot, or a fixed product family */
  paint?: Slot
  family?: FamilyCode
  /** only with these paint families */
  onlyFor?: readonly FamilyCode[]
  notFor?: readonly FamilyCode[]
  /** only where the house works so */
  school?: SchoolsAsked
  /** before each of the repeats of this line but the first */
  between?: readonly RecipeLine[]
  /** makes it better; nothing breaks without it */
  optional?: boolean
  film?: Film
  /** the sheen of its tin, where it matters which */
  sheen?: Sheen
  applicator?: string
  mix?: string
  /** the mix of the first coat, where it differs */
  firstMix?: string
  /** the film of the first coat, where it differs */
  firstFilm?: Film
  grit?: string
  reason: ReasonCode
}

export const reasonCodes = [
  // preparation
  'grease-defeats-paint',
  'degreaser-defeats-paint',
  'wax-defeats-paint',
  'oil-defeats-paint',
  'key',
  'wet-key',
  'own-film',
  'bare-for-look',
  'soften',
  'stripper-defeats-paint',
  'even-wood',
  'veneer-thin',
  'dust-defeats-paint',
  'knots-bleed',
  'tannin-bleeds',
  'unknown-safe',
  'slick',
  'rust',
  'metal-rusts',
  'lead-covered',
  'edges-drink',
  // colour
  'cover',
  'under-colour',
  'dark-under',
  'smooth-between',
  'last-rub',
  'keep-apart',
  'keep-undercoat',
  'wash-needs-sealed',
  'wear-to-a',
  'wear-to-wood',
  'rough',
  'high-points',
  'reveal',
  'peaks',
  'crackle-shrinks',
  'crackle-once',
  'crackle-flat',
  'resist-lets-go',
  'resist-defeats-clear',
  'chips',
  'loose-flakes',
  'wash-strength',
  'wash-soft',
  'glaze-depth',
  'dry-brush-age',
  'blend-wet',
  'runs',
  'overspray',
  'thickens-open',
  'sharp-lines',
  'tape-damp',
  'cloth-drinks',
  'cloth-soft',
  'leather-grip',
  'wood-shows',
  // seal
  'no-dust-under-clear',
  'seal-paint',
  'seal-use',
  'thirsty-first',
  'wax-barrier',
  'age',
  'excess-never-hardens',
  'sheen',
  'gilding-last',
  'oil-feeds',
  'even-water',
  'runs-free',
  'counted',
  'as-wished',
] as const
export type ReasonCode = (typeof reasonCodes)[number]
