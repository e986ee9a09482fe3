import { describe, expect, test } from 'vitest'
import { readBench } from '@/core/bench/benchData'
import { isHeld } from '@/core/schedule/problem'
import { ms } from '@/core/testing/piece'
import { dataOf, twoCoats } from '@/core/testing/studioWeek'
import { planWeek } from './planWeek'
import { endIn, shareBy, simulateWeeks } from './simulate'
import { readWeek } from './weekData'

describe('the week worked by chance', () => {
  const data = dataOf([twoCoats('table', { promisedOn: '2026-05-04' }), twoCoats('bench')])
  const workshop = readWeek(data, readBench(data.bench, [], ms('08:00')), ms('08:00'))
  const { schedule, ends } = planWeek(workshop, { seed: 1, rounds: 50 })
  test('without chance it comes out as planned', () => {
    const { problem } = workshop
    const certain = { ...problem, lags: problem.lags.map((lag) => ({ ...lag, scatter: 0 })) }
    const odds = simulateWeeks(certain, schedule, { weeks: 3, seed: 1, scatter: [] })
    expect(odds.ends).toEqual(ends.map(({ end }) => [end, end, end]))
    expect(odds.missed).toBe(0)
  })
  test('the same seed gives the same weeks; more chance, later in four of five', () => {
    const worked = (minutes: number) =>
      simulateWeeks(workshop.problem, schedule, {
        weeks: 200,
        seed: 4,
        scatter: workshop.scatter.map(() => minutes),
      })
    expect(worked(0.3)).toEqual(worked(0.3))
    const safe = (minutes: number) => endIn(worked(minutes).ends[0] ?? [], 0.8)
    expect(safe(0.8)).toBeGreaterThan(safe(0.05))
  })
  test('what was let go is not in the weeks either', () => {
    const [table] = readBench(data.bench, [], ms('08:00'))
    const stepId = table?.parts[0]?.next?.id ?? ''
    // three in the night: nobody works
    const pins = [{ stepId, side: null, at: ms('08:00') + 19 * 3_600_000, personId: null }]
    const held = readWeek(data, readBench(data.bench, [], ms('08:00')), ms('08:00'), { pins })
    expect(held.problem.lags.filter((lag) => isHeld(lag))).toHaveLength(1)
    const planned = planWeek(held, { seed: 1, rounds: 50 })
    expect(planned.problem.lags.filter((lag) => isHeld(lag))).toEqual([])
    const { ends: worked } = simulateWeeks(planned.problem, planned.schedule, { weeks: 1, seed: 1, scatter: [] })
    expect(worked[0]?.[0]).toBeLessThan(19 * 60)
  })
  test('shares and ranks by hand', () => {
    expect(shareBy([10, 20, 30, 40], 30)).toBe(0.75)
    expect([endIn([10, 20, 30, 40, 50], 0.8), endIn([10], 0.8), endIn([], 0.8)]).toEqual([40, 10, Infinity])
  })
})
