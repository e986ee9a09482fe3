/**
 * The workshop's week as it is planned: each step with when, by whom and why just then; windows that can't be kept, named. A plan goes
 * on from the one in force. Pure; chance from a seed.
 */
import type { PersonId, StepId } from '@/core/measure/named'
import { lowerBound } from '@/core/schedule/bound'
import { never } from '@/core/schedule/calendar'
import { checkWeek } from '@/core/schedule/check'
import { type PlanOptions, planWithoutRuin } from '@/core/schedule/planWorkshop'
import { isHeld, type Lag, NoSchedule, type WorkshopProblem, type WorkshopSchedule } from '@/core/schedule/problem'
import { freedFor } from './freedFor'
import { givingUp } from './giveUp'
import { type LineFigures, lineKey, type Place, type Workshop } from './place'

/** Why a step stands where it does. */
export type WeekReason =
  | 'pinned'
  /** what is below is dry only then */
  | 'dries'
  /** so that what must follow it falls into working hours */
  | 'window'
  /** the hands are free only then */
  | 'hands'
  /** a place to dry is free only then */
  | 'place'
  /** work begins then */
  | 'morning'
  /** another part of its piece comes first */
  | 'other'
  | 'first'
export interface WeekLine extends Place {
  /** of the problem */
  index: number
  start: number
  end: number
  hand: number
  reason: WeekReason
  /** the step it waits for, of the problem */
  after: number | null
  /** its window: minutes by which it must begin; null where it may wait */
  by: number | null
  missed: boolean
}
export interface PieceEnd {
  pieceIndex: number
  end: number
  /** minutes late; 0 where it is kept or nothing is promised */
  late: number
}
export interface PlannedWeekView {
  lines: WeekLine[]
  ends: PieceEnd[]
  cost: number
  bound: number
  schedule: WorkshopSchedule
  /** what was planned: what is asked for, without what was let go */
  problem: WorkshopProblem
}
/** A line as a plan in force keeps it. */
export interface KeptLine {
  stepId: StepId
  side: 1 | 2 | null
  at: number
  personId: PersonId | null
  /** what it was reckoned by; of a plan from before that was kept, none */
  figures?: LineFigures | null | undefined
}

/** Where the steps of a plan in force stand now; null where none of them is ahead any more. */
export function goingOn({ places, hands, startMs, problem }: Workshop, kept: readonly KeptLine[]): WorkshopSchedule | undefined {
  const known = new Map(kept.map((line) => [lineKey(line.stepId, line.side), line]))
  let any = false
  const start: number[] = []
  const painter: number[] = []
  for (const { step, side } of places) {
    const line = step ? known.get(lineKey(step.id, side)) : undefined
    any ||= line !== undefined
    start.push(line ? Math.max(0, Math.round((line.at - startMs) / 60_000 / problem.grid) * problem.grid) : never)
    painter.push(
      line
        ? Math.max(
            0,
            hands.findIndex(({ id }) => id === line.personId),
          )
        : never,
    )
  }
  return any ? { start, painter } : undefined
}

/**
 * Plans a week. Throws {@link NoSchedule} where a step finds no place in anybody's hours, over a break neither; what can't be held to is let go, and
 * what of windows can't be kept is missed and said.
 */
export function planWeek(workshop: Workshop, options: PlanOptions): PlannedWeekView {
  let { problem } = workshop
  if (problem.steps.length === 0) return { lines: [], ends: [], cost: 0, bound: 0, schedule: { start: [], painter: [] }, problem }
  for (;;)
    try {
      const { start, painter, cost, bound } = planWithoutRuin(problem, options)
      return viewOf({ ...workshop, problem }, { start, painter }, { cost, bound })
    } catch (trouble) {
      const less = trouble instanceof NoSchedule ? givingUp(problem, trouble) : null
      if (!less) throw trouble
      problem = less
    }
}

/** A schedule with its reasons. */
export function viewOf(
  workshop: Workshop,
  schedule: WorkshopSchedule,
  { cost, bound = lowerBound(workshop.problem) }: { cost: number; bound?: number },
): PlannedWeekView {
  const { problem, places, promised } = workshop
  const { end, missed } = checkWeek(problem, schedule)
  const startOf = (k: number) => schedule.start[k] ?? 0
  const endOf = (k: number) => end[k] ?? 0
  const late = new Set(missed.map((k) => problem.lags[k]?.to))
  const into = places.map((): Lag[] => [])
  for (const lag of problem.lags) into[lag.to]?.push(lag)
  const endsOf = problem.painters.map(() => new Map<number, number>())
  places.forEach((_, k) => endsOf[schedule.painter[k] ?? 0]?.set(endOf(k), k))
  const lines = places.map((place, index): WeekLine => {
    const start = startOf(index)
    const hand = schedule.painter[index] ?? 0
    const own = into[index] ?? []
    const waits = own.filter(({ from, min }) => (from === null ? 0 : endOf(from)) + min > start - problem.grid && min > 0)
    const closing = own.flatMap((lag) =>
      lag.max === null || isHeld(lag) ? [] : [(lag.from === null ? 0 : endOf(lag.from)) + lag.max],
    )
    const before = endsOf[hand]?.get(start)
    const shared = problem.steps[index]?.product ? endsOf[hand]?.get(start - problem.setup) : undefined
    const opens = problem.painters[hand]?.work.some(([from]) => from === start && from > 0) ?? false
    const other = own.find(
      ({ from, min }) =>
        from !== null && min === 0 && endOf(from) === start && problem.steps[from]?.part !== problem.steps[index]?.part,
    )
    const wait = waits[0]
    const pinned = own.some(isHeld)
    const hands = before ?? shared ?? null
    const isFree = !pinned && !wait && !other && start > 0
    const freed = isFree ? freedFor(problem, { start: schedule.start, end }, index) : null
    const reason: WeekReason = pinned
      ? 'pinned'
      : wait
        ? 'dries'
        : other
          ? 'other'
          : freed !== null
            ? 'place'
            : hands !== null
              ? 'hands'
              : opens
                ? 'morning'
                : start === 0
                  ? 'first'
                  : 'window'
    return {
      ...place,
      index,
      start,
      end: endOf(index),
      hand,
      reason,
      after: wait ? wait.from : (other?.from ?? freed ?? hands),
      by: closing.length > 0 ? Math.min(...closing) : null,
      missed: late.has(index),
    }
  })
  const ends = problem.pieces.map(({ final }, pieceIndex) => ({
    pieceIndex,
    end: endOf(final),
    late: Math.max(0, endOf(final) - (promised[pieceIndex] ?? Infinity)),
  }))
  return {
    lines: lines.sort((a, b) => a.start - b.start || a.index - b.index),
    ends,
    cost,
    bound,
    schedule,
    problem,
  }
}

export const keptLines = ({ hands, startMs }: Workshop, { lines }: Pick<PlannedWeekView, 'lines'>): KeptLine[] =>
  lines.flatMap(({ step, side, start, hand, figures }) =>
    step
      ? [{ stepId: step.id, side: side ?? null, at: startMs + start * 60_000, personId: hands[hand]?.id ?? null, figures }]
      : [],
  )
