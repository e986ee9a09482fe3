/** Workshops' weeks for tests: small ones worked by hand, and any number of random ones from a seed. */
import { randomFrom } from '@/core/measure/random'
import { Calendar } from '@/core/schedule/calendar'
import { checkWeek } from '@/core/schedule/check'
import type { Lag, WorkshopProblem, WorkshopSchedule, WorkStep } from '@/core/schedule/problem'

const day = 1440
/** Nine to half past twelve, half past one to five, on each of so many days. */
export const hours = (days: number): [number, number][] =>
  Array.from({ length: days }, (_, k): [number, number][] => [
    [k * day + 540, k * day + 750],
    [k * day + 810, k * day + 1020],
  ]).flat()

export const workStep = (piece: number, dur: number, over: Partial<WorkStep> = {}): WorkStep => ({
  ...{ piece, part: 0, name: 'work', dur, split: false, product: null, spray: false, painters: [0] },
  ...over,
})
export const lag = (from: number | null, to: number, min: number, over: Partial<Lag> = {}): Lag => ({
  ...{ from, to, min, max: null, hard: false, penalty: 0, rack: false },
  ...over,
})
/** One person, two weeks; every piece ends with its last step, due at the end of the first day. */
export function problemOf(steps: WorkStep[], lags: Lag[] = [], over: Partial<WorkshopProblem> = {}): WorkshopProblem {
  const pieces = [...new Set(steps.map(({ piece }) => piece))]
  return {
    grid: 5,
    horizon: 14 * day,
    painters: [{ id: 'one', work: hours(14) }],
    pools: { spray: 1, rack: 9 },
    setup: 10,
    pieces: pieces.map((piece) => ({
      ...{ id: `piece ${piece}`, due: 1020, weight: 1 },
      final: steps.findLastIndex((step) => step.piece === piece),
    })),
    steps,
    lags,
    cost: { tardy: 10, flow: 1 },
    ...over,
  }
}

/** What is wrong with a week by the dates at which its pieces are to end: what may not be, windows that ruin a coat, by their index, pieces that end later. */
export function wrongBy(problem: WorkshopProblem, week: WorkshopSchedule, dates: readonly number[]) {
  const { faults, missed, end } = checkWeek(problem, week)
  const ruined = missed.filter((k) => problem.lags[k]?.hard)
  const late = problem.pieces.filter(({ final }, piece) => (end[final] ?? Infinity) > (dates[piece] ?? 0)).map(({ id }) => id)
  return { faults, ruined, late }
}
export const nothingWrong = { faults: [], ruined: [], late: [] }

const permutations = <T>(all: readonly T[]): T[][] =>
  all.length < 2 ? [[...all]] : all.flatMap((one, k) => permutations(all.toSpliced(k, 1)).map((rest) => [one, ...rest]))
/** The least that any order costs of pieces of one step each, all of them one person's, each begun as soon as it may be. */
export function bestOrderCost(problem: WorkshopProblem): number {
  const { steps, painters, grid, horizon } = problem
  const calendar = new Calendar(painters[0] ?? { id: '', work: [] }, grid, horizon)
  const costs = permutations([...steps.keys()]).map((order) => {
    const start = steps.map(() => 0)
    let now = 0
    for (const k of order) {
      const step = steps[k] ?? workStep(0, 5)
      start[k] = calendar.nextStart(step, now)
      now = calendar.endOf(step, start[k] ?? 0)
    }
    return checkWeek(problem, { start, painter: steps.map(() => 0) }).cost
  })
  return Math.min(...costs)
}

/** Pieces of one to three parts, waxed or cleared, in two or three products, by one or two people; four weeks. */
export function randomProblem(seed: number, pieces: number): WorkshopProblem {
  const random = randomFrom(seed)
  const upTo = (most: number) => 5 * (1 + Math.floor((random() * most) / 5))
  const steps: WorkStep[] = []
  const lags: Lag[] = []
  const people = random() < 0.5 ? 1 : 2
  const painters = Array.from({ length: people }, (_, k) => k)
  const put = (piece: number, part: number, most: number, over: Partial<WorkStep> = {}) =>
    steps.push(workStep(piece, upTo(most), { part, painters, ...over })) - 1
  const finals = Array.from({ length: pieces }, (_, piece) => {
    const parts = 1 + Math.floor(random() * 3)
    const lasts = Array.from({ length: parts }, (__, part) => {
      const paint = random() < 0.5 ? 'pale' : 'dark'
      const clean = put(piece, part, 60, { split: true })
      const first = put(piece, part, 40, { product: paint })
      const second = put(piece, part, 40, { product: paint })
      lags.push(lag(clean, first, 30), lag(first, second, 120, { rack: true }))
      if (random() < 0.5) {
        const wax = put(piece, part, 20, { product: 'wax' })
        const off = put(piece, part, 20)
        lags.push(lag(second, wax, 240, { rack: true }), lag(wax, off, 15, { max: 40, hard: true, penalty: 10_000, rack: true }))
        return off
      }
      const clear = put(piece, part, 25, { product: 'clear', spray: random() < 0.5 })
      lags.push(lag(second, clear, 180, { max: 1440, penalty: 1500, rack: true }))
      return clear
    })
    const last = put(piece, parts, 30)
    lags.push(...lasts.map((from) => lag(from, last, 240)))
    return last
  })
  return problemOf(steps, lags, {
    horizon: 28 * day,
    painters: painters.map((k) => ({
      id: `person ${k}`,
      work: hours(28).filter(([from]) => (Math.floor(from / day) + k) % 7 < 5),
    })),
    pools: { spray: 1, rack: 3 },
    pieces: finals.map((final, piece) => ({
      id: `piece ${piece}`,
      due: (2 + Math.floor(random() * 10)) * day + 1020,
      weight: 1 + Math.floor(random() * 3),
      final,
    })),
  })
}

/** Any row of chains, each unit as often as it has some. */
export const rowOf = ({ units }: { units: readonly { chains: readonly unknown[] }[] }, random: () => number): number[] =>
  units
    .flatMap(({ chains }, unit) => chains.map(() => ({ unit, by: random() })))
    .sort((a, b) => a.by - b.by)
    .map(({ unit }) => unit)
