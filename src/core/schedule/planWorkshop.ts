/**
 * The workshop's week: rules of thumb, then the dates that pieces are worked towards, the order of their parts, the row of their chains,
 * and what lies around the best of them. The method stands in docs/schedule.md. Seeded, without a clock of its own; pure.
 */
import { searchAround } from './around'
import { lowerBound } from './bound'
import { searchChains } from './byChains'
import { searchOrders } from './byOrder'
import { checkWeek } from './check'
import { goOnFrom } from './goOn'
import { NoSchedule, type WorkshopProblem, type WorkshopSchedule } from './problem'
import { type PlanOptions, Search } from './search'

export type { PlanOptions }
export interface PlannedWeek extends WorkshopSchedule {
  cost: number
  /** no schedule costs less */
  bound: number
  /** waits whose most could not be kept, by their index */
  missed: number[]
}

/** Shares of the time after which the next kind of search begins. */
const until = { dates: 0.1, orders: 0.25, chains: 0.95 }
/** So few pieces that the row of their chains is searched. */
const fewPieces = 9

/** Throws {@link NoSchedule} where a step fits into nobody's hours, or a window that ruins a coat can be kept by no order. */
export function planWorkshop(problem: WorkshopProblem, options: PlanOptions): PlannedWeek {
  const search = new Search(problem, options)
  let share = 0
  if (!options.from || !goOnFrom(search, options.from)) {
    const failed = searchOrders(search, until.dates, until.orders)
    if (failed !== null) refuse(problem, search.units[failed]?.steps[0] ?? 0)
    share = until.orders
    if (problem.pieces.length <= fewPieces) searchChains(search, share, (share = until.chains))
  }
  searchAround(search, share)
  const { best, cost } = search
  if (!best) return refuse(problem, 0)
  return { ...best, cost, bound: lowerBound(problem, search.earliest), missed: checkWeek(problem, best).missed }
}

function refuse(problem: WorkshopProblem, step: number): never {
  const name = problem.steps[step]?.name
  throw new NoSchedule(step, `No order keeps every window that ruins a coat: step ${step} (${name}) has no place.`)
}
