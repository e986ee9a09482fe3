/**
 * Going on from a week that is in force, after something happened: what can still be worked where it stands stays there and the rest is
 * laid anew around it; or every chain is laid in the row in which they began. Whichever costs less, with what is moved. Pure.
 */
import { checkWeek } from './check'
import type { WorkshopSchedule } from './problem'
import type { Search } from './search'
import { ChainSequence } from './sequence'

/** Takes up the week to go on from as the best; false where nothing that can be worked comes of it. */
export function goOnFrom(search: Search, from: WorkshopSchedule): boolean {
  const { lags } = search.problem
  for (const week of [layAround(search, from), layInRow(search, from)]) {
    if (!week) continue
    const { faults, missed, cost } = checkWeek(search.problem, week)
    if (faults.length === 0 && !missed.some((k) => lags[k]?.hard)) search.begin(week, cost)
  }
  return search.best !== null
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

/** What is new comes when it could be begun first. The board is empty before and after. */
function layInRow({ layout, units, earliest, problem }: Search, { start }: WorkshopSchedule): WorkshopSchedule | null {
  const at = (step: number) => start[step] ?? (earliest.end[step] ?? 0) - (problem.steps[step]?.dur ?? 0)
  const begun = units.flatMap(({ chains }, unit) => chains.map(({ steps }) => ({ unit, at: at(steps[0] ?? 0) })))
  const sequence = new ChainSequence(layout)
  const lies = sequence.costOf(begun.sort((a, b) => a.at - b.at).map(({ unit }) => unit)) < Infinity
  const week = lies ? layout.schedule() : null
  sequence.clear()
  return week
}
