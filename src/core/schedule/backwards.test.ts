import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lag, nothingWrong, problemOf, randomProblem, workStep, wrongBy } from '@/core/testing/week'
import { Backwards } from './backwards'
import { checkWeek } from './check'
import { drawnTogether } from './goOn'
import type { Look } from './look'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem } from './problem'
import { Search } from './search'
import { Ways } from './ways'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute
const look: Look = {
  ...{ width: 20, alike: 2, children: 9, kin: { steps: 8, share: 1 } },
  ...{ near: 240, byWork: true, hands: 3, chance: 0.05, idle: 14 * day },
}
const searchOf = (problem: WorkshopProblem) => new Search(problem, { seed: 1, rounds: 1 })
const workBy = (problem: WorkshopProblem, dates: readonly number[], over: Partial<Look> = {}) =>
  new Backwards(searchOf(problem)).work({ ...look, ...over }, { dates }, () => false)
// half an hour, an hour to dry, half an hour
const coats = (piece: number) => [workStep(piece, 30), workStep(piece, 30)]
const twoCoats = problemOf(coats(0), [lag(0, 1, 60)])

describe('a week worked from its end', () => {
  test('is begun as late as may be, and by hands that are there', () => {
    expect(workBy(twoCoats, [at(0, 12)])?.start).toEqual([at(0, 10), at(0, 11, 30)])
    // by two the second begins at half past one, after lunch; the first has dried by then if it is done by half past twelve
    expect(workBy(twoCoats, [at(0, 14)])?.start).toEqual([at(0, 12), at(0, 13, 30)])
    expect(workBy(twoCoats, [at(0, 10, 55)])).toBe(null)
    // what may be laid down over lunch: three and a half hours of the afternoon, and an hour and a half before it
    expect(workBy(problemOf([workStep(0, 300, { split: true })]), [at(0, 17)])?.start).toEqual([at(0, 11)])
  })
  test('drawn together it is begun as early as may be', () => {
    const search = searchOf(twoCoats)
    const week = new Backwards(search).work(look, { dates: [at(0, 17)] }, () => false)
    expect(week?.start).toEqual([at(0, 15), at(0, 16, 30)])
    expect(week && drawnTogether(search, search.coarse, week)?.start).toEqual([at(0, 9), at(0, 10, 30)])
  })
  test('a window is kept from its end, too', () => {
    // rubbed off a quarter of an hour to forty minutes later; twenty minutes don't fit between half past one and twenty to two
    const problem = problemOf([workStep(0, 30), workStep(0, 20)], [lag(0, 1, 15, { max: 40, hard: true, penalty: 10_000 })])
    expect(workBy(problem, [at(0, 13, 40)])?.start).toEqual([at(0, 11, 25), at(0, 12, 10)])
  })
  test('one more is put down than there are places, where another is taken up as it is', () => {
    const dries = (from: number) => lag(from, from + 1, 60, { rack: true })
    const problem = problemOf([...coats(0), ...coats(1)], [dries(0), dries(2)], { pools: { spray: 1, rack: 1 } })
    const week = workBy(problem, [at(0, 12), at(0, 12)])
    expect(week && checkWeek(problem, week)).toMatchObject({ faults: [], missed: [] })
    expect([...(week?.start ?? [])].sort((one, other) => one - other)).toEqual([
      ...[at(0, 9), at(0, 10), at(0, 10, 30), at(0, 11, 30)],
    ])
  })
  test('what dries already is waited for, and a window that is open now is not let close', () => {
    const waiting = { ...twoCoats, lags: [...twoCoats.lags, lag(null, 0, at(0, 10))] }
    expect(workBy(waiting, [at(0, 12)])?.start).toEqual([at(0, 10), at(0, 11, 30)])
    expect(workBy(waiting, [at(0, 11, 55)])).toBe(null)
    const closing = { ...twoCoats, lags: [...twoCoats.lags, lag(null, 0, 0, { max: at(0, 9, 30), hard: true, penalty: 10_000 })] }
    expect(workBy(closing, [at(0, 17)])?.start).toEqual([at(0, 9, 30), at(0, 16, 30)])
  })
  test('whatever the workshop: it may be worked, no coat is ruined, every piece ends by its date', () =>
    fc.assert(
      fc.property(fc.nat(10_000), fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 3 }), (seed, pieces, later) => {
        const problem = randomProblem(seed, pieces)
        const first = checkWeek(problem, planWorkshop(problem, { seed, rounds: 40 }))
        const dates = problem.pieces.map(({ final }) => (first.end[final] ?? 0) + later * day)
        const week = workBy(problem, dates, { width: 8 })
        if (!week) return
        expect(wrongBy(problem, week, dates)).toEqual(nothingWrong)
      }),
      { numRuns: 60 },
    ))
  test('where there is time enough one is found, looked at in three ways', () => {
    const found = Array.from({ length: 12 }, (_, seed) => {
      const problem = randomProblem(seed, 3)
      const first = checkWeek(problem, planWorkshop(problem, { seed, rounds: 40 }))
      const dates = problem.pieces.map(({ final }) => (first.end[final] ?? 0) + 3 * day)
      return [60, 240, 960].some((near) => workBy(problem, dates, { near }) !== null)
    })
    expect(found.filter(Boolean).length).toBeGreaterThanOrEqual(10)
  })
})

test('from both ends, but where something is held to a minute', () => {
  const waysOf = (problem: WorkshopProblem) => {
    const ways = new Ways(searchOf(problem))
    return new Set(Array.from({ length: 40 }, () => ways.next())).size
  }
  expect(waysOf(twoCoats)).toBe(2)
  expect(waysOf({ ...twoCoats, lags: [...twoCoats.lags, lag(null, 0, at(0, 10), { max: at(0, 10) })] })).toBe(1)
})
test('the way by which the best was found is gone more often', () => {
  const ways = new Ways(searchOf(twoCoats))
  const first = ways.next()
  for (let k = 0; k < 50; k += 1) {
    const way = ways.next()
    way.came({ dates: [at(0, 12)], isFound: true, isBest: way === first })
  }
  const again = Array.from({ length: 200 }, () => ways.next()).filter((way) => way === first).length
  expect(again).toBeGreaterThan(150)
})
