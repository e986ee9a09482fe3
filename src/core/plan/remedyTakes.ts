/** What a repair lays again: this layer or that one, all of them, or all the work of the colours anew. Pure. */
import { coverFor } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import { waxed } from '@/core/craft/preparation'
import type { RecipeLine } from '@/core/craft/recipe'
import { type Take, worn } from '@/core/craft/remedies/remedy'
import { oiled, tintedWith } from '@/core/craft/topcoats'
import { type Line, primerHex } from '@/core/finish/lines'
import { isCoat, isEffect, sealedAbove } from '@/core/stack/rules/ask'
import { type Act, isPainted, isPartial, type SurfaceState } from '@/core/stack/surface'

/** The part where a repair begins. */
export interface Standing {
  /** the surface where the mistake is */
  on: SurfaceState
  done: readonly Act[]
  /** the layer that it shows in */
  spoilt: Act
  /** what is laid where nothing is on it yet: the first paint */
  first: Act
}

/** Worn by hand where nobody said how. */
export const byHand: Act = {
  operation: 'dry-distress',
  family: null,
  colour: null,
  mix: null,
  grit: '220',
  film: 'normal',
  check: null,
  cautions: [],
  applicator: 'abrasive by hand',
}

/**
 * A layer laid again as it was and where it was, save for what the repair changes; wax and oil with all that follows them. `afresh`: on
 * new ground, not touched in.
 */
function again(act: Act, change: Partial<RecipeLine>, afresh = false): Line[] {
  const family = act.family ?? undefined
  const role = family ? getFamily(family).role : null
  const where = act.where ? { where: act.where } : {}
  if (act.operation === 'metallic-wax') return gilded(act)
  if (act.operation === 'tinted-wax' && family) return tintedAs(act)
  if (role === 'wax') return waxed.map((line) => ({ ...line, family, ...where }))
  if (role === 'oil' && family) return oiled(family).map((line) => ({ ...line, ...where }))
  const line: Line = {
    phase: 'top',
    operation: act.operation,
    family,
    ...(act.colour && { colour: act.colour }),
    // milk paint over what is there wants its bonding agent, unless it is meant to chip; touched in it is to stay
    ...(act.mix && (act.family !== 'casein' || (afresh && /no bonding/.test(act.mix))) && { mix: act.mix }),
    ...(act.applicator && { applicator: act.applicator }),
    ...(act.grit && { grit: act.grit }),
    ...where,
    reason: isPainted(act) ? 'cover' : 'seal-use',
    ...change,
  }
  // a stain goes on as it comes
  return [family === 'stain' ? { ...line, mix: undefined } : line]
}
const gilded = ({ family, where, applicator }: Act): Line[] => {
  const own = { family: family ?? 'metallic-wax', ...(where && { where }) } as const
  return [
    { phase: 'metal', operation: 'metallic-wax', ...own, applicator: applicator ?? 'finger', reason: 'gilding-last' },
    { phase: 'metal', operation: 'buff', ...own, applicator: 'soft cloth', reason: 'sheen' },
  ]
}
const tintedAs = ({ family, mix, where }: Act): Line[] =>
  tintedWith(family ?? 'dark-wax').map((line) => ({
    ...line,
    ...(where && { where }),
    ...(line.phase === 'tint' && mix && { mix }),
  }))

/** As a coat: a second crackle closes the first, an undercoat is a coat by then. */
const plain = (act: Act): Act =>
  act.operation === 'crackle-coat' || act.operation === 'undercoat' ? { ...act, operation: 'coat' } : act
const isAlike = (one: Act, other: Act) =>
  one.colour?.hex === other.colour?.hex && one.operation === other.operation && one.family === other.family

/** The layers of colour that are still seen, each once, from the lowest: an effect that a coat has covered is none of them. */
function seenLayers({ on, first }: Standing): Act[] {
  const paints = on.layers.map(({ act }) => act).filter(isPainted)
  const seen = paints.filter(
    (act, k) =>
      paints.findIndex((other) => isAlike(other, act)) === k &&
      !(isEffect(act) && paints.slice(k + 1).some((above) => isCoat(above) && !isPartial(above) && !above.where?.places)),
  )
  return seen.length > 0 ? seen : [first]
}
/** The first of them as often as it covers what the repair lays below it. */
const covering = ([lowest, ...rest]: readonly Act[]): Act[] => {
  const coats = lowest?.colour && lowest.operation === 'coat' ? coverFor(lowest.colour.hex, primerHex, true).coats : 1
  return lowest ? [...Array.from({ length: coats }, () => lowest), ...rest] : []
}
/** Work on the colours beside laying them, and what it is for. */
const worked: Partial<Record<OperationCode, Pick<RecipeLine, 'phase' | 'reason'>>> = {
  ...Object.fromEntries(worn.map((operation) => [operation, { phase: 'wear', reason: 'wear-to-a' }])),
  'crackle-medium': { phase: 'medium', reason: 'crackle-shrinks' },
  resist: { phase: 'medium', reason: 'resist-lets-go' },
  'remove-resist': { phase: 'wear', reason: 'resist-defeats-clear' },
  tape: { phase: 'medium', reason: 'sharp-lines' },
  'pull-tape': { phase: 'top', reason: 'tape-damp' },
  'knock-down': { phase: 'texture', reason: 'peaks' },
  'heat-gun': { phase: 'wear', reason: 'chips' },
  'brush-off-flakes': { phase: 'wear', reason: 'loose-flakes' },
}
/** All that was done to bring the colours about, once more, but for what was touched in; the rules put in what they ask for between. */
function workAnew({ on, done, first }: Standing): Act[] {
  const lowest = on.layers.find(({ act }) => isPainted(act))?.index ?? done.length
  const all = done.slice(lowest).filter((act) => !act.mends && (isPainted(act) || worked[act.operation]))
  const [base = first] = all
  const coats = all.findIndex((act) => !isAlike(act, base))
  return covering([base, ...(coats < 0 ? [] : all.slice(coats))])
}
/** What is blended is blended into wet paint: where nothing is laid for it, it is laid as a coat. */
const asCoat = (act: Act): Act => ({ ...act, operation: 'coat', mix: null, applicator: null })
const isUnder = (below: Act, act: Act) =>
  !below.where?.places || (act.where?.places?.every((place) => below.where?.places?.includes(place)) ?? false)
const wetBelow = (acts: readonly Act[]): Act[] =>
  acts.map((act, k) =>
    act.operation === 'blend' &&
    !acts.slice(0, k).some((below) => (isCoat(below) || below.operation === 'blend') && isUnder(below, act))
      ? asCoat(act)
      : act,
  )

const glazed = { operation: 'glaze', family: 'glaze', mix: 'clear glaze : paint 4 : 1' } as const
const ofColour: readonly Take[] = ['colour', 'layers', 'cover', 'anew', 'below']
/** The lines of what is laid again. */
export function takenLines(take: Take, change: Partial<RecipeLine>, standing: Standing): Line[] {
  const { on, done, spoilt, first } = standing
  const paints = on.layers.map(({ act }) => act).filter(isPainted)
  const lastLaid = on.layers.findLast(({ act }) => isPainted(act))
  // a finish of clear or wax alone has no colour to bring back
  if (!lastLaid && !first.colour && ofColour.includes(take)) return []
  const last = lastLaid?.act ?? first
  const all = (acts: readonly Act[], afresh = false) => wetBelow(acts).flatMap((act) => again(act, change, afresh))
  switch (take) {
    case 'again': {
      const laid = on.layers.find(({ act }) => act === spoilt)
      return again(spoilt.operation === 'blend' && sealedAbove(on, laid) ? asCoat(spoilt) : spoilt, change)
    }
    case 'top':
      return again(on.layers.at(-1)?.act ?? first, change)
    case 'colour':
      return sealedAbove(on, lastLaid) ? all([plain(last)]) : again(plain(last), change)
    case 'cover':
      return all(covering(seenLayers(standing).map(plain)))
    case 'layers':
      return all(seenLayers(standing).map(plain))
    case 'anew':
      return all(workAnew(standing), true).map((line) => ({ ...line, ...worked[line.operation] }))
    case 'below': {
      const below = paints.findLast((act) => act !== last && act.colour?.hex !== last.colour?.hex) ?? last
      const washes = change.operation === 'wash' && getFamily(below.family ?? 'clay').waterShare === 0
      // what takes no water is let down with glaze
      return again({ ...plain(below), mix: null, applicator: null }, washes ? { ...change, ...glazed } : change)
    }
    case 'tint':
      return tintedAs(done.findLast(({ operation }) => operation === 'tinted-wax') ?? byHand)
    case 'wear':
      return [wearLine(done.findLast(({ operation }) => worn.includes(operation)) ?? byHand, change)]
  }
}
const wearLine = (wear: Act, change: Partial<RecipeLine>): Line => ({
  phase: 'wear',
  operation: wear.operation,
  ...(wear.grit && { grit: wear.grit }),
  applicator: wear.applicator ?? 'abrasive by hand',
  ...(wear.where && { where: wear.where }),
  reason: 'wear-to-a',
  ...change,
})

/** What lies in the wax on top, and comes off with it: tints and gilding. */
export const inTheWax = ({ layers }: SurfaceState): Act[] =>
  layers
    .slice(layers.findLastIndex(({ role }) => role !== 'wax') + 1)
    .map(({ act }) => act)
    .filter(({ operation }) => operation === 'tinted-wax' || operation === 'metallic-wax')
export const waxedAgain = (acts: readonly Act[]): Line[] => acts.flatMap((act) => again(act, {}))
