import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readBench } from '@/core/bench/benchData'
import type { Entry } from '@/core/log/entry'
import type { PlanStep } from '@/core/piece/piece'
import { checkWeek } from '@/core/schedule/check'
import { entry, fileWith, ms, partWith, planStep } from '@/core/testing/piece'
import { ada, ask, dataOf } from '@/core/testing/studioWeek'
import { answerWeek, type WeekAsk, type WeekOutlook } from './ask'
import type { Hand } from './hands'
import type { Pin } from './place'
import { planWeek } from './planWeek'
import { readWeek } from './weekData'

/** A Wednesday. */
const nowMs = ms('08:00', 6)
const minute = 60_000
const fives = (min: number, max: number) => fc.integer({ min: min / 5, max: max / 5 }).map((k) => k * 5)
// an hour and more a day, the night too, on one day of the week at least
const hours = fc
  .record({ from: fives(0, 1435), long: fives(60, 800), days: fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }) })
  .map(({ from, long, days }) => ({ from, to: from + long, days }))
const who = fc.constantFrom(null, 'p0', 'p1', 'gone')
const otherDay = fc.record({
  day: fc.integer({ min: 4, max: 13 }).map((day) => `2026-05-${String(day).padStart(2, '0')}`),
  personId: who,
  hours: fc.option(hours.map(({ from, to }) => ({ from, to }))),
})
const pin = fc.record({ which: fc.nat(40), at: fc.option(fc.integer({ min: -2000, max: 9000 })), personId: who })
const step = fc.record({
  minutes: fc.integer({ min: 1, max: 700 }),
  opens: fc.option(fc.integer({ min: 0, max: 900 })),
  lasts: fc.option(fc.integer({ min: 1, max: 900 })),
  wet: fc.boolean(),
  // how it stands: behind, running, or ahead
  ago: fc.option(fc.integer({ min: 1, max: 900 })),
})
const parts = fc.array(fc.array(step, { minLength: 1, maxLength: 5 }), { minLength: 1, maxLength: 3 })

/** Each window falls into the night after a day that is too short for it, but the last. */
const nightsBetween = [
  [361, 111, false],
  [1, 231, false],
  [251, 231, true],
  [1, 471, false],
  [1, null, false],
] as const
const inNights = nightsBetween.map(([minutes, opens, wet]) => ({
  minutes,
  opens,
  wet,
  lasts: opens === null ? null : 5,
  ago: null,
}))

const nineToFive = { ...ada.hours, days: [...ada.hours.days] }

type DrawnStep = typeof step extends fc.Arbitrary<infer S> ? S : never
function planned(id: string, { minutes, opens, lasts, wet }: DrawnStep): PlanStep {
  const closes = opens === null || lasts === null ? undefined : ([opens + lasts, opens + lasts] as const)
  return planStep(id, {
    minutes,
    ...(wet ? {} : { operation: 'clean', family: null, colour: null, amount: null }),
    window: opens === null ? null : { clock: 'evaporation', opens: [opens, opens], source: 'craft', ...(closes && { closes }) },
  })
}
/** The first steps of a part as far as they are behind, the last of them running where that was not long ago. */
function logged(pieceId: string, partId: string, steps: readonly DrawnStep[]): Entry[] {
  const many = steps.findIndex(({ ago }) => ago === null)
  const begun = steps.slice(0, many < 0 ? steps.length : many)
  const at = (ago: number) => new Date(nowMs - ago * minute).toISOString()
  return begun.flatMap(({ ago, minutes }, k): Entry[] => {
    const behind = (begun.length - 1 - k) * 1500 + (ago ?? 0)
    const on = { pieceId, partId, stepId: `${partId} ${k}`, byPerson: 'p0' }
    const ended = entry('ended', at(behind), on)
    return [entry('started', at(behind + minutes), on), ...(k === begun.length - 1 && behind < 60 ? [] : [ended])]
  })
}

test('whoever works whenever, whatever is held, runs or dries: every step ahead stands in the week once, and it may be worked', () =>
  fc.assert(
    fc.property(
      fc.array(parts, { minLength: 1, maxLength: 4 }),
      fc.array(hours, { minLength: 1, maxLength: 3 }),
      fc.array(otherDay, { maxLength: 4 }),
      fc.array(pin, { maxLength: 4 }),
      fc.constantFrom('UTC', 'Pacific/Chatham', 'America/New_York', 'Asia/Kolkata'),
      fc.option(fc.integer({ min: 1, max: 3 })),
      fc.nat(1000),
      (pieces, people, others, held, zone, places, seed) => {
        const files = pieces.map((drawn, p) => {
          const ids = drawn.map((_, q) => `p${p} q${q}`)
          const made = drawn.map((steps, q) =>
            partWith(
              steps.map((each, k) => planned(`${ids[q] ?? ''} ${k}`, each)),
              { id: ids[q] ?? '' },
            ),
          )
          const log = drawn.flatMap((steps, q) => logged(`p${p}`, ids[q] ?? '', steps))
          return fileWith(
            made,
            log.sort((one, other) => one.at.localeCompare(other.at)),
            { id: `p${p}`, name: `p${p}` },
          )
        })
        const hands = people.map((each, k): Hand => ({ id: `p${k}`, name: `P${k}`, hours: each }))
        const data = dataOf(files, { hands, others: others, zone, places })
        const all = files.flatMap((file) => file.parts.flatMap(({ plan }) => plan?.steps ?? []))
        const pins = held.map(({ which, at, personId }): Pin => ({
          ...{ stepId: all[which % all.length]?.id ?? '', side: null, personId },
          at: at === null ? null : nowMs + at * minute,
        }))
        const outlookAt = (over: Partial<WeekAsk>): WeekOutlook => {
          let time = 0
          const answer = answerWeek(ask(data, { nowMs, supposed: { pins }, seed, weeks: 2, ...over }), () => (time += 1))
          if (!('outlook' in answer)) throw new Error(`no week: ${JSON.stringify(answer)}`)
          return answer.outlook
        }
        const workshop = readWeek(data, readBench(data.bench, [], nowMs), nowMs, { pins })
        const outlook = outlookAt({})
        const named = ({ step: each, pieceId }: WeekOutlook['lines'][number] | (typeof workshop.places)[number]) =>
          each?.id ?? pieceId
        expect(outlook.lines.map(named).sort()).toEqual(workshop.places.map(named).sort())
        expect(Math.min(Infinity, ...outlook.lines.map(({ startMs }) => startMs))).toBeGreaterThan(nowMs - 5 * minute)
        const view = planWeek(workshop, { seed, rounds: 20 })
        expect(checkWeek(view.problem, view.schedule).faults).toEqual([])
        outlookAt({ from: outlook.kept, nowMs: nowMs + 60 * minute })
      },
    ),
    { numRuns: 60, examples: [[[[inNights]], [nineToFive, nineToFive], [], [], 'UTC', null, 7]] },
  ))
