/** What went wrong on a piece, and what mending it has cost: minutes by the log, material by the coats. Pure. */
import type { Entry } from '../log/entry'
import { isAhead } from '../log/stepStates'
import type { Journey } from './journey'
import type { Part } from './piece'

export interface Snag {
  entry: Entry
  part: Part | null
  /** labour that went into mending it so far */
  minutes: number
  /** coats laid in mending it, minor units */
  money: number
  /** steps of its mending still to come */
  ahead: number
  /** steps that were planned to mend it */
  steps: number
}

/** The snags of a piece, oldest first. */
export function snagsOf(journey: Journey): Snag[] {
  const worked = journey.parts.flatMap(({ part, steps, gone }) => [
    ...steps.map((each) => ({ ...each, part })),
    ...gone.filter(({ step }) => part.earlier.includes(step)).map((each) => ({ ...each, part })),
  ])
  return journey.log
    .filter(({ kind }) => kind === 'snag')
    .map((entry): Snag => {
      const mending = worked.filter(({ step }) => step.mends === entry.id)
      return {
        entry,
        part: journey.file.parts.find(({ id }) => id === entry.partId) ?? null,
        minutes: mending.reduce((sum, { state }) => sum + state.minutes, 0),
        money: mending.reduce((sum, { state }) => sum + (state.coat?.money ?? 0), 0),
        steps: mending.length,
        ahead: mending.filter(({ state }) => isAhead(state)).length,
      }
    })
}

export interface SnagSum {
  repair: Entry['repair']
  count: number
  minutes: number
  money: number
}

/** What each kind of snag has cost over many pieces, the dearest in minutes first. */
export function sumSnags(journeys: readonly Journey[]): SnagSum[] {
  const sums = new Map<Entry['repair'], SnagSum>()
  for (const { entry, minutes, money } of journeys.flatMap(snagsOf)) {
    const sum = sums.get(entry.repair) ?? { repair: entry.repair, count: 0, minutes: 0, money: 0 }
    sums.set(entry.repair, { ...sum, count: sum.count + 1, minutes: sum.minutes + minutes, money: sum.money + money })
  }
  return [...sums.values()].sort((a, b) => b.minutes - a.minutes || b.count - a.count)
}
