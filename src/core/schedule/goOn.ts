/**
 * Going on from a week that is in force, after something happened: every chain is laid in the row in which they began, each where it was if
 * it can be, or as early as it may; or those that can't stay find their places among all that do. Whichever costs least, with what is moved. Pure.
 */
import { never } from './calendar'
import { checkWeek, worthOf } from './check'
import type { WorkshopSchedule } from './problem'
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'

/** So much of the time it may take to find which chains give way, and as much to find which pieces. */
const finding = 0.1

/** Takes up the week to go on from as the best; answers with the row of its chains, or null where nothing that can be worked comes of it. */
export function goOnFrom(search: Search, from: WorkshopSchedule): readonly number[] | null {
  const take = (week: WorkshopSchedule | null): number => {
    const checked = week && checkWeek(search.problem, week)
    if (!checked || checked.faults.length > 0) return Infinity
    return search.betterWeek(week, worthOf(search.problem, checked))
  }
  // as it stands, where it still can be worked so
  take({ start: [...from.start], painter: [...from.painter] })
  const laid = [search.fine, search.coarse].map((grain) => {
    const begun = [Infinity, 0].map((isNew) => rowOf(search, grain, { from, isNew }))
    grain.layout.stayAsIn(from)
    const rows = [...begun, ...begun.map((row) => givenWay(search, grain, { row, from }) ?? row)]
    const stays = rows.map((row) => ({ row, worth: take(layInRow(grain, row)) }))
    grain.layout.stayAsIn(null)
    begun.forEach((row) => take(layInRow(grain, row)))
    return stays.reduce((best, each) => (each.worth < best.worth ? each : best)).row
  })
  const [row] = laid
  if (!search.best || !row) return null
  letPiecesGiveWay(search, search.fine, { row, from })
  return row
}

/**
 * What comes of a week where each chain, in the row in which they begin, is laid as early as it may be, or where it was in another week, if it can;
 * null where nothing does.
 */
export function drawnTogether(
  search: Search,
  grain: Grain,
  week: WorkshopSchedule,
  was?: WorkshopSchedule,
): WorkshopSchedule | null {
  if (was) grain.layout.stayAsIn(was)
  const drawn = layInRow(grain, rowOf(search, grain, { from: week, isNew: Infinity }))
  if (was) grain.layout.stayAsIn(null)
  return drawn
}

/** Takes note of weeks in which pieces give way: all that is left of one is laid last, of the one by which it costs least; then of one more. The board is empty before and after. */
function letPiecesGiveWay(
  search: Search,
  { units, layout, held }: Grain,
  { row, from }: { row: readonly number[]; from: WorkshopSchedule },
): void {
  const sequence = new ChainSequence(layout)
  const firstChain = units.map((_, unit) => units.slice(0, unit).reduce((sum, { chains }) => sum + chains.length, 0))
  /** With all of a piece that isn't held at its end. */
  const without = (all: readonly number[], piece: number) => {
    const nth = units.map(() => 0)
    const gives = all.map((unit) => {
      const chain = (firstChain[unit] ?? 0) + (nth[unit] ?? 0)
      nth[unit] = (nth[unit] ?? 0) + 1
      return units[unit]?.piece === piece && held[chain] === never
    })
    return [...all.filter((_, k) => !gives[k]), ...all.filter((_, k) => gives[k])]
  }
  const since = search.spent()
  const hasTime = () => search.spent() - since < finding
  const left = new Set(search.problem.pieces.keys())
  layout.stayAsIn(from)
  let best = { row, worth: sequence.costOf(row) }
  for (let gone: number | null = null; hasTime(); gone = null) {
    const before = best.row
    for (const piece of left) {
      if (!hasTime()) break
      const other = without(before, piece)
      const worth = sequence.costOf(other, best.worth)
      if (worth >= best.worth || layout.overfull > 0) continue
      search.better(layout)
      best = { row: other, worth }
      gone = piece
    }
    if (gone === null) break
    left.delete(gone)
  }
  sequence.clear()
  layout.stayAsIn(null)
}
/** Chains in the row in which they began; what is new after all of them, or from a minute on, when it could be begun first. */
export function rowOf(
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

/** The row in which only those that can't stay are laid last, each with what is left of its part; null where none is to be had. The board is empty before and after. */
function givenWay(
  search: Search,
  { units, layout }: Grain,
  { row, from }: { row: readonly number[]; from: WorkshopSchedule },
): number[] | null {
  const sequence = new ChainSequence(layout)
  const nth = new Map<number, number>()
  let staying = row.map((unit) => {
    const its = nth.get(unit) ?? 0
    nth.set(unit, its + 1)
    return { unit, its, first: units[unit]?.chains[its]?.steps[0] ?? 0 }
  })
  const gone: typeof staying = []
  const inRow = () => [...staying, ...gone].map(({ unit }) => unit)
  let isLaid = sequence.costOf(inRow()) < Infinity
  const since = search.spent()
  while (isLaid && search.spent() - since < finding) {
    const pushed = staying.find(({ first }) => layout.startOfStep(first) !== from.start[first])
    if (!pushed) break
    const gives = ({ unit, its }: typeof pushed) => unit === pushed.unit && its >= pushed.its
    gone.push(...staying.filter(gives))
    staying = staying.filter((each) => !gives(each))
    isLaid = sequence.costOf(inRow()) < Infinity
  }
  sequence.clear()
  return isLaid ? inRow() : null
}
/** The board is empty before and after. */
function layInRow({ layout }: Grain, row: readonly number[]): WorkshopSchedule | null {
  const sequence = new ChainSequence(layout)
  const week = sequence.costOf(row) < Infinity ? layout.schedule() : null
  sequence.clear()
  return week
}
