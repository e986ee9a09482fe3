/**
 * What a part can be made into with what stands on the shelf, and nothing bought: every look in every paint that is there, in the tin or
 * the mix of tins that comes nearest to a wanted colour and goes round. Amounts in ml or g; pure.
 */
import { coverFor, hidesBadly, isPale, lchOf } from '@/core/craft/colour'
import { type FamilyCode, getFamily, paintCodes } from '@/core/craft/families'
import { getLook, type LookCode, lookCodes } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import type { Sheen } from '@/core/craft/sheen'
import { topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import { bleedsThrough } from '@/core/finish/ground'
import { primerHex } from '@/core/finish/lines'
import { asTheyStand, type Reachable, reachableFrom } from '@/core/finish/reachable'
import type { RefusalCode } from '@/core/finish/refusal'
import type { PlannedStep } from '@/core/finish/step'
import type { Colour, FinishablePart, FinishWish } from '@/core/finish/wish'
import type { Act } from '@/core/stack/surface'
import { type Amount, type Shelf, sumAmounts, takeFrom } from './amounts'
import { figuresOf, type HouseResources, type PlanFigures } from './figures'
import { replan } from './replan'

export interface Makeable {
  look: LookCode
  paint: FamilyCode
  wish: FinishWish
  /** the colours of its look, from the wanted ones; 0 where it has none of its own */
  distance: number
  /** of each colour that it draws from, what is taken and what is left then */
  draws: Draw[]
  /** what is left of those together: the least uses up most */
  over: number
  figures: PlanFigures
}
export interface Draw {
  family: FamilyCode
  hex: string
  name: string
  takes: number
  left: number
}
export interface MakeAsk {
  part: FinishablePart
  /** what is behind the part and is not worked again */
  done?: readonly Act[]
  wanted: { a: Colour; b: Colour }
  method: HouseMethod
  /** how much it is to shine; as it comes unless given */
  sheen?: Sheen | undefined
  means: HouseResources
}

/** Plans that are tried for a look in a paint under a topcoat: the shelf that does not give it in so many colours does not give it. */
const mostTried = 40

/** All that can be made, what leaves the least behind first; of a look in a paint the nearest colour alone. */
export function whatCanBeMade(asked: MakeAsk): Makeable[] {
  const { shelf } = asked.means
  const coverOf = remembered(coverKind(asked.part))
  const paints = paintCodes.filter((code) => shelf.some(({ family, amount }) => family === code && amount > 0))
  return paints
    .flatMap((paint) => {
      const near = {
        a: reachableFrom(asked.wanted.a.hex, tinsOf(shelf, paint)),
        b: asTheyStand(asked.wanted.b.hex, tinsOf(shelf, paint)),
      }
      // looks with as many colours choose from the same
      const pairs = remembered((slots: string) => pairsFor(slots, near))
      return lookCodes
        .filter((look) => getLook(look).paints.includes(paint))
        .flatMap((look) => nearestOf(look, paint, pairs(getLook(look).slots.join('')), { ...asked, coverOf }))
    })
    .sort((one, other) => one.over - other.over || one.figures.minutes - other.figures.minutes)
}

/** What was worked out for a word before. */
function remembered<T>(work: (key: string) => T): (key: string) => T {
  const known = new Map<string, T>()
  return (key) => {
    const made = known.get(key) ?? work(key)
    known.set(key, made)
    return made
  }
}

const tinsOf = (shelf: Shelf, paint: FamilyCode) =>
  shelf.flatMap(({ family, hex, name, amount }) => (family === paint && hex !== null ? [{ hex, name: name ?? hex, amount }] : []))

interface Pair {
  chosen: readonly Reachable[]
  colours: FinishWish['colours']
  distance: number
}
/** Colours for the places a look has, nearest first. The second is taken as it stands in a tin. */
function pairsFor(slots: string, { a: firsts, b: seconds }: Near): Pair[] {
  const apart = ({ distance }: Pair) => distance
  if (!slots.includes('a')) return [{ chosen: [], colours: {}, distance: 0 }]
  if (!slots.includes('b')) return firsts.map((a) => ({ chosen: [a], colours: { a: a.colour }, distance: a.distance }))
  return firsts
    .flatMap((a) =>
      seconds
        .filter((b) => b.colour.hex !== a.colour.hex)
        .map((b): Pair => ({ chosen: [a, b], colours: { a: a.colour, b: b.colour }, distance: a.distance + b.distance })),
    )
    .sort((one, other) => apart(one) - apart(other))
}
interface Near {
  a: readonly Reachable[]
  b: readonly Reachable[]
}

type CoverOf = (hex: string) => string
/** How a colour covers by itself, on the part as it was found and over a primer. */
function coverKind(part: FinishablePart): CoverOf {
  const existing = getExistingFinish(part.existing)
  const found = part.foundColour ?? existing.tone ?? getSubstrate(part.substrate).tone
  return (hex) =>
    [
      coverFor(hex, found, existing.layer === 'oldPaint').coats,
      coverFor(hex, primerHex, true).coats,
      ...[isPale(hex), hidesBadly(hex), lchOf(hex).lightness > 0.3],
    ].join()
}

/**
 * What colours are known to take, so that a tin that can't give it is not planned with again: colours that cover alike over whatever may
 * lie below them take the same at the same place, and any colour what the thinnest coat seen there takes.
 */
function knownNeeds(part: FinishablePart, coverOf: CoverOf) {
  const known = new Map<string, number>()
  // a colour laid all over takes another amount than the same brushed over it here and there: each place has its own
  const coat = new Map<number, number>()
  const kindOf = (place: number, { colour: { hex } }: Reachable, chosen: readonly Reachable[]) => {
    const other = chosen.find((_, k) => k !== place)
    return [
      place,
      other && coverFor(hex, other.colour.hex, true).coats,
      coverOf(hex),
      bleedsThrough(
        part,
        chosen.map((each) => each.colour.hex),
      ),
    ].join()
  }
  return {
    learn: (steps: readonly PlannedStep[], chosen: readonly Reachable[]): void => {
      for (const [place, each] of chosen.entries()) {
        const name = mixName(each.colour)
        const takes = steps
          .filter((step) => step.colour && mixName(step.colour) === name)
          .map((step) => sumAmounts([step]).reduce((sum, amount) => sum + (amount.hex === null ? 0 : amount.amount), 0))
          .filter((amount) => amount > 0)
        if (takes.length === 0) continue
        coat.set(place, Math.min(coat.get(place) ?? Infinity, ...takes))
        known.set(
          kindOf(place, each, chosen),
          takes.reduce((sum, amount) => sum + amount, 0),
        )
      }
    },
    goRound: (chosen: readonly Reachable[]): boolean =>
      chosen.every((each, place) => each.most >= (known.get(kindOf(place, each, chosen)) ?? coat.get(place) ?? 0) - hair),
  }
}
/** A mix may come out in the very value of a tin that stands beside it. */
const mixName = ({ hex, parts }: Colour): string => (parts ? parts.map((each) => `${each.parts} ${each.hex}`).join() : hex)
/** Amounts are summed to a tenth. */
const hair = 0.2

function nearestOf(
  look: LookCode,
  paint: FamilyCode,
  pairs: readonly Pair[],
  { part, done = [], method, sheen, means, coverOf }: MakeAsk & { coverOf: CoverOf },
): Makeable[] {
  const seals = [undefined, ...topcoatCodes.filter((code) => topcoatFits(code, part.use, paint))]
  const { learn, goRound } = knownNeeds(part, coverOf)
  let best: Makeable | null = null
  for (const seal of seals) {
    let tried = 0
    let wantsOther = false
    for (const { chosen, colours, distance } of pairs) {
      // what is no nearer than what was found under another topcoat is not looked for
      if (tried >= mostTried || (best && distance >= best.distance)) break
      if (!goRound(chosen)) continue
      tried += 1
      const wish: FinishWish = { look, paint, colours, seal, sheen }
      const outcome = replan(part, wish, done, method)
      // what refuses a look refuses it in any colour
      if ('refusal' in outcome) {
        wantsOther = byTopcoat.includes(outcome.refusal.code)
        break
      }
      const amounts = sumAmounts(outcome.steps)
      learn(outcome.steps, chosen)
      const { left, lacking } = takeFrom(means.shelf, amounts)
      // another colour may want another primer, or nothing between itself and the next; it wants the same wax over it
      if (lacking.some((family) => !isByColour(family, paint)) || lacksOver(outcome.steps, means.shelf)) {
        wantsOther = !lacksBelow(outcome.steps, paint, means.shelf)
        break
      }
      if (lacking.length > 0) {
        wantsOther ||= lacking.some((family) => family !== paint)
        continue
      }
      const draws = drawsOf(amounts, means.shelf, left)
      const over = draws.reduce((sum, draw) => sum + draw.left, 0)
      best = { look, paint, wish, distance, draws, over, figures: figuresOf(outcome.steps, means) }
      break
    }
    // where nothing but the paint did not go round, no other topcoat makes it go further
    if (!wantsOther) break
  }
  return best ? [best] : []
}
/** Whether the colours of a finish say how much of it is taken: of its paint, of what primes it, of a clear between two of them. */
const isByColour = (family: FamilyCode, paint: FamilyCode): boolean => {
  const { role } = getFamily(family)
  return family === paint || role === 'primer' || role === 'clear'
}
/** What another topcoat may mend. */
const byTopcoat: readonly RefusalCode[] = ['seal-use', 'no-seal', 'sheen', 'layers']
/** Whether the look itself, and what prepares it, ask for more than there is of what has no colour: no other topcoat mends that. */
function lacksBelow(steps: readonly PlannedStep[], paint: FamilyCode, shelf: Shelf): boolean {
  const first = steps.findIndex(({ colour }) => colour !== null)
  const own = steps.filter(({ touch, rule }, k) => k < first || (touch && !rule && !touch.startsWith('topcoat')))
  const plain = sumAmounts(own).filter(({ family, hex }) => hex === null && !isByColour(family, paint))
  return takeFrom(shelf, plain).lacking.length > 0
}
/** Whether what lies over the last colour is more by itself than the shelf has: no other colour mends that. */
const lacksOver = (steps: readonly PlannedStep[], shelf: Shelf): boolean =>
  takeFrom(shelf, sumAmounts(steps.slice(steps.findLastIndex(({ colour }) => colour !== null) + 1))).lacking.length > 0
/** Of each colour, what is taken and what is left of it. */
const drawsOf = (amounts: readonly Amount[], shelf: Shelf, left: readonly number[]): Draw[] =>
  amounts.flatMap(({ family, hex, name, amount }): Draw[] => {
    if (hex === null) return []
    const over = shelf.reduce((sum, tin, k) => sum + (tin.family === family && tin.hex === hex ? (left[k] as number) : 0), 0)
    return [{ family, hex, name: name ?? hex, takes: amount, left: over }]
  })
