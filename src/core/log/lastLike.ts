/** How a like coat went on the last time: what the next one begins with. Pure. */
import type { FamilyCode } from '../finish/families'
import type { CoatFigures, Entry } from './entry'

/** The latest coat of a family, in this colour's tin where there is one; null where none was logged. */
export function findLastLike(coats: readonly Entry[], family: FamilyCode, tins: ReadonlySet<string>): CoatFigures | null {
  let last: Entry | null = null
  for (const entry of coats) {
    if (entry.kind !== 'coat' || entry.coat?.family !== family) continue
    if (entry.coat.productId !== null && tins.size > 0 && !tins.has(entry.coat.productId)) continue
    if (last === null || entry.at > last.at) last = entry
  }
  return last?.coat ?? null
}
