/** Windows that ruin a coat, and that nobody can keep any more: the week is planned all the same, and they are missed only where they must be. Pure. */
import { earliestOf } from './bound'
import { isFirm, type Lag, type WorkshopProblem } from './problem'
import { hopeless, laid } from './rowLayout'
import type { Search } from './search'

/** The problem in which windows of such steps may be missed; null where none of them is held to. */
export const losing = (problem: WorkshopProblem, isHis: (step: number) => boolean): WorkshopProblem | null =>
  without(problem, ({ to }) => isHis(to))
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

/** The step for which its part finds no place, were there nothing else to do than what is held to a minute; null where each part does. The board is empty before and after. */
export function hopelessAlone({ coarse: { layout, units } }: Search): number | null {
  for (const [unit, { chains, after }] of units.entries()) {
    if (after.length > 0) continue
    let came: ReturnType<typeof layout.lay> = laid
    let count = 0
    for (; came === laid && count < chains.length; count += 1) came = layout.lay(unit)
    if (came !== laid) count -= 1
    const next = layout.nextOf(unit)
    for (; count > 0; count -= 1) layout.take(unit)
    if (came === hopeless) return next
  }
  return null
}
