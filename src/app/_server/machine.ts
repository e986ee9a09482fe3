/** How much of this machine is free: several servers and the database share it, and none of them sees the others' work. */
import 'server-only'
import { cpus } from 'node:os'

/** what was counted longer ago says nothing of now; of a shorter while there is too little to tell */
const [oldMs, shortMs] = [1_000, 100]
interface Counted {
  atMs: number
  idle: number
  all: number
}
let last: Counted | null = null

function count(atMs: number): Counted {
  let [idle, all] = [0, 0]
  for (const { times } of cpus()) {
    idle += times.idle
    all += times.user + times.nice + times.sys + times.idle + times.irq
  }
  return { atMs, idle, all }
}

/** The share of its processors that did nothing since this was last asked, 0 to 1; null where that was too long ago, or never. */
export function freeShare(nowMs: number): number | null {
  const before = last
  if (before && nowMs - before.atMs < shortMs) return null
  const now = count(nowMs)
  last = now
  if (!before || nowMs - before.atMs > oldMs || now.all <= before.all) return null
  return (now.idle - before.idle) / (now.all - before.all)
}
