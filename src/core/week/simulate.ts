/**
 * The week worked a hundred times by its plan: minutes and drying come out longer or shorter, everything keeps its row and is pushed. For
 * each promise how often it holds, and which steps decide it. Seeded; pure.
 */
import { randomFrom } from '@/core/measure/random'
import { earliestOf } from '@/core/schedule/bound'
import { isHeld, type WorkshopProblem, type WorkshopSchedule } from '@/core/schedule/problem'
import { Timing } from '@/core/schedule/timing'

export interface Odds {
  /** by piece: minutes at which it ended in each week, in order; infinite where it never did */
  ends: number[][]
  /** by piece: the steps that decide when it ends, the most first */
  deciding: number[][]
  /** windows missed, a week on average */
  missed: number
}

const most = 3

/** `weeks` worked weeks; `scatter`: of each step's minutes, in logarithms. A step begun longer than planned pushes what follows. */
export function simulateWeeks(
  problem: WorkshopProblem,
  { start, painter }: WorkshopSchedule,
  { weeks, seed, scatter }: { weeks: number; seed: number; scatter: readonly number[] },
): Odds {
  const random = randomFrom(seed)
  const { grid } = problem
  // the sum of twelve is near enough to a bell
  const bell = () => Array.from({ length: 12 }, random).reduce((sum, each) => sum + each, -6)
  const stretched = (minutes: number, by: number) => Math.max(grid, Math.round((minutes * Math.exp(by)) / grid) * grid)
  const { calendars } = earliestOf(problem)
  const order = problem.steps.map((_, k) => k).sort((a, b) => (start[a] ?? 0) - (start[b] ?? 0))
  const given = new Uint8Array(problem.lags.length).fill(1)
  const by = Int32Array.from(painter)
  const ends = problem.pieces.map((): number[] => [])
  const noise = problem.steps.map((): number[] => [])
  let missed = 0
  for (let week = 0; week < weeks; week += 1) {
    const slow = problem.steps.map((_, k) => bell() * (scatter[k] ?? 0))
    slow.forEach((each, k) => noise[k]?.push(each))
    const worked: WorkshopProblem = {
      ...problem,
      steps: problem.steps.map((step, k) => ({ ...step, split: true, dur: stretched(step.dur, slow[k] ?? 0) })),
      lags: problem.lags.map((lag) => {
        if (lag.min === 0 || isHeld(lag)) return lag
        const min = stretched(lag.min, bell() * (lag.scatter ?? 0))
        return { ...lag, min, max: lag.max === null ? null : lag.max + Math.max(0, min - lag.min) }
      }),
    }
    const timing = new Timing(
      worked,
      calendars,
      problem.steps.map(() => 0),
    )
    const found = timing.time({ order, by, given })
    problem.pieces.forEach(({ final }, piece) =>
      ends[piece]?.push(found === Infinity ? Infinity : (timing.end[final] ?? Infinity)),
    )
    if (found < Infinity) problem.lags.forEach(({ max }, k) => (missed += max !== null && timing.isMissed(k) ? 1 : 0))
  }
  return {
    deciding: problem.pieces.map((_, piece) => decide(noise, ends[piece] ?? [])),
    ends: ends.map((each) => [...each].sort((a, b) => a - b)),
    missed: missed / Math.max(1, weeks),
  }
}

/** The steps whose minutes go with the end, of whichever piece. */
function decide(noise: readonly number[][], ends: readonly number[]): number[] {
  const finite = ends.filter(Number.isFinite)
  const mean = finite.reduce((sum, each) => sum + each, 0) / Math.max(1, finite.length)
  const pull = noise.map((own) =>
    own.reduce((sum, each, week) => {
      const end = ends[week] ?? mean
      return Number.isFinite(end) ? sum + each * (end - mean) : sum
    }, 0),
  )
  return pull
    .map((_, k) => k)
    .filter((k) => (pull[k] ?? 0) > 0)
    .sort((a, b) => (pull[b] ?? 0) - (pull[a] ?? 0))
    .slice(0, most)
}

/** The share of weeks in which a piece ended by a minute. */
export const shareBy = (ends: readonly number[], minute: number): number =>
  ends.length === 0 ? 0 : ends.filter((each) => each <= minute).length / ends.length
/** The minute by which it had ended in a share of the weeks. */
export const endIn = (ends: readonly number[], share: number): number =>
  ends[Math.min(ends.length - 1, Math.ceil(share * ends.length) - 1)] ?? Infinity
