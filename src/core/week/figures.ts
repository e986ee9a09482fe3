/** What the week is reckoned by: the grid, the brush, what a missed window and a broken promise cost; a step as it stands in the problem. Practice. */
import { isSprayed } from '@/core/craft/ways'
import type { PlannedStep } from '@/core/finish/step'
import { minutesHere, type Pace } from '@/core/learn/pace'
import type { PlanStep } from '@/core/piece/piece'
import type { WorkStep } from '@/core/schedule/problem'
import type { Hand } from './hands'

export const grid = 5
export const dayMinutes = 1440
/** Minutes to wash out a brush and open another tin. */
export const setUp = 10
/** What a missed window costs, as minutes of a promise are counted; and one that is closed within hours and must be met by hand. */
export const missed = { soft: 1500, near: 10_000 }
export const nearMinutes = 240
/** A day late costs so many times a day about, by who waits. */
const weights = { client: 4, promised: 2, none: 1 }
export const tardy = 10
/** Minutes by which a promise is planned to be kept sooner, so that what takes longer than was thought does not break it; never more than half a day's work. */
const mostSpare = 120
export const spareOf = (hands: readonly Pick<Hand, 'hours'>[]): number =>
  Math.min(mostSpare, ...hands.map(({ hours }) => Math.floor((hours.to - hours.from) / 2 / grid) * grid))
/** How far drying scatters about its middle, in logarithms, where fingers have taught nothing. */
export const usualDrying = 0.2
export const lookOver = 10
/** Weeks are looked at so far ahead, and so much further than the work alone asks for. */
const [leastDays, mostDays, slack] = [28, 730, 2]
/** How many days are looked at. `longest`: the longest wait, or the last promise; minutes, as the work is. */
export function daysLooked(hands: readonly Hand[], work: number, longest: number): number {
  const perDay = hands.reduce((sum, { hours }) => sum + ((hours.to - hours.from) * hours.days.length) / 7, 0)
  return Math.min(mostDays, Math.ceil(leastDays + (slack * work) / Math.max(1, perDay) + (2 * longest) / dayMinutes))
}
export const weightOf = ({ promisedOn, client }: { promisedOn: string | null; client: string | null }): number =>
  promisedOn === null ? weights.none : client !== null ? weights.client : weights.promised

export const onGrid = (minutes: number) => Math.max(grid, Math.ceil(minutes / grid) * grid)
const product = ({ family, colour, mix, amount }: PlannedStep) =>
  family === null || amount === null ? null : `${family} ${colour?.hex ?? ''} ${mix ?? ''}`

/** A step of a plan as work: what is wet has its set-up where the brush changes, and is not laid down at a break. */
export function workOf(step: PlanStep, pace: Pace): Omit<WorkStep, 'piece' | 'part' | 'painters'> {
  const wet = product(step)
  const minutes = minutesHere(step, pace)
  const dur = onGrid(wet === null ? minutes : Math.max(grid, minutes - setUp))
  return { name: step.operation, dur, split: wet === null, product: wet, spray: isSprayed(step) }
}
