/** What the week is reckoned by: the grid, the brush, what a missed window and a broken promise cost; a step as it stands in the problem. Practice. */
import { isSprayed } from '@/core/craft/ways'
import type { PlannedStep } from '@/core/finish/step'
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
export const weights = { client: 4, promised: 2, none: 1 }
export const tardy = 10
export const lookOver = 10
/** Weeks are looked at so far ahead, and so much further than the work alone asks for. */
export const [leastDays, mostDays, slack] = [28, 150, 2]

export const onGrid = (minutes: number) => Math.max(grid, Math.ceil(minutes / grid) * grid)
const product = ({ family, colour, mix, amount }: PlannedStep) =>
  family === null || amount === null ? null : `${family} ${colour?.hex ?? ''} ${mix ?? ''}`

/** A step of a plan as work: what is wet has its set-up where the brush changes; what fits into nobody's day goes over a break. */
export function workOf(step: PlanStep, hands: readonly Hand[]): Omit<WorkStep, 'piece' | 'part' | 'painters'> {
  const wet = product(step)
  const longest = Math.max(...hands.map(({ hours }) => hours.to - hours.from))
  const dur = onGrid(wet === null ? step.minutes : Math.max(grid, step.minutes - setUp))
  return { name: step.operation, dur, split: wet === null || dur > longest, product: wet, spray: isSprayed(step) }
}
