/**
 * `npm run bench:week [PIECES…]`: the week of random workshops after 200 ms, 1 s and 5 s, against the best that eight seconds find from two
 * seeds, a person at a whiteboard, a careful one, a second of plain annealing and the bound; then going on from it when a step takes half as long again, somebody is gone for an
 * afternoon, or a rush piece comes in. In one run.
 */
import { checkWeek } from '../src/core/schedule/check'
import { planWorkshop } from '../src/core/schedule/planWorkshop'
import type { WorkshopProblem, WorkshopSchedule } from '../src/core/schedule/problem'
import { randomProblem } from '../src/core/testing/week'
import { annealed, inTurn, whiteboard } from './handWeek'

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
  const ratios: number[][] = budgets.map(() => [])
  const byHand: Record<string, number[]> = { whiteboard: [], 'with care': [], 'annealed 1 s': [] }
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
    const hands = { whiteboard: whiteboard(problem), 'with care': inTurn(problem), 'annealed 1 s': annealed(problem, 1000, nth) }
    for (const [how, week] of Object.entries(hands)) {
      const hand = week && checkWeek(problem, week)
      if (hand?.faults.length === 0) byHand[how]?.push(hand.cost / best)
    }
  }
  console.log(
    `${size} pieces, ${Math.round(steps)} steps, against the best: ${Object.entries(byHand)
      .map(([how, all]) => `${how} ${mean(all)} × (${all.length} of ${problems})`)
      .join(', ')}, ${budgets
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
