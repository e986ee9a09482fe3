/** A piece's log as an account: day by day, with the section as it stood when the day ended. Pure. */
import { sectionOf, type Section } from './section'
import { dayOf } from '../time/wallTime'
import { journeyIn, type Around } from './journey'
import type { Entry, EntryKind } from '../log/entry'
import type { PieceFile } from './piece'

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
  coats: ['coat'],
  snags: ['checked', 'snag'],
  money: ['cost', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped'],
}

export interface StoryDay {
  /** YYYY-MM-DD in the studio's zone */
  day: string
  entries: Entry[]
  /** the parts as they stood when the day ended, where this day changed them */
  sections: { partId: string; name: string; section: Section }[]
  /** labour of all that ended this day, minutes */
  minutes: number
}

const drawn = (section: Section) => JSON.stringify(section)

/** The days of a piece, oldest first; each entry in the order it happened. */
export function storyOf(file: PieceFile, around: Around, zone: string, filter: StoryFilter = 'all'): StoryDay[] {
  const whole = journeyIn(file, around)
  const days = new Map(file.log.map(({ id, at }) => [id, dayOf(at, zone)]))
  const dayOfEntry = ({ id }: Entry) => days.get(id) ?? ''
  // an account tells what was done; when it was begun is told by the work itself
  const ended = new Set(whole.log.filter(({ kind }) => kind === 'ended').map(({ stepId }) => stepId))
  const told = whole.log.filter(
    ({ kind, stepId }) =>
      (filter === 'all' || kindsOf[filter].includes(kind)) && (filter === 'work' || kind !== 'started' || !ended.has(stepId)),
  )
  const endings = whole.parts.flatMap(({ gone }) => gone)
  const before = new Map<string, string>()
  const account = [...new Set(whole.log.map(dayOfEntry))].map((day): StoryDay => {
    const until = journeyIn({ ...file, log: file.log.filter((entry) => dayOfEntry(entry) <= day) }, around)
    return {
      day,
      entries: told.filter((entry) => dayOfEntry(entry) === day),
      sections: until.parts.flatMap((part) => {
        const section = sectionOf(part)
        const known = before.get(part.part.id)
        before.set(part.part.id, drawn(section))
        return part.part.plan && known !== drawn(section) ? [{ partId: part.part.id, name: part.part.name, section }] : []
      }),
      minutes: endings
        .filter(({ state }) => state.ended && dayOfEntry(state.ended) === day)
        .reduce((sum, { state }) => sum + state.minutes, 0),
    }
  })
  return account.filter(({ entries }) => entries.length > 0)
}
