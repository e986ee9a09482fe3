/**
 * What has to be bought: needed, less what stands there, in tins as they are sold, the cheapest set of them. What coats take scatters,
 * so that "is it enough?" is answered by a chance. Amounts in ml or g, money in minor units; pure.
 */
import { randomNormal } from 'd3-random'
import { solve } from 'yalps'
import type { FamilyCode } from '@/core/craft/families'
import type { Sheen } from '@/core/craft/sheen'
import { makeKept } from '@/core/measure/kept'
import { randomFrom } from '@/core/measure/random'
import { mostAskedFirst, serve, type Shelf } from '@/core/plan/amounts'
import { quantile, shareWithin } from '@/core/price/spread'

/** What coats ahead take of a product: each by itself, at the middle. */
export interface Need {
  family: FamilyCode
  /** null: it has no colour */
  hex: string | null
  name: string | null
  /** the sheen that its tin is to have; any unless given */
  sheen?: Sheen | undefined
  uses: readonly number[]
}
/** A tin as it is sold. */
export interface Offer {
  size: number
  price: number
}
export interface Tins<O extends Offer = Offer> {
  offer: O
  count: number
}
/** How what is taken lies to what was planned: the middle factor, how each coat scatters by itself, in logarithms. */
export interface Take {
  factor: number
  scatter: number
}
/** What coats scatter in together, for a painter lays thick or thin. Practice. */
const together = 0.12
const draws = 1_000

/** What the coats may take in all, sorted. */
export function takesOf(uses: readonly number[], { factor, scatter }: Take, seed = 1): Float64Array {
  const normal = randomNormal.source(randomFrom(seed))()
  const totals = new Float64Array(draws)
  for (let index = 0; index < draws; index += 1) {
    let total = 0
    for (const use of uses) total += use * Math.exp(normal() * scatter)
    totals[index] = total * factor * Math.exp(normal() * together)
  }
  return totals.sort()
}
/** What was drawn for coats lately: they are asked after again and again, and change one at a time. */
const drawn = makeKept<string, Float64Array>(300)
function knownTakes(uses: readonly number[], take: Take): Float64Array {
  const key = [take.factor, take.scatter, ...uses].join(' ')
  const takes = drawn.get(key) ?? takesOf(uses, take)
  drawn.set(key, takes)
  return takes
}
/** The chance that so much is enough for these coats. */
export const chanceEnough = (uses: readonly number[], amount: number, take: Take): number =>
  uses.length === 0 ? 1 : shareWithin(knownTakes(uses, take), amount)
/** So much is enough in the given share of such jobs; whole ml or g, up. */
export const enoughFor = (uses: readonly number[], share: number, take: Take): number =>
  uses.length === 0 ? 0 : Math.ceil(quantile(knownTakes(uses, take), share))

/** Sums are of wholes: what is reckoned in fractions holds a limit by half of one, or finds nothing at the limit itself. */
const half = 0.5
const hair = 1e-6

/**
 * The cheapest tins that hold so much together; of equally cheap ones those with the least over, then the fewest. Null where nothing is
 * sold. Amounts in whole ml or g.
 */
export function cheapestTins<O extends Offer>(amount: number, offers: readonly O[]): Tins<O>[] | null {
  const wanted = Math.ceil(amount)
  if (wanted <= 0) return []
  const sold = offers.filter(({ size }) => size > 0)
  if (sold.length === 0) return null
  const variables = (objective: (offer: O) => number) =>
    new Map(
      sold.map((offer, index) => [
        index,
        new Map([
          ['aim', objective(offer)],
          ['size', offer.size],
          ['price', offer.price],
          ['count', 1],
        ]),
      ]),
    )
  const least = (objective: (offer: O) => number, limits: Record<string, { min?: number; max?: number }>): number[] | null => {
    const { status, variables: found } = solve(
      {
        direction: 'minimize',
        objective: 'aim',
        constraints: { size: { min: wanted - hair }, ...limits },
        variables: variables(objective),
        integers: true,
      },
      { tolerance: 0 },
    )
    if (status !== 'optimal') return null
    const counts = sold.map(() => 0)
    for (const [index, count] of found) counts[Number(index)] = Math.round(count)
    return counts
  }
  const sum = (counts: readonly number[], of: (offer: O) => number) =>
    counts.reduce((all, count, index) => all + count * of(sold[index] as O), 0)
  const cheap = least(({ price }) => price, {})
  if (!cheap) return null
  const price = { max: sum(cheap, (offer) => offer.price) + half }
  const snug = least(({ size }) => size, { price }) ?? cheap
  const size = { min: wanted - hair, max: sum(snug, (offer) => offer.size) + half }
  const counts = least(() => 1, { price, size }) ?? snug
  return counts.flatMap((count, index) => (count > 0 ? [{ offer: sold[index] as O, count }] : []))
}

/** Of which thing on the shelf, by its place there, how much serves a need. */
interface ServedOf {
  index: number
  amount: number
}
export interface ServedNeed<N extends Need = Need> {
  need: N
  /** what is wanted, at the chance that was asked for; what stands there for it; what is short */
  wanted: number
  there: number
  short: number
  of: ServedOf[]
}
interface Taking {
  shelf: Shelf
  takeOf: (family: FamilyCode) => Take
  /** in how many of such jobs it is to be enough */
  share: number
}
/** What stands there for each need, in their order; what has its own colour is served by that colour alone, its own sheen by that, the rest by what is left. */
export function serveNeeds<N extends Need>(needs: readonly N[], { shelf, takeOf, share }: Taking): ServedNeed<N>[] {
  const left = shelf.map(({ amount }) => amount)
  const served = new Map(
    mostAskedFirst(needs).map((need) => {
      const before = [...left]
      const wanted = enoughFor(need.uses, share, takeOf(need.family))
      const there = serve(shelf, left, need, wanted)
      // a hair of what was summed is nothing
      const short = Math.max(0, Math.ceil(wanted - there - 1e-9))
      const of = before
        .map((amount, index) => ({ index, amount: amount - (left[index] as number) }))
        .filter(({ amount }) => amount > 0)
      return [need, { need, wanted, there, short, of }] as const
    }),
  )
  return needs.map((need) => served.get(need) as ServedNeed<N>)
}

export interface ToBuy<N extends Need = Need, O extends Offer = Offer> extends Omit<ServedNeed<N>, 'of'> {
  /** null where nobody knows in what it is sold */
  tins: Tins<O>[] | null
  cost: number
  /** the chance that what stands there and what is bought are enough */
  enough: number
}
/** All that is needed, with what is short and in which tins it is bought. */
export function toBuy<N extends Need, O extends Offer>(
  needs: readonly N[],
  { offersFor, ...taking }: Taking & { offersFor: (need: Need) => readonly O[] },
): ToBuy<N, O>[] {
  return serveNeeds(needs, taking).map(({ need, wanted, there, short }) => {
    const tins = cheapestTins(short, offersFor(need))
    const bought = (tins ?? []).reduce((sum, { offer, count }) => sum + offer.size * count, 0)
    const cost = (tins ?? []).reduce((sum, { offer, count }) => sum + offer.price * count, 0)
    return {
      ...{ need, wanted, there, short, tins, cost },
      enough: chanceEnough(need.uses, there + bought, taking.takeOf(need.family)),
    }
  })
}
