/** What is asked of the week, and the answer: plain data both ways, so that it may be reckoned beside the page. Pure; time is told. */
import { readBench } from '@/core/bench/benchData'
import type { Entry } from '@/core/log/entry'
import type { PieceId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import { NoSchedule } from '@/core/schedule/problem'
import { lineKey, type Place } from './place'
import { goingOn, type KeptLine, keptLines, planWeek, type WeekLine } from './planWeek'
import { endIn, shareBy, simulateWeeks } from './simulate'
import { readWeek, type Supposed, type WeekData } from './weekData'

export interface WeekAsk {
  data: WeekData
  written: readonly Entry[]
  nowMs: number
  supposed: Supposed
  /** the plan to go on from */
  from: readonly KeptLine[]
  /** where steps were planned to stand last, where that is not the plan to go on from: what dries is reckoned from then */
  last?: readonly KeptLine[]
  budgetMs: number
  seed: number
  /** weeks to be worked by chance; none for a quick answer */
  weeks: number
}
export interface PieceOutlook {
  pieceId: PieceId
  name: string
  client: string | null
  promisedOn: string | null
  /** ms */
  endMs: number
  lateMinutes: number
  /** the share of weeks in which its promise holds; null where none is given, or none was worked */
  holds: number | null
  /** by when it is ready in four of five weeks, ms; null where none was worked */
  safeMs: number | null
  /** steps that decide it */
  deciding: Place[]
}
/** A step of the week with all that is said of it. Moments in ms. */
export interface OutlookLine extends WeekLine {
  /** the same in every week: its index is another when the work ahead is */
  key: string
  startMs: number
  endMs: number
  byMs: number | null
  piece: number
  partName: string | null
  handName: string | null
}
export interface WeekOutlook {
  lines: OutlookLine[]
  pieces: PieceOutlook[]
  kept: KeptLine[]
  cost: number
  bound: number
  workMinutes: number
  running: { place: Place; hand: number; untilMs: number }[]
  stuck: Place[]
  hands: (string | null)[]
}
/** Why there is no week: nobody works, or a step has no place in the hours of those who do. */
export interface NoWeek {
  why: 'nobody' | 'no-place'
  place: Place | null
  minutes: number
  pieceName: string | null
  partName: string | null
}
export type WeekAnswer = { outlook: WeekOutlook } | NoWeek

const minuteMs = 60_000

/** Every piece as it stands, with what was written since: read once for several answers. */
export const journeysOf = ({ data, written, nowMs }: WeekAsk): Journey[] => readBench(data.bench, written, nowMs)

/** Plans a week, and works it by chance where that is asked for. `elapsedMs` tells the time that was taken. */
export function answerWeek(
  ask: WeekAsk,
  elapsedMs: () => number,
  { onBetter, journeys: journeysIn = journeysOf(ask) }: { onBetter?: (cost: number) => void; journeys?: readonly Journey[] } = {},
): WeekAnswer {
  const workshop = readWeek(ask.data, journeysIn, ask.nowMs, ask.supposed, ask.last ?? ask.from)
  const { problem, startMs, journeys, hands } = workshop
  // the work around the paint is the piece's own
  const partNames = new Map(journeys.flatMap(({ parts }) => parts.map(({ part }) => [part.id as string | null, part.name])))
  const msOf = (minute: number) => startMs + minute * minuteMs
  try {
    const view = planWeek(workshop, {
      seed: ask.seed,
      elapsedMs,
      budgetMs: ask.budgetMs,
      from: goingOn(workshop, ask.from),
      onBetter: (_, cost) => onBetter?.(cost),
    })
    const odds =
      ask.weeks > 0
        ? simulateWeeks(view.problem, view.schedule, { weeks: ask.weeks, seed: ask.seed, scatter: workshop.scatter })
        : null
    const pieces = view.ends.map(({ pieceIndex, end, late }): PieceOutlook => {
      const { piece } = journeys[pieceIndex]?.file ?? {}
      const ends = odds?.ends[pieceIndex] ?? []
      return {
        pieceId: piece?.id ?? '',
        name: piece?.name ?? '',
        client: piece?.client ?? null,
        promisedOn: piece?.promisedOn ?? null,
        endMs: msOf(end),
        lateMinutes: late,
        holds: odds && piece?.promisedOn ? shareBy(ends, workshop.promised[pieceIndex] ?? Infinity) : null,
        safeMs: odds ? msOf(endIn(ends, 0.8)) : null,
        deciding: (odds?.deciding[pieceIndex] ?? []).flatMap((k) => workshop.places[k] ?? []),
      }
    })
    return {
      outlook: {
        lines: view.lines.map((line): OutlookLine => ({
          ...line,
          key: lineKey(line.step?.id ?? line.pieceId, line.side),
          startMs: msOf(line.start),
          endMs: msOf(line.end),
          byMs: line.by === null ? null : msOf(line.by),
          piece: problem.steps[line.index]?.piece ?? 0,
          partName: partNames.get(line.partId) ?? null,
          handName: hands[line.hand]?.name ?? null,
        })),
        pieces,
        kept: keptLines(workshop, view),
        cost: view.cost,
        bound: view.bound,
        workMinutes: problem.steps.reduce((sum, { dur }) => sum + dur, 0),
        running: workshop.running.map(({ place, hand, until }) => ({ place, hand, untilMs: msOf(until) })),
        stuck: [...workshop.stuck],
        hands: hands.map(({ name }) => name),
      },
    }
  } catch (trouble) {
    if (!(trouble instanceof NoSchedule)) throw trouble
    const place = workshop.places[trouble.step] ?? null
    return {
      why: problem.painters.some(({ work }) => work.length > 0) ? 'no-place' : 'nobody',
      place,
      minutes: problem.steps[trouble.step]?.dur ?? 0,
      pieceName: journeys.find(({ file }) => file.piece.id === place?.pieceId)?.file.piece.name ?? null,
      partName: partNames.get(place?.partId ?? null) ?? null,
    }
  }
}
