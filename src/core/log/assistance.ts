/** The fans and heat guns that the log says stood by a part. Pure. */
import type { Assistance } from '@/core/drying/windowFor'
import type { PartId } from '@/core/measure/named'
import { type AssistKind, type Entry, type EntryOf, ofKind } from './entry'

const hourMs = 3_600_000
/** One that was never logged off is believed no longer than this: nobody holds a heat gun for hours. */
const longestMs = { fan: 24 * hourMs, heatGun: hourMs }

/** A fan or heat gun set beside a part, or taken away. */
export type AssistEntry = Pick<EntryOf<'assisted' | 'unassisted'>, 'kind' | 'partId' | 'assist' | 'at'>
export const assistsIn = (log: readonly Entry[]): AssistEntry[] => ofKind(log, 'assisted', 'unassisted')

/** Stretches of help for one part; one still on is open to its longest. `log` is the effective log in order of time. */
export function assistanceOf(log: readonly AssistEntry[], partId: PartId): Assistance[] {
  const done: Assistance[] = []
  const on = new Map<AssistKind, string>()
  const close = (kind: AssistKind, from: string, at: number) => {
    const toMs = Math.min(at, Date.parse(from) + longestMs[kind])
    done.push({ kind, from, to: new Date(toMs).toISOString() })
    on.delete(kind)
  }
  for (const entry of log) {
    if (entry.partId !== partId) continue
    const from = on.get(entry.assist)
    if (entry.kind === 'assisted' && from === undefined) on.set(entry.assist, entry.at)
    if (entry.kind === 'unassisted' && from !== undefined) close(entry.assist, from, Date.parse(entry.at))
  }
  for (const [kind, from] of on) close(kind, from, Infinity)
  return done
}

/** The help that is on at a moment. */
export const assistsNow = (assistance: readonly Assistance[], nowMs: number): Assistance['kind'][] =>
  assistance.filter(({ from, to }) => Date.parse(from) <= nowMs && nowMs < Date.parse(to)).map(({ kind }) => kind)
