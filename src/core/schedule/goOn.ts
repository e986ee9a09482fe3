/**
 * Going on from a week that is in force, after something happened: what can still be worked where it stands stays there and the rest is
 * laid anew around it; or every chain is laid in the row in which they began, each where it was if it can be, or as early as it may.
 * Whichever costs least, with what is moved. Pure.
 */
import { checkWeek } from './check'
import type { WorkshopSchedule } from './problem'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'

/** Takes up the week to go on from as the best; answers with the row of its chains, or null where nothing that can be worked comes of it. */
export function goOnFrom(search: Search, from: WorkshopSchedule): readonly number[] | null {
  const take = (week: WorkshopSchedule | null): void => {
    const checked = week && checkWeek(search.problem, week)
    if (!checked || checked.faults.length > 0 || checked.missed.some((k) => search.problem.lags[k]?.hard)) return
    search.begin(week, checked.cost)
  }
  take(layAround(search, from))
  for (const grain of [search.coarse, search.fine]) {
    const row = rowOf(search, grain, from)
    grain.layout.stayAsIn(from)
    take(layInRow(grain, row))
    grain.layout.stayAsIn(null)
    take(layInRow(grain, row))
  }
  return search.best && rowOf(search, search.fine, from)
}

/** Every part that can lie where it did does; the others are laid as soon as may be. The board is empty before and after. */
function layAround({ layout, units, order }: Search, from: WorkshopSchedule): WorkshopSchedule | null {
  const moved = new Set<number>()
  for (const unit of order) {
    const waits = units[unit]?.after.some((other) => moved.has(other)) ?? false
    if (waits || !layout.lieAt(unit, from)) moved.add(unit)
  }
  const lies = order.every((unit) => !moved.has(unit) || layout.lay(unit, 0))
  const week = lies ? layout.schedule() : null
  for (const unit of [...order].reverse()) if (layout.isWhole(unit)) layout.take(unit)
  return week
}

/** Chains in the row in which they began; what is new comes when it could be begun first. */
function rowOf({ earliest, problem }: Search, { units }: Grain, { start }: WorkshopSchedule): number[] {
  const at = (step: number) => start[step] ?? (earliest.end[step] ?? 0) - (problem.steps[step]?.dur ?? 0)
  const begun = units.flatMap(({ chains }, unit) => chains.map(({ steps }) => ({ unit, at: at(steps[0] ?? 0) })))
  return begun.sort((a, b) => a.at - b.at).map(({ unit }) => unit)
}

/** The board is empty before and after. */
function layInRow({ layout }: Grain, row: readonly number[]): WorkshopSchedule | null {
  const sequence = new ChainSequence(layout)
  const week = sequence.costOf(row) < Infinity ? layout.schedule() : null
  sequence.clear()
  return week
}
