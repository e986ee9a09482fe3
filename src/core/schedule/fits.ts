/** The first start of a step from which what follows it within windows finds its places, were nobody busy. Pure. */
import { never } from './calendar'
import type { StepFacts } from './stepFacts'
import { open } from './waitTable'

/** A start is put off so often at most: by then it is a weekend later. */
const mostTries = 30
/** what stands in place of a slot */
const [notAsked, nowhere, first] = [0, 1, 2]

/** Which windows are held to: those that ruin a coat, or all of them. */
export type Windows = 'hard' | 'all'

export class Fits {
  /** by step, hands and windows, by slot: that of the start */
  private readonly known: (Uint16Array | undefined)[] = []
  /** by step: the first window after it, of those that ruin a coat and of all; {@link never} where none is */
  private readonly hard: Int32Array
  private readonly all: Int32Array

  constructor(private readonly facts: StepFacts) {
    this.hard = Int32Array.from({ length: facts.count }, (_, step) => this.followOf(step, 'hard'))
    this.all = Int32Array.from({ length: facts.count }, (_, step) => this.followOf(step, 'all'))
  }

  /** {@link never} where there is none. */
  from(step: number, by: number, minute: number, windows: Windows): number {
    const { facts, known } = this
    const follow = (windows === 'all' ? this.all : this.hard)[step] ?? never
    if (follow === never) return facts.nextStart(step, by, minute)
    const key = (step * facts.hands + by) * 2 + (windows === 'all' ? 1 : 0)
    const own = (known[key] ??= new Uint16Array(facts.slots + 1))
    const { grid } = facts.problem
    const slot = Math.ceil(minute / grid)
    if (slot > facts.slots) return never
    const found = own[slot] ?? notAsked
    if (found !== notAsked) return found === nowhere ? never : (found - first) * grid
    const start = this.seek(step, by, { minute: slot * grid, windows, follow })
    own[slot] = start === never ? nowhere : start / grid + first
    return start
  }

  private seek(
    step: number,
    by: number,
    { minute, windows, follow }: { minute: number; windows: Windows; follow: number },
  ): number {
    const { facts } = this
    let at = minute
    for (let tries = 0; tries < mostTries; tries += 1) {
      const start = facts.nextStart(step, by, at)
      if (start === never) return never
      const end = facts.endOf(step, by, start)
      const after = this.soonest(step, by, { end, windows, follow })
      if (after === never) return never
      const late = after - end - (facts.waits.max[follow] ?? 0)
      if (late <= 0) return start
      at = start + late
    }
    return never
  }
  /** When what follows can begin at the soonest, in anybody's hands. */
  private soonest(step: number, by: number, { end, windows, follow }: { end: number; windows: Windows; follow: number }): number {
    const { waits, product, by: hands, byAt, problem } = this.facts
    const to = waits.to[follow] ?? 0
    const [own, next] = [product[step] ?? 0, product[to] ?? 0]
    const cleans = own > 0 && next > 0 && own !== next
    let soonest: number = never
    for (let k = byAt[to] ?? 0; k < (byAt[to + 1] ?? 0); k += 1) {
      const hand = hands[k] ?? 0
      const ready = Math.max(end + (waits.min[follow] ?? 0), hand === by && cleans ? end + problem.setup : 0)
      const start = this.from(to, hand, ready, windows)
      if (start !== never && (soonest === never || start < soonest)) soonest = start
    }
    return soonest
  }
  /** The first window after a step; {@link never} where none is. */
  private followOf(step: number, windows: Windows): number {
    const { out, outAt, max, firm } = this.facts.waits
    for (let k = outAt[step] ?? 0; k < (outAt[step + 1] ?? 0); k += 1) {
      const lag = out[k] ?? 0
      if ((max[lag] ?? open) < open && (windows === 'all' || firm[lag] === 1)) return lag
    }
    return never
  }
}
