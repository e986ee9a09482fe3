import { expect, test } from 'vitest'
import { lag, randomProblem } from '@/core/testing/week'
import { checkWeek } from './check'
import { planWorkshop } from './planWorkshop'

const at = (day: number, hour: number) => day * 1440 + hour * 60

test('a step that took half as long again: nearly all that lies after it stays, and it costs hardly more than what is sought anew', () => {
  const [stays, dearer]: [number[], number[]] = [[], []]
  for (const seed of [3, 8, 21, 40, 1, 2, 5, 9]) {
    const problem = randomProblem(seed, 6)
    // long enough that there is little to better but what happened
    const first = planWorkshop(problem, { seed, rounds: 6000 })
    const { end } = checkWeek(problem, first)
    const now = at(1, 11)
    const running = problem.steps.map((_, k) => k).filter((k) => (first.start[k] ?? 0) < now)
    const last = running.reduce((late, k) => ((end[k] ?? 0) > (end[late] ?? 0) ? k : late))
    const later = {
      ...problem,
      steps: problem.steps.map((step, k) => (k === last ? { ...step, dur: step.dur + 5 * Math.ceil(step.dur / 10) } : step)),
      lags: [
        ...problem.lags,
        ...problem.steps.map((_, k) => {
          const start = first.start[k] ?? 0
          return start < now ? lag(null, k, start, { max: start }) : lag(null, k, now)
        }),
      ],
    }
    const again = planWorkshop(later, { seed, rounds: 2500, from: first })
    const anew = planWorkshop(later, { seed, rounds: 2500 })
    expect(checkWeek(later, again).faults).toEqual([])
    const ahead = problem.steps.map((_, k) => k).filter((k) => !running.includes(k))
    stays.push(ahead.filter((k) => again.start[k] === first.start[k]).length / ahead.length)
    dearer.push(again.cost / Math.min(anew.cost, again.cost))
  }
  const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length
  expect(mean(stays)).toBeGreaterThan(0.8)
  expect(mean(dearer)).toBeLessThan(1.1)
})
