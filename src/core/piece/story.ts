/** A piece's log as an account: day by day, with the section as it grew. Pure. */
import { type Entry, type EntryKind, ofKind } from '@/core/log/entry'
import type { Day } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import { type ReadingContext, readPiece } from './journey'
import { lanesOf } from './lanes'
import type { PieceFile } from './piece'
import { type CrossSection, sectionAsOf } from './section'

export const storyFilters = {
  all: 'everything',
  work: 'work',
  coats: 'coats',
  snags: 'checks and snags',
  money: 'money',
} as const
export type StoryFilter = keyof typeof storyFilters

const kindsOf: Record<Exclude<StoryFilter, 'all'>, readonly EntryKind[]> = {
  work: ['started', 'paused', 'resumed', 'ended', 'left-out', 'helped', 'seen', 'assisted', 'unassisted'],
  coats: ['mixed', 'put-by', 'coat'],
  snags: ['checked', 'snag'],
  money: ['cost', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped', 'split'],
}

export interface StoryLine {
  entry: Entry
  /** the part as it stood then, where this line is the first to tell that it had changed */
  section: CrossSection | null
}
export interface StoryDay {
  /** YYYY-MM-DD in the studio's zone */
  day: Day
  lines: StoryLine[]
  /** labour of all that ended this day, minutes */
  minutes: number
}

/** The days of a piece, oldest first; each entry in the order it happened, the section growing along them. */
export function storyOf(file: PieceFile, around: ReadingContext, zone: string, filter: StoryFilter = 'all'): StoryDay[] {
  const whole = readPiece(file, around)
  const parts = new Map(whole.parts.map((part) => [part.part.id, part]))
  // an account tells what was done; when it was begun is told by the work itself
  const ended = new Set(ofKind(whole.log, 'ended').map(({ stepId }) => stepId))
  const told = whole.log.filter(
    ({ kind, stepId }) =>
      (filter === 'all' || kindsOf[filter].includes(kind)) &&
      (filter === 'work' || kind !== 'started' || !ended.has(stepId ?? '')),
  )
  const drawn = new Map<string, string>()
  const lines = told.map((entry): StoryLine => {
    const part = entry.partId === null ? undefined : parts.get(entry.partId)
    if (!part?.part.plan) return { entry, section: null }
    const section = sectionAsOf(part, entry.at)
    const drawing = JSON.stringify(section)
    const changed = drawn.get(part.part.id) !== drawing
    drawn.set(part.part.id, drawing)
    return { entry, section: changed ? section : null }
  })
  const minutesOn = new Map<string, number>()
  for (const { state } of lanesOf(whole).flatMap(({ done }) => done)) {
    const day = dayOf(state.endedAt, zone)
    minutesOn.set(day, (minutesOn.get(day) ?? 0) + state.minutes)
  }
  const days = new Map<string, StoryLine[]>()
  for (const line of lines) {
    const day = dayOf(line.entry.at, zone)
    days.set(day, [...(days.get(day) ?? []), line])
  }
  return [...days].map(([day, its]) => ({ day, lines: its, minutes: minutesOn.get(day) ?? 0 }))
}
