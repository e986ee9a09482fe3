/**
 * What keeps a piece from ending sooner: from its last step back along what each waits for, the hands, the brush and the drying places
 * that others had first. Answers with what should be laid before what. Pure; chance is told.
 */
import { costOfEnd, type Earliest } from './bound'
import { never } from './calendar'
import { putInOrder } from './inOrder'
import type { Lag, WorkshopProblem } from './problem'
import type { RowLayout } from './rowLayout'
import type { Unit } from './units'

/** Two places of a row: what stands at `late` waits for what stands at `early`. */
export interface Blocked {
  late: number
  early: number
}

/** how far back a piece's end is followed */
const mostSteps = 60
/** how often the way goes on past what could be changed */
const goOn = 0.5

export class WhyLate {
  private readonly into: Lag[][]
  private readonly chainAt: Int32Array
  /** by chain: its place in the row, its steps, whether it takes a drying place */
  private readonly chains: { unit: number; nth: number; steps: readonly number[]; opens: boolean }[] = []
  private readonly firstChain: number[]
  private readonly place: Int32Array
  private readonly pieces: Int32Array
  readonly start: Int32Array
  private readonly end: Int32Array
  readonly by: Int32Array
  /** chains in the order in which they begin */
  readonly inOrder: Int32Array
  private readonly worth: Float64Array
  private worthInAll = 0

  constructor(
    private readonly problem: WorkshopProblem,
    private readonly units: readonly Unit[],
    private readonly earliest: Earliest,
    private readonly random: () => number,
  ) {
    const { steps, lags, pieces } = problem
    this.into = steps.map(() => [])
    for (const lag of lags) this.into[lag.to]?.push(lag)
    this.chainAt = new Int32Array(steps.length)
    this.firstChain = units.map(() => 0)
    units.forEach(({ chains }, unit) => {
      this.firstChain[unit] = this.chains.length
      chains.forEach((chain, nth) => {
        for (const step of chain.steps) this.chainAt[step] = this.chains.length
        this.chains.push({ unit, nth, steps: chain.steps, opens: chain.opens !== null })
      })
    })
    this.place = new Int32Array(this.chains.length)
    this.inOrder = Int32Array.from(this.chains, (_, chain) => chain)
    this.pieces = Int32Array.from(this.chains, ({ unit }) => units[unit]?.piece ?? 0)
    this.start = new Int32Array(steps.length)
    this.end = new Int32Array(steps.length)
    this.by = new Int32Array(steps.length)
    this.worth = new Float64Array(pieces.length)
  }

  /** Takes note of a row and of the week that came of it. */
  note(row: readonly number[], layout: Pick<RowLayout, 'copyTo'>): void {
    this.noteRow(row)
    layout.copyTo(this.start, this.end, this.by)
    putInOrder(this.inOrder, (chain) => this.startOf(chain))
    this.worthInAll = 0
    this.problem.pieces.forEach(({ final }, piece) => {
      const least = costOfEnd(this.problem, piece, this.earliest.end[final] ?? 0)
      const worth = Math.max(0, costOfEnd(this.problem, piece, this.end[final] ?? 0) - least)
      this.worth[piece] = worth
      this.worthInAll += worth
    })
  }
  /** Another row of the same week. */
  noteRow(row: readonly number[]): void {
    const nth = new Int32Array(this.units.length)
    row.forEach((unit, at) => {
      this.place[(this.firstChain[unit] ?? 0) + (nth[unit] ?? 0)] = at
      nth[unit] = (nth[unit] ?? 0) + 1
    })
  }

  /** In the week that was noted: when a piece ends, which chain of all a unit's is, of which piece a chain is, when it begins. */
  endOfPiece(piece: number): number {
    return this.end[this.problem.pieces[piece]?.final ?? 0] ?? 0
  }
  dueOf(piece: number): number {
    return this.problem.pieces[piece]?.due ?? 0
  }
  chainOf(unit: number, nth: number): number {
    return (this.firstChain[unit] ?? 0) + nth
  }
  pieceOf(chain: number): number {
    return this.pieces[chain] ?? 0
  }
  startOf(chain: number): number {
    return this.start[this.chains[chain]?.steps[0] ?? 0] ?? 0
  }
  /** A piece, the dearer the likelier. */
  pickPiece(): number {
    let left = this.random() * this.worthInAll
    const piece = this.worth.findIndex((worth) => (left -= worth) < 0)
    return Math.max(0, piece)
  }
  /** Something that holds a piece back, the dearer the piece the likelier; null where nothing was found. */
  pick(): Blocked | null {
    const piece = this.pickPiece()
    let step = this.problem.pieces[piece]?.final ?? 0
    let found: Blocked | null = null
    for (let k = 0; k < mostSteps; k += 1) {
      const { ready, from } = this.readyOf(step)
      const chain = this.chainAt[step] ?? 0
      const blockers = this.blockersOf(step, ready)
      const blocker = blockers[Math.floor(this.random() * blockers.length)]
      if (blocker !== undefined) {
        found = { late: this.place[chain] ?? 0, early: this.place[this.chainAt[blocker] ?? 0] ?? 0 }
        if (this.random() > goOn) return found
        // what stands before it may be what should come sooner
        if (this.random() < 0.5) {
          step = blocker
          continue
        }
      }
      if (from === null) return found
      step = from
    }
    return found
  }

  private readyOf(step: number): { ready: number; from: number | null } {
    let [ready, before] = [0, null as number | null]
    for (const { from, min } of this.into[step] ?? []) {
      const at = (from === null ? 0 : (this.end[from] ?? 0)) + min
      if (at >= ready) [ready, before] = [at, from]
    }
    return { ready, from: before }
  }

  /** Steps of other chains, earlier in the row, that are worked while this one could have been; or that hold the places it dries in. */
  private blockersOf(step: number, ready: number): number[] {
    const facts = this.problem.steps[step]
    const start = this.start[step] ?? 0
    if (!facts) return []
    let free = never
    for (const by of facts.painters) {
      const at = this.earliest.calendars[by]?.nextStart(facts, ready) ?? never
      if (at !== never && (free === never || at < free)) free = at
    }
    if (free === never || start <= free) return []
    const own = this.chainAt[step] ?? 0
    const at = this.place[own] ?? 0
    const until = Math.max(start, ...(this.chains[own]?.steps ?? []).map((each) => this.start[each] ?? 0))
    const found: number[] = []
    for (let other = 0; other < this.start.length; other += 1) {
      const chain = this.chainAt[other] ?? 0
      if (chain === own || (this.place[chain] ?? 0) > at) continue
      if ((this.end[other] ?? 0) <= free || (this.start[other] ?? 0) >= until) continue
      if (facts.painters.includes(this.by[other] ?? 0)) found.push(other)
    }
    if (!this.chains[own]?.opens) return found
    // who holds a place meanwhile
    this.chains.forEach(({ unit, opens, steps }, chain) => {
      if (!opens || chain === own || (this.place[chain] ?? 0) > at) return
      const last = this.units[unit]?.steps.at(-1) ?? 0
      if ((this.start[steps[0] ?? 0] ?? 0) < start && (this.end[last] ?? 0) > free) found.push(steps[0] ?? 0)
    })
    return found
  }
}
