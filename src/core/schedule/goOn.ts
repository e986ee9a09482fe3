/**
 * Going on from a week that is in force, after something happened: every chain is laid in the row in which they began, each where it was if
 * it can be, or as early as it may; whichever costs least, with what is moved. Pure.
 */
import { never } from './calendar'
import { checkWeek } from './check'
import { ruin, type WorkshopSchedule } from './problem'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'

/** Takes up the week to go on from as the best; answers with the row of its chains, or null where nothing that can be worked comes of it. */
export function goOnFrom(search: Search, from: WorkshopSchedule): readonly number[] | null {
  const take = (week: WorkshopSchedule | null): number => {
    const checked = week && checkWeek(search.problem, week)
    if (!checked || checked.faults.length > 0) return Infinity
    const ruined = checked.missed.filter((k) => search.problem.lags[k]?.hard).length
    return search.begin(week, checked.cost + ruined * ruin)
  }
  // as it stands, where it still can be worked so
  take({ start: [...from.start], painter: [...from.painter] })
  const begun = [search.fine, search.coarse].map((grain) => {
    const rows = [Infinity, 0].map((isNew) => rowOf(search, grain, { from, isNew }))
    grain.layout.stayAsIn(from)
    const stays = rows.map((row) => ({ row, worth: take(layInRow(grain, row)) }))
    grain.layout.stayAsIn(null)
    rows.forEach((row) => take(layInRow(grain, row)))
    return stays.reduce((best, each) => (each.worth < best.worth ? each : best)).row
  })
  return search.best && (begun[0] ?? null)
}

/** Chains in the row in which they began; what is new after all of them, or from a minute on, when it could be begun first. */
function rowOf(
  { earliest, problem }: Search,
  { units }: Grain,
  { from, isNew }: { from: WorkshopSchedule; isNew: number },
): number[] {
  const soonest = (step: number) => (earliest.end[step] ?? 0) - (problem.steps[step]?.dur ?? 0)
  const at = (step: number) => {
    const was = from.start[step] ?? never
    return was === never ? Math.max(isNew, soonest(step)) : was
  }
  const begun = units.flatMap(({ chains }, unit) => chains.map(({ steps }) => ({ unit, at: at(steps[0] ?? 0) })))
  return begun.sort((a, b) => (a.at === b.at ? 0 : a.at - b.at)).map(({ unit }) => unit)
}

/** The board is empty before and after. */
function layInRow({ layout }: Grain, row: readonly number[]): WorkshopSchedule | null {
  const sequence = new ChainSequence(layout)
  const week = sequence.costOf(row) < Infinity ? layout.schedule() : null
  sequence.clear()
  return week
}
