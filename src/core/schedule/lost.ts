/** Windows that ruin a coat, and that nobody can keep any more: the week is planned all the same, and they are missed only where they must be. Pure. */
import { earliestOf } from './bound'
import { isFirm, type Lag, type WorkshopProblem } from './problem'
import { hopeless, laid } from './rowLayout'
import type { Search } from './search'

/** The problem in which windows of such steps may be missed; null where none of them is held to. */
export const losing = (problem: WorkshopProblem, isHis: (step: number) => boolean): WorkshopProblem | null =>
  without(problem, ({ to }) => isHis(to))
/** The same, of all of the parts that some steps are of. */
export const losingParts = (problem: WorkshopProblem, some: readonly number[]): WorkshopProblem | null =>
  losing(problem, isOfPartOf(problem, some))
/** Whether a step is of the same part as any of some. */
export function isOfPartOf({ steps }: Pick<WorkshopProblem, 'steps'>, some: readonly number[]): (step: number) => boolean {
  const keyOf = (k: number) => `${steps[k]?.piece} ${steps[k]?.part}`
  const keys = new Set(some.map(keyOf))
  return (step) => keys.has(keyOf(step))
}
/** The same of all that close before anybody could begin what must be begun by then. */
export function losingWhatIsOver(problem: WorkshopProblem): WorkshopProblem {
  const closing = (lag: Lag) => lag.from === null && lag.max !== null && isFirm(lag)
  if (!problem.lags.some(closing)) return problem
  const { end } = earliestOf(problem)
  const soonest = (step: number) => (end[step] ?? 0) - (problem.steps[step]?.dur ?? 0)
  return without(problem, (lag) => closing(lag) && soonest(lag.to) > (lag.max ?? 0)) ?? problem
}
function without(problem: WorkshopProblem, isOf: (lag: Lag) => boolean): WorkshopProblem | null {
  const isLost = (lag: Lag) => lag.max !== null && isFirm(lag) && isOf(lag)
  if (!problem.lags.some(isLost)) return null
  return { ...problem, lags: problem.lags.map((lag) => (isLost(lag) ? { ...lag, lost: true } : lag)) }
}

/** The steps for which their parts find no place, were there nothing else to do than what is held to a minute: one of each. The board is empty before and after. */
export function hopelessAlone({ coarse: { layout, units } }: Search): number[] {
  const none: number[] = []
  for (const [unit, { chains, after }] of units.entries()) {
    if (after.length > 0) continue
    let came: ReturnType<typeof layout.lay> = laid
    let count = 0
    for (; came === laid && count < chains.length; count += 1) came = layout.lay(unit)
    if (came !== laid) count -= 1
    const next = layout.nextOf(unit)
    for (; count > 0; count -= 1) layout.take(unit)
    if (came === hopeless) none.push(next)
  }
  return none
}
