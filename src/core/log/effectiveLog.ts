/** Which entries of a log count, and what stood in place of them before. Pure. */
import { compareText } from '@/core/measure/compareText'
import type { Entry } from './entry'

/**
 * The entries that count, in order of time: each correction in place of what it corrects, struck ones gone.
 * Nothing is lost: the whole log still holds every line.
 */
export function effectiveLog(entries: readonly Entry[]): Entry[] {
  const replaced = new Set(entries.map(({ corrects }) => corrects))
  return entries
    .filter(({ id, kind }) => !replaced.has(id) && kind !== 'struck')
    .sort((a, b) => compareText(a.at, b.at) || compareText(a.id, b.id))
}

/** The entries an entry stands in place of, newest first. */
export function historyOf(entry: Entry, entries: readonly Entry[]): Entry[] {
  const before = entries.find(({ id }) => id === entry.corrects)
  return before ? [before, ...historyOf(before, entries)] : []
}
