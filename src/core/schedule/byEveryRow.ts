/** Every row there is, where there are few: then nothing better is missed by chance. Pure. */
import type { Grain, Search } from './search'
import { ChainSequence } from './sequence'

/** More rows than these are searched, not tried. */
const most = 2_000
/** so many between two looks at the time */
const looks = 32

/** How many rows there are of chains that keep their order within a unit; beyond {@link most} they are not counted on. */
export function countRows(lengths: readonly number[]): number {
  let rows = 1
  let sum = 0
  // a unit's chains are put between those that lie: (sum over length)
  for (const length of lengths)
    for (let k = 1; k <= length; k += 1) {
      sum += 1
      rows = (rows * sum) / k
      if (rows > most) return most + 1
    }
  return rows
}

/** Tries all of them, unless the time is over before; the board is empty before and after. */
export function tryEveryRow(search: Search, { units, layout }: Grain, until: number): void {
  const left = units.map(({ chains }) => chains.length)
  if (countRows(left) > most) return
  const sequence = new ChainSequence(layout)
  const row: number[] = []
  const chains = left.reduce((sum, count) => sum + count, 0)
  let tried = 0
  let isOver = false
  const goOn = () => {
    if (isOver) return
    if (row.length === chains) {
      tried += 1
      isOver = tried % looks === 0 && search.spent() > until
      const cost = sequence.costOf([...row])
      if (cost < Infinity) search.better(layout)
      return
    }
    left.forEach((count, unit) => {
      if (count === 0) return
      left[unit] = count - 1
      row.push(unit)
      goOn()
      row.pop()
      left[unit] = count
    })
  }
  goOn()
  sequence.clear()
}
