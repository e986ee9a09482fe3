/** A line of days: one wide, the others narrower, working hours drawn out and nights drawn in. Pixels of a drawing; pure. */
import type { Day } from '@/core/measure/named'
import { dayAfter } from '@/core/measure/time'
import { dayBegins } from '@/core/measure/workingHours'
import { instantAt, workDayOf } from '@/core/week/hands'

export interface DrawnDay {
  day: string
  from: number
  to: number
  /** where its working hours begin and end */
  opens: number
  shuts: number
  /** whether anybody works on it */
  isWorked: boolean
}
export interface DayScale {
  x: (ms: number) => number
  /** the moment at a place of the line, ms */
  at: (x: number) => number
  days: DrawnDay[]
}

/** The share of a day's width that its working hours have. */
const worked = 0.86
/** Each day after the wide one is so much narrower than the one before; one before it, on which nothing is worked, has this share. */
const [narrower, passed] = [0.9, 0.065]

interface Asked {
  nowMs: number
  zone: string
  /** minutes of the day between which anybody works */
  hours: { from: number; to: number }
  isWorked: (day: Day) => boolean
  count: number
  left: number
  right: number
  /** which day is drawn wide, and the share of the line that it has */
  wide: number
  share: number
}

export function dayScale({ nowMs, zone, hours, isWorked, count, left, right, wide, share: wideShare }: Asked): DayScale {
  const cut = dayBegins(hours)
  const first = workDayOf(nowMs, zone, cut)
  const rest = Array.from({ length: Math.max(0, count - 1 - wide) }, (_, k) => narrower ** k)
  const sum = rest.reduce((all, each) => all + each, 0)
  const before = Array.from({ length: wide }, () => (sum === 0 ? (1 - wideShare) / Math.max(1, wide) : passed))
  const others = 1 - wideShare - before.reduce((all, each) => all + each, 0)
  const shares = count === 1 ? [1] : [...before, wideShare, ...rest.map((each) => (others * each) / sum)]
  const marks: [number, number][] = []
  const days: DrawnDay[] = []
  let at = left
  shares.forEach((share, k) => {
    const day = dayAfter(first, k)
    const width = share * (right - left)
    const [begins, opens, shuts] = [cut, hours.from, hours.to].map((minute) => Date.parse(instantAt(day, minute, zone))) as [
      number,
      number,
      number,
    ]
    const night = width * (1 - worked)
    const morning = (night * (hours.from - cut)) / Math.max(1, hours.from + 1440 - hours.to)
    // today begins a little before now
    const since = k === 0 ? Math.max(begins, Math.min(nowMs - 1_800_000, shuts - 3_600_000)) : begins
    const opening = since > opens ? at : at + (k === 0 ? Math.min(morning, width * 0.05) : morning)
    marks.push([since, at], [Math.max(since + 1, opens), opening])
    const evening = at + width - (night - morning)
    marks.push([Math.max(since + 2, shuts), evening])
    days.push({ day, from: at, to: at + width, opens: opening, shuts: evening, isWorked: isWorked(day) })
    at += width
  })
  marks.push([Date.parse(instantAt(dayAfter(first, count), cut, zone)), at])
  const x = (ms: number): number => {
    const [start] = marks
    if (!start || ms <= start[0]) return left
    for (let k = 1; k < marks.length; k += 1) {
      const [before, after] = [marks[k - 1] as [number, number], marks[k] as [number, number]]
      if (ms <= after[0]) return before[1] + ((ms - before[0]) / (after[0] - before[0])) * (after[1] - before[1])
    }
    return right
  }
  const msAt = (place: number): number => {
    for (let k = 1; k < marks.length; k += 1) {
      const [before, after] = [marks[k - 1] as [number, number], marks[k] as [number, number]]
      if (place <= after[1])
        return before[0] + ((place - before[1]) / Math.max(1e-6, after[1] - before[1])) * (after[0] - before[0])
    }
    return marks.at(-1)?.[0] ?? nowMs
  }
  return { x, at: msAt, days }
}
