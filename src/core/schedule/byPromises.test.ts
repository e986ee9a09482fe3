import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { randomFrom } from '@/core/measure/random'
import { lag, nothingWrong, problemOf, randomProblem, workStep, wrongBy } from '@/core/testing/week'
import { earliestOf } from './bound'
import { Moments } from './byMoments'
import { searchPromises } from './byPromises'
import { searchRules } from './byRules'
import { never } from './calendar'
import { checkWeek } from './check'
import { Choices } from './choices'
import { Evenings } from './evenings'
import { Fits } from './fits'
import { type Look, Looks } from './look'
import { pinsOf } from './pins'
import { planWorkshop } from './planWorkshop'
import type { WorkshopProblem } from './problem'
import { Search } from './search'
import { StepFacts } from './stepFacts'
import { towards } from './towards'
import { Urgency } from './urgency'
import { Weeks } from './weeks'

const day = 1440
const at = (k: number, hour: number, minute = 0) => k * day + hour * 60 + minute
const factsOf = (problem: WorkshopProblem) =>
  new StepFacts(problem, earliestOf(problem).calendars, pinsOf(problem, earliestOf(problem).calendars))
const look: Look = {
  ...{ width: 20, alike: 2, children: 9, kin: { steps: 8, share: 1 } },
  ...{ near: 240, byWork: true, hands: 3, chance: 0.05, idle: 14 * day },
}
const workBy = (problem: WorkshopProblem, dates: readonly number[], over: Partial<Look> = {}, wished?: readonly number[]) =>
  new Moments(new Search(problem, { seed: 1, rounds: 1 })).work({ ...look, ...over }, { dates, wished }, () => false)

describe('when steps must be over', () => {
  const towardsOf = (problem: WorkshopProblem, dates: readonly number[]) =>
    towards(dates, factsOf(problem), earliestOf(problem).order)
  test('through the night and the lunch, and how long hands work until then', () => {
    // twenty minutes, two hours to dry, an hour, dry for a night, half an hour
    const problem = problemOf([workStep(0, 20), workStep(0, 60), workStep(0, 30)], [lag(0, 1, 120), lag(1, 2, 720)])
    const until = towardsOf(problem, [at(1, 10)])
    // the last at half past nine; the hour before five, for it dries until half past nine in the evening at the latest
    expect([...(until?.start ?? [])]).toEqual([at(0, 13, 40), at(0, 16), at(1, 9, 30)])
    expect([...(until?.order ?? [])]).toEqual([0, 1, 2])
    // by two: three hours and a half, and half an hour; by five seven hours; one more the next day
    expect([...(until?.worked ?? [])]).toEqual([240, 420, 480])
    expect(towardsOf(problem, [at(0, 17)])).toBe(null)
  })
  test('what may be laid down over lunch is begun before it', () => {
    expect(towardsOf(problemOf([workStep(0, 300, { split: true })]), [at(0, 17)])?.start[0]).toBe(at(0, 11))
    expect(towardsOf(problemOf([workStep(0, 200)]), [at(0, 17)])?.start[0]).toBe(at(0, 13, 40))
  })
})

test('a step is begun when what follows it within its window finds a place, too', () => {
  const fitsOf = (hard: boolean) =>
    new Fits(factsOf(problemOf([workStep(0, 30), workStep(0, 20)], [lag(0, 1, 15, { max: 40, hard })])))
  // laid at twenty past eleven it is wiped at five past twelve; at half past there is no time before lunch, and lunch is too long
  expect(fitsOf(true).from(0, 0, at(0, 11, 20), 'hard')).toBe(at(0, 11, 20))
  expect(fitsOf(true).from(0, 0, at(0, 11, 30), 'hard')).toBe(at(0, 13, 30))
  expect(fitsOf(false).from(0, 0, at(0, 11, 30), 'hard')).toBe(at(0, 11, 30))
  expect(fitsOf(false).from(0, 0, at(0, 11, 30), 'all')).toBe(at(0, 13, 30))
  expect(fitsOf(true).from(0, 0, at(13, 16, 50), 'hard')).toBe(never)
})

describe('a week worked from moment to moment', () => {
  test('one more is put down than there are places, where another is taken up as it is', () => {
    // two coats each, an hour between them; one place to dry
    const coats = (piece: number) => [workStep(piece, 30), workStep(piece, 30)]
    const dries = (from: number) => lag(from, from + 1, 60, { rack: true })
    const problem = problemOf([...coats(0), ...coats(1)], [dries(0), dries(2)], { pools: { spray: 1, rack: 1 } })
    // nine, then at ten the other, which is put down at half past as the first is taken up; both by noon
    const week = workBy(problem, [at(0, 12), at(0, 12)])
    expect(week && checkWeek(problem, week)).toMatchObject({ faults: [], missed: [] })
    expect([...(week?.start ?? [])].sort((one, other) => one - other)).toEqual([
      at(0, 9),
      at(0, 10),
      at(0, 10, 30),
      at(0, 11, 30),
    ])
    expect(workBy(problem, [at(0, 11, 55), at(0, 11, 55)])).toBe(null)
  })
  test('a window is kept where it can be, and missed where it can’t; one that ruins a coat is kept', () => {
    const hard = lag(2, 3, 15, { max: 40, hard: true, penalty: 10_000 })
    const missedWith = (minutes: number) => {
      const steps = [workStep(0, 30), workStep(0, minutes), workStep(1, 30), workStep(1, 20)]
      const problem = problemOf(steps, [lag(0, 1, 0, { max: 30, penalty: 1500 }), hard])
      const week = workBy(problem, [at(1, 12, 30), at(1, 12, 30)])
      return week && checkWeek(problem, week)
    }
    expect(missedWith(100)).toMatchObject({ faults: [], missed: [] })
    // two hundred minutes take a morning or an afternoon; no half hour ends half an hour before either
    expect(missedWith(200)).toMatchObject({ faults: [], missed: [0] })
  })
  test('what is held to a minute is worked then, and the rest around it', () => {
    // ninety minutes that are held to ten; an hour fits before it, one and a half after it, and no longer work before noon
    const steps = [workStep(0, 90), workStep(1, 60), workStep(2, 60), workStep(3, 100)]
    const problem = problemOf(steps, [lag(null, 0, at(0, 10), { max: at(0, 10) })])
    const noon = at(0, 12, 30)
    const week = workBy(problem, [noon, noon, noon, at(0, 17)])
    expect(week && checkWeek(problem, week).faults).toEqual([])
    expect(week?.start[0]).toBe(at(0, 10))
    expect([week?.start[1], week?.start[2]].sort((one, other) => (one ?? 0) - (other ?? 0))).toEqual([at(0, 9), at(0, 11, 30)])
    expect(workBy(problem, [noon, at(0, 17), at(0, 17), noon])).toBe(null)
  })
  test('who is wished for sooner goes first, where all may end as late', () => {
    const problem = problemOf([workStep(0, 60), workStep(1, 60), workStep(2, 60)])
    const late = [at(1, 17), at(1, 17), at(1, 17)]
    const orders = [0, 1, 2].map((piece) => {
      const wished = late.map((date, k) => (k === piece ? at(0, 10) : date))
      return workBy(problem, late, { chance: 0 }, wished)?.start.indexOf(at(0, 9))
    })
    expect(orders).toEqual([0, 1, 2])
    // wished for sooner than can be, all three: the dates are kept all the same
    const week = workBy(problem, late, {}, [at(0, 10), at(0, 10), at(0, 10)])
    expect([...(week?.start ?? [])].sort((one, other) => one - other)).toEqual([at(0, 9), at(0, 10), at(0, 11)])
  })
  /** A workshop of which a few steps are held where a first week has them, and dates about its ends. */
  const askedOf = (seed: number, pieces: number) => {
    const free = randomProblem(seed, pieces)
    const random = randomFrom(seed)
    const first = planWorkshop(free, { seed, rounds: 40 })
    const { end } = checkWeek(free, first)
    const pins = first.start.flatMap((minute, to) => (random() < 0.05 ? [lag(null, to, minute, { max: minute })] : []))
    const dates = free.pieces.map(({ final }) => (end[final] ?? 0) + Math.floor((random() * 3 - 0.5) * day))
    return { problem: { ...free, lags: [...free.lags, ...pins] }, dates }
  }
  test('whatever the workshop: it may be worked, no coat is ruined, every piece ends by its date', () =>
    fc.assert(
      fc.property(fc.nat(10_000), fc.integer({ min: 1, max: 5 }), fc.boolean(), (seed, pieces, byWork) => {
        const { problem, dates } = askedOf(seed, pieces)
        const week = workBy(problem, dates, { byWork, width: 8 })
        if (!week) return
        expect(wrongBy(problem, week, dates)).toEqual(nothingWrong)
      }),
      { numRuns: 60 },
    ))
  test('where there is time enough one is found', () => {
    const found = Array.from({ length: 12 }, (_, seed) => {
      const { problem, dates } = askedOf(seed, 3)
      const later = dates.map((date) => date + 3 * day)
      return workBy(problem, later) !== null
    })
    expect(found.filter(Boolean).length).toBeGreaterThanOrEqual(10)
  })
})

describe('what is likely', () => {
  test('choices are given from the likeliest on', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 50 }), { maxLength: 3000 }), fc.nat(3000), (weights, many) => {
        const choices = new Choices()
        const none = { week: 0, by: 0, start: 0, end: 0, rack: 0, until: 0, missed: 0 }
        weights.forEach((weight, step) => choices.add(weight, { ...none, step }))
        const found = [...choices.likeliest(many)].map((k) => choices.get(k).step)
        expect(new Set(found).size).toBe(found.length)
        const sorted = [...weights].sort((one, other) => one - other).slice(0, many)
        expect(found.map((step) => weights[step])).toEqual(sorted)
      }),
      { numRuns: 60 },
    ))
  test('a step counts the more the nearer it is; through a night nothing comes nearer where work is what counts', () => {
    const urgency = new Urgency(factsOf(problemOf([workStep(0, 30)])))
    urgency.of({ near: 60, byWork: false })
    // a third, more exactly one over e, an hour before; what is an hour late counts two, what is a day late three
    expect([0, 60, -60, -day].map((left) => urgency.within(left).toFixed(3))).toEqual(['1.000', '0.368', '2.000', '3.000'])
    expect(urgency.between(at(0, 16), at(1, 9))).toBeLessThan(1e-6)
    urgency.of({ near: 60, byWork: true })
    expect(urgency.between(at(0, 16), at(1, 9)).toFixed(3)).toBe('0.368')
  })
  test('looks are told by chance, the same from the same seed, half of them as weeks came furthest', () => {
    const drawn = (seed: number) => {
      const looks = new Looks(new Search(problemOf([workStep(0, 30)]), { seed, rounds: 1 }))
      return Array.from({ length: 400 }, (_, k) => {
        const next = looks.next(k + 1)
        looks.came(next.near === 120 && next.byWork ? 0.9 : 0.2)
        return next
      })
    }
    expect(drawn(3)).toEqual(drawn(3))
    const all = drawn(4)
    expect(all.map(({ width }) => width)).toEqual(all.map((_, k) => k + 1))
    // half of them by what came furthest, and a tenth of the others by chance
    const best = all.filter(({ near, byWork }) => near === 120 && byWork).length
    expect(best).toBeGreaterThan(170)
    expect(best).toBeLessThan(270)
  })
  test('weeks know of which they come, counted anew when that is asked for', () => {
    const weeks = (width: number) => new Weeks(factsOf(problemOf([workStep(0, 30), workStep(1, 30), workStep(2, 30)])), width)
    const [first, second, third] = [weeks(4), weeks(4), weeks(4)]
    const goOn = (week: number, step: number) => ({ ...{ week, step, by: 0, rack: 0, until: 0, missed: 0 }, start: 0, end: 30 })
    first.begin()
    for (const step of [0, 1, 2]) second.add(first, goOn(0, step), new Float64Array(6))
    expect([...second.founder.subarray(0, 3)]).toEqual([0, 0, 0])
    second.found()
    for (const week of [2, 0, 2]) third.add(second, goOn(week, 1), new Float64Array(6))
    expect([...third.founder.subarray(0, 3)]).toEqual([2, 0, 2])
  })
})

test('evenings are those of the days on which somebody works, at the latest of their hours', () => {
  // one from Monday to Friday until five, another on Wednesday until eight
  const days = [0, 1, 2, 3, 4, 7]
  const painters = [
    { id: 'one', work: days.map((k) => [at(k, 9), at(k, 17)] as [number, number]) },
    { id: 'other', work: [[at(2, 14), at(2, 20)] as [number, number]] },
  ]
  const evenings = new Evenings({ painters, horizon: 8 * day })
  expect(evenings.before(at(3, 10))).toEqual([at(0, 17), at(1, 17), at(2, 20)])
  // at six it is that evening's, not the next one's
  expect([evenings.after(at(1, 12)), evenings.after(at(1, 18)), evenings.after(at(4, 17)), evenings.after(at(7, 17))]).toEqual([
    ...[at(1, 17), at(2, 20), at(7, 17), 8 * day],
  ])
  expect([evenings.of(at(2, 18), at(2, 19)), evenings.of(at(2, 18), at(2, 16)), evenings.of(at(2, 18), at(9, 12))]).toEqual([
    ...[at(2, 19), at(2, 20), at(2, 20)],
  ])
})

describe('weeks by the days of their promises', () => {
  const searchOf = (problem: WorkshopProblem, seed: number, rounds: number) => {
    const search = new Search(problem, { seed, rounds })
    searchRules(search)
    return search
  }
  test('all that can be kept are kept', () => {
    // two days of one pair of hands
    const piece = (k: number, minutes: number, dry: number) => ({
      steps: [workStep(k, minutes), workStep(k, 60)],
      lag: lag(2 * k, 2 * k + 1, dry),
    })
    const all = [piece(0, 90, 60), piece(1, 120, 120), piece(2, 120, 300)]
    const problem = problemOf(
      all.flatMap(({ steps }) => steps),
      all.map((each) => each.lag),
    )
    const due = [at(0, 17), at(1, 17), at(0, 17)]
    const promised = { ...problem, pieces: problem.pieces.map((each, k) => ({ ...each, due: due[k] ?? 0 })) }
    const search = searchOf(promised, 1, 4000)
    searchPromises(search, 1)
    const ends = search.best && checkWeek(promised, search.best).end
    // the third at nine, dry at four in the afternoon; the first at eleven, dry after lunch; the second on the next day
    expect(promised.pieces.map(({ final }, k) => (ends?.[final] ?? Infinity) <= (due[k] ?? 0))).toEqual([true, true, true])
  })
  test('one that could end days sooner is brought there, and who gave way for it is brought back', () => {
    // two days' work; the long one has a night to dry in the middle and is promised for the week after, as the others are
    const steps = [
      ...[workStep(0, 60), workStep(0, 60)],
      ...[workStep(1, 180), workStep(1, 60)],
      ...[workStep(2, 60), workStep(2, 120), workStep(2, 60)],
    ]
    const waits = [lag(0, 1, 60), lag(2, 3, 240), lag(4, 5, 840), lag(5, 6, 60)]
    const problem = problemOf(steps, waits)
    const search = searchOf({ ...problem, pieces: problem.pieces.map((piece) => ({ ...piece, due: at(7, 17) })) }, 2, 3000)
    searchPromises(search, 1)
    const every = planWorkshop(search.problem, { seed: 1, rounds: 6000 })
    expect(search.cost).toBe(every.cost)
    // the first coat of the third at nine, or it costs it a day
    expect(search.best?.start[4]).toBeLessThan(at(0, 17))
    expect(search.best?.start[6]).toBeLessThan(at(1, 17))
  })
  test('never dearer than what it begins with, and the same from the same seed', () =>
    fc.assert(
      fc.property(fc.nat(5000), fc.integer({ min: 1, max: 3 }), (seed, pieces) => {
        const problem = randomProblem(seed, pieces)
        const costs = [1, 2].map(() => {
          const search = searchOf(problem, seed, 300)
          const before = search.cost
          searchPromises(search, 1)
          expect(search.cost).toBeLessThanOrEqual(before)
          return search.cost
        })
        expect(costs[0]).toBe(costs[1])
      }),
      { numRuns: 15 },
    ))
})
