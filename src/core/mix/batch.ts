/** Mixes made up as batches: what is left of each, and until when it can be used. Read from the log; pure. */
import { getFamily, type FamilyCode } from '../finish/families'
import { windowFor, type Reading } from '../drying/windowFor'
import type { Entry } from '../log/entry'
import { roundMoney } from '../money/money'
import { costSoFar } from '../stock/drawFromLots'
import { inBatches, shareOut } from './mixBatch'
import { parseMix, yieldOf } from './parts'

export interface Batch {
  /** the entry that made it up */
  id: string
  productId: string | null
  family: FamilyCode
  mix: string
  volume: number
  unit: 'ml' | 'g'
  madeAt: string
  /** null where it keeps as the tin does */
  goodUntil: string | null
  left: number
}

/** When a mix of a family is no longer good, in this air; null where it keeps. The earlier of the label's figures. */
export function goodUntilOf(family: FamilyCode, madeAt: string, climate: readonly Reading[]): string | null {
  const { potLife } = getFamily(family)
  if (!potLife) return null
  const label = { opens: potLife }
  return windowFor({ endedAt: madeAt, kind: 'evaporation', film: 'normal', label, climate, assistance: [] }).mayOpen
}

/** The batches of these logs, corrections applied, newest first; coats of any log take from them. */
export function batchesIn(logs: readonly { log: readonly Entry[]; climate: readonly Reading[] }[]): Batch[] {
  const used = new Map<string, number>()
  for (const { coat } of logs.flatMap(({ log }) => log))
    if (coat?.batchId) used.set(coat.batchId, (used.get(coat.batchId) ?? 0) + coat.amount)
  return logs
    .flatMap(({ log, climate }) =>
      log.flatMap(({ id, at, batch }): Batch[] => {
        if (!batch) return []
        const { lotId: _, ...figures } = batch
        const left = Math.max(0, batch.volume - (used.get(id) ?? 0))
        return [{ id, ...figures, madeAt: at, goodUntil: goodUntilOf(batch.family, at, climate), left }]
      }),
    )
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt) || b.id.localeCompare(a.id))
}

/** Whether a batch can still be used at a moment. */
export const isGood = ({ goodUntil, left }: Batch, nowMs: number): boolean =>
  left > 0 && (goodUntil === null || Date.parse(goodUntil) > nowMs)

/** What goes into so much of a mix, in ml; null where its parts are not told. */
export function componentsOf(mix: string, volume: number): { name: string; ml: number }[] | null {
  const components = parseMix(mix)
  return components && volume > 0 ? shareOut({ volume, components, yield: yieldOf(components) }) : null
}

/** How much to make up: what the coats that fall within the pot life take together. */
export const volumeFor = (family: FamilyCode, coats: readonly { ml: number; atMinute: number }[]): number =>
  inBatches(coats, getFamily(family).potLife?.[0] ?? Infinity)[0]?.ml ?? 0

/**
 * What a coat taken from a batch costs: its share of what went in, so that the coats that use it up sum to all of it; what it
 * gave beyond that at the same rate.
 */
export function shareOfBatch(batch: { volume: number; left: number; money: number }, amount: number): number {
  const tin = { price: batch.money, size: batch.volume }
  const within = Math.min(amount, batch.left)
  const beyond = roundMoney((tin.price * (amount - within)) / tin.size)
  return costSoFar(tin, batch.left - within) - costSoFar(tin, batch.left) + beyond
}
