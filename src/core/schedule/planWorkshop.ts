/**
 * The workshop's week: rules of thumb, then the dates that pieces are worked towards, then the row of their chains;
 * or, where a week is gone on from, who gives way in it. A bound beside it. The method stands in docs/schedule.md. Seeded, without a clock of its own; pure.
 */
import { searchChains } from './byChains'
import { tryEveryRow } from './byEveryRow'
import { searchPromises } from './byPromises'
import { searchRules } from './byRules'
import { searchStaying } from './byStaying'
import { checkWeek } from './check'
import { goOnFrom, rowOf } from './goOn'
import { hopelessAlone, losing, losingParts, losingWhatIsOver } from './lost'
import { boundByPrices } from './priceBound'
import { NoSchedule, type WorkshopProblem, type WorkshopSchedule } from './problem'
import { type Grain, type PlanOptions, Search } from './search'

export type { PlanOptions }
export interface PlannedWeek extends WorkshopSchedule {
  cost: number
  /** no schedule costs less */
  bound: number
  /** waits whose most could not be kept, by their index */
  missed: number[]
}

/** What share of the time a week that is gone on from is bettered by days, and until which by what stays in it; then by other rows altogether. */
const goOn = { stays: 0.8, days: 0.15 }
/**
 * The bound by prices has the last of the time: so many milliseconds to come into its stride, and one for so many steps times who may work
 * them, squared; no less of the time than `least`, no more than `most`; none where that is far from enough. Rounds say nothing of time.
 */
const bounds = { stride: 90, squared: 1000, least: 0.06, most: 0.24, enough: 0.6, rounds: 0.12 }
/** Where there are few rows they are all tried, in so much of the time. */
const few = 0.3
/**
 * Weeks by the days of their promises have a second's time for so many steps times hands times pieces, and the less the more there are of all:
 * then dates are more than can be tried. Never more than most of the time, and none where it would be next to nothing.
 */
const promises = { each: 350, most: 0.7, least: 0.05, second: 1000, rounds: 6000 }
/** The share after which nothing is sought any more, where nothing could be laid by then. */
const hopeless = 0.3
/** Throws {@link NoSchedule} where a step fits into nobody's hours; a window that ruins a coat is missed where no order keeps it, and said. */
export function planWorkshop(problem: WorkshopProblem, options: PlanOptions): PlannedWeek {
  for (let asked = problem; ;)
    try {
      return planWithoutRuin(asked, options, { isHasty: options.from !== undefined })
    } catch (trouble) {
      const less = trouble instanceof NoSchedule ? (losingParts(asked, trouble.steps) ?? losing(asked, () => true)) : null
      if (!less) throw trouble
      asked = less
    }
}
/**
 * The same, and throws where a window that ruins a coat can be kept by no order, unless it is over already or known to be lost; `isHasty`: where
 * none is at hand, without a search for one.
 */
export function planWithoutRuin(asked: WorkshopProblem, options: PlanOptions, { isHasty = false } = {}): PlannedWeek {
  const problem = losingWhatIsOver(asked)
  const search = new Search(problem, options)
  const alone = hopelessAlone(search)
  if (alone.length > 0) refuse(problem, alone)
  const sought = boundFrom(problem, options)
  const { from } = options
  const row = from ? goOnFrom(search, from) : null
  if (from && row) {
    if (promisesOf(problem, options) > 0) searchPromises(search, search.spent() + goOn.days, from)
    const best = search.best ? [rowOf(search, search.fine, { from: search.best, isNew: Infinity })] : []
    searchStaying(search, { rows: [row, ...best], from, until: goOn.stays })
    searchChains(search, search.spent(), sought)
  } else {
    const failed = searchRules(search)
    if (isHasty && failed !== null && losing(problem, () => true)) refuse(problem, [failed])
    tryEveryRow(search, search.coarse, few)
    // where no window is wide the fine chains are the whole ones
    if (chainsIn(search.fine) > chainsIn(search.coarse)) tryEveryRow(search, search.fine, few)
    searchPromises(search, promisesOf(problem, options) * sought)
    searchChains(search, search.spent(), search.best ? sought : hopeless)
    if (failed !== null && !search.best) refuse(problem, [failed])
  }
  const { best } = search
  if (!best) return refuse(problem, [0])
  const { cost, missed, faults } = checkWeek(problem, best)
  const { bound: plain } = search
  const byPrices =
    sought < 1 && cost > plain ? boundByPrices(problem, search.earliest, { cost, spent: () => search.spent(), until: 1 }) : plain
  const bound = Math.max(plain, Math.floor(byPrices + 1e-6))
  // where more dries already than there are places no week is right, and nothing bounds what any costs
  return { ...best, cost, bound: faults.length > 0 ? Math.min(cost, bound) : bound, missed }
}

const chainsIn = ({ units }: Grain): number => units.reduce((sum, { chains }) => sum + chains.length, 0)
/** From which share of the time on the bound is sought; 1 where there is too little. */
function boundFrom({ steps }: WorkshopProblem, options: PlanOptions): number {
  if ('rounds' in options) return 1 - bounds.rounds
  const each = steps.reduce((sum, { painters }) => sum + painters.length, 0)
  const wanted = (bounds.stride + each ** 2 / bounds.squared) / options.budgetMs
  if (bounds.most < wanted * bounds.enough) return 1
  return 1 - Math.min(bounds.most, Math.max(bounds.least, wanted))
}
function promisesOf({ steps, painters, pieces }: WorkshopProblem, options: PlanOptions): number {
  const seconds = 'rounds' in options ? options.rounds / promises.rounds : options.budgetMs / promises.second
  const share = (seconds * promises.each) / (steps.length * painters.length * pieces.length)
  return share < promises.least ? 0 : Math.min(promises.most, share)
}
function refuse(problem: WorkshopProblem, steps: readonly number[]): never {
  const [step = 0] = steps
  const name = problem.steps[step]?.name
  throw new NoSchedule(
    step,
    losing(problem, () => true)
      ? `No order keeps every window that ruins a coat: step ${step} (${name}) has no place.`
      : `Step ${step} (${name}) has no place in any order that was tried: give it more hours, hands or drying places.`,
    { steps },
  )
}
