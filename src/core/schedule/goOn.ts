/**
 * Going on from a week that is in force, after something happened: what can still be worked where it stands stays there and the rest is
 * laid anew around it; or every chain is laid in the row in which they began. Whichever costs less, with what is moved. Pure.
 */
import { checkWeek } from './check'
import type { WorkshopSchedule } from './problem'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'

/** A row to go on from, and how it is laid. */
export interface RowInForce {
  grain: Grain
  row: readonly number[]
}

/** Takes up the week to go on from as the best, with the row that comes nearest to it; null where nothing that can be worked comes of it. */
export function goOnFrom(search: Search, from: WorkshopSchedule): RowInForce | null {
  const take = (week: WorkshopSchedule | null): number => {
    const checked = week && checkWeek(search.problem, week)
    if (!checked || checked.faults.length > 0 || checked.missed.some((k) => search.problem.lags[k]?.hard)) return Infinity
    return search.begin(week, checked.cost)
  }
  take(layAround(search, from))
  const rows = [search.coarse, search.fine].map((grain) => {
    const row = rowOf(search, grain, from)
    return { grain, row, worth: take(layInRow(grain, row)) }
  })
  const [nearest] = rows.sort((one, other) => one.worth - other.worth)
  return search.best && nearest ? nearest : null
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
