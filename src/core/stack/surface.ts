/**
 * What a part's surface is like after each thing done to it: the state that the stack rules look at. Pure.
 */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { mayHoldLead } from '@/core/craft/lead'
import { type CautionCode, type CheckCode, getOperation, type OperationCode } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import type { Colour, FinishablePart } from '@/core/finish/planFinish'
import type { Film } from '@/core/measure/film'

/** One thing done or to be done on a part; a planned step is one. */
export interface Act {
  operation: OperationCode
  family: FamilyCode | null
  colour: Colour | null
  mix: string | null
  grit: string | null
  film: Film
  check: CheckCode | null
  cautions: readonly CautionCode[]
  /** minutes since any common beginning, at the reference climate; absent where the times aren't known */
  at?: { start: number; end: number } | undefined
  /** what was noticed while it was done */
  marks?: readonly ('across-grain' | 'back-brushed')[] | undefined
}

/** A layer laid on, bottom up. */
export interface Laid {
  act: Act
  index: number
  role: ReturnType<typeof getFamily>['role']
}

export interface SurfaceState {
  /** grease, polish, smoke */
  soiled: boolean
  /** degreaser or soap not rinsed off */
  cleaner: boolean
  stripper: 'none' | 'on' | 'residue'
  /** old wax, or its smear after the wool */
  wax: 'thick' | 'smear' | 'none'
  /** old oil, or fresh oil, not wiped with spirits */
  oily: boolean
  /** a film whose shine is unbroken */
  shiny: boolean
  /** the old finish is still there */
  filmed: boolean
  /** furred and uneven after stripping */
  furred: boolean
  dusty: boolean
  lint: boolean
  resist: boolean
  flakes: boolean
  taped: boolean
  misted: boolean
  excess: 'none' | 'wax' | 'oil'
  unbuffed: boolean
  primed: { knots: boolean; bleed: boolean; grip: boolean }
  layers: readonly Laid[]
}

/** The surface as it was found. */
export function foundSurface(part: FinishablePart): SurfaceState {
  const { existing } = part
  const film = getExistingFinish(existing).film === true
  const soft = ['fabric', 'leather'].includes(kindOf(part))
  const waxed = existing === 'wax' || existing === 'unknown'
  return {
    soiled: true,
    cleaner: false,
    stripper: 'none',
    // where lead is possible nothing is rubbed with wool: spirits alone take what may be there
    wax: !waxed ? 'none' : mayHoldLead(part) || soft ? 'smear' : 'thick',
    oily: existing === 'oil' || existing === 'fresh-oil',
    shiny: film,
    filmed: film,
    furred: false,
    dusty: false,
    lint: false,
    resist: false,
    flakes: false,
    taped: false,
    misted: false,
    excess: 'none',
    unbuffed: false,
    primed: { knots: false, bleed: false, grip: false },
    layers: [],
  }
}

const topsWithWax = (layers: readonly Laid[]) => layers.at(-1)?.role === 'wax'
/** What is left when the wax on top has been taken off. */
function withoutTopWax(layers: readonly Laid[]): readonly Laid[] {
  return layers.slice(0, layers.findLastIndex(({ role }) => role !== 'wax') + 1)
}

type Change = (surface: SurfaceState, act: Act) => Partial<SurfaceState>
const stripped: Change = ({ stripper }) =>
  stripper === 'on' ? { stripper: 'residue', filmed: false, shiny: false, wax: 'none', oily: false, furred: true } : {}

/** What each operation changes, beside the layer it lays. */
const changes: Partial<Record<OperationCode, Change>> = {
  clean: () => ({ soiled: false, cleaner: true }),
  rinse: () => ({ cleaner: false }),
  dewax: ({ wax, layers }) => ({ wax: wax === 'none' && !topsWithWax(layers) ? 'none' : 'smear', layers: withoutTopWax(layers) }),
  'wipe-spirits': ({ wax }) => ({ wax: wax === 'thick' ? 'thick' : 'none', oily: false }),
  strip: () => ({ stripper: 'on' }),
  scrape: stripped,
  neutralise: ({ stripper }) => ({ stripper: stripper === 'on' ? 'on' : 'none' }),
  scuff: () => ({ shiny: false, dusty: true, furred: false }),
  sand: () => ({ shiny: false, dusty: true, furred: false }),
  'dust-off': () => ({ dusty: false, lint: false }),
  'de-lint': () => ({ dusty: false, lint: false }),
  knotting: ({ primed }) => ({ primed: { ...primed, knots: true } }),
  'block-prime': ({ primed }) => ({ primed: { ...primed, bleed: true } }),
  'adhesion-prime': ({ primed }) => ({ primed: { ...primed, grip: true } }),
  resist: () => ({ resist: true }),
  'remove-resist': () => ({ resist: false }),
  tape: () => ({ taped: true }),
  'pull-tape': () => ({ taped: false }),
  'mist-fabric': () => ({ misted: true }),
  'wet-distress': () => ({ dusty: true }),
  'dry-distress': () => ({ dusty: true }),
  'scrape-distress': () => ({ dusty: true }),
  'brush-off-flakes': () => ({ flakes: false, dusty: true }),
  'clear-wax': () => ({ excess: 'wax', unbuffed: true }),
  'tinted-wax': () => ({ excess: 'wax', unbuffed: true }),
  'metallic-wax': () => ({ unbuffed: true }),
  'wax-off': ({ excess }) => ({ excess: excess === 'wax' ? 'none' : excess }),
  buff: () => ({ unbuffed: false }),
  oil: () => ({ excess: 'oil' }),
  'wipe-oil': ({ excess }) => ({ excess: excess === 'oil' ? 'none' : excess }),
}

/** Milk paint without its bonding agent lets go wherever it does not soak in. */
const letsGo = (surface: SurfaceState, act: Act) =>
  act.family === 'casein' && act.operation === 'coat' && !bonded(act) && (surface.filmed || surface.layers.length > 0)
export const bonded = ({ mix }: Pick<Act, 'mix'>): boolean => mix?.includes('with bonding agent') ?? false

/** The surface after one more act. */
export function afterAct(surface: SurfaceState, act: Act, index: number): SurfaceState {
  const changed = { ...surface, ...changes[act.operation]?.(surface, act) }
  if (!getOperation(act.operation).layer || act.family === null) return changed
  const flakes = changed.flakes || letsGo(surface, act)
  const layers = [...changed.layers, { act, index, role: getFamily(act.family).role }]
  return { ...changed, flakes, layers, lint: isPainted(act) || changed.lint, oily: false }
}

/** Whether an act lays colour: paint, stain, wash, glaze and their like. */
export function isPainted(act: Act): boolean {
  const layer = getOperation(act.operation).layer
  return layer === 'paint' || layer === 'wash' || layer === 'glaze' || layer === 'crackle' || layer === 'texture'
}
/** Whether an act lays anything that must hold on to what is below. */
export const isLaid = (act: Act): boolean => getOperation(act.operation).layer !== undefined && act.family !== null
/** Whether a topcoat: clear, wax or oil, over all. */
export const isTopcoat = (act: Act): boolean => ['clear-coat', 'clear-wax', 'oil', 'salve'].includes(act.operation)

export const topLayer = (surface: SurfaceState): Laid | undefined => surface.layers.at(-1)
/** The part as it is known: kinds the rules ask for again and again. */
export const kindOf = (part: FinishablePart) => getSubstrate(part.substrate).kind
