import { describe, expect, test } from 'vitest'
import { problemOf, workStep } from '@/core/testing/week'
import { Moments } from './byMoments'
import { aboutBy, latenessBy, oneGivenUp } from './datesCost'
import { Evenings } from './evenings'
import type { Less } from './givingWay'
import type { Look } from './look'
import { Search } from './search'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute
const look: Look = {
  ...{ width: 6, alike: 2, children: 9, kin: { steps: 8, share: 1 } },
  ...{ near: 240, byWork: true, hands: 3, chance: 0, idle: 14 * day },
}
const evening = [at(0, 17), at(0, 17), at(0, 17)]

describe('dates that ask for less', () => {
  const problem = problemOf([workStep(0, 60), workStep(1, 60), workStep(2, 60)])
  const weighted = { ...problem, pieces: problem.pieces.map((piece, k) => ({ ...piece, weight: [2, 1, 4][k] ?? 1 })) }
  const asked = { isWorth: () => true, around: () => 0 }
  test('what dates cost: ten for a minute late, times its weight, and one about', () => {
    expect(latenessBy(weighted, [at(0, 17), at(0, 18), at(1, 17)])).toBe(600 + 4 * 14_400)
    expect(aboutBy(weighted, [at(0, 17), at(0, 18), at(1, 17)])).toBe(1020 + 1080 + 2460)
  })
  test('one piece more a day later, the cheapest first', () => {
    const all = oneGivenUp(weighted, new Evenings(weighted), asked)(evening)
    expect(all).toEqual([1, 0, 2].map((piece) => evening.map((date, k) => (k === piece ? at(1, 17) : date))))
  })
  test('none that is kept, or makes it too late', () => {
    const late = (most: number, kept: number) =>
      oneGivenUp(weighted, new Evenings(weighted), { ...asked, isWorth: (piece, by) => piece !== kept && by <= most })(evening)
    expect(late(14_400, 0)).toEqual([[at(0, 17), at(1, 17), at(0, 17)]])
    expect(late(14_400, 1)).toEqual([])
    // after the last day there is none
    expect(oneGivenUp(weighted, new Evenings(weighted), asked)([problem.horizon, problem.horizon, problem.horizon])).toEqual([])
  })
})

describe('a week that comes no further by its dates', () => {
  // eight hours and a quarter of three pieces in a day of seven: two of them are done by its evening, whichever
  const problem = problemOf([workStep(0, 165), workStep(1, 165), workStep(2, 165)])
  const workBy = (less?: Less) =>
    new Moments(new Search(problem, { seed: 1, rounds: 1 })).work(look, { dates: evening, less }, () => false)
  test('is given up where nothing gives way', () => {
    expect(workBy()).toBe(null)
    expect(workBy(() => [])).toBe(null)
  })
  test('is worked to its end where one gives way: that one, and no other, a day later', () => {
    for (const piece of [0, 1, 2]) {
      const asked: (readonly number[])[] = []
      const week = workBy((dates) => {
        asked.push(dates)
        return [dates.map((date, k) => (k === piece ? at(1, 17) : date))]
      })
      expect(week?.start.map((minute) => minute < day)).toEqual([0, 1, 2].map((k) => k !== piece))
      expect(asked).toEqual([evening])
    }
  })
  test('goes by the first dates by which it can, and gives up ever more where one is not enough', () => {
    // six pieces of half a day's work each, all for the first evening: two in a day, four give way, two of them twice
    const six = problemOf([0, 1, 2, 3, 4, 5].map((piece) => workStep(piece, 180)))
    const evenings = new Evenings(six)
    const dates = six.pieces.map(() => at(0, 17))
    const less = oneGivenUp(six, evenings, { isWorth: () => true, around: () => 0 })
    const week = new Moments(new Search(six, { seed: 1, rounds: 1 })).work(look, { dates, less }, () => false)
    const days = week?.start.map((minute) => Math.floor(minute / day)).sort((one, other) => one - other)
    expect(days).toEqual([0, 0, 1, 1, 2, 2])
  })
})
