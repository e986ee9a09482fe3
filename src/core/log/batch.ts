/** Mixes made up as batches: what is left of each, and until when it can be used. Read from the log; pure. */
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { type Reading, windowFor } from '@/core/drying/windowFor'
import { inBatches } from '@/core/measure/mixBatch'
import { parseMix } from '@/core/measure/mixParts'
import { roundMoney } from '@/core/measure/money'
import type { EntryId, Instant, ProductId, StepId } from '@/core/measure/named'
import { costSoFar } from '@/core/stock/drawFromLots'
import { type Entry, ofKind } from './entry'
import type { MixComponent } from './figures'

export interface Batch {
  /** the entry that made it up */
  id: EntryId
  productId: ProductId | null
  family: FamilyCode
  mix: string
  volume: number
  unit: 'ml' | 'g'
  components: readonly MixComponent[]
  /** the steps it was made for */
  stepIds: readonly StepId[]
  madeAt: Instant
  /** null where it keeps as the tin does */
  goodUntil: string | null
  left: number
}

/** When a mix of a family is no longer good, in this air; null where it keeps. The earlier of the label's figures. */
export function goodUntilOf(family: FamilyCode, madeAt: Instant, climate: readonly Reading[]): Instant | null {
  const { potLife } = getFamily(family)
  if (!potLife) return null
  const label = { opens: potLife }
  return windowFor({ endedAt: madeAt, kind: 'evaporation', film: 'normal', label, climate, assistance: [] }).mayOpen
}

/** The batches of these logs, corrections applied, newest first; coats of any log take from them. */
export function batchesIn(logs: readonly { log: readonly Entry[]; climate: readonly Reading[] }[]): Batch[] {
  const used = new Map<EntryId, number>()
  const taken = logs.flatMap(({ log }) => [
    ...ofKind(log, 'coat').map(({ coat }) => coat),
    ...ofKind(log, 'put-by').map(({ rest }) => rest),
  ])
  for (const { batchId, amount } of taken) if (batchId) used.set(batchId, (used.get(batchId) ?? 0) + amount)
  return logs
    .flatMap(({ log, climate }) =>
      ofKind(log, 'mixed').map(({ id, at, batch }): Batch => {
        const { lotId: _, ...figures } = batch
        const left = Math.max(0, batch.volume - (used.get(id) ?? 0))
        return { id, ...figures, madeAt: at, goodUntil: goodUntilOf(batch.family, at, climate), left }
      }),
    )
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt) || b.id.localeCompare(a.id))
}

/** A mix is told by what is in it, not by how it is written: "2:1 paint, water" is "paint : water 2 : 1". */
const sameMix = (one: string, other: string): boolean => {
  const [a, b] = [parseMix(one), parseMix(other)]
  if (!a || !b) return one.trim().toLowerCase() === other.trim().toLowerCase()
  const shares = (parts: readonly { name: string; parts: number }[]) => {
    const sum = parts.reduce((total, each) => total + each.parts, 0)
    return new Map(parts.map((each) => [each.name.toLowerCase(), each.parts / sum]))
  }
  const [left, right] = [shares(a), shares(b)]
  return left.size === right.size && [...left].every(([name, share]) => Math.abs((right.get(name) ?? -1) - share) < 1e-9)
}

/**
 * The mixes that a step's coat may be taken from, the one to reach for first: made for this step, then of the same product and
 * mix, then the rest of its family. `own` are those that its coat is taken from unless somebody says otherwise.
 */
export function batchesFor(
  batches: readonly Batch[],
  step: { id: StepId; family: FamilyCode; mix: string; productId: ProductId | null },
  nowMs: number,
): { all: Batch[]; own: Batch | null } {
  const good = batches.filter((batch) => batch.family === step.family && isGood(batch, nowMs))
  const rank = (batch: Batch) =>
    batch.stepIds.includes(step.id)
      ? 0
      : (batch.productId === step.productId || step.productId === null) && sameMix(batch.mix, step.mix)
        ? 1
        : 2
  const all = [...good].sort((a, b) => rank(a) - rank(b))
  const [first] = all
  return { all, own: first && rank(first) < 2 ? first : null }
}

/** Whether a batch can still be used at a moment. */
export const isGood = ({ goodUntil, left }: Batch, nowMs: number): boolean =>
  left > 0 && (goodUntil === null || Date.parse(goodUntil) > nowMs)

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
