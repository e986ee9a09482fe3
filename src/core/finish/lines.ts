/** Touches as lines of work: how many coats of each colour, the topcoat among them, each coat a line of its own. Pure. */
import { type Cover, coverFor, hidesBadly, lchOf } from '@/core/craft/colour'
import type { FamilyCode } from '@/core/craft/families'
import type { HouseMethod } from '@/core/craft/method'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate, type UseCode } from '@/core/craft/parts'
import { type PhaseCode, phases, type RecipeLine } from '@/core/craft/recipe'
import { clearsFor, leastClears, type TopcoatCode } from '@/core/craft/topcoats'
import { isSprayed, passesPerCoat, standsOpen } from '@/core/craft/ways'
import type { Colour } from './shade'
import { lastPaintOf, ownTopcoat } from './topcoat'
import { type LookTouch, shareOf, type Touch, type Where } from './touch'
import { topcoatTouches, touchesOf } from './touches'
import type { FinishablePart, FinishWish } from './wish'

/** What a colour meets over a primer. */
export const primerHex = '#e9e4d8'

/** So much of a part primed is a primed part. */
const primedFrom = 0.5
/** Whether a primer lies under the colour. */
export const isPrimed = (steps: readonly { operation: OperationCode; where?: Where | null | undefined }[]): boolean =>
  steps.some(
    ({ operation, where }) => (operation === 'block-prime' || operation === 'adhesion-prime') && shareOf(where) > primedFrom,
  )

const covering: readonly OperationCode[] = ['coat', 'undercoat', 'texture-coat', 'blend', 'crackle-coat', 'fabric-coat']
/** Coats by touch, of those that are laid as often as they need to cover. */
export type CoverByTouch = Readonly<Record<string, Cover>>

/** How many coats each colour of a list needs on this part, over whatever of what is below it is still seen. */
export function coverOf(part: FinishablePart, touches: readonly Touch[], primed: boolean): CoverByTouch {
  const existing = getExistingFinish(part.existing)
  const found = primed ? primerHex : (part.foundColour ?? existing.tone ?? getSubstrate(part.substrate).tone)
  const cover: Record<string, Cover> = {}
  touches.forEach(({ id, repeat, colour }, k) => {
    if (repeat !== 'as-it-covers' || !colour) return
    const seen: [string | null, boolean][] = []
    let hidden = false
    for (const below of touches.slice(0, k).reverse()) {
      if (!covering.includes(below.operation) || !below.colour || below.colour.hex === colour.hex) continue
      seen.push([below.colour.hex, true])
      hidden = shareOf(below.where) >= 1
      if (hidden) break
    }
    if (!hidden) seen.push([found, primed || existing.layer === 'oldPaint'])
    cover[id] = seen
      .map(([hex, isPaint]) => coverFor(colour.hex, hex, isPaint))
      .reduce((most, each) => (each.coats > most.coats ? each : most))
  })
  return cover
}

export interface Line extends Pick<
  RecipeLine,
  'phase' | 'operation' | 'family' | 'optional' | 'film' | 'sheen' | 'applicator' | 'mix' | 'grit' | 'reason'
> {
  colour?: Colour | undefined
  coat?: { number: number; of: number }
  where?: Where | undefined
  /** the touch that it belongs to */
  touch?: string | undefined
}

/** What coats are counted by; `paint`: what the topcoat lies on. */
export interface Counting {
  use: UseCode
  seal: TopcoatCode
  cover: CoverByTouch
  paint: FamilyCode
}
/** A second one would close a crackle, double a wash, take the chips of a coat with it: laid once, however well it covers. */
export const isOnce = ({ operation, chips }: Pick<Touch, 'operation' | 'chips'>): boolean =>
  chips === true || ['crackle-coat', 'wash', 'glaze', 'blend', 'spray-runs'].includes(operation)
/** How often a touch is worked on this part. */
export function timesOf(touch: Touch, { use, seal, cover, paint }: Counting): number {
  const { id, repeat } = touch
  // what is left open is counted in brushed coats
  const passes = isSprayed(touch) ? passesPerCoat : 1
  if (repeat === 'by-use') return clearsFor(seal, use, paint) * passes
  if (repeat === 'as-it-covers') return (isOnce(touch) ? 1 : (cover[id]?.coats ?? 1)) * passes
  return repeat ?? 1
}

/** A strong mid-tone may cover in one. */
const oneCovers = (hex: string | undefined) => hex !== undefined && !hidesBadly(hex) && lchOf(hex).lightness > 0.3
/** As few as may do. */
export function leastOf({ operation, repeat, colour, by }: Touch, full: number): number {
  if (by === 'painter') return full
  if (operation === 'fabric-coat') return 2
  if (operation === 'wash') return 1
  return repeat === 'as-it-covers' && full <= 2 && oneCovers(colour?.hex) ? 1 : full
}

/** What comes last of all, over the topcoat. */
const over: Partial<Record<OperationCode, PhaseCode>> = {
  'tinted-wax': 'tint',
  'wax-off': 'rub',
  'wipe-oil': 'rub',
  buff: 'buff',
  'metallic-wax': 'metal',
}
const stagePhases = { prime: 'prime', wear: 'wear', seal: 'seal' } as const satisfies Partial<Record<string, PhaseCode>>
/** Where a touch of the painter's stands in the order of work. */
function phaseOf({ operation }: Touch, before: readonly Touch[]): PhaseCode {
  const { stage } = getOperation(operation)
  if (over[operation]) {
    const gilded = operation === 'buff' && before.some((touch) => touch.operation === 'metallic-wax')
    return gilded ? 'metal' : over[operation]
  }
  if (stage === 'prep' || stage === 'repair') return before.some(({ family }) => family) ? 'wear' : 'prep'
  return stage in stagePhases ? stagePhases[stage as keyof typeof stagePhases] : 'top'
}

/** The first colour on leather goes on thin and undiluted, where the painter said nothing of it. */
const gripping = (touch: Touch, { substrate }: FinishablePart, below: readonly Touch[]): Touch =>
  getSubstrate(substrate).kind === 'leather' &&
  touch.colour &&
  !touch.film &&
  !touch.first &&
  below.every(({ colour }) => !colour)
    ? { ...touch, first: { film: 'thin', mix: 'undiluted' } }
    : touch

/** All touches in the order of work, the topcoat before what lies over it; what two of them both ask for stands once. */
export function orderedTouches(part: FinishablePart, wish: FinishWish, method: HouseMethod, seal: TopcoatCode): LookTouch[] {
  // a gloss that nothing comes over is left as it flowed
  const leftGlossy = wish.sheen === 'gloss' && seal === 'none'
  const asked = touchesOf(wish, method).filter(({ reason }) => !(leftGlossy && reason === 'last-rub'))
  const own = asked.map((touch, k, all): LookTouch =>
    'phase' in touch ? touch : { ...gripping(touch, part, all.slice(0, k)), phase: phaseOf(touch, all.slice(0, k)) },
  )
  if (ownTopcoat(wish, part)) return own
  const end = own.findLastIndex(({ operation }) => !over[operation]) + 1
  // what the painter laid over what stays in that order
  const tail = own.slice(end).map((touch, k, all): LookTouch => {
    const latest = Math.max(...all.slice(0, k + 1).map(({ phase }) => phases.indexOf(phase)))
    return { ...touch, phase: phases[latest] ?? touch.phase }
  })
  const last = [...topcoatTouches(seal, wish, lastPaintOf(wish), method), ...tail]
  const once = last.filter(
    (touch) =>
      !['rub', 'buff'].includes(touch.phase) ||
      last.findLast(({ phase, operation }) => phase === touch.phase && operation === touch.operation) === touch,
  )
  return [...own.slice(0, end), ...phases.flatMap((phase) => once.filter((touch) => touch.phase === phase))]
}

/** Touches worked out for one part: coats counted, each coat a line of its own. */
export function linesOf(touches: readonly LookTouch[], counting: Counting): Line[] {
  return touches.flatMap((touch) => {
    const {
      id,
      phase,
      operation,
      family,
      colour,
      where,
      film,
      sheen,
      applicator,
      mix,
      grit,
      optional,
      reason = 'as-wished',
    } = touch
    const of = timesOf(touch, counting)
    // a clear more than the use asks for at least is a choice
    const needed = touch.repeat === 'by-use' ? (leastClears(counting.seal, counting.use, counting.paint) ?? of) : of
    const line = { phase, operation, family, colour, where, film, sheen, applicator, mix, grit, optional, reason, touch: id }
    const opened: Line[] = standsOpen(mix) ? [{ phase, operation: 'stand-open', reason: 'thickens-open' }] : []
    const laid = Array.from({ length: of }, (_, k): Line[] => [
      ...(k > 0 && touch.between ? [{ phase, operation: 'smooth', optional: true, touch: id, ...touch.between } as const] : []),
      { ...line, ...(k === 0 && touch.first), ...(k >= needed && { optional: true }), coat: { number: k + 1, of } },
    ]).flat()
    return [...opened, ...laid]
  })
}

/** The lines of a wish on a part, as if on clean, sound ground. */
export function wishedLines(
  part: FinishablePart,
  wish: FinishWish,
  method: HouseMethod,
  seal: TopcoatCode,
  primed: boolean,
): Line[] {
  const touches = orderedTouches(part, wish, method, seal)
  const lines = linesOf(touches, {
    use: part.use,
    seal,
    cover: coverOf(part, touches, primed),
    paint: lastPaintOf(wish),
  })
  const sprayed = lines.findIndex(isSprayed)
  const first = lines[sprayed]
  // what stays as it is is covered before anything is sprayed
  return first ? lines.toSpliced(sprayed, 0, { phase: first.phase, operation: 'mask', reason: 'overspray' }) : lines
}
/** The lines of a topcoat alone. */
export const topcoatLines = (part: FinishablePart, wish: FinishWish, method: HouseMethod, seal: TopcoatCode): Line[] =>
  linesOf(topcoatTouches(seal, wish, lastPaintOf(wish), method), {
    ...{ use: part.use, seal, cover: {} },
    paint: lastPaintOf(wish),
  })
