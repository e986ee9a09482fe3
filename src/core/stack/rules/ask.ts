/** What the rules ask of acts and surfaces again and again. Pure. */
import { getFamily } from '@/core/craft/families'
import { coarsest, readGrit } from '@/core/craft/grit'
import { mayHoldLead } from '@/core/craft/lead'
import type { OperationCode } from '@/core/craft/operations'
import { getSubstrate } from '@/core/craft/parts'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { parseMix } from '@/core/measure/mixParts'
import { type Act, isLaid, isPainted, isPartial, type Laid, type SurfaceState } from '@/core/stack/surface'
import type { Intent, Meeting, RemedyStep } from './rule'

/** Written as thinned, in whatever words. */
const watered = /water|h2o|thinned|diluted|splash/i
const notWatered = /no water|undiluted|not thinned|unthinned/i
export const thinned = ({ mix, family }: Pick<Act, 'mix' | 'family'>) =>
  family !== 'casein' && mix !== null && watered.test(mix) && !notWatered.test(mix)
export const misted = (act: Act) => /misted/i.test(act.mix ?? '') || act.operation === 'spray-runs'
/** A coat that covers what is below. */
export const isCoat = (act: Act) => ['coat', 'undercoat', 'crackle-coat', 'fabric-coat'].includes(act.operation)
/** Colour that lets what is below be seen. */
export const isEffect = (act: Act) => ['wash', 'glaze', 'dry-brush', 'spray-runs'].includes(act.operation)
export const lays = (act: Act) => isLaid(act) && !['wax', 'tint'].includes(act.operation)
export const paintsOn = (on: SurfaceState): Laid[] => on.layers.filter(({ act }) => isPainted(act))
/** The first colour on this ground. */
export const firstPaint = ({ act, on }: Meeting) => isPainted(act) && paintsOn(on).length === 0
export const lastPaint = (on: SurfaceState): Laid | undefined => paintsOn(on).at(-1)
/** The colours that a next layer would touch: the last, and what a layer here and there leaves open. */
export function openPaints(on: SurfaceState): Laid[] {
  const paints = paintsOn(on)
  return paints.slice(
    Math.max(
      0,
      paints.findLastIndex(({ act }) => !isPartial(act)),
    ),
  )
}
/** A salve is no seal; a primer shuts in what is below it, but for knotting, which goes over knots alone. */
export const sealedAbove = (on: SurfaceState, paint: Laid | undefined) =>
  paint !== undefined &&
  on.layers.some(
    ({ index, role, act }) =>
      index > paint.index &&
      ['clear', 'wax', 'oil', 'medium', 'primer'].includes(role) &&
      act.family !== 'salve' &&
      !['metallic-wax', 'knotting'].includes(act.operation),
  )
export const hasRole = (on: SurfaceState, role: Laid['role']) => on.layers.some((layer) => layer.role === role)
export const topRole = (on: SurfaceState) => on.layers.at(-1)?.role
export const topIs = (on: SurfaceState, operation: OperationCode) => on.layers.at(-1)?.act.operation === operation
export const isPrimer = (act: Act) => ['knotting', 'block-prime', 'adhesion-prime'].includes(act.operation)
export const isClear = (act: Act) => act.operation === 'clear-coat' || act.operation === 'seal-between'
export const grips = (act: Act) => (act.family === null ? undefined : getFamily(act.family).grips)
export const rewetsFreely = (laid: Laid | undefined) =>
  laid?.act.family !== undefined && laid.act.family !== null && getFamily(laid.act.family).rewets === 'freely'
export const firstLaid = ({ on, act }: Meeting) =>
  lays(act) && act.operation !== 'knotting' && on.layers.every((layer) => layer.act.operation === 'knotting')
/** What is below, while water still lifts it and nothing seals it. */
export const openBelow = (on: SurfaceState): Laid | undefined =>
  openPaints(on).findLast((below) => rewetsFreely(below) && !sealedAbove(on, below))
export const chips = ({ aims }: Intent) => aims.chips
export const apart = ({ aims }: Intent) => aims.apart
export const blends = ({ aims }: Intent) => aims.blends
export const bareLook = ({ aims }: Intent) => aims.bareWood
export const hardUse = (part: FinishablePart) => !['display', 'light'].includes(part.use)
export const isVeneer = (part: FinishablePart) => getSubstrate(part.substrate).veneer === true
export const clears = (on: SurfaceState) => on.layers.filter(({ act }) => act.operation === 'clear-coat').length

/** In a sheen that was noted, and is not the one that was wished for. */
export const isOtherSheen = ({ sheen }: Act, wish: Pick<FinishWish, 'sheen'>) =>
  wish.sheen !== undefined && sheen !== undefined && sheen !== null && sheen !== wish.sheen

/** The coarsest grit of an act. */
export const gritOf = (act: Act) => coarsest(readGrit(act.grit, act.applicator))
export const isWet = (act: Act) => readGrit(act.grit, act.applicator).wet
export const byMachine = (act: Act) => readGrit(act.grit, act.applicator).machine
/** Taken off with wool, unless it is said that it is not. */
export const withWool = ({ operation, applicator }: Act) => operation === 'dewax' && !/no wool/.test(applicator ?? '')
export const rubs: readonly OperationCode[] = ['scuff', 'sand', 'dry-distress', 'smooth']
export const abrasive: readonly OperationCode[] = [...rubs, 'scrape-distress']

/** Lead is in what is still on the part, or was found in the part itself. */
export const leadUnder = ({ part, on }: Pick<Meeting, 'part' | 'on'>): boolean =>
  mayHoldLead(part) && (on.filmed || part.lead === 'found')

export const finish: readonly RemedyStep[] = [{ operation: 'de-lint' }, { operation: 'clear-coat', family: 'water-clear' }]
export const waxedOff: readonly RemedyStep[] = [{ operation: 'dewax' }, { operation: 'wipe-spirits' }]

/** A little water, where only words say so. */
const aLittle = 0.05
/** Parts of water to one part of what is thinned; 0 where there is none. Casein is mixed with it. */
export function waterShare({ mix, family }: Pick<Act, 'mix' | 'family'>): number {
  if (family === 'casein' || !mix) return 0
  const parts = parseMix(mix)
  if (!parts) return thinned({ mix, family }) ? aLittle : 0
  const isWater = ({ name }: { name: string }) => /^(plain )?water$/i.test(name)
  const sum = (some: typeof parts) => some.reduce((total, { parts: share }) => total + share, 0)
  return sum(parts.filter(isWater)) / sum(parts.filter((part) => !isWater(part)))
}
export const allowedWater = (act: Act) => (act.family === null ? 1 : (getFamily(act.family).waterShare ?? 1))
