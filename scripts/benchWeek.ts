/**
 * `npm run bench:week [PIECES…]`: the week of random workshops after 200 ms, 1 s and 5 s, against the best that eight seconds find from two
 * seeds, a person at a whiteboard and the bound; then going on from it when a step takes half as long again, somebody is gone for an
 * afternoon, or a rush piece comes in. In one run.
 */
import { Calendar, never } from '../src/core/schedule/calendar'
import { checkWeek } from '../src/core/schedule/check'
import { planWorkshop } from '../src/core/schedule/planWorkshop'
import type { WorkshopProblem, WorkshopSchedule } from '../src/core/schedule/problem'
import { randomProblem } from '../src/core/testing/week'

/** Whenever somebody is free they take the ready step of the piece that is due soonest. */
function whiteboard(problem: WorkshopProblem): WorkshopSchedule {
  const { steps, lags, painters, pieces, pools, setup, grid, horizon } = problem
  const calendars = painters.map((each) => new Calendar(each, grid, horizon))
  const start = steps.map(() => never)
  const end = steps.map(() => never)
  const painter = steps.map(() => 0)
  const wet = painters.map(() => never)
  const free = painters.map(() => 0)
  const order = steps.map((_, k) => k).sort((a, b) => dueOf(a) - dueOf(b) || a - b)
  for (let now = 0; now < horizon; now += grid)
    painters.forEach((_, by) => {
      if ((free[by] ?? 0) > now) return
      const next = order.find((k) => isReady(k, by, now))
      if (next === undefined) return
      start[next] = now
      end[next] = calendars[by]?.endOf(steps[next]!, now) ?? never
      painter[next] = by
      free[by] = end[next] ?? now
      if (steps[next]?.product) wet[by] = next
    })
  return { start, painter }

  function dueOf(k: number) {
    return pieces[steps[k]?.piece ?? 0]?.due ?? 0
  }
  function isReady(k: number, by: number, now: number): boolean {
    const step = steps[k]
    if (!step || start[k] !== never || !step.painters.includes(by)) return false
    const waits = lags.filter(({ to }) => to === k)
    if (!waits.every(({ from, min }) => (from === null ? now >= min : end[from] !== never && (end[from] ?? 0) + min <= now)))
      return false
    const last = wet[by] ?? never
    if (step.product && last !== never && steps[last]?.product !== step.product && (end[last] ?? 0) + setup > now) return false
    if ((calendars[by]?.endOf(step, now) ?? never) === never) return false
    const spraying = steps.filter((other, at) => other.spray && start[at] !== never && (end[at] ?? 0) > now).length
    if (step.spray && spraying >= pools.spray) return false
    const held = lags.filter(({ from, to, rack }) => rack && from !== null && start[from] !== never && start[to] === never).length
    const takes = lags.filter(({ from, rack }) => rack && from === k).length - waits.filter(({ rack }) => rack).length
    return takes <= 0 || held + takes <= pools.rack
  }
}

const budgets = [200, 1000, 5000]
const longMs = 8_000
const asked = process.argv.slice(2).map(Number).filter(Boolean)
const sizes = asked.length > 0 ? asked : [3, 6, 12, 20]
const problems = 3
const mean = (all: readonly number[]) => Math.exp(all.reduce((sum, each) => sum + Math.log(each), 0) / all.length).toFixed(2)

function planned(problem: WorkshopProblem, budgetMs: number, more: { seed?: number; from?: WorkshopSchedule | undefined } = {}) {
  const began = performance.now()
  let firstMs = 0
  const elapsedMs = () => performance.now() - began
  const onBetter = () => (firstMs ||= elapsedMs())
  return { ...planWorkshop(problem, { seed: 1, budgetMs, elapsedMs, onBetter, ...more }), firstMs }
}
const bestOf = (problem: WorkshopProblem, from?: WorkshopSchedule) =>
  Math.min(planned(problem, longMs, { seed: 2 }).cost, planned(problem, longMs, { seed: 3, from }).cost)

for (const size of sizes) {
  const [ratios, byHand]: [number[][], number[]] = [budgets.map(() => []), []]
  const bounds: number[] = []
  let steps = 0
  for (let nth = 1; nth <= problems; nth += 1) {
    const problem = randomProblem(nth * 31 + size, size)
    steps += problem.steps.length / problems
    const weeks = budgets.map((budgetMs) => planned(problem, budgetMs))
    const best = Math.min(bestOf(problem), ...weeks.map(({ cost }) => cost))
    weeks.forEach(({ cost }, k) => ratios[k]?.push(cost / best))
    const last = weeks.at(-1)
    if (last) bounds.push(last.cost / last.bound)
    const hand = checkWeek(problem, whiteboard(problem))
    if (hand.faults.length === 0) byHand.push(hand.cost / best)
  }
  console.log(
    `${size} pieces, ${Math.round(steps)} steps, against the best: whiteboard ${mean(byHand)} ×, ${budgets
      .map((ms, k) => `${ms} ms ${mean(ratios[k] ?? [])} ×`)
      .join(', ')}; after 5 s ${mean(bounds)} × the bound`,
  )
}

/** What happened at eleven on the second day; what was begun by then is held where it was. */
const now = 1440 + 11 * 60
const held = (problem: WorkshopProblem, { start }: WorkshopSchedule): WorkshopProblem => ({
  ...problem,
  lags: [
    ...problem.lags,
    ...problem.steps.map((_, to) => {
      const at = start[to] ?? Infinity
      return { from: null, to, min: at < now ? at : now, max: at < now ? at : null, hard: false, penalty: 0, rack: false }
    }),
  ],
})
const events: Record<string, (problem: WorkshopProblem, week: WorkshopSchedule) => WorkshopProblem> = {
  'a step half as long again': (problem, week) => {
    const { end } = checkWeek(problem, week)
    const begun = problem.steps.map((_, k) => k).filter((k) => (week.start[k] ?? 0) < now)
    const last = begun.reduce((late, k) => ((end[k] ?? 0) > (end[late] ?? 0) ? k : late), begun[0] ?? 0)
    const steps = problem.steps.map((step, k) => (k === last ? { ...step, dur: step.dur + 5 * Math.ceil(step.dur / 10) } : step))
    return held({ ...problem, steps }, week)
  },
  'somebody gone for the afternoon': (problem, week) => {
    const [first, ...rest] = problem.painters
    const work = first?.work.filter(([from]) => from < now || from >= 2 * 1440) ?? []
    return held({ ...problem, painters: [{ id: 'one', work }, ...rest] }, week)
  },
  'a rush piece': (problem, week) => {
    const [piece, at] = [problem.pieces.length, problem.steps.length]
    const minutes = [30, 25, 25, 30]
    const everybody = problem.painters.map((_, k) => k)
    const steps = minutes.map((dur, k) => {
      const product = k === 1 || k === 2 ? 'pale' : null
      return { piece, part: 0, name: 'rush', dur, split: false, product, spray: false, painters: everybody }
    })
    const plain = { max: null, hard: false, penalty: 0 }
    const lags = [1, 2, 3].map((k) => ({ ...plain, from: at + k - 1, to: at + k, min: [0, 30, 120, 240][k] ?? 0, rack: k > 1 }))
    const pieces = [...problem.pieces, { id: 'rush', due: 3 * 1440 + 1020, weight: 4, final: at + 3 }]
    return held({ ...problem, pieces, steps: [...problem.steps, ...steps], lags: [...problem.lags, ...lags] }, week)
  },
}
for (const size of sizes.filter((each) => each === 6 || each === 12))
  for (const [event, happened] of Object.entries(events)) {
    const [ratios, stays, firstMs]: [number[], number[], number[]] = [[], [], []]
    for (let nth = 1; nth <= problems; nth += 1) {
      const problem = randomProblem(nth * 31 + size, size)
      const week = planned(problem, 5000)
      const { start, painter } = week
      const then = happened(problem, week)
      const again = planned(then, 1000, { from: { start, painter } })
      ratios.push(again.cost / Math.min(again.cost, bestOf(then, { start, painter })))
      firstMs.push(again.firstMs)
      const ahead = start.map((_, k) => k).filter((k) => (start[k] ?? 0) >= now)
      stays.push(ahead.filter((k) => again.start[k] === start[k]).length / ahead.length)
    }
    const share = Math.round((100 * stays.reduce((sum, each) => sum + each, 0)) / stays.length)
    console.log(
      `${size} pieces, ${event}: first answer after at most ${Math.ceil(Math.max(...firstMs))} ms; after 1 s ${mean(ratios)} × the best, ${share} % of what was ahead stays to the minute`,
    )
  }
