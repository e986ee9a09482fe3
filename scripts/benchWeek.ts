/** `npm run bench:week [PIECES…]`: the week of random workshops after 200 ms, 1 s and 4 s, against a person at a whiteboard, in one run. */
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

const budgets = [200, 1000, 4000]
const sizes = process.argv.slice(2).map(Number).filter(Boolean)
for (const size of sizes.length > 0 ? sizes : [3, 6, 12, 20]) {
  const ratios = budgets.map((): number[] => [])
  const bounds: number[] = []
  let steps = 0
  for (let seed = 1; seed <= 4; seed += 1) {
    const problem = randomProblem(seed * 31 + size, size)
    steps += problem.steps.length / 4
    const byHand = checkWeek(problem, whiteboard(problem))
    budgets.forEach((budgetMs, k) => {
      const began = performance.now()
      const week = planWorkshop(problem, { seed: 1, budgetMs, elapsedMs: () => performance.now() - began })
      if (byHand.faults.length === 0) ratios[k]?.push(byHand.cost / week.cost)
      if (k === budgets.length - 1) bounds.push(week.cost / week.bound)
    })
  }
  const mean = (all: readonly number[]) => Math.exp(all.reduce((sum, each) => sum + Math.log(each), 0) / all.length).toFixed(2)
  console.log(
    `${size} pieces, ${Math.round(steps)} steps: the whiteboard costs ${budgets.map((ms, k) => `${mean(ratios[k] ?? [])} × (${ms} ms)`).join(', ')}; after 4 s ${mean(bounds)} × the bound`,
  )
}
