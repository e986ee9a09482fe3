/**
 * How long work takes a studio, learned from what it has worked: an own factor for each operation, and on top of it for who
 * works, what article it is and how moulded it is; and how far a whole piece comes to lie off what was reckoned. Pure.
 *
 * The factors are fitted one after the other on what the others leave, each by `calibrate`, so that few observations move little.
 * How far off a piece comes is not reckoned from the same steps, which would flatter, but asked of pieces that were left out of
 * the fit: each tenth of them is reckoned by the other nine.
 */
import type { OperationCode } from '@/core/craft/operations'
import type { Relief } from '@/core/measure/surfaceArea'
import { calibrate, type Calibration, scatterOf } from './calibrate'

/** What a step is like, as far as it may tell on its minutes. */
export interface StepTraits {
  operation: OperationCode
  painter?: string | undefined
  article?: string | undefined
  relief?: Relief | undefined
}
export const traits = ['operation', 'painter', 'article', 'relief'] as const
export type Trait = (typeof traits)[number]

/** A step that was worked: minutes planned and minutes that hands were on it. */
export interface WorkedStep extends StepTraits {
  piece: string
  planned: number
  actual: number
}
export type Factors = Readonly<Record<Trait, Readonly<Record<string, Calibration>>>>

/** How a whole piece comes to lie off what its steps add up to. */
export interface WholeSpread {
  /** logarithm of the middle factor */
  middle: number
  /** scale of the logarithm's spread, and the degrees of freedom that it is known by */
  scale: number
  freedom: number
  /** own pieces behind it */
  pieces: number
}
export interface Estimator {
  factors: Factors
  whole: WholeSpread
  steps: number
}

/** rounds until the factors move no more that anybody would see */
const rounds = 4
/** of the pieces, each part is reckoned by the others */
const parts = 10
/** what practice says of a whole piece: worth so many pieces, giving way to the studio's own one by one */
const usual = { spread: 0.35, pieces: 5 }
/** pieces that the middle of the whole is held to nothing by */
const middleWorth = 4

const logOf = (factors: Factors, step: StepTraits): number =>
  traits.reduce((sum, trait) => {
    const key = step[trait]
    const own = key === undefined ? undefined : factors[trait][key]
    return own ? sum + Math.log(own.p50) : sum
  }, 0)

const noFactors: Factors = { operation: {}, painter: {}, article: {}, relief: {} }

function fit(steps: readonly WorkedStep[]): Factors {
  const factors: Record<Trait, Record<string, Calibration>> = { operation: {}, painter: {}, article: {}, relief: {} }
  const left = Float64Array.from(steps, ({ actual, planned }) => Math.log(actual / planned))
  const groups = traits.map((trait) => ({ trait, keys: groupsOf(steps, trait) }))
  for (let round = 0; round < rounds; round += 1)
    for (const { trait, keys } of groups)
      for (const [key, places] of keys) {
        const before = Math.log(factors[trait][key]?.p50 ?? 1)
        const own = calibrate({ ratios: places.map((place) => Math.exp((left[place] ?? 0) + before)) })
        factors[trait][key] = own
        const moved = Math.log(own.p50) - before
        for (const place of places) left[place] = (left[place] ?? 0) - moved
      }
  return factors
}
/** Where the steps stand that are alike in a trait. */
function groupsOf(steps: readonly WorkedStep[], trait: Trait): Map<string, number[]> {
  const groups = new Map<string, number[]>()
  for (const [place, step] of steps.entries()) {
    const key = step[trait]
    if (key === undefined) continue
    const known = groups.get(key)
    if (known) known.push(place)
    else groups.set(key, [place])
  }
  return groups
}

/** The middle factor on a step's planned minutes. */
export const factorFor = ({ factors, whole }: Estimator, step: StepTraits): number =>
  Math.exp(logOf(factors, step) + whole.middle)

/** Steps by piece, in the order that they came in. */
function byPiece(steps: readonly WorkedStep[]): WorkedStep[][] {
  const pieces = new Map<string, WorkedStep[]>()
  for (const step of steps) {
    const known = pieces.get(step.piece)
    if (known) known.push(step)
    else pieces.set(step.piece, [step])
  }
  return [...pieces.values()]
}

/** How far each piece lies off what the others say of it, in logarithms. */
function offBy(pieces: readonly WorkedStep[][]): number[] {
  const folds = Math.min(parts, pieces.length)
  if (folds < 2) return []
  return Array.from({ length: folds }, (_, fold) => fold).flatMap((fold) => {
    const factors = fit(pieces.filter((_, index) => index % folds !== fold).flat())
    return pieces
      .filter((_, index) => index % folds === fold)
      .map((steps) => {
        const actual = steps.reduce((sum, step) => sum + step.actual, 0)
        const reckoned = steps.reduce((sum, step) => sum + step.planned * Math.exp(logOf(factors, step)), 0)
        return Math.log(actual / reckoned)
      })
  })
}

function spreadOf(off: readonly number[]): WholeSpread {
  const worth = Math.max(0, usual.pieces - off.length)
  const middle = off.reduce((sum, each) => sum + each, 0) / (off.length + middleWorth)
  const squares = off.reduce((sum, each) => sum + (each - middle) ** 2, worth * usual.spread ** 2)
  const freedom = Math.max(1, off.length + worth - (off.length > 0 ? 1 : 0))
  // what the middle itself is not sure of comes on top
  const scale = Math.sqrt((squares / freedom) * (1 + 1 / (off.length + middleWorth)))
  return { middle, scale, freedom, pieces: off.length }
}

/** What was worked teaches; throws on minutes that are none. */
export function learnPace(steps: readonly WorkedStep[]): Estimator {
  const wrong = steps.find(({ planned, actual }) => !(planned > 0 && actual > 0))
  if (wrong) throw new Error(`minutes are above nothing: ${wrong.actual} of ${wrong.planned}`)
  return {
    factors: steps.length === 0 ? noFactors : fit(steps),
    whole: spreadOf(offBy(byPiece(steps))),
    steps: steps.length,
  }
}

/** How a step's own minutes scatter, in logarithms; what a whole piece scatters comes on top and is another. */
export const stepScatter = ({ factors }: Estimator, { operation }: StepTraits): number => scatterOf(factors.operation[operation])
