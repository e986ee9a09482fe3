/** The week in words: why a step stands where it does, what a change costs. */
import type { Writing } from '@/core/measure/number'
import type { NoWeek, OutlookLine, PieceOutlook, WeekOutlook } from '@/core/week/ask'
import { grid } from '@/core/week/figures'
import type { LineFigures, Pin, Place } from '@/core/week/place'
import type { WeekReason } from '@/core/week/planWeek'
import { stepTitle } from './craft'
import { airWords } from './measure'
import { momentWords, spanWords, type Wall } from './time'

export const placeTitle = ({ step, side }: Place): string => {
  if (!step) return 'Put together, look over'
  return side === 2 ? `${stepTitle(step)}, turned` : stepTitle(step)
}

/** Why no week can be planned, and what helps. */
export function noWeekWords({ why, place, minutes, pieceName, partName }: NoWeek): string {
  if (why === 'nobody') return 'Nobody works in the weeks ahead: say in House when people work.'
  if (!place) return 'A step finds no place in anybody’s hours: make a day longer, or the step shorter.'
  const named = [placeTitle(place), partName?.toLowerCase(), pieceName].filter(Boolean).join(', ')
  return `${named}: its ${minutes} min find no place in anybody’s hours. Say in House on which days more is worked, or make the step shorter.`
}

const plain: Record<WeekReason, string> = {
  pinned: 'You hold it there.',
  dries: 'What is below it is ready only then.',
  window: 'So that what must follow it falls into working hours.',
  hands: 'The hands come from',
  place: 'A place to dry is free only then.',
  morning: 'The day begins with it.',
  other: 'It waits for another part.',
  first: 'Nothing holds it back.',
}

/** Why a step stands there: what it waits for, by name, and of which piece where that is another. */
export function weekReasonWords(line: OutlookLine, { lines, pieces }: Pick<WeekOutlook, 'lines' | 'pieces'>): string {
  const before = line.after === null ? undefined : lines.find(({ index }) => index === line.after)
  const piece = before && before.pieceId !== line.pieceId ? pieces.find(({ pieceId }) => pieceId === before.pieceId) : undefined
  const title = before && [placeTitle(before).toLowerCase(), piece?.name].filter(Boolean).join(', ')
  if (line.reason === 'hands') return title ? `The hands come from ${title}.` : 'The hands are free then.'
  if (line.reason === 'place' && title) return `A place to dry comes free then, by: ${title}.`
  if (line.reason === 'dries' && title) return `Ready so long after: ${title}.`
  if (line.reason === 'other' && title) return `It waits for: ${title}.`
  return plain[line.reason]
}

/** What a step was reckoned by: its minutes, those of them in which the brush is changed, and what passes after it in which air. */
export function figuresWords(
  { minutes, planned, seen, opens, closes, temperature, humidity }: LineFigures,
  writing: Writing,
  changing = 0,
): string {
  const here = seen > 0 && Math.abs(minutes - planned) >= 5
  const brush = changing > 0 ? `, ${changing} of them to change the brush` : ''
  const work = here
    ? `${minutes} min, as it takes here (${seen === 1 ? 'seen once' : `seen ${seen} times`})${brush}; ${planned} by the plan.`
    : `${minutes} min by the plan${brush}.`
  if (opens === null && closes === null) return work
  const dries = opens === null ? 'What follows may be done at once' : `What follows may be done after ${spanWords(opens)}`
  const until = closes === null ? '' : `, and must within ${spanWords(closes)}`
  return `${work} ${dries}${until}: expected at ${airWords({ temperature, humidity }, writing)}.`
}
/** Whether a step is reckoned otherwise than when the plan was taken: by more than a tenth. */
export function isReckonedAnew(now: LineFigures, then: LineFigures): boolean {
  const differs = (one: number | null, other: number | null) =>
    (one === null) !== (other === null) || Math.abs((one ?? 0) - (other ?? 0)) > 0.1 * Math.max(one ?? 0, other ?? 0, grid)
  return differs(now.minutes, then.minutes) || differs(now.opens, then.opens) || differs(now.closes, then.closes)
}

/** What of a week changes in another: promises first. Empty where nothing does. */
export function differenceWords(now: WeekOutlook, other: WeekOutlook, wall: Wall, nowMs: number): string[] {
  const was = new Map(now.pieces.map((piece) => [piece.pieceId, piece]))
  const changed = other.pieces.flatMap((piece): { by: number; words: string }[] => {
    const before = was.get(piece.pieceId)
    if (!before) return [{ by: Infinity, words: `${piece.name} is done ${moment(piece.endMs, wall, nowMs)}.` }]
    const by = piece.endMs - before.endMs
    if (Math.abs(by) < leastMs) return []
    const broken = piece.lateMinutes > 0 && before.lateMinutes === 0
    const mended = piece.lateMinutes === 0 && before.lateMinutes > 0
    const how = by > 0 ? 'later' : 'sooner'
    const promise = broken ? '; its promise breaks' : mended ? '; its promise holds then' : ''
    return [
      {
        by: Math.abs(by) + (broken ? 1e12 : 0),
        words: `${piece.name} is done ${spanWords(Math.abs(by) / 60_000)} ${how}, ${moment(piece.endMs, wall, nowMs)}${promise}.`,
      },
    ]
  })
  return changed.sort((a, b) => b.by - a.by).map(({ words }) => words)
}
const leastMs = 20 * 60_000
const moment = (ms: number, wall: Wall, nowMs: number) => momentWords(new Date(ms).toISOString(), wall, nowMs)

/** That what a step was held to, a time or somebody, can't be kept beside something else. */
export const noLongerHeld = (line: OutlookLine, { pieces }: Pick<WeekOutlook, 'pieces'>): string =>
  `${[placeTitle(line), pieces[line.piece]?.name, line.partName?.toLowerCase()].filter(Boolean).join(', ')}: can’t be held where it is any more.`
/** The same of a step of the plan in force. */
export function lostWords(
  { at, personId }: Pin,
  hands: readonly { id: string | null; name: string | null }[],
  { house, nowMs }: { house: Wall; nowMs: number },
): string {
  const to = at === null ? (hands.find(({ id }) => id === personId)?.name ?? 'somebody') : moment(at, house, nowMs)
  return `held to ${to}, which can’t be kept`
}

/** How often a promise holds, as people say it. */
export function holdsWords({ holds }: Pick<PieceOutlook, 'holds'>): string {
  if (holds === null) return ''
  const of = Math.round(holds * 100)
  return of >= 100 ? 'holds in all of 100 weeks' : of <= 0 ? 'holds in none of 100 weeks' : `holds in ${of} of 100 weeks`
}
