/** Steps that are held to a minute, and who works each of them: as it was where that still goes, else so that all of them have hands. Pure. */
import type { Earliest } from './bound'
import { type Calendar, never } from './calendar'
import { isHeld, NoSchedule, type WorkshopProblem, type WorkshopSchedule } from './problem'

/** Where a step is worked, and by whom. */
export interface Fit {
  start: number
  end: number
  by: number
}
/** So often somebody else is tried before it is given up. */
const mostTries = 20_000

interface Pin {
  step: number
  /** who could, as it was first */
  fits: readonly Fit[]
}

/** By step. Throws {@link NoSchedule} where one can't be worked then by anybody, whoever has the others. */
export function pinsOf(
  problem: WorkshopProblem,
  calendars: readonly Calendar[],
  from?: WorkshopSchedule,
): ReadonlyMap<number, Fit> {
  const { steps, lags } = problem
  const starts = new Map<number, number>()
  for (const lag of lags) if (isHeld(lag) && !starts.has(lag.to)) starts.set(lag.to, lag.min)
  /** Whether what is pinned after a step can follow one that ends then, and how many coats it ruins as it is pinned. */
  const followed = (step: number, end: number) => {
    const gaps = lags.flatMap((lag) =>
      lag.from === step && starts.has(lag.to) ? [{ lag, gap: (starts.get(lag.to) ?? 0) - end }] : [],
    )
    return {
      hasTime: gaps.every(({ lag, gap }) => gap >= lag.min),
      ruins: gaps.filter(({ lag, gap }) => lag.hard && gap > (lag.max ?? gap)).length,
    }
  }
  const pins = [...starts].map(([step, start]): Pin => {
    const facts = steps[step]
    const was = from?.start[step] === start ? from.painter[step] : undefined
    const fits = (facts?.painters ?? []).flatMap((by): (Fit & { ruins: number })[] => {
      const end = facts ? (calendars[by]?.endOf(facts, start) ?? never) : never
      const { hasTime, ruins } = followed(step, end)
      return end === never || !hasTime ? [] : [{ start, end, by, ruins }]
    })
    const first = (one: (typeof fits)[number], other: (typeof fits)[number]) =>
      one.ruins - other.ruins || Number(other.by === was) - Number(one.by === was) || one.end - other.end
    return { step, fits: fits.sort(first) }
  })
  pins.sort((one, other) => (starts.get(one.step) ?? 0) - (starts.get(other.step) ?? 0))
  return assigned(problem, pins)
}

/** In the order they begin; where one has nobody, somebody else is sought for those before it. */
function assigned(problem: WorkshopProblem, pins: readonly Pin[]): ReadonlyMap<number, Fit> {
  const taken: Fit[] = []
  const tried = pins.map(() => 0)
  let [at, deepest, tries] = [0, 0, 0]
  while (at < pins.length) {
    const { fits = [] } = pins[at] ?? {}
    const next = fits.findIndex((fit, k) => k >= (tried[at] ?? 0) && isFree(problem, pins, { fit, at, taken }))
    deepest = Math.max(deepest, at)
    tries += 1
    if (next >= 0) {
      tried[at] = next + 1
      taken[at] = fits[next] ?? noFit
      at += 1
      continue
    }
    tried[at] = 0
    at -= 1
    if (at >= 0 && tries <= mostTries) continue
    const { step = 0, fits: its = [] } = pins[deepest] ?? {}
    throw new NoSchedule(
      step,
      `Step ${step} (${problem.steps[step]?.name}) is pinned to ${its[0]?.start ?? 'a minute'}, where nobody can work it.`,
    )
  }
  return new Map(pins.map(({ step }, k) => [step, taken[k] ?? noFit]))
}

/** Whether hands, brush and booth are free beside those that were taken before. */
function isFree(
  { steps, setup, pools }: WorkshopProblem,
  pins: readonly Pin[],
  { fit, at, taken }: { fit: Fit; at: number; taken: readonly Fit[] },
): boolean {
  const own = steps[pins[at]?.step ?? 0]
  let sprayed = 0
  for (let k = 0; k < at; k += 1) {
    const before = taken[k] ?? noFit
    const other = steps[pins[k]?.step ?? 0]
    if (own?.spray && other?.spray && before.start < fit.end && before.end > fit.start) sprayed += 1
    if (before.by !== fit.by) continue
    const cleans = own?.product && other?.product && own.product !== other.product ? setup : 0
    if (before.start < fit.end && before.end + cleans > fit.start) return false
  }
  return !own?.spray || sprayed < pools.spray
}

const noFit: Fit = { start: never, end: never, by: never }

/** By chain: whether it takes its drying place after a step that is held to a minute before anything that isn't held can be begun. */
export function givenOf(
  opens: Int32Array,
  pins: ReadonlyMap<number, Fit>,
  { steps, lags }: WorkshopProblem,
  { end }: Earliest,
): Uint8Array {
  if (pins.size === 0) return new Uint8Array(opens.length)
  const ready = new Float64Array(steps.length)
  for (const { from, to, min } of lags) ready[to] = Math.max(ready[to] ?? 0, (from === null ? 0 : (end[from] ?? 0)) + min)
  const soonest = Math.min(...ready.filter((_, step) => !pins.has(step)))
  return Uint8Array.from(opens, (step) => Number((pins.get(step)?.start ?? soonest) < soonest))
}
