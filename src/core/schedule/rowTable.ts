/** A problem as flat lists, step by step and chain by chain: for what is laid very often. Pure. */
import { never } from './calendar'
import type { Lag, WorkshopProblem } from './problem'
import { flat, StepTable } from './stepTable'
import type { Chain, Unit } from './units'

export class RowTable extends StepTable {
  /** chains of unit k stand from place `chainAt[k]` to `chainAt[k + 1]` */
  readonly chainAt: Int32Array
  /** steps of chain k stand from place `stepAt[k]` to `stepAt[k + 1]`; beside each the wait to the next of its chain */
  readonly step: Int32Array
  readonly stepAt: Int32Array
  readonly link: Int32Array
  /**
   * by chain: drying places that it wants beside those it is given, how many of them it leaves taken, from the end of which step of it on,
   * and until which begins; {@link never} where it wants none, or leaves as many as it wants
   */
  readonly extra: Uint8Array
  readonly lasting: Uint8Array
  readonly opens: Int32Array
  readonly shuts: Int32Array
  /** steps of chain k before which a stay at a drying place ends, from place `comeAt[k]`, and after which one begins, from place `leaveAt[k]` */
  readonly come: Int32Array
  readonly comeAt: Int32Array
  readonly leave: Int32Array
  readonly leaveAt: Int32Array
  /** waits that have a most and end in chain k, from place `windowAt[k]` */
  readonly window: Int32Array
  readonly windowAt: Int32Array
  /** units that unit k waits for, from place `afterAt[k]` */
  readonly after: Int32Array
  readonly afterAt: Int32Array

  constructor(
    { steps, lags }: WorkshopProblem,
    readonly units: readonly Unit[],
  ) {
    super({ steps, lags })
    const chains = units.flatMap((unit) => unit.chains)
    ;[, this.chainAt] = flat(units.map((unit) => unit.chains.map(() => 0)))
    ;[this.step, this.stepAt] = flat(chains.map((chain) => chain.steps))
    const index = new Map(lags.map((lag, k) => [lag, k]))
    const linkOf = ({ steps: own, links }: Chain) => own.map((_, k) => (links[k] ? (index.get(links[k]) ?? never) : never))
    ;[this.link] = flat(chains.map(linkOf))
    const dries = chains.map((chain) => placesOf(chain, lags))
    this.opens = Int32Array.from(dries, ({ opens }) => opens)
    this.shuts = Int32Array.from(dries, ({ shuts }) => shuts)
    this.extra = Uint8Array.from(dries, ({ extra }) => extra)
    this.lasting = Uint8Array.from(dries, ({ lasting }) => lasting)
    ;[this.come, this.comeAt] = flat(dries.map(({ comes }) => comes))
    ;[this.leave, this.leaveAt] = flat(dries.map(({ leaves }) => leaves))
    ;[this.window, this.windowAt] = flat(chains.map(({ windows }) => windows))
    ;[this.after, this.afterAt] = flat(units.map((unit) => unit.after))
  }
}

/** What a chain is given of drying places, wants and leaves. */
function placesOf({ steps }: Chain, lags: readonly Lag[]) {
  const nth = new Map(steps.map((step, k) => [step, k]))
  const stays = lags
    .filter(({ rack, from, to }) => rack && (nth.has(to) || (from !== null && nth.has(from))))
    .map(({ from, to }) => ({ from: from === null ? never : (nth.get(from) ?? never), to: nth.get(to) ?? steps.length }))
  const closing = stays.filter(({ from }) => from === never).length
  const after = steps.map((_, k) => stays.filter(({ from, to }) => from <= k && to > k).length)
  const extra = Math.max(0, Math.max(...after) - closing)
  const lasting = Math.max(0, (after.at(-1) ?? 0) - closing)
  const first = after.findIndex((held) => held > closing)
  const last = after.findLastIndex((held) => held > closing + lasting)
  return {
    extra,
    lasting,
    opens: steps[first] ?? never,
    shuts: (last < 0 ? undefined : steps[last + 1]) ?? never,
    comes: stays.flatMap(({ to }) => steps[to] ?? []),
    leaves: stays.flatMap(({ from }) => steps[from] ?? []),
  }
}

/** Bytes that are enough for what a board knows of all that is laid: so many by step or wait and hands, and by part, piece, hands and room. */
export function roomFor({ steps, lags, painters, pieces, pools }: WorkshopProblem, units: number): number {
  const [byStep, byOther] = [64, 256]
  const others = units + pieces.length + painters.length + (pools.rooms?.length ?? 0) + 1
  return byStep * (steps.length + lags.length) * (painters.length + 2) + byOther * others
}
